<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** The screen at the front of the room: by key, by clicker, from a phone, and never with a name on it. */
final class FrontTest extends BrowserCase
{
    private const NAMES = ['Isaura', 'Tobiah', 'Linnet', 'Osric', 'Keziah', 'Fenna', 'Damaris', 'Ambrose', 'Wilmot', 'Corwin'];

    public function test_one_act_at_a_time_by_key_and_clicker(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $browser->go('/samplers/first-seam')->see('Show at the front')->click("a[href='/front/$class?lesson=first-seam']")->see('One seam shows it all')->see('10 min');
        $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::PAGE_DOWN);
        $browser->see('1 / 6')->see('Show where reverse is before anything moves.')->see('Watch: who looks for it while sewing')->see('0:0');
        $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::ARROW_RIGHT);
        $browser->see('2 / 6');
        $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::PAGE_UP);
        $browser->see('1 / 6');
        // A button that was pressed keeps the focus; a clicker turns pages all the same, and Enter presses it once.
        $browser->press('Next')->see('2 / 6');
        $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::PAGE_DOWN);
        $browser->see('3 / 6');
        $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::ENTER);
        $browser->see('4 / 6');
        $browser->keys(WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT, WebDriverKeys::ARROW_LEFT)->see('1 / 6');
        // The caution stands on every page, the picture is there, and nobody's name.
        $browser->see('Fingers outside the foot.');
        self::assertGreaterThan(3, $browser->driver->executeScript('return document.querySelectorAll("main svg path").length'));
        foreach (self::NAMES as $name) {
            self::assertStringNotContainsString($name, $browser->text());
        }
        $browser->driver->getKeyboard()->sendKeys('.');
        $browser->until('it is dark', fn (): bool => ! str_contains($browser->text(), '1 / 6'));
        $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::ARROW_RIGHT);
        $browser->see('1 / 6');
        self::assertQuiet();
    }

    public function test_a_phone_turns_its_pages(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $browser->go("/front/$class?lesson=double-hem")->see('Topstitch and double hem');
        $phone = Browser::open((string) getenv('SEAM_BASE'));
        try {
            $phone->signIn('teacher@mill.example', 'unbleached calico')->see('sewing now');
            $phone->size(390, 844, true);
            $phone->go("/front/$class/remote")->see('Topstitch and double hem')->press('Next')->see('Press the first fold over a card.')->see('Then: Second fold, press.');
            $browser->see('Press the first fold over a card.')->see('1 / 5');
            // And the other way round: what is turned at the screen is seen on the phone.
            $browser->driver->getKeyboard()->sendKeys(WebDriverKeys::ARROW_RIGHT);
            $phone->see('Needle to the left, inner toe on the fold.');
        } finally {
            $phone->close();
        }
        self::assertQuiet();
    }

    public function test_this_evenings_demonstrations_come_from_today(): void
    {
        $browser = $this->signIn();
        $browser->click("a[href^='/front/']")->see('Guides')->press('Next')->see('1 / 6')->press('Close');
        $browser->see('sewing now');
        self::assertQuiet();
    }
}
