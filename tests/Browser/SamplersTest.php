<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;

/** Each of the four samplers from the first reading to the next student, hands on the keys. */
final class SamplersTest extends BrowserCase
{
    /** @return iterable<string, array{string, list<string>, string}> lesson, keys, what is seen */
    public static function samplers(): iterable
    {
        yield 'first seam' => ['first-seam', ['16', '16', '15.5', '16', '16', '4', '3', '3', 'y', 'y', 'y', '60', 'y'], 'mean 15.9 mm, on the line'];
        yield 'length ladder' => ['length-ladder', ['10', '25', '10', '40', '25', '25', 'y'], '2.50 mm ± 0.17 mm'];
        yield 'guides' => ['guides', ['6.5', '6', '6.5', '12.5', '13', '12.5', '16', '16', '15.5', '38', '38', '38.5'], 'steady, spread 0.5 mm'];
        yield 'square spiral' => ['square-spiral', ['0', '0.5', '0', '-0.5', '0', '0', '0', '0', '6.5', '6.5', '6.5', '7', '6.5', 'y', 'y'], 'furthest +0.5 mm at 2'];
    }

    /**
     * @param  list<string>  $keys
     */
    #[DataProvider('samplers')]
    public function test_by_keyboard(string $lesson, array $keys, string $seen): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = (string) $browser->driver->executeScript('return [...document.querySelectorAll("a[href^=\'/look/\']")].at(-1).getAttribute("href").split("/").pop()');
        $browser->go("/look/$class/$student?lesson=$lesson")->see('Wilmot')->find('[data-reading]');
        foreach ($keys as $key) {
            $browser->keys($key, self::ENTER);
        }
        $browser->see($seen);
        $browser->until('no sample so far but a whole one', fn (): bool => ! str_contains($browser->text(), 'so far'));
        $browser->chord(WebDriverKeys::CONTROL, self::ENTER);
        $browser->see('Kept. Wilmot sews next:');
        $browser->until('the next student', fn (): bool => ! str_contains((string) $browser->driver->getCurrentURL(), $student));
        self::assertQuiet();
    }

    public function test_a_lesson_without_a_sampler_is_looked_at_in_the_room(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = (string) $browser->driver->executeScript('return [...document.querySelectorAll("a[href^=\'/look/\']")].at(-1).getAttribute("href").split("/").pop()');
        $browser->go("/look/$class/$student?lesson=safe-seat")->see('What to watch for')->see('Power off before you touch');
        $browser->find('[data-reading]');
        // One habit missing: safety first, whatever else is sure.
        $browser->keys('y', self::ENTER, 'n')->see('Safe seat, again')->see('Safe habits come first');
        self::assertQuiet();
    }

    /** The whole sheet follows the school that is chosen, on the lesson and on the sample; and back. */
    public function test_a_class_follows_another_school(): void
    {
        $browser = $this->signIn();
        $select = '.common-checks select';
        $browser->go('/samplers/sew-a-button')->see('Beginners one follows')->choose($select, 'Any zigzag: as it is; zigzag at length 0')->see('Zigzag, length 0; the feed stays as it is.')->see('0, and back to 2.5 afterwards');
        $student = (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => fetch(`/api/classes/${m.classes[0].id}/today`)).then((r) => r.json()).then((c) => arguments[0](`${c.class.id}/${c.students[0].student}`))');
        $browser->go("/look/$student?lesson=sew-a-button")->see('Sewn with')->see('Any zigzag');
        // This one piece was sewn with the feed down all the same.
        $browser->click('.look-settings summary')->choose('.look-settings .ui-school-select select', 'Feed out of work: dropped, or its cover on');
        $browser->until('the sheet has followed', fn (): bool => ! str_contains((string) $browser->driver->executeScript('return document.querySelector(".look-settings summary")?.innerText ?? "Any zigzag"'), 'Any zigzag'));
        $browser->go('/samplers/sew-a-button')->see('Beginners one follows')->choose($select, 'Feed out of work: dropped, or its cover on')->see('Feed down, or cover on, or length 0.');
        self::assertQuiet();
    }

    /** A dial with three zigzags has its own ladder, at the machine and nowhere else. */
    public function test_a_machine_with_fixed_zigzags_has_its_own_ladder(): void
    {
        $browser = $this->signIn();
        $browser->go('/samplers/zigzag-ladder')->see('Average, 3.5 × 2')->see('Made from its own stitches, 3 rows');
        $look = (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => fetch(`/api/classes/${m.classes[0].id}/today`)).then((r) => r.json()).then((c) => arguments[0](`${c.class.id}/${c.students[0].student}`))');
        $browser->go("/look/$look?lesson=zigzag-ladder")->see('Average, 3.5 × 2')->click('.look-settings summary')->choose('.look-settings select', 'Hearth 5')->see('Mark III: 3.5 × 2');
        $browser->fill($browser->find('[data-reading]'), '2.0')->see('met');
        // What was begun at that machine goes on with it.
        $browser->go("/look/$look?lesson=zigzag-ladder")->see('Mark III: 3.5 × 2');
        $browser->until('what was typed is there', fn (): bool => $browser->find('[data-reading]')->getAttribute('value') === '2.0');
        $browser->driver->executeScript('indexedDB.databases().then((all) => all.forEach((d) => indexedDB.deleteDatabase(d.name)))');
        self::assertQuiet();
    }

    /** Cloth folded act by act, by touch and by the arrows: what the needle holds, and what shows on the right side. */
    public function test_a_fold_is_stepped_through(): void
    {
        $browser = $this->signIn()->go('/samplers/blind-hem')->see('The fold back')->see('Wrong side up, the edge of the hem');
        $browser->press('Next step: The fold back')->see('Fold the hem up and press.');
        $browser->keys("\u{E014}", "\u{E014}")->see('Fold all of it back under: 5 mm of the hem lie beside the fold.');
        $browser->keys("\u{E014}", "\u{E014}")->see('The swing bites one or two threads of the fold');
        $shapes = fn (string $role): int => (int) $browser->driver->executeScript('return document.querySelectorAll(`[role=group] path[class*="pic-${arguments[0]}"]`).length', [$role]);
        self::assertSame([1, 1], [$shapes('needle'), $shapes('basted')]);
        $browser->keys("\u{E014}", "\u{E014}", "\u{E014}")->see('On the right side only the bites show.')->see('8 / 8');
        self::assertSame(2, $shapes('row-sewn'), 'the bite, on both sides of where the fold was; nothing of the straight stitches');
        $browser->press('Back: The fold back')->see('7 / 8');
        self::assertQuiet();
    }

    /** Without a ruler the picture that looks like the row is tapped; what is close stays open. */
    public function test_a_row_is_read_by_eye(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = (string) $browser->driver->executeScript('return [...document.querySelectorAll("a[href^=\'/look/\']")].at(-1).getAttribute("href").split("/").pop()');
        $browser->go("/look/$class/$student?lesson=first-seam")->see('Wilmot')->press('No ruler: tap what it looks like')->see('Tap the one that looks like yours')->see('on the line, even');
        $browser->driver->executeScript('[...document.querySelectorAll("[role=dialog] button")].find((b) => b.innerText.includes("too far from the edge") && b.innerText.includes("near")).click()');
        $browser->see('too close to call');
        self::assertMatchesRegularExpression('/^1[67]\.\d$/', (string) $browser->find('[data-reading]')->getAttribute('value'));
        $browser->see('±1.5');
        self::assertQuiet();
    }
}
