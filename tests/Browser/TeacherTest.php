<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** The evening as the teacher works it, by keyboard. */
final class TeacherTest extends BrowserCase
{
    public function test_wrong_sign_in_is_said_plainly(): void
    {
        $browser = self::browser()->go('/')->see('Sign in');
        $browser->find('input[type=email]')->sendKeys('teacher@mill.example');
        $browser->find('input[type=password]')->sendKeys('not this one'.self::ENTER);
        $browser->see('do not go together');
        self::assertStringNotContainsString('Isaura', $browser->text());
    }

    public function test_keeps_a_sample_by_keyboard_and_goes_to_the_next_student(): void
    {
        $browser = $this->signIn()->see('session 4 of 6');
        $browser->press('Look at the sample of Linnet')->see('Linnet')->see('Seam to edge at the five marks');
        $browser->find('[data-reading]');
        foreach (['16', '15,5', '5/8 in', '16', '16.5'] as $reading) {
            $browser->keys($reading, self::ENTER);
        }
        // The verdict and the pattern come while typing.
        $browser->see('Width met')->see('steady, spread 1.0 mm');
        $browser->keys('4', self::ENTER, '3', self::ENTER, '0', self::ENTER, 'n', self::ENTER, 'y', self::ENTER, 'y', self::ENTER, '55');
        $browser->see('Secure the ends')->see('First seam: six ends, secured');
        $browser->chord(WebDriverKeys::ALT, '2');
        $browser->see('Seen: seam opens at the end');
        $browser->chord(WebDriverKeys::CONTROL, self::ENTER);
        $browser->see('Kept. Linnet sews next: First seam')->see('Osric');
        $browser->press('Today')->see('sewing now')->see('Linnet');
        self::assertQuiet();
    }

    public function test_nonsense_is_named_at_its_field_and_nothing_is_lost(): void
    {
        $browser = $this->signIn()->press('Look at the sample of Damaris')->see('6.35 mm');
        $browser->find('[data-reading]');
        $browser->keys('6.5', self::ENTER, 'abc', self::ENTER, '-3');
        $browser->see('"abc" is not a length');
        self::assertSame('abc', $browser->driver->executeScript('return document.querySelectorAll("input.common-num")[1].value'));
        self::assertTrue($browser->driver->executeScript('return [...document.querySelectorAll("button[data-variant=filled]")].at(-1).disabled'));
        // Away and back again: what was typed is still there.
        $browser->press('Plan')->see('Everything is laid');
        $browser->driver->navigate()->back();
        $browser->until('the reading typed before', fn (): bool => $browser->driver->executeScript('return document.querySelector("input.common-num")?.value') === '6.5');
    }

    public function test_arrows_step_by_the_readings_resolution(): void
    {
        $browser = $this->signIn()->press('Look at the sample of Keziah')->see('Seam to edge');
        $browser->find('[data-reading]');
        $browser->keys('15.5', WebDriverKeys::ARROW_UP, WebDriverKeys::ARROW_UP);
        $browser->until('a step up of half a millimetre each', fn (): bool => $browser->driver->executeScript('return document.activeElement.value') === '16.5');
        self::assertQuiet();
    }

    public function test_another_lesson_in_one_touch(): void
    {
        $browser = $this->signIn()->press('choose another lesson for Fenna')->see('What does Fenna sew next?');
        // Behind the dialog others may have sewn it: the one in the dialog is meant.
        $browser->click('.common-choices li:nth-child(2) button:enabled')->see('your choice');
        $browser->driver->navigate()->refresh();
        $browser->see('your choice');
        self::assertQuiet();
    }

    public function test_the_finder_opens_with_a_slash(): void
    {
        $browser = $this->signIn();
        $browser->driver->getKeyboard()->sendKeys('/');
        $browser->until('the focus in the finder', fn (): bool => $browser->driver->executeScript('return document.activeElement.getAttribute("role")') === 'combobox');
        $browser->keys('spir')->see('Eight corners in one row');
        $browser->keys(self::ENTER)->see('Look for')->see('within ±1 mm; ±2 mm near');
        // A tool by its name.
        $browser->driver->executeScript('document.activeElement.blur()');
        $browser->keys('/', 'dial tr')->see('Dial translator');
        $browser->keys(self::ENTER)->see('Comes out');
        self::assertQuiet();
    }

    public function test_evidence_behind_a_level(): void
    {
        $browser = $this->signIn()->press('Class')->see('Keep the allowance');
        $browser->press('Tobiah, Keep the allowance')->see('What it rests on')->see('drifts +5.0 mm over 120 mm')->see('tension 4');
        self::assertQuiet();
    }

    public function test_signed_out_means_out(): void
    {
        $browser = $this->signIn();
        $browser->press('R. Sallow')->press('Sign out')->see('Sign in');
        // The words may stand there before the address is the front one: a step back then would leave the application.
        $browser->until('the front page', fn (): bool => parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH) === '/');
        $browser->driver->navigate()->back();
        $browser->see('Sign in');
        self::assertStringNotContainsString('Isaura', $browser->text());
    }
}
