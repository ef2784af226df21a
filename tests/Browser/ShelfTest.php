<?php

declare(strict_types=1);

namespace Tests\Browser;

/** The whole course on the shelf, its materials and its sheets. */
final class ShelfTest extends BrowserCase
{
    public function test_lessons_are_found_by_skill_foot_and_stitch(): void
    {
        $browser = $this->signIn()->press('Samplers')->see('51 of 51')->see('Edges and stretch');
        $choose = fn (int $at, string $value) => $browser->driver->executeScript(<<<'JS'
            const s = document.querySelectorAll('.common-samplers-head select')[arguments[0]];
            Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, arguments[1]); s.dispatchEvent(new Event('change', {bubbles: true}));
            JS, [$at, $value]);
        $choose(2, 'zigzag');
        $browser->see('Zigzag ladder')->until('fewer lessons', fn (): bool => ! str_contains($browser->text(), '51 of 51'));
        $choose(1, 'zip');
        $browser->see('No lesson has all of these.')->press('Show all')->see('51 of 51');
        self::assertQuiet();
    }

    public function test_a_lesson_says_how_each_machine_is_set(): void
    {
        $browser = $this->signIn()->go('/samplers/zigzag-ladder')->see('On each machine');
        // The same zigzag: for each stroke on one dial, for the whole on the other; none on the straight one.
        $browser->see('Zigzag is “B”, width 3.5, length 2')->see('Zigzag is “04”, width 3.5, length 4')->see('Door 7 sews straight only');
        self::assertQuiet();
    }

    public function test_described_steps_are_chosen_by_number(): void
    {
        $browser = $this->signIn();
        $class = $this->classId();
        $student = (string) $browser->driver->executeScript('return [...document.querySelectorAll("a[href^=\'/look/\']")].at(-1).getAttribute("href").split("/").pop()');
        $browser->go("/look/$class/$student?lesson=two-faces")->see('balanced on both faces');
        $browser->find('[data-reading]');
        $browser->keys('y', self::ENTER, 'y', self::ENTER, 'n', self::ENTER, '2');
        $browser->see('Both faces of the corrected row')->until('the second step is chosen', fn (): bool => $browser->driver->executeScript('return document.querySelector(".ui-step-keys .ui-key.common-on")?.textContent?.includes("nearly")') === true);
        $browser->see('so far');
        self::assertQuiet();
    }

    public function test_materials_count_remember_and_add_up(): void
    {
        $browser = $this->signIn()->press('Plan')->see('Everything is laid')->press('Materials')->see('Cotton or poly-cotton')->see('no plan is shorter than');
        $price = $browser->find('input[aria-label="price of Pins"]');
        $browser->fill($price, '0,05'.self::ENTER);
        $browser->see('10.00')->see('for each student');
        $browser->click('input[aria-label="Pins is there"]');
        $browser->driver->navigate()->refresh();
        $browser->see('10.00');
        self::assertTrue($browser->find('input[aria-label="Pins is there"]')->isSelected());
        self::assertQuiet();
    }
}
