<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

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

    public function test_a_broken_order_and_a_full_session_are_said_at_once(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $browser->go("/plan/$class")->see('Everything is laid, in an order that holds.');
        $browser->click('.session:nth-child(3) .lesson-name')->keys(WebDriverKeys::ARROW_LEFT);
        $browser->see('Session 2 runs 26 min over');
        $browser->click('.session:nth-child(2) .lesson-tape:last-child .lesson-name')->keys(WebDriverKeys::ARROW_LEFT);
        $browser->see('First seam stands on Needle and foot, which comes later');
        $browser->press('Undo')->see('Session 2 runs 26 min over');
        $browser->press('Lay it out for me')->see('Everything is laid, in an order that holds.');
        self::assertQuiet();
    }
}
