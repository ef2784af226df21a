<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** What is in hand stays in hand: the class, the words typed, the sample, the round. */
final class HandTest extends BrowserCase
{
    private function inHand(Browser $browser): string
    {
        return (string) $browser->driver->executeScript('return document.querySelector(".shell-class-name").innerText.replace(" ▾", "").trim()');
    }

    public function test_the_class_in_hand_stays_in_hand(): void
    {
        $browser = $this->signIn();
        self::assertSame('Beginners one', $this->inHand($browser));
        $browser->press('Beginners one')->press('Beginners two')->see('Aldith');
        foreach (['Samplers' => 'Look for', 'Room' => 'What works', 'Workshop' => 'Guide finder'] as $place => $there) {
            $browser->press($place);
            $browser->until("$place with the class in hand", fn (): bool => $this->inHand($browser) === 'Beginners two' && ! str_contains($browser->driver->getCurrentURL(), 'today'));
            $place === 'Samplers' && $browser->see('Materials for Beginners two');
            unset($there);
        }
        $browser->driver->navigate()->refresh();
        $browser->until('the same class after a reload', fn (): bool => $this->inHand($browser) === 'Beginners two');
        // Changing class keeps the place.
        $browser->press('Beginners two')->press('Beginners one');
        $browser->until('the other class in the same place', fn (): bool => $this->inHand($browser) === 'Beginners one' && str_contains($browser->driver->getCurrentURL(), '/workshop'));
        $browser->press('Today')->see('Tobiah');
        $browser->press('Plan')->see('session 4')->press('Beginners one')->press('Beginners two');
        $browser->until('the plan of the other class', fn (): bool => str_contains($browser->driver->getCurrentURL(), '/plan/') && $this->inHand($browser) === 'Beginners two');
        self::assertQuiet();
    }

    public function test_the_finder_acts_on_what_is_typed(): void
    {
        $browser = $this->signIn();
        $browser->driver->getKeyboard()->sendKeys('/');
        $browser->until('the focus in the finder', fn (): bool => $browser->driver->executeScript('return document.activeElement.getAttribute("role")') === 'combobox');
        $browser->keys('tob')->see('Tobiah');
        // Replaced at once, and Enter before anything was found for it.
        $browser->keys(WebDriverKeys::CONTROL.'a');
        $browser->fill($browser->find('.shell-finder input'), 'damaris'.self::ENTER);
        $browser->until('the page of Damaris', fn (): bool => str_contains($browser->driver->getCurrentURL(), '/student/') && str_contains((string) $browser->driver->executeScript('return document.querySelector("main").innerText'), 'Damaris'));
        self::assertQuiet();
    }

    public function test_a_sample_is_corrected_and_withdrawn_from_today(): void
    {
        $browser = $this->signIn()->press('The last sample of Corwin')->see('Correct it');
        $title = (string) $browser->driver->executeScript('return document.querySelector(".sample-sample-panel h2").innerText');
        $browser->press('Correct it')->see('correction')->find('[data-reading]');
        // What it was, it stays: the readings are there, and the lesson.
        self::assertNotSame('', $browser->find('[data-reading]')->getAttribute('value'));
        $browser->rest()->press('Keep it')->see('Kept.')->see('sewing now');
        $browser->press('The last sample of Corwin')->see('Corrected')->see('does not count');
        self::assertSame($title, $browser->driver->executeScript('return document.querySelector(".sample-sample-panel h2").innerText'));
        $browser->press('Withdraw it')->see('struck through');
        $browser->press('Yes, it does not count')->see('Withdrawn: it does not count.')->press('Bring it back')->see('Brought back.');
        self::assertQuiet();
    }

    public function test_a_round_keeps_what_is_typed_and_knows_who_was_done(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $wilmot = fn (string $state) => $browser->driver->executeScript('const s = [...document.querySelectorAll(".today-state-choice select")].find((x) => x.getAttribute("aria-label").includes("Wilmot")); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, arguments[0]); s.dispatchEvent(new Event("change", {bubbles: true}))', [$state]);
        $wilmot('absent');
        $browser->until('Wilmot is away', fn (): bool => $browser->driver->executeScript('return document.querySelector("tr.today-away")?.innerText.includes("Wilmot") ?? false') === true);
        $browser->rest();
        $browser->go("/round/$class?lesson=safe-seat&row=habits")->see('Isaura')->find('[data-reading]');
        self::assertStringNotContainsString('Wilmot', (string) $browser->driver->executeScript('return document.querySelector(".round-round-list").innerText'), 'who is away is not offered');
        $browser->see('Not here: Wilmot');
        $browser->until('the first habit in hand', fn (): bool => $browser->driver->executeScript('return document.activeElement.closest(".round-round-form") !== null') === true);
        $browser->keys('y', self::ENTER, 'n', self::ENTER)->rest();
        $browser->driver->navigate()->refresh();
        $browser->until('what was typed is there', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll(".round-round-form [aria-checked=true]").length') === 2);
        $browser->press('Keep, and on')->see('Tobiah')->rest();
        $browser->driver->navigate()->refresh();
        $browser->until('Isaura was done', fn (): bool => str_contains((string) $browser->driver->executeScript('return document.querySelector(".round-round-list li").innerText'), 'not yet'));
        // Looked at again, the second look takes the place of the first.
        $browser->press('Isaura')->see('A second look takes its place.');
        $browser->until('the first habit in hand', fn (): bool => $browser->driver->executeScript('return document.activeElement.closest(".round-round-form") !== null') === true);
        $browser->keys('y', self::ENTER)->press('Keep, and on')->see('Tobiah')->rest();
        $kept = $browser->driver->executeAsyncScript('fetch(`/api/classes/${arguments[0]}/today`).then((r) => r.json()).then((m) => arguments[1](m.students[0].kept.filter((k) => k.lesson === "safe-seat").length))', [$class]);
        self::assertSame(1, $kept);
        $browser->press('Today')->see('sewing now')->rest();
        $wilmot('here');
        $browser->until('Wilmot is back', fn (): bool => $browser->driver->executeScript('return document.querySelector("tr.today-away") === null') === true);
        $browser->rest();
        self::assertQuiet();
    }

    public function test_a_helper_is_asked_in_and_sees_the_evening_alone(): void
    {
        $browser = $this->signIn()->press('Studio')->see('People');
        $browser->driver->executeScript('const s = document.querySelector("select[aria-label=as]"); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, "value").set.call(s, "helper"); s.dispatchEvent(new Event("change", {bubbles: true}))');
        $browser->press('Make a link')->see('It works once');
        $link = (string) parse_url((string) $browser->driver->executeScript('return document.querySelector(".common-own-link").innerText'), PHP_URL_PATH);
        $browser->forget()->go($link)->see('You are invited as a helper.');
        $fields = $browser->driver->findElements(WebDriverBy::cssSelector('.common-sign-in input'));
        foreach (['Sib', 'sib'.bin2hex(random_bytes(3)).'@mill.example', 'calico madder chalk'] as $i => $text) {
            $fields[$i]->sendKeys($text);
        }
        $browser->press('Join')->see('sewing now')->rest();
        $rail = (string) $browser->driver->executeScript('return document.querySelector(".shell-rail").innerText');
        self::assertSame(['Today', 'Samplers', 'Workshop'], array_values(array_filter(array_map(trim(...), explode("\n", $rail)))));
        $browser->press('Look at the sample of Damaris')->see('Damaris')->find('[data-reading]');
        self::assertQuiet();
    }
}
