<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** Lessons are drawn anew by dragging and typing; bundles come, show what they change, and go again. */
final class DraftingTest extends BrowserCase
{
    private function field(Browser $browser, string $label): RemoteWebElement
    {
        return $browser->driver->findElement(WebDriverBy::xpath("//div[contains(@class, 'num-field')][.//label[starts-with(normalize-space(.), '$label')]]//input"));
    }

    private function value(Browser $browser, string $label): string
    {
        return (string) $this->field($browser, $label)->getAttribute('value');
    }

    private function backToTheStart(Browser $browser): void
    {
        $browser->go('/samplers/shelf')->see('The shelf as it came');
        $buttons = $browser->driver->findElements(WebDriverBy::xpath('//tr[last()]//button'));
        $buttons === [] || $buttons[0]->click();
        $browser->until('the shelf is as it came', fn (): bool => ! str_contains($browser->text(), 'your own or changed'));
    }

    protected function tearDown(): void
    {
        // Other tests expect the course as it came.
        getenv('SEAM_BASE') === false || $this->backToTheStart(self::browser());
    }

    public function test_a_row_is_dragged_typed_undone_and_kept_as_a_new_version(): void
    {
        $browser = $this->signIn()->go('/samplers/quarter-seam/draft')->see('machines sew it');
        $before = (float) $this->value($browser, 'From the edge');
        $in = $browser->driver->executeScript('return [...document.querySelectorAll(".samplers-row-editor select")].find((s) => [...s.options].some((o) => o.value === "right"))?.value') === 'right' ? -30 : 30;
        $browser->driver->action()->clickAndHold($browser->find('.samplers-row-grip'))->moveByOffset($in, 0)->moveByOffset($in, 0)->release()->perform();
        $browser->until('the row has moved', fn (): bool => abs((float) $this->value($browser, 'From the edge') - $before) >= 5);
        $dragged = (float) $this->value($browser, 'From the edge');
        self::assertEqualsWithDelta(0.0, fmod(abs($dragged - $before) + 1e-6, 0.5), 1e-3, 'in steps of half a millimetre');
        $browser->see('looks for 6.35 mm')->press('Undo');
        $browser->until('the row is back', fn (): bool => abs((float) $this->value($browser, 'From the edge') - $before) < 1e-6);

        // Off the piece: said at once, and nothing can be kept.
        $browser->fill($this->field($browser, 'From the edge'), '900');
        $browser->see('The row leaves its piece')->see('does not fit');
        self::assertFalse($browser->find('.samplers-draft-head [data-variant=filled]')->isEnabled());
        // Inches are understood; the checks follow in one touch each.
        $browser->fill($this->field($browser, 'From the edge'), '3/8'.self::ENTER);
        $browser->until('inches are mm', fn (): bool => $this->value($browser, 'From the edge') === '9.525');
        $browser->see('Make it 9.53');
        while (($fix = $browser->driver->findElements(WebDriverBy::cssSelector('.samplers-draft-problem button'))) !== []) {
            $left = count($fix);
            $fix[0]->click();
            $browser->until('it is put right', fn (): bool => count($browser->driver->findElements(WebDriverBy::cssSelector('.samplers-draft-problem button'))) < $left);
        }
        $browser->see('mean 9.53 mm ±0.5');
        // What is typed is still there after the page is left.
        $browser->go('/samplers')->see('51 of 51')->go('/samplers/quarter-seam/draft')->see('Draft kept on this device')->see('mean 9.53 mm ±0.5');
        $browser->press('Keep as version 3')->see('version 3')->see('mean 9.53 mm ±0.5');
        $browser->go('/samplers/quarter-seam/draft')->press('Versions')->see('came with the course')->see('on the shelf');
        $browser->press('Take it into the draft')->see('machines sew it');
        $browser->until('the old version is on the table', fn (): bool => (float) $this->value($browser, 'From the edge') === $before);
        $browser->press('Drop the draft')->see('Nothing changed yet');
        self::assertQuiet();
    }

    public function test_a_row_is_added_and_moved_by_keyboard(): void
    {
        $browser = $this->signIn()->go('/samplers/mend/draft')->see('Add from the stitch list');
        $count = fn (string $css): int => count($browser->driver->findElements(WebDriverBy::cssSelector($css)));
        $browser->until('the rows are drawn', fn (): bool => $count('.samplers-row-grip') > 0);
        [$rows, $drawn] = [$count('.samplers-draft-rows li'), $count('.samplers-row-grip')];
        $browser->press('Add a row, one foot edge on')->until('one row more', fn (): bool => $count('.samplers-draft-rows li') === $rows + 1);
        $browser->see('Straight at')->until('it is drawn', fn (): bool => $count('.samplers-row-grip') === $drawn + 1);
        $before = (float) $this->value($browser, 'From the edge');
        $browser->driver->executeScript('[...document.querySelectorAll(".samplers-row-grip")].at(-1).focus()');
        $browser->keys(WebDriverKeys::ARROW_RIGHT, WebDriverKeys::ARROW_RIGHT);
        $browser->until('moved by two steps', fn (): bool => abs(abs((float) $this->value($browser, 'From the edge') - $before) - 1.0) < 1e-6);
        $browser->press('Drop the draft');
        self::assertQuiet();
    }

