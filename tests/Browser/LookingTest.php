<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Browser\Support\Browser;

/** A round by keys, the fault finder, a verdict overruled. */
final class LookingTest extends BrowserCase
{
    private function long(Browser $browser): string
    {
        return (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => arguments[0](m.classes.find((c) => c.title === "Saturday long course").id))');
    }

    public function test_a_round_is_walked_with_one_key_each(): void
    {
        $browser = $this->signIn();
        $class = $this->long($browser);
        $browser->go("/round/$class?lesson=two-faces&row=corrected")->see('Aldith')->find('[data-reading]');
        usleep(300_000);
        $names = ['Aldith', 'Benet', 'Clemence', 'Dunstan', 'Elowen', 'Fulk', 'Gisela', 'Hamo'];
        foreach ($names as $i => $name) {
            $browser->until("$name is in hand", fn (): bool => str_contains((string) $browser->driver->executeScript('return document.querySelector(".round-form h2")?.innerText ?? ""'), $name) && $browser->driver->executeScript('return document.activeElement.closest(".round-form")?.querySelector("[data-reading]") === document.activeElement'));
            $browser->keys($i % 2 === 0 ? '1' : '3', self::ENTER, 'y', self::ENTER);
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
        $browser->click('.faults .fault')->press('Find the cause')->see('Tick what is seen');
        $browser->until('what was ticked is ticked', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll(".fault-looks label.on").length') === 1);
        $browser->press('Find the cause')->see('try now, and nothing else');
        $first = (string) $browser->driver->executeScript('return document.querySelector(".hunt-next h2").innerText');
        $browser->press('Still the same')->see('Tried');
        self::assertNotSame($first, $browser->driver->executeScript('return document.querySelector(".hunt-next h2").innerText'));
        $browser->press('That was it')->see('found')->see('the next search in this studio knows of it');
        $browser->press('Look for something else')->see('Tick what is seen');
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
        $browser->go("/class/$class")->see('You overruled ');
        self::assertQuiet();
    }
}
