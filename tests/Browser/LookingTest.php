<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** A round by keys, the fault finder, a verdict overruled. */
final class LookingTest extends BrowserCase
{
    private function long(Browser $browser): string
    {
        return (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => arguments[0](m.classes.find((c) => c.title === "Beginners two").id))');
    }

    public function test_a_round_is_walked_with_one_key_each(): void
    {
        $browser = $this->signIn();
        $class = $this->long($browser);
        $browser->go("/round/$class?lesson=two-faces&row=corrected")->see('Aldith')->find('[data-reading]');
        $names = ['Aldith', 'Benet', 'Clemence', 'Dunstan', 'Elowen', 'Fulk', 'Gisela', 'Hamo'];
        foreach ($names as $i => $name) {
            $browser->until("$name is in hand", fn (): bool => str_contains((string) $browser->driver->executeScript('return document.querySelector(".round-round-form h2")?.innerText ?? ""'), $name) && $browser->driver->executeScript('return document.activeElement.closest(".round-round-form")?.querySelector("[data-reading]") === document.activeElement'));
            $browser->keys($i % 2 === 0 ? '1' : '3', self::ENTER, 'y', self::ENTER, 'y', self::ENTER);
        }
        $browser->see('Round done: 8 of 8 looked at.')->see('not yet');
        // Each is a sample of its own, and counts.
        $browser->go("/today/$class")->see('Aldith')->see('Two faces');
        self::assertQuiet();
    }

