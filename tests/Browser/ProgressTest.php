<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The class by gap, one student's next lesson chosen, the history gone through. */
final class ProgressTest extends BrowserCase
{
    private function long(): string
    {
        return (string) self::browser()->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => arguments[0](m.classes.find((c) => c.title === "Beginners two").id))');
    }

    public function test_skills_are_sorted_by_gap_and_a_level_opens_with_what_it_weighs(): void
    {
        $browser = $this->signIn()->press('Class')->see('What the class is missing')->see('Who next to whom');
        $first = fn (): string => (string) $browser->driver->executeScript('return document.querySelector(".common-matrix thead th:nth-child(2)").innerText');
        self::assertStringContainsString('Safe habits', $first());
        $browser->press('by gap')->see('open');
        $open = array_map(intval(...), (array) $browser->driver->executeScript('return [...document.querySelectorAll(".common-matrix thead th small")].map((s) => s.innerText)'));
        $sorted = $open;
        rsort($sorted);
        self::assertSame($sorted, $open);
        self::assertGreaterThan(0, $open[0]);
        $browser->press('by ready')->see('ready')->press('by strand');
        $browser->press('Tobiah, Keep the allowance')->see('What it rests on')->see('weighs');
        self::assertQuiet();
    }

    public function test_another_next_lesson_in_one_touch_and_back(): void
    {
        $browser = $this->signIn();
        $class = $this->long();
        $browser->go("/class/$class")->see('Dunstan')->press('Dunstan')->see('Or instead');
        $title = fn (): string => (string) $browser->driver->executeScript('return document.querySelector(".student-next-step h2").innerText');
        $before = $title();
        $browser->find('.student-next-step input')->sendKeys('wants to hem a skirt');
        $other = (string) $browser->driver->executeScript('return document.querySelector(".student-next-step .common-choices strong").innerText');
        $browser->click('.student-next-step .common-choices button')->see('your choice')->see('Take the proposal');
        $browser->until('the other lesson is in hand', fn (): bool => $title() === $other);
        $browser->see('Where you chose otherwise')->see('wants to hem a skirt');
        $browser->press('Take the proposal');
        $browser->until('the proposal is in hand', fn (): bool => $title() === $before);
        self::assertQuiet();
    }

    public function test_wishes_and_a_machine_at_home_are_noted(): void
    {
        $browser = $this->signIn();
        $class = $this->long();
        $browser->go("/class/$class")->see('Elowen')->press('Elowen')->see('Wants to come to');
        $browser->choose('.student-wish-list select', 'Zip')->press('Add');
        $browser->until('the wish stands there', fn (): bool => $browser->driver->executeScript('return document.querySelector(".student-wish")?.innerText.startsWith("Zip")') === true);
        $browser->click('.student-tick-box input')->see('saved');
        $browser->driver->navigate()->refresh();
        $browser->see('Zip ×');
        self::assertTrue($browser->driver->executeScript('return document.querySelector(".student-tick-box input").checked'));
        $browser->press('No longer: Zip');
        $browser->until('the wish is gone', fn (): bool => $browser->driver->executeScript('return document.querySelector(".student-wish") === null') === true);
        self::assertQuiet();
    }

    public function test_the_history_is_gone_through_and_few_samples_change_nothing(): void
    {
        $browser = $this->signIn()->press('Class')->see('How far can the verdicts be trusted?')->press('How far can the verdicts be trusted?');
        $browser->see('What was given')->see('too few yet')->press('Go by our own samples where they foretell better')->see('they stay');
        self::assertQuiet();
    }
}
