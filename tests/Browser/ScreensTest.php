<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;

/** The other ways through the screens: touch, phone, inches, corrections, the room. */
final class ScreensTest extends BrowserCase
{
    public function test_all_four_samplers_are_drawn_to_scale_with_a_bar(): void
    {
        $browser = $this->signIn();
        foreach (['first-seam' => '20 mm', 'length-ladder' => '20 mm', 'guides' => '50 mm', 'square-spiral' => '20 mm'] as $lesson => $bar) {
            $browser->go("/samplers/$lesson")->see('Look for')->see($bar);
            [$piece, $line, $mm] = $browser->driver->executeScript(<<<'JS'
                const piece = document.querySelector('rect.drawing-cloth').getBBox(), bar = document.querySelector('.drawing-scale-bar path').getBBox();
                return [piece.width, bar.width, parseInt(document.querySelector('.drawing-scale-bar text').textContent)];
                JS);
            $wide = $lesson === 'square-spiral' ? 150 : 100;
            // Piece and bar have the same scale: so many pixels a millimetre.
            self::assertEqualsWithDelta($piece / $wide, $line / $mm, 0.02, $lesson);
        }
        self::assertQuiet();
    }

    public function test_the_measured_row_is_drawn_where_it_was_measured(): void
    {
        $browser = $this->signIn()->press('Look at the sample of Keziah')->see('Seam to edge');
        $browser->find('[data-reading]');
        foreach (['10', '10', '10'] as $reading) {
            $browser->keys($reading, self::ENTER);
        }
        $browser->see('mean 10.0 mm, 5.9 mm under');
        $browser->until('the measured row', fn (): bool => count($browser->driver->findElements(WebDriverBy::cssSelector('path.drawing-stitches'))) === 1);
        [$row, $edge, $scale] = $browser->driver->executeScript(<<<'JS'
            const row = document.querySelector('path.drawing-stitches').getBBox(), piece = document.querySelector('rect.drawing-cloth').getBBox();
            return [row.x, piece.x + piece.width, piece.width / 100];
            JS);
        self::assertEqualsWithDelta(10.0, ($edge - $row) / $scale, 0.1);
    }

    public function test_a_kept_sample_is_corrected(): void
    {
        $browser = $this->signIn()->press('Look at the sample of Ambrose')->see('Ambrose')->see('Length ladder');
        $browser->find('[data-reading]');
        foreach (['20', '50', '20', '80', '25', '40'] as $reading) {
            $browser->keys($reading, self::ENTER);
        }
        $browser->keys('y')->see('1.60 mm')->chord(WebDriverKeys::CONTROL, self::ENTER);
        $browser->see('Kept. Ambrose sews next')->press('Correct it')->see('correction');
        $browser->until('what was kept, to be corrected', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll("input.common-num")[5]?.value') === '40');
        $browser->driver->executeScript('document.querySelectorAll("input.common-num")[5].focus()');
        $browser->keys('25')->see('1.00 mm')->chord(WebDriverKeys::CONTROL, self::ENTER);
        $browser->see('Kept. Ambrose sews next: Guides');
        self::assertQuiet();
    }

    public function test_inches_are_stepped_by_sixteenths(): void
    {
        $browser = $this->signIn();
        $browser->press('R. Sallow')->press('Read in inches');
        $browser->see('in · R. Sallow')->press('Look at the sample of Wilmot')->press('Today')->press('Look at the sample of Keziah');
        $browser->see('Seam to edge')->find('[data-reading]');
        $browser->driver->executeScript('document.querySelector("input.common-num").focus()');
        $browser->keys('5/8', WebDriverKeys::ARROW_UP);
        $browser->until('a sixteenth more', fn (): bool => $browser->driver->executeScript('return document.activeElement.value') === '11/16');
        $browser->keys(self::ENTER, '5/8', self::ENTER, '5/8')->see('5/8 in');
        $browser->press('R. Sallow')->press('Read in millimetres');
        $browser->see('mm · R. Sallow');
        self::assertQuiet();
    }

    public function test_by_touch_on_a_phone(): void
    {
        $browser = $this->signIn();
        $browser->size(390, 844, true)->press('Look at the sample of Osric');
        $browser->see('Osric')->see('Three trials');
        $browser->driver->executeScript('document.querySelectorAll(".ui-keys .ui-key")[1].scrollIntoView({block: "center"})');
        $browser->driver->executeScript('document.querySelectorAll(".ui-keys .ui-key")[1].click()');
        $browser->see('not yet');
        $browser->driver->executeScript('document.querySelector(".value button:last-child").click()');
        $browser->until('a step up by touch', fn (): bool => $browser->driver->executeScript('return [...document.querySelectorAll("input.common-num")].some((i) => i.value === "1")') === true);
        $browser->size(1280, 800);
        self::assertQuiet();
    }

    public function test_a_stale_plan_is_said_and_read_again(): void
    {
        $browser = $this->signIn()->press('Plan')->see('Everything is laid');
        // Somebody else changes it meanwhile.
        $browser->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0], address = '/api' + location.pathname.replace('/plan/', '/classes/') + '/plan';
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]);
            fetch(address).then((r) => r.json()).then((p) => fetch(address, {method: 'PUT', headers: {'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': token},
                body: JSON.stringify({version: p.version, sessions: p.sessions.map((s) => s.lessons)})})).then((r) => done(r.status));
            JS);
        $browser->click('.plan-session:nth-child(3) .plan-lesson-name')->keys(WebDriverKeys::ARROW_RIGHT)->see('The plan was changed meanwhile');
        self::assertQuiet();
    }

    public function test_without_the_token_nothing_is_taken(): void
    {
        $this->signIn();
        $status = self::browser()->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            fetch('/api/machines', {method: 'POST', headers: {'Content-Type': 'application/json', Accept: 'application/json'}, body: '{}'}).then((r) => done(r.status));
            JS);
        self::assertSame(419, $status);
        self::browser()->complaints();
    }

    public function test_every_address_comes_back_and_unknown_ones_lead_home(): void
    {
        $browser = $this->signIn();
        $browser->press('Samplers')->see('Eight corners')->press('Square spiral')->see('Look for');
        $browser->driver->navigate()->back();
        $browser->see('Eight corners');
        $browser->go('/no/such/place')->see('sewing now');
        $browser->go('/samplers/juggling')->see('There is no such lesson');
        self::assertQuiet();
    }
}
