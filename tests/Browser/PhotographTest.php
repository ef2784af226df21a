<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Photographs;

/** The camera as a ruler: a simulated one, which plays a drawn photograph to the browser. */
final class PhotographTest extends BrowserCase
{
    /** @return list<float> what the five marks say */
    private static function marks(Browser $browser): array
    {
        $browser->until('the marks are filled', fn (): bool => ((string) $browser->driver->executeScript('return document.querySelector("input[data-reading]")?.value ?? ""')) !== '');

        return array_map(floatval(...), array_slice((array) $browser->driver->executeScript('return [...document.querySelectorAll("input[data-reading]")].map((f) => f.value)'), 0, 5));
    }

    public function test_a_picture_fills_the_fields_and_what_is_none_is_said(): void
    {
        $photos = new Photographs;
        [$seam, $none, $dark] = [$photos->file('seam.jpg', Photographs::seam()), $photos->file('none.jpg', 'this is no picture'), $photos->file('dark.jpg', Photographs::dark())];
        $browser = $this->signIn();
        $browser->press('Look at the sample of Fenna')->find('[data-reading]');
        $browser->go(((string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH)).'?lesson=first-seam')->see('First seam')->press('Photograph it')->see('Lay the whole piece flat');
        Photographs::choose($browser, $none, '.mantine-Modal-body');
        $browser->see('cannot be read');
        Photographs::choose($browser, $dark, '.mantine-Modal-body');
        $browser->see('The card was not found');
        Photographs::choose($browser, $seam, '.mantine-Modal-body');
        $browser->see('Type them in')->keys(self::ENTER);
        foreach (self::marks($browser) as $i => $mark) {
            self::assertEqualsWithDelta(15.6 + 1.2 * ((15 + 30 * $i) / 150 - 0.5), $mark, 0.5);
        }
        // Each says how sure it is, the verdicts are there, and any of it is put right by ruler.
        $sure = fn (): int => (int) $browser->driver->executeScript('return [...document.querySelectorAll(".mantine-InputWrapper-description")].filter((d) => /^±0\\.\\d+$/.test(d.innerText)).length');
        $browser->see('met')->until('all five and where it begins say how sure they are', fn (): bool => $sure() === 6);
        $browser->click('input[data-reading]')->keys('12');
        $browser->until('one of them is of the ruler', fn (): bool => $sure() === 5);
        self::assertSame([12.0], array_slice(self::marks($browser), 0, 1));
        self::assertQuiet();
    }

    public function test_through_a_camera_that_sees_the_card(): void
    {
        $film = sys_get_temp_dir().'/seam-film-'.bin2hex(random_bytes(4)).'.mjpeg';
        file_put_contents($film, str_repeat(Photographs::seam(), 3));
        $browser = Browser::open((string) getenv('SEAM_BASE'), camera: $film);
        $browser->signIn('teacher@mill.example', 'unbleached calico')->see('sewing now')->press('Look at the sample of Fenna')->find('[data-reading]');
        $browser->go(((string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH)).'?lesson=first-seam')->see('First seam')->press('Photograph it')->press('Through this camera');
        $browser->until('the camera is looked through', fn (): bool => (bool) $browser->driver->executeScript('return document.querySelector(".look-camera video")?.videoWidth > 100'));
        $browser->press('Take it')->see('Type them in')->press('Type them in');
        self::assertEqualsWithDelta(15.6, self::marks($browser)[2], 0.5);
        $browser->close();
        unlink($film);
    }

    public function test_a_ruler_on_the_cards_line_is_kept(): void
    {
        $browser = $this->signIn();
        $browser->press('Look at the sample of Fenna')->find('[data-reading]');
        $browser->go(((string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH)).'?lesson=first-seam')->see('First seam')->press('Photograph it')->press('Check it')->see('The line of 100 mm measures');
        $browser->fill($browser->find('.look-card-line input'), '70')->press('Keep what it measures')->see('90');
        $browser->fill($browser->find('.look-card-line input'), '99.5')->press('Keep what it measures')->see('measures 99.5 mm');
        self::assertQuiet();
    }
}
