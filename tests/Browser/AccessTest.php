<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Chrome\ChromeDevToolsDriver;
use PHPUnit\Framework\Attributes\DataProvider;

/** axe-core on every place, in both schemes, on a phone and on paper, and on what opens over a place: nothing, of any level. */
final class AccessTest extends BrowserCase
{
    /** @return iterable<string, array{string, string}> */
    public static function places(): iterable
    {
        yield 'today' => ['/today/{class}', 'sewing now'];
        yield 'plan' => ['/plan/{class}', 'Who will finish'];
        yield 'class' => ['/class/{class}', 'Keep the allowance'];
        yield 'samplers' => ['/samplers', 'Square spiral'];
        yield 'lesson' => ['/samplers/guides', 'Look for'];
        yield 'lesson with a fold' => ['/samplers/blind-hem', 'The fold back'];
        yield 'drafting table' => ['/samplers/zigzag-ladder/draft', 'machines sew it'];
        yield 'shelf' => ['/samplers/shelf', 'The shelf as it came'];
        yield 'room' => ['/room', 'Window 1'];
        yield 'room, machines' => ['/room?show=machines', 'Hearth 5'];
        yield 'room, feet' => ['/room?show=feet', 'Blind hem'];
        foreach (['stitch' => 'underside', 'guide' => 'comes out', 'clearance' => 'hand wheel', 'needle' => 'universal', 'dial' => 'Comes out', 'tension' => 'illustration', 'feet' => 'needed', 'name' => 'Pick what is seen', 'blind-hem' => 'just bites'] as $tool => $words) {
            yield "workshop, $tool" => ["/workshop/$tool", $words];
        }
        yield 'materials' => ['/materials/{class}', 'in the cupboard'];
        yield 'new class' => ['/start', 'Lay it out for me'];
        yield 'next session' => ['/session/{class}', 'No other seating'];
        yield 'student' => ['/class/{class}/student/{student}', 'Wants to come to'];
        yield 'soundness' => ['/class/{class}/soundness', 'What was given'];
        yield 'fault finder' => ['/workshop/faults', 'Tick what is seen'];
        yield 'picture ruler' => ['/workshop/picture', 'Load a scan'];
        yield 'round' => ['/round/{class}', 'Isaura'];
        yield 'from paper' => ['/catch-up/{class}', 'From paper'];
        yield 'end of the course' => ['/class/{class}/end', 'Print certificates'];
        yield 'the words' => ['/class/{class}#words', 'Find a word'];
        yield 'look' => ['look', 'Seen on it'];
        yield 'ten by ruler and by camera' => ['/camera?lesson=first-seam', '0 of 10 samples compared'];
        yield 'round by pictures' => ['/round/{class}?lesson=first-seam&by=pictures', 'Next:'];
        yield 'a phone whose link is over' => ['/lens/xxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxxx', 'This code is over'];
        yield 'the screen at the front' => ['/front/{class}?lesson=blind-hem', 'the swing just bites'];
        yield 'its pages from a phone' => ['/front/{class}/remote', 'Next'];
    }