    public function test_a_bundle_shows_its_changes_is_brought_in_and_undone(): void
    {
        $browser = $this->signIn();
        $bundle = $browser->driver->executeAsyncScript('fetch("/api/shelf/export?lesson=mend").then((r) => r.json()).then(arguments[0])');
        self::assertIsArray($bundle);
        $bundle['title'] = 'Mending evening';
        $bundle['lessons'][0]['minutes']['sew'] = 17;
        $files = [];
        $bring = function (array|string $what) use ($browser, &$files): void {
            // The browser reads it in its own time: it stays until the end.
            $files[] = $file = sys_get_temp_dir().'/seam-'.bin2hex(random_bytes(4)).'.json';
            file_put_contents($file, is_string($what) ? $what : json_encode($what));
            $browser->find('input[type=file]')->setFileDetector(new LocalFileDetector)->sendKeys($file);
        };
        $browser->go('/samplers/shelf')->see('The shelf as it came');
        $bring('not json');
        $browser->see('is no course bundle');
        $bring(str_repeat('x', 3_000_000));
        $browser->see('a bundle can have 2 MB at most');
        $bad = $bundle;
        $bad['lessons'][0]['steps'][0] = '<script>alert(1)</script>';
        $bring($bad);
        $browser->see('lessons[0].steps[0]')->see('no script');
        $bring($bundle);
        $browser->see('“Mending evening” would change this')->see('minutes.sew')->press('Bring it in')->see('“Mending evening” is on the shelf.')->see('1 of them your own or changed');
        $browser->press('Undo')->until('it is undone', fn (): bool => ! str_contains($browser->text(), 'your own or changed'));
        array_map(unlink(...), $files);
        self::assertQuiet();
    }

    public function test_a_sample_begun_with_one_version_goes_on_with_it(): void
    {
        $browser = $this->signIn()->press('Look at the sample of Keziah');
        $browser->find('[data-reading]');
        foreach (['16', '16', '16', '16', '16'] as $reading) {
            $browser->keys($reading, self::ENTER);
        }
        $browser->see('mean 16.0 mm');
        $browser->rest();
        $address = (string) parse_url($browser->driver->getCurrentURL(), PHP_URL_PATH);
        // Meanwhile somebody moves the seam of this lesson to 10 mm.
        $kept = $browser->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            fetch('/api/lessons/first-seam/text').then((r) => r.json()).then(({lesson, version}) => {
                lesson.sampler.rows[0].path.distance_mm = 10;
                for (const c of lesson.sampler.rows[0].checks.slice(0, 2)) { c.target_mm = 10; delete c.allows; }
                return fetch('/api/drafts', {method: 'POST', headers: {'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}, body: JSON.stringify({lesson, version})});
            }).then((r) => r.json()).then((k) => done(k.version ?? JSON.stringify(k))).catch((e) => done('! ' + e));
            JS);
        self::assertIsInt($kept);
        $browser->go($address)->see('mean 16.0 mm, 0.1 mm over');
        self::assertStringContainsString('version=', $browser->driver->getCurrentURL());
        $this->forgetDrafts();
        // A new one is looked at by the lesson as it is now.
        $browser->go($address)->find('[data-reading]');
        foreach (['16', '16', '16', '16', '16'] as $reading) {
            $browser->keys($reading, self::ENTER);
        }
        $browser->see('6.0 mm over');
        $this->forgetDrafts();
        self::assertQuiet();
    }

    /** What is typed of samples lies in the browser's database. */
    private function forgetDrafts(): void
    {
        self::browser()->driver->get('about:blank');
        self::browser()->go('/favicon.svg');
        self::browser()->driver->executeAsyncScript('const done = arguments[0]; const r = indexedDB.deleteDatabase("open-seam-drafts"); r.onsuccess = r.onerror = () => done(true); r.onblocked = () => done(false)');
    }

    public function test_the_class_pack_tells_how_far_it_is(): void
    {
        $browser = $this->signIn();
        $browser->go('/materials/'.$this->classId())->see('Thread, dark blue')->see('spools')->press('Make the class pack')->see('Stop')->see('Open the class pack');
        self::assertStringStartsWith('blob:', (string) $browser->find('.common-print-acts a[data-variant=filled]')->getAttribute('href'));
        $browser->fill($browser->find('input[aria-label="thread on a spool"]'), '50'.self::ENTER);
        $browser->see('m ÷ 50 m on a spool');
        $browser->fill($browser->find('input[aria-label="thread on a spool"]'), '200'.self::ENTER);
        $browser->see('m ÷ 200 m on a spool');
        self::assertQuiet();
    }

    /** A picture is chosen for an act from the templates, drawn beside it, and undone. */
    public function test_a_picture_is_chosen_from_templates(): void
    {
        $browser = $this->signIn();
        $browser->go('/samplers/double-hem/draft')->see('machines sew it')->click("[role=tab][href='#pictures']")->see('Press the first fold over a card.');
        $drawn = fn (): string => (string) $browser->driver->executeScript('return document.querySelector("[class*=draft-pictures] svg")?.innerHTML ?? ""');
        $browser->until('the first picture is drawn', fn (): bool => $drawn() !== '');
        $before = $drawn();
        $browser->driver->executeScript('document.querySelector("[class*=draft-pictures] button").click()');
        $browser->see('buttonholes');
        $browser->until('templates are there', fn (): bool => (int) $browser->driver->executeScript('return document.querySelectorAll("[class*=picture-choice] button").length') > 4);
        $browser->driver->executeScript('document.querySelectorAll("[class*=picture-choice] button")[3].click()');
        $browser->until('another picture', fn (): bool => $drawn() !== $before && $drawn() !== '');
        $browser->press('Undo');
        $browser->until('the first one again', fn (): bool => $drawn() === $before);
        self::assertQuiet();
    }
}
