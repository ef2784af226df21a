<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** From nothing to a first kept sample, and a plan moved about. */
final class PlanningTest extends BrowserCase
{
    public function test_a_new_studio_without_reading_help(): void
    {
        $browser = self::browser()->size(1280, 800);
        $browser->forget()->go('/')->press('Open a studio of your own')->see('A studio of your own');
        $fields = ['organization' => 'Attic room', 'name' => 'Wren', 'username' => 'wren'.bin2hex(random_bytes(4)).'@attic.example', 'new-password' => 'short'];
        foreach ($fields as $hint => $value) {
            $browser->find("input[autocomplete=$hint]")->sendKeys($value);
        }
        $browser->keys(self::ENTER)->see('at least 10 characters');
        $browser->find('input[autocomplete=new-password]')->sendKeys(' but longer now');
        $browser->keys(self::ENTER)->see('Three steps, and the first evening is planned');
        $browser->find('input[placeholder="Evening beginners"]')->sendKeys('Saturday morning');
        $browser->find('textarea')->sendKeys("Ona\nPim\nRue");
        $browser->see('3 so far')->press('Lay it out for me');
        $browser->see('Saturday morning')->see('Everything is laid, in an order that holds.')->see('Wind and thread');
        $browser->press('Go to Today')->see('Ona')->press('Look at the sample of Ona')->see('Fingers stay outside the foot');
        $browser->find('[data-reading]');
        for ($i = 0; $i < 6; $i++) {
            $browser->keys('y', self::ENTER);
        }
        $browser->see('Wind and thread')->chord(WebDriverKeys::CONTROL, self::ENTER);
        $browser->see('Kept. Ona sews next: Wind and thread')->see('Pim');
        self::assertQuiet();
    }