    #[DataProvider('places')]
    public function test_axe_finds_nothing(string $address, string $words): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        if ($address === 'look') {
            $browser->press('Look at the sample of Keziah');
        } else {
            $student = str_contains($address, '{student}') ? (string) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((m) => arguments[1](m.students[1].student))', [$class]) : '';
            $browser->go(strtr($address, ['{class}' => $class, '{student}' => $student]));
        }
        $browser->see($words);
        foreach (['light', 'dark'] as $scheme) {
            $browser->driver->executeScript('document.documentElement.setAttribute("data-mantine-color-scheme", arguments[0])', [$scheme]);
            self::assertSame([], self::found(), $scheme);
        }
        // Paper is light, whatever the screen is.
        self::media('print');
        self::assertSame([], self::found(), 'print');
        self::media('');
        $browser->size(390, 844, true);
        self::assertSame([], self::found(), 'phone');
        // Nothing hangs over the side of a phone.
        self::assertLessThanOrEqual(391, $browser->driver->executeScript('return document.documentElement.scrollWidth'));
        $browser->size(1280, 800);
    }

    /** @return iterable<string, array{string, list<string>, string}> */
    public static function opened(): iterable
    {
        yield 'the classes' => ['/today/{class}', ['Beginners one'], 'Plan a new class'];
        yield 'who is signed in' => ['/today/{class}', ['mm · '], 'Sign out'];
        yield 'choosing another lesson' => ['/look/{class}/{student}', ['yes', 'Choose another lesson'], 'Why (if you like)'];
        yield 'what a skill rests on' => ['/class/{class}/student/{student}', ['Keep the allowance'], 'What it rests on'];
        yield 'data of a student' => ['/class/{class}/student/{student}', ['Data'], 'Take out of this class'];
        yield 'another name' => ['/class/{class}/student/{student}', ['Data', 'Another name'], 'Another name for'];
        yield 'a machine' => ['/room?show=machines', ['Hearth 5'], 'Keep the changes'];
        yield 'a foot' => ['/room?show=feet', ['Blind hem'], 'Keep the changes'];
        yield 'a photograph' => ['/look/{class}/{student}?lesson=first-seam', ['Photograph it'], 'Lay the whole piece flat'];
        yield 'the end of a studio' => ['/studio', ['Delete the studio'], 'Type its name'];
    }

    /** @param  list<string>  $presses */
    #[DataProvider('opened')]
    public function test_axe_on_what_opens_over_a_place(string $address, array $presses, string $words): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = (string) $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((m) => arguments[1](m.students[1].student))', [$class]);
        $browser->go(strtr($address, ['{class}' => $class, '{student}' => $student]));
        foreach ($presses as $press) {
            $browser->press($press)->rest();
        }
        $browser->see($words);
        foreach (['light', 'dark'] as $scheme) {
            $browser->driver->executeScript('document.documentElement.setAttribute("data-mantine-color-scheme", arguments[0])', [$scheme]);
            self::assertSame([], self::found(), $scheme);
        }
        $browser->size(390, 844, true);
        self::assertSame([], self::found(), 'phone');
        $browser->size(1280, 800);
        // Escape closes it and nothing else.
        $browser->keys("\u{E00C}");
        $browser->until('it is closed', fn (): bool => $browser->driver->executeScript('return document.querySelector("[role=dialog], [role=menu]") === null'));
    }

    private static function media(string $media): void
    {
        (new ChromeDevToolsDriver(self::browser()->driver))->execute('Emulation.setEmulatedMedia', ['media' => $media]);
    }

    public function test_axe_on_every_step_of_a_buttonhole_and_its_run(): void
    {
        $browser = $this->signIn()->go('/workshop/buttonhole')->see('finished: 21 mm')->see('saved');
        foreach (['Button', 'What it will be', 'How long', 'Where', 'Look', 'Open, release', 'Button on'] as $step) {
            $browser->driver->executeScript("[...document.querySelectorAll('[role=tab]')].find((t) => t.textContent.includes(arguments[0])).click()", [$step]);
            $browser->rest();
            foreach ([[1280, 800, false], [390, 844, true]] as [$width, $height, $touch]) {
                $browser->size($width, $height, $touch);
                self::assertSame([], self::found(), "$step at $width");
                self::assertLessThanOrEqual($width + 1, $browser->driver->executeScript('return document.documentElement.scrollWidth'), "$step at $width");
            }
        }
        $browser->press('Sew it, act by act')->see('act 1 of');
        self::assertSame([], self::found(), 'the run on a phone');
        $browser->size(1280, 800);
        self::assertSame([], self::found(), 'the run');
    }

    public function test_axe_on_a_students_own_page(): void
    {
        $browser = $this->signIn();
        $link = (string) $browser->driver->executeAsyncScript(<<<'JS'
            const [id, done] = arguments;
            const token = decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1]);
            fetch(`/api/classes/${id}/today`).then((r) => r.json())
                .then((m) => fetch(`/api/classes/${id}/students/${m.students[0].student}/page`, {method: 'POST', headers: {Accept: 'application/json', 'X-XSRF-TOKEN': token}}))
                .then((r) => r.json()).then((m) => done(m.page));
            JS, [$this->classId()]);
        $browser->size(390, 844, true)->go("/my/$link")->see('you sew next');
        self::assertSame([], self::found(), 'phone');
        // Their own machine, asked for.
        $browser->driver->executeScript('[...document.querySelectorAll("summary")].at(-1).click()');
        $browser->see('Tension mark');
        self::assertSame([], self::found(), 'their machine');
        self::assertLessThanOrEqual(391, $browser->driver->executeScript('return document.documentElement.scrollWidth'));
        $browser->size(1280, 800);
    }

    public function test_axe_on_sign_in(): void
    {
        self::browser()->forget()->go('/')->see('Sign in');
        self::assertSame([], self::found());
    }

    public function test_targets_can_be_touched(): void
    {
        $this->signIn();
        $small = self::browser()->driver->executeScript(<<<'JS'
            return [...document.querySelectorAll('[data-variant=filled], [data-variant=default], .shell-rail a')]
                .map((e) => e.getBoundingClientRect()).filter((r) => r.height < 44 || r.width < 44).length
            JS);
        self::assertSame(0, $small);
    }

    /** @return list<string> of any level */
    private static function found(): array
    {
        $driver = self::browser()->driver;
        $driver->executeScript((string) file_get_contents(dirname(__DIR__, 2).'/node_modules/axe-core/axe.min.js'));
        $driver->manage()->timeouts()->setScriptTimeout(30);
        /** @var list<array{id: string, impact: string, nodes: list<array{html: string, failureSummary: string}>}> $found */
        $found = $driver->executeAsyncScript('const done = arguments[0]; axe.run(document, {resultTypes: ["violations"]}).then((r) => done(r.violations))');

        return array_map(fn (array $v): string => "{$v['impact']} {$v['id']}: ".mb_substr($v['nodes'][0]['html'].' '.$v['nodes'][0]['failureSummary'], 0, 400), $found);
    }
}
