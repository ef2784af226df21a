<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;

/** What a term brings: a session is ended and caught up, words are explained, another ruler is laid, a student asks. */
final class TermTest extends BrowserCase
{
    public function test_a_session_is_ended_and_goes_on_after_all(): void
    {
        $browser = $this->signIn();
        $browser->press('End the session')->see('What was sewn in it can still be kept')->see('over');
        $browser->press('It goes on after all')->see('End the session');
        self::assertQuiet();
    }

    public function test_a_session_is_caught_up_from_paper_by_keyboard(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $first = (string) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/plan`).then((r) => r.json()).then((p) => arguments[1](p.sessions[0].id))', [$class]);
        $browser->go("/catch-up/$class?session=$first&lesson=safe-seat")->see('From paper')->find('[data-at="0.0"]');
        $last = '[data-at$=".0"]';
        $row = (int) $browser->driver->executeScript('const all = document.querySelectorAll(arguments[0]); all[all.length - 1].focus(); return all.length - 1', [$last]);
        $fields = (int) $browser->driver->executeScript('return document.querySelectorAll(`[data-at^="${arguments[0]}."]`).length', [$row]);
        for ($i = 0; $i < 6; $i++) {
            $browser->keys('y');
        }
        $at = fn (): string => (string) $browser->driver->executeScript('return document.activeElement.dataset.at');
        self::assertSame("$row.".min(6, $fields - 1), $at(), 'an answer goes on by itself');
        // What is typed is there when the tab comes back.
        $browser->rest()->driver->navigate()->refresh();
        $browser->see('From paper')->until('what was typed is there', fn (): bool => $browser->driver->executeScript('return document.querySelector(`[data-at="${arguments[0]}.0"]`)?.value', [$row]) === 'y');
        $kept = fn (): int => (int) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/sessions/${arguments[1]}/samples`).then((r) => r.json()).then((all) => arguments[3](all[arguments[2]].samples.filter((s) => s.lesson === "safe-seat").length))', [$class, $first, $row]);
        $before = $kept();
        $browser->driver->executeScript('document.querySelector(`[data-at="${arguments[0]}.${arguments[1]}"]`).focus()', [$row, $fields - 1]);
        $browser->keys(self::ENTER);
        $browser->until('it is kept in that session', fn (): bool => $kept() === $before + 1);
        self::assertQuiet();
    }

    public function test_a_word_is_explained_one_key_away(): void
    {
        $browser = $this->signIn();
        $browser->driver->executeScript('document.activeElement.blur()');
        $browser->keys('?')->see('Find a word');
        $browser->keys('s', 'h', 'e', 'l', 'f')->see('All lessons of the studio');
        $browser->keys("\u{E00C}");
        $browser->until('it is closed', fn (): bool => ! str_contains($browser->text(), 'Find a word'));
        self::assertQuiet();
    }

    /** Wherever the device thinks it is, a session stands at the hour of the studio's own clock, and on its day. */
    public function test_the_hours_are_the_studios_in_every_zone(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $tools = new ChromeDevToolsDriver($browser->driver);
        $seen = [];
        foreach (['UTC', 'Pacific/Kiritimati', 'America/St_Johns'] as $zone) {
            $tools->execute('Emulation.setTimezoneOverride', ['timezoneId' => $zone]);
            self::assertSame($zone, $browser->driver->executeScript('return Intl.DateTimeFormat().resolvedOptions().timeZone'));
            foreach ([[1280, false], [390, true]] as [$width, $touch]) {
                $browser->size($width, 800, $touch);
                $browser->go("/today/$class")->see('session ');
                $head = (string) $browser->driver->executeScript('return [...document.querySelectorAll("main p")].find((p) => /^session \\d/.test(p.innerText)).innerText');
                $browser->go("/plan/$class")->see('session 1');
                $seen[$head.' | '.$browser->driver->executeScript('return [...document.querySelectorAll("main ol > li")].map((li) => li.innerText.split("\\n").slice(0, 3).join(" ")).join("; ")')] = true;
            }
        }
        $tools->execute('Emulation.setTimezoneOverride', ['timezoneId' => '']);
        $browser->size(1280, 800);
        // Abroad the zone is named beside the hour; the hour and the day stay.
        self::assertCount(2, $seen, implode("\n", array_keys($seen)));
        [$here, $abroad] = array_keys($seen);
        self::assertStringNotContainsString('UTC', $here);
        self::assertSame($here, str_replace(' UTC', '', $abroad));
    }

    public function test_who_measures_in_inches_reads_inches(): void
    {
        $browser = $this->signIn();
        $unit = fn (string $to): mixed => $browser->driver->executeAsyncScript('fetch("/api/me", {method: "PATCH", headers: {"Content-Type": "application/json", "X-XSRF-TOKEN": decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}, body: JSON.stringify({unit: arguments[0]})}).then((r) => arguments[1](r.status))', [$to]);
        $unit('in');
        try {
            foreach ([[1280, false], [390, true]] as [$width, $touch]) {
                $browser->size($width, 800, $touch)->go('/samplers/first-seam')->see('tails 2 in, cut')->see('5/8 in');
                $text = (string) $browser->driver->executeScript('return document.querySelector("main").innerText');
                // Stitch lengths are set in millimetres on every dial.
                self::assertSame([], array_values(array_filter((array) preg_split('/\R/', $text), fn (mixed $line): bool => is_string($line) && preg_match('/\d mm\b/', $line) === 1 && preg_match('/2\.5 mm|stitch 4 mm/', $line) !== 1)));
                self::assertSame($width, (int) $browser->driver->executeScript('return document.documentElement.scrollWidth'), 'nothing scrolls sideways');
            }
        } finally {
            $unit('mm');
            $browser->size(1280, 800);
        }
    }

    public function test_a_student_reads_their_own_sample_and_asks_on_a_phone(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $page = (string) $browser->driver->executeAsyncScript('const h = {"Content-Type": "application/json", "X-XSRF-TOKEN": decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}; fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((t) => fetch(`/api/classes/${arguments[0]}/students/${t.students[9].student}/page`, {method: "POST", headers: h})).then((r) => r.json()).then((p) => arguments[1](p.page))', [$class]);
        $browser->size(390, 800, true)->go("/my/$page")->see('Look at it yourself');
        self::assertSame(390, (int) $browser->driver->executeScript('return document.documentElement.scrollWidth'), 'nothing scrolls sideways');
        $browser->press('Please look at mine')->see('You asked for a look');
        $browser->size(1280, 800)->go("/today/$class")->see('Please look');
        $browser->press('The question of')->until('it is answered', fn (): bool => ! str_contains($browser->text(), 'Please look'));
    }
}
