<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\TestCase;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Line;

/** The line is cut for the page and its worker alike: every place opens as it was last seen, and what is kept is there once when the line is back. */
final class OfflineTest extends TestCase
{
    private const EACH = 8;

    private Line $line;

    private Browser $browser;

    private string $class = '';

    protected function setUp(): void
    {
        if (getenv('SEAM_BASE') === false) {
            self::markTestSkipped('Browser tests need a served application: run ./seam test browser.');
        }
        $this->line = Line::to((string) getenv('SEAM_BASE'));
        $this->browser = Browser::open($this->line->base());
        $this->browser->signIn('teacher@mill.example', 'unbleached calico')->see('sewing now');
        $this->class = (string) $this->script('fetch("/api/me").then((r) => r.json()).then((m) => done(m.classes.find((c) => c.title === "Beginners two").id))');
    }

    protected function tearDown(): void
    {
        if (isset($this->browser)) {
            $this->browser->close();
            $this->line->cut();
        }
    }

    private function script(string $script): mixed
    {
        return $this->browser->driver->executeAsyncScript("const done = arguments[arguments.length - 1]; $script");
    }

    /** @return list<string> */
    private function students(): array
    {
        /** @var list<string> */
        return $this->script("fetch('/api/classes/$this->class/today').then((r) => r.json()).then((t) => done(t.students.map((s) => s.student)))");
    }

    /** Everything that may be needed lies on the device. */
    private function fetchedAhead(int $students): void
    {
        $this->browser->go("/today/$this->class")->see('Look at the sample');
        $this->browser->until('all sheets and pages on the device', fn (): bool => $this->script('navigator.serviceWorker.ready.then(() => { const open = indexedDB.open("open-seam-seen"); open.onsuccess = () => { const all = open.result.transaction("answers").objectStore("answers").getAllKeys(); all.onsuccess = () => done(all.result.filter((k) => k.startsWith("[\\"student\\"")).length); }; })') >= $students, 60.0);
    }

    private function kept(string $student): int
    {
        return (int) $this->script("fetch('/api/classes/$this->class/students/$student/look?lesson=safe-seat').then((r) => r.json()).then((l) => done(l.number - 1))");
    }

    private function waiting(): int
    {
        return (int) $this->script('const open = indexedDB.open("open-seam-spool"); open.onsuccess = () => { const all = open.result.transaction("samples").objectStore("samples").count(); all.onsuccess = () => done(all.result); }');
    }

    public function test_every_place_opens_without_a_line_as_it_was_last_seen(): void
    {
        $students = $this->students();
        $this->fetchedAhead(count($students));
        $this->line->cut();
        foreach ([
            "/today/$this->class" => 'The line is down: this is as it was seen at', "/look/$this->class/$students[3]" => 'Keep it', "/class/$this->class" => 'Elowen', "/class/$this->class/student/$students[2]" => 'as it was seen at',
            '/samplers' => 'First seam', '/samplers/zigzag-ladder' => 'Zigzag', "/plan/$this->class" => 'Lay it out', '/room' => 'Window 1', "/round/$this->class" => 'as it was seen at', '/workshop/guide' => 'as it was seen at',
        ] as $address => $words) {
            $this->browser->go($address)->see($words);
            $this->addToAssertionCount(1);
        }
        // By clicks as well as by address: no part of the program is missing.
        foreach (['Today', 'Plan', 'Samplers', 'Class', 'Room', 'Workshop'] as $place) {
            $this->browser->driver->executeScript('[...document.querySelectorAll("nav a")].find((a) => a.textContent === arguments[0]).click()', [$place]);
            $this->browser->until("$place is shown", fn (): bool => mb_strlen((string) $this->browser->driver->executeScript('return document.querySelector("main").innerText')) > 60 && ! str_contains($this->browser->text(), 'broke'));
        }
        $this->line->mend();
        $this->browser->go("/today/$this->class")->see('Look at the sample');
        $this->browser->until('it is as it is now', fn (): bool => ! str_contains($this->browser->text(), 'The line is down'));
    }

    public function test_what_is_kept_without_a_line_is_there_once_when_it_is_back(): void
    {
        $students = $this->students();
        $before = array_map($this->kept(...), $students);
        $this->fetchedAhead(count($students));
        $this->line->cut();
        $kept = 0;
        for ($round = 0; $round < self::EACH; $round++) {
            foreach ($students as $student) {
                $this->browser->go("/look/$this->class/$student?lesson=safe-seat")->see('Safe seat')->find('[data-reading]')->click();
                $this->browser->keys('y');
                // At once, before anybody could have judged it.
                $this->browser->chord("\u{E009}", "\u{E007}");
                $kept++;
                $this->browser->until("$kept lie on the device", fn (): bool => $this->waiting() === $kept);
            }
            if ($round === 1) {
                // The tab is closed, another one goes on.
                $first = $this->browser->driver->getWindowHandle();
                $this->browser->driver->switchTo()->newWindow('tab');
                $second = $this->browser->driver->getWindowHandle();
                $this->browser->driver->switchTo()->window($first)->close();
                $this->browser->driver->switchTo()->window($second);
            }
            if ($round === 3) {
                $this->browser = Browser::open($this->line->base(), device: $this->browser->switchOff());
            }
        }
        // Who is away is said here too, and Today counts what waits.
        $this->browser->go("/today/$this->class")->see("$kept wait to be sent")->see('kept here, waits for the line');
        self::assertSame($kept, $this->waiting());
        $this->line->mend();
        $this->browser->until('everything is sent', fn (): bool => $this->waiting() === 0, 120.0);
        self::assertSame(array_map(fn (int $n): int => $n + self::EACH, $before), array_map($this->kept(...), $students));
    }

