<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Tests\Browser\Support\Browser;

/** The line cut, the tab closed, the server and the database killed in mid-save: what the screen called kept is there once. */
final class NothingLostTest extends BrowserCase
{
    private string $class = '';

    /** @return array{Browser, string} on the sheet of a student of a class nobody else uses, and the student */
    private function sheet(): array
    {
        $browser = $this->signIn();
        $this->class = (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => arguments[0](m.classes.find((c) => c.title === "Beginners two").id))');
        $student = (string) $this->ask("/api/classes/{$this->class}", 'students.0.student');
        $browser->go("/look/{$this->class}/$student?lesson=safe-seat")->see('Safe seat')->find('[data-reading]');

        return [$browser, $student];
    }

    private function ask(string $address, string $path): mixed
    {
        $answer = self::browser()->driver->executeAsyncScript('fetch(arguments[0], {headers: {Accept: "application/json"}}).then((r) => r.json()).then(arguments[1], () => arguments[1](null))', [$address]);

        return data_get($answer, $path);
    }

    /** Samples of safe seat that the server has of the student. */
    private function kept(string $student): int
    {
        return (int) $this->ask("/api/classes/{$this->class}/students/$student/look?lesson=safe-seat", 'number') - 1;
    }

    private function line(bool $cut): void
    {
        (new ChromeDevToolsDriver(self::browser()->driver))->execute('Network.enable');
        (new ChromeDevToolsDriver(self::browser()->driver))->execute('Network.emulateNetworkConditions', ['offline' => $cut, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
    }

    /** Six times yes. */
    private function readings(Browser $browser): void
    {
        $browser->find('[data-reading]')->click();
        for ($i = 0; $i < 6; $i++) {
            $browser->keys('y', self::ENTER);
        }
    }

    private function patiently(string $what, callable $holds): void
    {
        self::browser()->until($what, $holds, 60.0);
        $this->addToAssertionCount(1);
    }

    /** Nothing lies in the browser's database to be sent, and nothing is on its way: nothing more can come of it. */
    private function spoolIsEmpty(): bool
    {
        return self::browser()->rest()->driver->executeAsyncScript('const done = arguments[0]; const open = indexedDB.open("open-seam-spool"); open.onsuccess = () => { const all = open.result.transaction("samples").objectStore("samples").count(); all.onsuccess = () => done(all.result); }; open.onerror = () => done(-1)') === 0;
    }

    private static function kill(string $pidFile, bool $group = false): void
    {
        $var = getenv('SEAM_VAR');
        if ($var === false || ! is_file("$var/$pidFile")) {
            self::markTestSkipped('This test ends the servers it runs against: run ./seam test browser.');
        }
        $pid = (int) file_get_contents("$var/$pidFile");
        exec(($group ? "pkill -9 -P $pid; " : '')."kill -9 $pid");
    }

    public function test_a_sample_kept_without_a_line_is_sent_once_when_it_is_back(): void
    {
        [$browser, $student] = $this->sheet();
        $before = $this->kept($student);
        try {
            $this->line(true);
            $this->readings($browser);
            $browser->see('The line is down')->press('Keep it')->see('Kept on this device')->see('1 waits to be sent');
        } finally {
            $this->line(false);
        }
        $this->patiently('it is sent', fn (): bool => ! str_contains($browser->text(), 'waits to be sent') && $this->kept($student) === $before + 1);
        // Opened again, nothing is sent a second time.
        $browser->go("/today/{$this->class}")->see('Aldith');
        self::assertTrue($this->spoolIsEmpty());
        self::assertSame($before + 1, $this->kept($student));
    }

    public function test_a_server_killed_in_mid_save_loses_nothing(): void
    {
        $this->keptThrough(fn () => self::kill('web/run/fpm.pid', true));
    }

    public function test_a_database_killed_in_mid_save_loses_nothing(): void
    {
        $this->keptThrough(fn () => self::kill('db/run/my.pid'));
    }

    /** A save is under way when something ends: answered or not, once the screen says kept it is there once. */
    private function keptThrough(callable $end): void
    {
        [$browser, $student] = $this->sheet();
        $before = $this->kept($student);
        $this->readings($browser);
        $browser->see('Ctrl')->rest();
        $browser->driver->executeScript('[...document.querySelectorAll("button")].find((b) => b.innerText.startsWith("Keep it")).click()');
        $browser->until('the save is under way, or over', fn (): bool => $browser->driver->executeScript('return document.documentElement.dataset.busy !== undefined') === true || str_contains($browser->text(), 'Kept'));
        $end();
        // What was ended comes back by itself.
        $browser->until('the screen says that it is kept', fn (): bool => preg_match('/Kept\. |Kept on this device/', $browser->text()) === 1);
        $this->patiently('it is there once', fn (): bool => ! str_contains($browser->text(), 'waits to be sent') && $this->kept($student) === $before + 1);
        self::assertTrue($this->spoolIsEmpty());
        self::assertSame($before + 1, $this->kept($student));
    }

    public function test_a_sample_kept_on_two_devices_asks(): void
    {
        [$browser, $student] = $this->sheet();
        $before = $this->kept($student);
        $this->readings($browser);
        // The other device is quicker.
        $status = $browser->driver->executeAsyncScript(<<<'JS'
            const [klass, student, done] = arguments;
            fetch('/api/samples', {method: 'POST', headers: {'Content-Type': 'application/json', Accept: 'application/json', 'X-XSRF-TOKEN': decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}, body: JSON.stringify({
                id: '01' + Array.from({length: 24}, () => '0123456789abcdefghjkmnpqrstvwxyz'[Math.floor(Math.random() * 32)]).join(''), class: klass, student, lesson: 'safe-seat', faults: [],
                readings: {'habits.fingers': ['1']},
            })}).then((r) => done(r.status));
            JS, [$this->class, $student]);
        self::assertSame(201, $status);
        $browser->press('Keep it')->see('kept for this student meanwhile');
        self::assertSame($before + 1, $this->kept($student), 'nothing is written over');
        $browser->press('Keep both')->see('Kept.');
        self::assertSame($before + 2, $this->kept($student));
    }

    /** The last one: the browser's tools stay with the first tab. */
    public function test_a_closed_tab_loses_nothing_that_was_typed(): void
    {
        [$browser, $student] = $this->sheet();
        $browser->keys('y', self::ENTER, 'n', self::ENTER);
        $browser->rest();
        $address = "/look/{$this->class}/$student?lesson=safe-seat";
        $first = $browser->driver->getWindowHandle();
        $browser->driver->switchTo()->newWindow('tab');
        $second = $browser->driver->getWindowHandle();
        $browser->driver->switchTo()->window($first)->close();
        $browser->driver->switchTo()->window($second);
        $browser->go($address)->see('Safe seat')->until('both answers are there', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll("[role=radio][aria-checked=true]").length') >= 2);
        self::assertNull($browser->driver->executeScript('return Object.keys(localStorage).find((k) => k.startsWith("draft:")) ?? null'), 'it lies in the browser’s database');
    }

    /** A page that cannot be fetched says so, and the rest of the program goes on. */
    /** Every part of the program lies on the device: a place that was never opened says that the line is down, and is no blank page. */
    public function test_a_click_without_a_line_ends_in_no_blank_page(): void
    {
        $browser = $this->signIn();
        $browser->driver->executeAsyncScript('navigator.serviceWorker.ready.then(() => arguments[0]())');
        $browser->go('/samplers')->see('Square spiral')->rest();
        $this->line(true);
        try {
            $browser->driver->executeScript('[...document.querySelectorAll(".shell-rail a")].find((a) => a.innerText === "Studio").click()');
            $browser->see('is down')->see('Workshop');
            self::assertStringNotContainsString('This page broke', $browser->text());
        } finally {
            $this->line(false);
        }
        $browser->go('/')->see('Isaura');
    }
}
