<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** Who sits where, who is late, one student, and the page that student sees. */
final class SessionTest extends BrowserCase
{
    private function long(Browser $browser): string
    {
        return (string) $browser->driver->executeAsyncScript('fetch("/api/me").then((r) => r.json()).then((m) => arguments[0](m.classes.find((c) => c.title === "Beginners two").id))');
    }

    public function test_a_student_is_moved_with_its_cost_and_freed_again(): void
    {
        $browser = $this->signIn();
        $class = $this->long($browser);
        $browser->go("/session/$class")->see('Next session')->see('No other seating is worth more.');
        $place = fn (string $name): string => (string) $browser->driver->executeScript('return [...document.querySelectorAll(".session-bench-place")].find((p) => p.innerText.includes(arguments[0]))?.querySelector(".session-bench-machine strong").innerText ?? ""', [$name]);
        // By keys alone: the student, then the place.
        $browser->driver->executeScript('[...document.querySelectorAll(".session-seat-card")].find((b) => b.innerText.includes("Aldith")).focus()');
        $browser->keys(self::ENTER)->see('sit here');
        $to = (string) $browser->driver->executeScript('const p = [...document.querySelectorAll(".session-bench-place")].findLast((p) => p.querySelector("[data-variant=subtle]") && !p.innerText.includes("Aldith")); p.querySelector("[data-variant=subtle]").focus(); return p.querySelector("strong").innerText');
        $browser->keys(self::ENTER)->see("Aldith at $to:")->see('Put it back')->press('Keep it');
        $browser->until('it is kept', fn (): bool => $browser->driver->executeScript('return document.querySelector(".session-tried") === null'));
        $browser->until("Aldith sits at $to", fn (): bool => $place('Aldith') === $to);
        $browser->rest()->see('Hold Aldith no longer')->press('Hold Aldith no longer')->see('Aldith is free again')->press('Keep it');
        $browser->until('nobody is held', fn (): bool => $browser->driver->executeScript('return document.querySelectorAll(".session-seat-card.session-held").length === 0 && document.querySelector(".session-tried") === null'));
        $browser->press('Start the session')->see('sewing now')->see('Aldith');
        self::assertQuiet();
    }

    public function test_late_and_here_again_on_today(): void
    {
        $browser = $this->signIn()->see('sewing now');
        $browser->driver->executeScript('const s = document.querySelectorAll(".today-state-choice select")[4]; s.focus()');
        $state = fn (): string => (string) $browser->driver->executeScript('return document.querySelectorAll(".today-state-choice select")[4].value');
        $away = fn (): bool => (bool) $browser->driver->executeScript('return document.querySelectorAll(".today-state-choice select")[4].closest("tr").classList.contains("today-away")');
        $browser->until('Keziah is here first', fn (): bool => $state() === 'here');
        $browser->keys(WebDriverKeys::ARROW_DOWN);
        $browser->until('Keziah is late', fn (): bool => $state() === 'late' && $away());
        // The row is still in hand: the keys go on from there.
        $browser->keys(WebDriverKeys::ARROW_UP);
        $browser->until('Keziah is here', fn (): bool => $state() === 'here' && ! $away());
        self::assertQuiet();
    }

    public function test_one_student_and_the_page_they_see_on_a_phone(): void
    {
        $browser = $this->signIn();
        $class = $this->long($browser);
        $browser->go("/class/$class")->see('Aldith')->press('Benet')->see('The page Benet sees')->press('Make the link');
        $browser->until('there is a link', fn (): bool => (bool) $browser->driver->executeScript('return document.querySelector(".common-own-link") !== null'));
        $link = (string) parse_url((string) $browser->driver->executeScript('return document.querySelector(".common-own-link").href'), PHP_URL_PATH);
        $browser->find('textarea')->sendKeys('sews left-handed');
        $browser->driver->executeScript('document.activeElement.blur()');
        $browser->see('saved');

        $phone = self::browser()->forget()->size(390, 844, true)->go($link)->see('Benet, you sew next:')->see('What you can do');
        self::assertStringNotContainsString('Aldith', $phone->text());
        self::assertStringNotContainsString('left-handed', $phone->text());
        self::assertLessThanOrEqual(390, $phone->driver->executeScript('return document.documentElement.scrollWidth'), 'nothing is wider than the phone');
        $phone->size(1280, 800);
        $browser = $this->signIn()->go("/class/$class")->see('Aldith')->press('Benet')->see('Take the link back')->press('Take the link back')->see('Make the link');
        $browser->forget()->go($link)->see('This link does not work any more');
    }
}
