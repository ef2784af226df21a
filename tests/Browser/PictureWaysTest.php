<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use Tests\Browser\Support\Browser;
use Tests\Browser\Support\Photographs;

/** The ways a picture comes: one after the other in a round, without a line, from a phone, from a student, and beside a ruler. */
final class PictureWaysTest extends BrowserCase
{
    private const MODAL = '.mantine-Modal-body';

    private function line(bool $cut): void
    {
        (new ChromeDevToolsDriver(self::browser()->driver))->execute('Network.enable');
        (new ChromeDevToolsDriver(self::browser()->driver))->execute('Network.emulateNetworkConditions', ['offline' => $cut, 'latency' => 0, 'downloadThroughput' => -1, 'uploadThroughput' => -1]);
    }

    /** @return list<array{student: string, name: string, seat: int}> who is there tonight */
    private function here(string $class): array
    {
        /** @var list<array{student: string, name: string, seat: int, state: string}> $all */
        $all = self::browser()->driver->executeAsyncScript('const [id, done] = arguments; fetch(`/api/classes/${id}/today`, {headers: {Accept: "application/json"}}).then((r) => r.json()).then((t) => done(t.students))', [$class]);

        return array_values(array_filter($all, fn (array $s): bool => $s['state'] === 'here'));
    }

    /** @return list<string> */
    private static function typed(): array
    {
        return array_map(strval(...), (array) self::browser()->driver->executeScript('return [...document.querySelectorAll("input[data-reading]")].map((f) => f.value)'));
    }

    private function queue(): string
    {
        return (string) self::browser()->driver->executeScript('return document.querySelector(".round-picture-queue")?.innerText ?? ""');
    }

    public function test_a_round_by_pictures_goes_by_the_slip_and_keeps_with_enter(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $here = $this->here($class);
        // Corwin's sample is looked at by no other test: what is kept here stays.
        $slip = array_values(array_filter($here, fn (array $s): bool => $s['name'] === 'Corwin'))[0];
        $photos = new Photographs;
        $browser->go("/round/$class?lesson=first-seam&by=pictures")->see('Next:');
        Photographs::choose($browser, $photos->file('slip.jpg', Photographs::seam(15.6, $slip['student'], 184.0)));
        $browser->see('by the slip');
        self::assertSame("{$slip['seat']} · {$slip['name']}", $browser->driver->executeScript('return document.querySelector(".round-picture-queue input").value'));
        self::assertMatchesRegularExpression('/15\.\d+ · 15\.\d+/', $this->queue());
        $browser->until('its key is under the finger', fn (): bool => str_starts_with((string) $browser->driver->executeScript('return document.activeElement?.innerText ?? ""'), 'Keep it'));
        $browser->keys(self::ENTER)->see('Each picture stands here');
        $browser->until('it is in the list', fn (): bool => preg_match("/{$slip['name']}\s*(met|near|too close)/u", (string) $browser->driver->executeScript('return document.querySelector(".round-round-list").innerText')) === 1);
        // Without a slip it is whoever was touched, and another one can be chosen; what is read can be put right by ruler.
        $browser->press($here[6]['name'])->see("Next: {$here[6]['name']}");
        Photographs::choose($browser, $photos->file('none.jpg', Photographs::seam(14.2)));
        $browser->see('no slip was read');
        self::assertStringContainsString($here[6]['name'], (string) $browser->driver->executeScript('return document.querySelector(".round-picture-queue input").value'));
        // It lies on the device until it was taken over: the tab may be closed.
        $browser->go("/round/$class?lesson=first-seam&by=pictures")->see('no slip was read')->press('Put it right by ruler')->see('Keep it');
        $browser->until('it is typed in', fn (): bool => (float) (self::typed()[2] ?? 0) > 13.5);
        self::assertStringContainsString($here[6]['student'], $browser->driver->getCurrentURL());
        self::assertQuiet();
    }

    public function test_what_is_no_sample_is_said_and_dropped(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $photos = new Photographs;
        $browser->go("/round/$class?lesson=first-seam&by=pictures")->see('Next:');
        Photographs::choose($browser, $photos->file('text.jpg', 'no picture at all'));
        $browser->see('cannot be read');
        Photographs::choose($browser, $photos->file('dark.jpg', Photographs::dark()));
        $browser->see('The card was not found')->press('Drop it')->see('Each picture stands here');
        self::assertQuiet();
    }

    public function test_without_a_line_a_picture_waits_and_is_read_later(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = $this->here($class)[7]['student'];
        $photos = new Photographs;
        $browser->go("/look/$class/$student?lesson=first-seam")->see('First seam')->press('Photograph it')->see('Lay the whole piece flat');
        $this->line(true);
        Photographs::choose($browser, $photos->file('seam.jpg', Photographs::seam(15.2)), self::MODAL);
        $browser->see('lies on this device');
        $this->line(false);
        // As if the tab had been closed: what waits is told, and found again.
        $browser->go("/today/$class")->see('1 picture to look at')->press('1 picture to look at')->press('Look at it')->see('First seam')->press('Photograph it')->see('Type them in')->press('Type them in');
        $browser->until('it is typed in', fn (): bool => abs((float) (self::typed()[2] ?? 0) - 15.2) < 0.5);
        $browser->until('nothing waits', fn (): bool => ! str_contains($browser->text(), 'picture to look at'));
        self::assertStringContainsString($student, $browser->driver->getCurrentURL());
        $browser->complaints();
    }

