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
        $browser->keys(self::ENTER)->see('Three things, and the first evening is planned');
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
        $browser->click('.session:nth-child(3) .lesson-name')->keys(WebDriverKeys::ARROW_LEFT);
        $browser->see('Session 2 runs 26 min over');
        $browser->click('.session:nth-child(2) .lesson-tape:last-child .lesson-name')->keys(WebDriverKeys::ARROW_LEFT);
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
        $browser->click('.session:nth-child(4) .lesson-name')->see('Guides: The sessions before it have no minutes left for it');
        $browser->driver->executeScript('document.querySelector(".session:nth-child(4) .pin-act").click()');
        $browser->see('pinned')->press('Lay it out for me')->see('You pinned it here.');
        $day = $browser->find('.closed input');
        $browser->driver->executeScript('Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(arguments[0], "2026-06-18"); arguments[0].dispatchEvent(new Event("input", {bubbles: true}))', [$day]);
        $browser->press('Move the sessions on')->see('2026-06-18')->until('the last session is a week later', fn (): bool => preg_match('/6\s+Thu,? (Jul 16|16 Jul)/', $browser->text()) === 1);
        $browser->press('There is a class on 2026-06-18 after all')->until('it is back', fn (): bool => preg_match('/6\s+Thu,? (Jul 9|9 Jul)/', $browser->text()) === 1);
        self::assertQuiet();
    }
}