    public function test_the_fault_finder_leads_from_a_sample_to_the_cause(): void
    {
        $browser = $this->signIn();
        $browser->press('Look at the sample of Wilmot')->find('[data-reading]');
        $browser->click('.look-faults .common-fault')->press('Find the cause')->see('Tick what is seen');
        $browser->until('what was ticked is ticked', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll(".workshop-fault-looks label.common-on").length') === 1);
        $browser->press('Find the cause')->see('try now, and nothing else');
        $first = (string) $browser->driver->executeScript('return document.querySelector(".workshop-hunt-next h2").innerText');
        $browser->press('Still the same')->see('Tried');
        self::assertNotSame($first, $browser->driver->executeScript('return document.querySelector(".workshop-hunt-next h2").innerText'));
        $browser->press('That was it')->see('found')->see('the next search in this studio knows of it');
        $browser->press('Look for something else')->see('Tick what is seen');
        self::assertQuiet();
    }

    /** A scan is measured for the row, its readings come back to the sample, and a photo goes with it. */
    public function test_a_scan_and_a_photo_belong_to_a_row(): void
    {
        $browser = $this->signIn();
        $class = $this->long($browser);
        $student = (string) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((m) => arguments[1](m.students[6].student))', [$class]);
        $browser->go("/look/$class/$student?lesson=first-seam")->see('First seam')->press('Measure on a picture')->see('For the sample in hand')->press('A drawn scan, to try it');
        $browser->until('the scan is shown', fn (): bool => (bool) $browser->driver->executeScript('return document.querySelector(".workshop-picture-stage img")?.naturalWidth > 100'));
        // By keys: two points ten steps apart, each taken with Enter, and one taken back.
        $browser->driver->executeScript('document.querySelector(".workshop-picture-stage").focus()');
        $browser->keys(self::ENTER, ...array_fill(0, 10, WebDriverKeys::ARROW_RIGHT));
        $browser->keys(self::ENTER, WebDriverKeys::BACKSPACE);
        self::assertSame(1, $browser->driver->executeScript('return document.querySelectorAll(".workshop-picture-stage .workshop-dot").length'));
        $browser->press('Read it by itself')->see('to the right edge')->press('Take it over')->see('First seam');
        $browser->until('its readings are there', fn (): bool => abs((float) $browser->find('[data-reading]')->getAttribute('value') - 15.5) < 1.0);
        $photo = tempnam(sys_get_temp_dir(), 'photo').'.png';
        imagepng(imagecreatetruecolor(300, 200) ?: throw new \RuntimeException, $photo);
        $browser->find('.common-row-tools input[type=file]')->setFileDetector(new LocalFileDetector)->sendKeys($photo);
        $browser->see('now')->press('Keep it')->see('Kept.');
        unlink($photo);
        $kept = fn (): int => (int) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/students/${arguments[1]}/photos?lesson=first-seam`).then((r) => r.json()).then((m) => arguments[2](m.length))', [$class, $student]);
        $browser->until('the photo has followed', fn (): bool => $kept() === 1);
        $browser->go("/look/$class/$student?lesson=first-seam")->see('First seam')->click('.look-photo');
        $browser->see('Remove this photo')->press('Remove this photo')->see('goes for good')->press('Remove it');
        $browser->until('it is gone', fn (): bool => $kept() === 0);
        self::assertQuiet();
    }

    public function test_a_verdict_is_overruled_with_a_reason(): void
    {
        $browser = $this->signIn();
        $class = $this->long($browser);
        $student = (string) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((m) => arguments[1](m.students[4].student))', [$class]);
        $browser->go("/look/$class/$student?lesson=first-seam")->see('First seam')->find('[data-reading]');
        foreach (['16', '16', '12', '12', '12.2'] as $mark) {
            $browser->keys($mark, self::ENTER);
        }
        $browser->see('after mark 2')->see('the guide was changed halfway')->press('Overrule Steering')->press('near');
        $browser->find('input[aria-label=Because]')->sendKeys('the cloth slipped');
        $browser->see('your word: the cloth slipped')->press('Keep it')->see('Kept.');
        $browser->go("/class/$class/soundness")->see('You overruled ');
        self::assertQuiet();
    }

    public function test_a_picture_is_measured_by_clicking_and_read_by_itself(): void
    {
        $browser = $this->signIn();
        $browser->go('/workshop/picture')->see('Load a scan or a photograph')->press('A drawn scan, to try it')->find('.workshop-picture-stage img');
        $browser->until('the picture is there', fn (): bool => $browser->driver->executeScript('return document.querySelector(".workshop-picture-stage img").naturalWidth') > 100);
        $browser->press('Read it by itself')->see('to the right edge');
        // Drawn at 2.5 mm and 15.9 mm.
        self::assertMatchesRegularExpression('/2\.(49|5|50|51) mm/', $browser->text());
        self::assertMatchesRegularExpression('/1(5\.[89]|6)\d* mm/', $browser->text());
        // Clicked: 300 pixels are an inch; needle points a tenth of an inch apart.
        $click = function (array $spots) use ($browser): void {
            foreach ($spots as [$x, $y]) {
                $browser->driver->executeScript('const i = document.querySelector(".workshop-picture-stage img"), b = i.getBoundingClientRect(), f = b.width / i.naturalWidth; i.dispatchEvent(new MouseEvent("click", {bubbles: true, clientX: b.left + arguments[0] * f, clientY: b.top + arguments[1] * f}))', [$x, $y]);
            }
        };
        $click([[50, 50], [350, 50]]);
        $browser->driver->executeScript('const i = [...document.querySelectorAll(".number-field")].find((f) => f.innerText.startsWith("Between")).querySelector("input"); Object.getOwnPropertyDescriptor(HTMLInputElement.prototype, "value").set.call(i, "25,4"); i.dispatchEvent(new Event("input", {bubbles: true}))');
        $browser->press('needle points, in order');
        $click([[300, 100], [300, 130], [300, 160], [300, 190]]);
        $browser->press('the cloth edge');
        $click([[600, 50], [600, 400]]);
        // A click goes by whole pixels of the screen.
        $browser->see('a stitch, over 3')->see(' to the edge');
        self::assertMatchesRegularExpression('/2\.5[0-8]? mm ± [\d.]+ a stitch, over 3/', $browser->text());
        self::assertMatchesRegularExpression('/25\.[2-6]\d? mm ± [\d.]+ to the edge/', $browser->text());
        self::assertQuiet();
    }
}