    /** A class in a studio of its own, in which nobody has sewn yet: its plan is open from the first session on. */
    private function freshPlan(): Browser
    {
        $browser = self::browser()->size(1280, 800);
        $browser->forget()->go('/')->see('Sign in');
        $class = $browser->driver->executeAsyncScript(<<<'JS'
            const [studio, klass, done] = arguments;
            const send = (to, body) => fetch(to, {method: 'POST', headers: {'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}, body: JSON.stringify(body)}).then((r) => r.text()).then((t) => (t === '' ? {} : JSON.parse(t)));
            send('/api/studios', studio).then(() => send('/api/classes', klass)).then((c) => done(c.id)).catch((e) => done('! ' + e));
            JS, [
            ['studio' => 'Loft', 'name' => 'Lark', 'email' => 'lark'.bin2hex(random_bytes(4)).'@loft.example', 'password' => 'long enough words', 'timezone' => 'UTC'],
            ['name' => 'Loft evening', 'students' => array_map(fn (int $i): string => "Student $i", range(1, 10)), 'starts_on' => '2026-06-04', 'time' => '18:30', 'sessions' => 6, 'minutes' => 120, 'helpers' => 0, 'machines' => 8],
        ]);
        self::assertIsString($class);
        self::assertStringStartsNotWith('!', $class);

        return $browser->go("/plan/$class")->see('Everything is laid, in an order that holds.');
    }

    public function test_a_broken_order_and_a_full_session_are_said_at_once(): void
    {
        $browser = $this->freshPlan();
        $browser->click('.plan-session:nth-child(3) .plan-lesson-name')->keys(WebDriverKeys::ARROW_LEFT);
        $browser->see('Session 2 runs 26 min over');
        $browser->click('.plan-session:nth-child(2) .plan-lesson-tape:last-child .plan-lesson-name')->keys(WebDriverKeys::ARROW_LEFT);
        $browser->see('First seam stands on Needle and foot, which comes later');
        $browser->press('Undo')->see('Session 2 runs 26 min over');
        // Mended, only what is too much moves on.
        $browser->press('Mend it')->see('Moved: ')->see('Everything is laid, in an order that holds.');
        $browser->press('Lay it out for me')->see('5 sessions, and fewer cannot be');
        self::assertQuiet();
    }

    public function test_the_plan_proves_itself_pins_and_skips_a_closed_day(): void
    {
        $browser = $this->freshPlan()->see('5 sessions, and fewer cannot be');
        $browser->click('.plan-session:nth-child(4) .plan-lesson-name')->see('Guides: The sessions before it have no minutes left for it');
        $browser->driver->executeScript('document.querySelector(".plan-session:nth-child(4) .plan-pin-act").click()');
        $browser->see('pinned')->press('Lay it out for me')->see('You pinned it here.');
        $browser->press('Wishes')->see('No class on');
        $this->date($browser, '.plan-closed input[type=date]', '2026-06-18');
        $browser->press('Leave that day out')->see('2026-06-18')->press('Lay it out with these')->until('the last session is a week later', fn (): bool => preg_match('/6\s+Thu,? (Jul 16|16 Jul)/', $browser->text()) === 1);
        $browser->press('There is a class on 2026-06-18 after all')->press('Lay it out with these')->until('it is back', fn (): bool => preg_match('/6\s+Thu,? (Jul 9|9 Jul)/', $browser->text()) === 1);
        self::assertQuiet();
    }

    private function date(Browser $browser, string $input, string $value): void
    {
        $browser->driver->executeScript('Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(arguments[0], arguments[1]); arguments[0].dispatchEvent(new Event("input", {bubbles: true}))', [$browser->find($input), $value]);
    }

    private function choose(Browser $browser, string $label, string $value): void
    {
        $browser->driver->executeScript('const s = document.querySelector(`[aria-label="${arguments[0]}"]`); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, arguments[1]); s.dispatchEvent(new Event("change", {bubbles: true}))', [$label, $value]);
    }

    public function test_wishes_are_tried_beside_the_plan_and_taken_back(): void
    {
        $browser = $this->freshPlan();
        $before = fn (): string => (string) $browser->driver->executeScript('return [...document.querySelectorAll(".plan-session")].map((s) => [...s.querySelectorAll("[data-lesson]")].map((l) => l.dataset.lesson).join("+")).join(" | ")');
        $old = $before();
        $browser->press('Wishes')->see('What comes first')->click('.plan-wishes-lessons summary');
        $this->choose($browser, 'Guides: not before session', '6');
        $browser->click('[aria-label="Paper drive: sewn at home"]');
        $browser->press('Show it beside the plan first')->see('Two plans side by side')->see('Paper drive (at home)')->see('from 4');
        self::assertSame($old, $before(), 'nothing has changed yet');
        $browser->press('Leave it as it is')->until('it is gone', fn (): bool => ! str_contains($browser->text(), 'Two plans side by side'));
        $browser->press('Show it beside the plan first')->see('Two plans side by side')->press('Take the new one')->see('Sewn at home after it:')->until('guides stand in the sixth', fn (): bool => str_ends_with($before(), '| guides'));
        $browser->press('Undo')->until('as it was', fn (): bool => $before() === $old);
        // What cannot be is said in the lesson’s own name, and the plan stays.
        $browser->click('.plan-wishes-lessons summary');
        $this->choose($browser, 'Square spiral: not after session', '1');
        $browser->press('Lay it out with these')->see('“Square spiral” in session 1');
        self::assertSame($old, $before());
        self::assertQuiet();
    }

    public function test_a_lesson_goes_home_and_back_and_the_course_is_taught_again(): void
    {
        $browser = $this->freshPlan()->click('[data-lesson=paper-drive] .plan-lesson-name');
        $browser->until('threads', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll(".plan-plan-threads path").length') > 0);
        $browser->press('Sew it at home after this session')->see('Sewn at home after it: Paper drive');
        $browser->press('sew it in class')->until('it is back', fn (): bool => ! str_contains($browser->text(), 'Sewn at home after it'));
        $browser->see('8 × Standard foot')->see('m Cotton or poly-cotton');
        // Taught again next term: three steps, and only names and dates are new.
        $browser->press('Teach it again to a new class')->see('again, for a new class');
        $browser->find('textarea')->sendKeys("Una\nVal");
        $browser->see('8 lessons take 2 students')->press('On to: Wishes')->see('As the course has it')->press('On to: Dates')->see('Every week on');
        $browser->press('every 2 weeks');
        $this->date($browser, 'input[type=date]', '2026-09-03');
        $browser->press('Lay it out for me')->see('2 students')->until('every second week', fn (): bool => preg_match('/2\s+Thu,? (Sep 17|17 Sep)/', $browser->text()) === 1);
        self::assertQuiet();
    }
}
