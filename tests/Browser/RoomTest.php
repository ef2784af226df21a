<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** Room and Workshop as the teacher uses them. */
final class RoomTest extends BrowserCase
{
    public function test_what_works_is_drawn_and_says_why_not(): void
    {
        $browser = $this->signIn()->press('Room')->see('Quarter-inch”, 10 students: 5 rounds');
        $browser->press('Satin on Door 7')->see('Door 7 sews straight only')->see('Instead:');
        $browser->keys(WebDriverKeys::ESCAPE);
        $browser->press('Zigzag on Window 3: with Standard')->see('stitch 04 on its dial');
        self::assertQuiet();
    }

    public function test_the_opening_is_drawn_to_scale(): void
    {
        $browser = $this->signIn()->go('/workshop/clearance')->see('left 1.3 mm, right 1.3 mm');
        [$opening, $swing, $bar] = $browser->driver->executeScript(<<<'JS'
            const [l, r] = [...document.querySelectorAll('.workshop-tool-answer .drawing-foot-wall')].map((w) => w.getBBox());
            return [r.x - l.x - l.width, document.querySelector('.workshop-tool-answer .drawing-needle-path').getBBox().width, document.querySelector('svg .drawing-scale-bar path').getBBox().width];
            JS);
        // Opening 8.4 mm, swing 5 mm, bar 5 mm.
        self::assertEqualsWithDelta(8.4 / 5, $opening / $bar, 0.01);
        self::assertEqualsWithDelta(1.0, $swing / $bar, 0.01);
    }

    public function test_a_strike_is_said_at_once_and_cannot_be_kept(): void
    {
        $browser = $this->signIn()->go('/workshop/clearance')->see('hand wheel towards you');
        $browser->driver->executeScript(<<<'JS'
            const set = (i, v) => { const s = document.querySelectorAll('.workshop-tool-form select')[i]; Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, v); s.dispatchEvent(new Event('change', {bubbles: true})) };
            const foot = [...document.querySelectorAll('.workshop-tool-form select')[1].options].find((o) => o.text.startsWith('Straight'));
            set(1, foot.value);
            JS);
        $browser->see('it strikes')->see('takes straight stitches only')->see('cannot be kept as a setting');
        self::assertQuiet();
    }

    public function test_a_machine_is_added_edited_and_asked_about_before_it_goes(): void
    {
        $browser = $this->signIn()->go('/room?show=machines')->see('Hearth 5')->press('Add a machine')->see('Stitches it has');
        $browser->fill($browser->find('.room-edit-form input'), 'Loft 9');
        $browser->click('.room-edit-form button[data-variant=filled]');
        $browser->until('the new machine in the table', fn (): bool => str_contains($browser->text(), 'Loft 9') && $browser->driver->findElements(WebDriverBy::cssSelector('.room-edit-form')) === []);
        $browser->press('Loft 9')->see('Keep the changes');
        $browser->fill($browser->find('.room-edit-form .number-field input'), '99')->press('Keep the changes')->see('from 0 to 12');
        $browser->press('Take it out of the room');
        $browser->until('the machine gone', fn (): bool => ! str_contains($browser->text(), 'Loft 9'));
        // Somebody sits at this one.
        $browser->press('Window 1')->see('Keep the changes')->press('Take it out of the room')->see('sit at it');
        self::assertStringContainsString('Yes, take it out of the room', $browser->text());
        $browser->keys(WebDriverKeys::ESCAPE);
    }

    public function test_do_not_use_takes_a_reason_and_is_undone(): void
    {
        $browser = $this->signIn()->go('/room?show=machines')->see('Door 8');
        $browser->press('Do not use Door 8');
        $browser->find('.common-why input')->sendKeys('smell of burning'.self::ENTER);
        $browser->see('Do not use: smell of burning');
        $browser->press('Plan')->see('7 machines');
        $browser->go('/room?show=machines')->press('Use it again');
        $browser->see('Door 8');
        $browser->until('it is used again', fn (): bool => ! str_contains($browser->text(), 'Do not use: smell'));
        self::assertQuiet();
    }

    public function test_an_answer_is_kept_with_a_lesson_and_seen_there(): void
    {
        $browser = $this->signIn()->go('/workshop/guide')->see('plate line 16 at 16 mm');
        $browser->fill($browser->find('input.workshop-big'), '1 1/2 in')->see('magnetic guide')->see('only where the machine’s manual allows');
        $browser->driver->executeScript(<<<'JS'
            const s = document.querySelector('.common-keep-acts select');
            Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, 'lesson:guides'); s.dispatchEvent(new Event('change', {bubbles: true}));
            JS);
        $browser->press('Keep it')->see('Kept.');
        $browser->go('/samplers/guides')->see('38.1 mm on Window 1: magnetic guide');
        $browser->press('drop: 38.1 mm');
        $browser->until('it is gone', fn (): bool => ! str_contains($browser->text(), '38.1 mm on Window 1'));
        self::assertQuiet();
    }

    public function test_every_stitch_is_drawn_and_nonsense_is_named(): void
    {
        $browser = $this->signIn()->go('/workshop/stitch')->see('ISO 4915 class 304');
        foreach (['Satin' => 'no cloth shows', 'Buttonhole, keyhole' => 'shank buttons', 'Sew a button' => 'two holes', 'Multi-step zigzag' => 'mending'] as $stitch => $about) {
            $browser->press($stitch)->see($about);
        }
        $browser->fill($browser->find('.number-field input'), '0')->see('is from 0.1 to 6 mm');
        self::assertStringNotContainsString('stitches in 30 mm', $browser->text(), 'no answer stands beside the error');
    }
}