    public function test_a_sample_whose_sheet_was_never_opened_is_put_right_without_a_line(): void
    {
        $student = $this->students()[5];
        $newest = fn (): mixed => json_decode((string) $this->script("fetch('/api/classes/$this->class/students/$student/samples').then((r) => r.text()).then(done)"), true);
        $before = $newest()[0]['id'] ?? null;
        $this->browser->go("/look/$this->class/$student?lesson=safe-seat")->see('Safe seat')->find('[data-reading]');
        $this->browser->keys('y', 'y', 'n');
        $this->browser->chord("\u{E009}", "\u{E007}");
        $this->browser->until('it is kept', fn (): bool => ($newest()[0]['id'] ?? null) !== $before);
        $kept = $newest()[0]['id'];
        self::assertIsString($kept);
        // Read ahead, and nobody has looked at it.
        $this->fetchedAhead(count($this->students()));
        $this->browser->until('it lies on the device', fn (): bool => $this->script("const open = indexedDB.open('open-seam-seen'); open.onsuccess = () => { const all = open.result.transaction('answers').objectStore('answers').getAllKeys(); all.onsuccess = () => done(all.result.includes('[\"sample\",\"$kept\"]')); }") === true, 60.0);
        $this->line->cut();
        $this->browser->go("/look/$this->class/$student?replaces=$kept")->see('correction');
        $no = fn (): int => (int) $this->browser->driver->executeScript('return [...document.querySelectorAll("[role=radio][aria-checked=true]")].filter((r) => r.textContent === "no").length');
        $this->browser->until('it stands as it was typed', fn (): bool => $no() === 1);
        $this->browser->driver->executeScript('[...document.querySelectorAll("[role=radiogroup]")][2].querySelector("[role=radio]").click()');
        $this->browser->until('it is put right', fn (): bool => $no() === 0);
        $this->browser->press('Keep it');
        $this->browser->until('it waits', fn (): bool => $this->waiting() === 1);
        $this->line->mend();
        $this->browser->until('it is sent', fn (): bool => $this->waiting() === 0, 60.0);
        $now = $newest();
        self::assertSame([2, $kept], [count($now[0]['versions']), $now[0]['versions'][1]['id']], 'corrected, once');
        self::assertNotSame($kept, $now[0]['id']);
    }

    public function test_nothing_of_the_studio_stays_on_the_device_after_signing_out(): void
    {
        $this->fetchedAhead(count($this->students()));
        $this->browser->driver->executeScript('[...document.querySelectorAll("header button")].find((b) => b.textContent.includes("·")).click()');
        $this->browser->press('Sign out')->see('E-mail');
        $left = fn (): mixed => $this->script('indexedDB.databases().then(async (all) => { let n = 0; for (const { name } of all) { n += await new Promise((say) => { const open = indexedDB.open(name); open.onsuccess = () => { const stores = [...open.result.objectStoreNames]; if (stores.length === 0) return say(0); const t = open.result.transaction(stores); let of = 0; for (const s of stores) t.objectStore(s).getAllKeys().onsuccess = (e) => of += e.target.result.filter((k) => !/registration|"me"/.test(String(k))).length; t.oncomplete = () => say(of); }; }); } done(n + localStorage.length + sessionStorage.length); })');
        $this->browser->until('nothing is left', fn (): bool => $left() === 0);
        $this->line->cut();
        // The program opens, and shows nothing of anybody.
        $this->browser->go("/today/$this->class")->see('is down');
        self::assertStringNotContainsString('Saturday', $this->browser->text());
    }

    /** The demonstrations of this evening lie on the device with their pictures: the screen at the front goes on. */
    public function test_the_screen_at_the_front_goes_on(): void
    {
        $this->fetchedAhead(1);
        $this->browser->go("/front/$this->class")->see('Next')->rest();
        $this->line->cut();
        $this->browser->press('Next')->see('1 / ');
        $pages = (int) preg_replace('#^.*1 / (\d+).*$#s', '$1', $this->browser->text());
        self::assertGreaterThan(2, $pages);
        for ($page = 2; $page <= $pages; $page++) {
            $this->browser->driver->getKeyboard()->sendKeys(WebDriverKeys::PAGE_DOWN);
            $this->browser->see("$page / $pages");
            self::assertGreaterThan(3, $this->browser->driver->executeScript('return document.querySelectorAll("main svg path").length'), "the picture of page $page");
        }
        // Opened anew it is there as well, and nothing red stands on a screen that the whole room sees.
        $this->browser->go("/front/$this->class")->see('Next')->press('Next')->see("1 / $pages");
        self::assertSame(0, $this->browser->driver->executeScript('return document.querySelectorAll("main [role=alert]").length'));
        $this->line->mend();
    }
}