    public function test_a_paired_phone_takes_the_pictures(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = $this->here($class)[8]['student'];
        $photos = new Photographs;
        $browser->go("/look/$class/$student?lesson=first-seam")->see('First seam')->press('Photograph it')->press('From a phone')->see('Point the phone');
        $lens = (string) $browser->driver->executeScript('return JSON.parse(sessionStorage.getItem("open-seam-lens")).lens');
        $phone = Browser::open((string) getenv('SEAM_BASE'), 390, 844);
        $phone->go('/lens/'.str_repeat('x', 40))->see('This code is over');
        $phone->go("/lens/$lens")->see('Pictures for the screen')->see('Nothing sent yet');
        Photographs::choose($phone, $photos->file('none.jpg', 'no picture'));
        $phone->see('cannot be read');
        Photographs::choose($phone, $photos->file('seam.jpg', Photographs::seam(16.2)));
        $phone->see('1 picture sent');
        self::assertLessThanOrEqual(391, $phone->driver->executeScript('return document.documentElement.scrollWidth'));
        $browser->see('Type them in')->press('Type them in');
        $browser->until('it is typed in', fn (): bool => abs((float) (self::typed()[2] ?? 0) - 16.2) < 0.5);
        // Ended on the screen, the phone sends nothing any more.
        $browser->press('Photograph it')->press('End the link')->see('From a phone');
        Photographs::choose($phone, $photos->file('again.jpg', Photographs::seam(16.2)));
        $phone->see('This code is over');
        $phone->close();
        self::assertQuiet();
    }

    public function test_a_student_photographs_it_at_home(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $link = (string) $browser->driver->executeAsyncScript(<<<'JS'
            const [id, done] = arguments;
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]);
            const send = (address, body) => fetch(address, {method: 'POST', headers: {Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token}, body: JSON.stringify(body)});
            fetch(`/api/classes/${id}/today`).then((r) => r.json()).then(async (t) => {
                const who = t.students.find((s) => s.state === 'here').student;
                await send(`/api/classes/${id}/students/${who}/next`, {lesson: 'first-seam', because: 'again'});
                const page = await (await send(`/api/classes/${id}/students/${who}/page`, {})).json();
                done(page.page);
            });
            JS, [$class]);
        $browser->size(390, 844, true)->forget()->go("/my/$link")->see('you sew next')->see('First seam');
        $browser->driver->executeScript('[...document.querySelectorAll("details")].forEach((d) => { d.open = true })');
        $photos = new Photographs;
        $browser->press('Photograph it')->see('one sheet');
        // The card is printed by the link alone; what belongs to a teacher is not there.
        self::assertSame(['application/pdf', 404], $browser->driver->executeAsyncScript(<<<'JS'
            const [link, done] = arguments;
            const at = [...document.querySelectorAll('.mantine-Modal-body a')].find((a) => a.innerText === 'one sheet').href;
            Promise.all([fetch(at), fetch(at.replace(link, 'x'.repeat(40)))]).then(([card, none]) => done([card.headers.get('Content-Type'), none.status]));
            JS, [$link]));
        // The one that is not there was asked for.
        $browser->complaints();
        self::assertStringNotContainsString('From a phone', $browser->text());
        self::assertStringNotContainsString('Ten by ruler', $browser->text());
        Photographs::choose($browser, $photos->file('seam.jpg', Photographs::seam(15.9)), self::MODAL);
        $browser->see('Type them in')->press('Type them in');
        $browser->until('it is typed in', fn (): bool => abs((float) (self::typed()[2] ?? 0) - 15.9) < 0.5);
        $browser->press('Keep my look')->until('it stands among their looks', fn (): bool => preg_match('/First seam .* · in class · (all )?met/', str_replace("\n", ' ', $browser->text())) === 1);
        self::assertLessThanOrEqual(391, $browser->driver->executeScript('return document.documentElement.scrollWidth'));
        $browser->size(1280, 800);
        self::assertQuiet();
    }

    public function test_ten_by_ruler_and_by_camera(): void
    {
        $browser = $this->signIn();
        $photos = new Photographs;
        $browser->go('/camera?lesson=first-seam')->see('0 of 10 samples compared')->press('Photograph it');
        Photographs::choose($browser, $photos->file('seam.jpg', Photographs::seam(15.6)), self::MODAL);
        // The ruler does not see what it should read.
        $browser->see('Its values stay hidden');
        self::assertDoesNotMatchRegularExpression('/15\.\d\d/', $browser->text());
        $browser->press('Now the ruler')->see('Now the same by ruler');
        $browser->fill($browser->find('input[data-reading]'), '40')->press('Compare')->see('not the same place');
        $browser->fill($browser->find('input[data-reading]'), '15')->press('Compare')->see('1 of 10 samples compared')->see('9 samples more, and it counts');
        // Nine more, as they come from the same page.
        $browser->driver->executeAsyncScript(<<<'JS'
            const done = arguments[0];
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]);
            const send = (body) => fetch('/api/camera/samples', {method: 'POST', headers: {Accept: 'application/json', 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token}, body: JSON.stringify(body)});
            (async () => {
                for (let i = 0; i < 9; i++) await send({id: '01JZZZZZZZZZZZZZZZZZZZZZZ' + i, lesson: 'first-seam', ruler: {'seam.allowance': ['15', '15.5', '16', '15.5', '16']}, camera: {'seam.allowance': [15.1, 15.4, 15.9, 15.6, 16.1].map((v) => `${v} ±0.15`)}});
                done();
            })();
            JS);
        $browser->go('/camera')->see('10 samples compared: that is enough')->see('as sure as each picture says: your samples agree')->find('.look-differences');
        $browser->press('Take the last one out again')->see('9 of 10 samples compared')->see('1 sample more, and it counts');
        $browser->press('Begin anew')->see('0 of 10 samples compared');
        $browser->complaints();
    }
}
