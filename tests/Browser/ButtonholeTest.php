<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Browser\Support\Browser;

/** A buttonhole from the button in the hand to the recipe, as it is done at the table. */
final class ButtonholeTest extends BrowserCase
{
    private const SELECT = "const s = [...document.querySelectorAll('select')].find((x) => x.labels[0]?.textContent.startsWith(arguments[0])); const o = [...s.options].find((x) => x.textContent.startsWith(arguments[1])); Object.getOwnPropertyDescriptor(HTMLSelectElement.prototype, 'value').set.call(s, o.value); s.dispatchEvent(new Event('change', {bubbles: true}))";

    private const STEP = "[...document.querySelectorAll('[role=tab]')].find((t) => t.textContent.includes(arguments[0])).click()";

    private function job(): Browser
    {
        return $this->signIn()->go('/workshop/buttonhole')->see('finished: 21 mm');
    }

    private static function choose(string $label, string $option): void
    {
        self::browser()->driver->executeScript(self::SELECT, [$label, $option]);
    }

    private static function step(string $name): Browser
    {
        self::browser()->driver->executeScript(self::STEP, [$name]);

        return self::browser();
    }

    private static function type(string $label, string $value): void
    {
        $browser = self::browser();
        $id = (string) $browser->driver->executeScript("return [...document.querySelectorAll('label')].find((l) => l.textContent.startsWith(arguments[0])).htmlFor", [$label]);
        $browser->fill($browser->find('[id="'.$id.'"]'), $value === '' ? WebDriverKeys::BACKSPACE : $value);
    }

    /** One of the few words of a reading. */
    private static function pick(string $word): Browser
    {
        self::browser()->driver->executeScript("[...document.querySelectorAll('.mantine-SegmentedControl-label')].find((l) => l.textContent === arguments[0]).click()", [$word]);

        return self::browser();
    }

    public function test_the_chain_follows_the_button_and_asks_back_what_cannot_be(): void
    {
        $browser = $this->job()->see('Slider to 6.5 lines')->see('saved');
        self::choose('Machine', 'by hand');
        $browser->see('End marks 21.0 mm apart.');
        self::choose('Machine', 'Window 3');
        $browser->see('6.0 mm more between');
        $browser->press('a ball')->see('opening: 23.6 mm');
        $browser->press('domed');
        self::step('How long')->see('lay a strip round it');
        self::step('Button');
        self::type('The whole way round', '14');
        $browser->see('at least twice its diameter');
        self::type('The whole way round', '');
        $browser->press('flat')->see('opening: 18 mm');
        // What is no number is said, and nothing that was kept is lost.
        self::type('Across', 'wide');
        $browser->see('Lay the ruler across it');
        self::type('Across', '20');
        $browser->see('opening: 23 mm')->see('saved');
        $address = $browser->driver->getCurrentURL();
        self::assertStringContainsString('job=', $address);
        $browser->driver->navigate()->refresh();
        $browser->see('opening: 23 mm');
        self::assertQuiet();
    }

    /** @return iterable<string, array{string, list<string>, list<string>}> machine, what its run says, and what it does not */
    public static function machines(): iterable
    {
        yield 'four steps in its own words' => ['Window 1', ['Slider to 6.5 lines', 'Step 1: the left side, from the back to the front', 'turn to 2', 'Step 3: the right side'], ['Lever fully down']];
        yield 'one step with a lever' => ['Window 3', ['Lever fully down', 'Only the pedal: the left side', 'It ties off by itself'], ['straight rows first', 'turn to']];
        yield 'straight rows first, and not all is known' => ['Door 8', ['Not all is known of this machine', 'straight rows first'], ['turn to 2']];
        yield 'any zigzag, by hand' => ['by hand', ['Zigzag at half the whole width', 'full width, length 0 to 0.2'], ['Lever', 'turn to 2']];
    }

    /**
     * @param  list<string>  $says
     * @param  list<string>  $never
     */
    #[DataProvider('machines')]
    public function test_the_run_by_keyboard_on_each_machine(string $machine, array $says, array $never): void
    {
        $browser = $this->job();
        self::choose('Machine', $machine);
        $browser->see('saved');
        $browser->press('Sew it, act by act')->see('act 1 of');
        $said = [];
        for ($i = 0; $i < 40 && ! str_contains($browser->text(), 'It is sewn: look at it'); $i++) {
            $said[] = $browser->text();
            $browser->keys(WebDriverKeys::PAGE_DOWN);
            $browser->see('act '.($i + 2).' of');
        }
        $all = implode("\n", [...$said, $browser->text()]);
        foreach ($says as $words) {
            self::assertStringContainsString($words, $all);
        }
        foreach ($never as $words) {
            self::assertStringNotContainsString($words, $all);
        }
        // A clicker goes back too; at the end it leads to the look.
        $browser->keys(WebDriverKeys::PAGE_UP)->see('Done, next')->keys(WebDriverKeys::PAGE_DOWN)->see('It is sewn: look at it');
        $browser->keys(WebDriverKeys::PAGE_DOWN)->see('As it is sewn: what the ruler says');
        self::assertQuiet();
    }

    /**
     * @param  list<string>  $says
     * @param  list<string>  $never
     */
    #[DataProvider('machines')]
    public function test_the_run_by_touch_on_a_phone_for_each_machine(string $machine, array $says, array $never): void
    {
        $browser = $this->job();
        self::choose('Machine', $machine);
        $browser->see('saved')->size(390, 780, true);
        $browser->press('Sew it, act by act')->see('act 1 of');
        $all = '';
        for ($i = 1; $i < 40 && ! str_contains($browser->text(), 'It is sewn: look at it'); $i++) {
            $all .= $browser->text();
            $browser->press('Done, next')->see('act '.($i + 1).' of');
        }
        foreach ($says as $words) {
            self::assertStringContainsString($words, $all.$browser->text());
        }
        foreach ($never as $words) {
            self::assertStringNotContainsString($words, $all);
        }
        $browser->press('It is sewn: look at it')->see('As it is sewn: what the ruler says');
        $browser->size(1280, 800);
        self::assertQuiet();
    }

    public function test_two_tests_release_it_by_touch_on_a_small_screen_and_the_recipe_is_kept(): void
    {
        $browser = $this->job();
        $browser->size(390, 780, true);
        self::type('How many', '6');
        $browser->see('saved');
        $browser->press('Sew it, act by act')->see('act 1 of')->press('Done, next')->see('act 2 of')->press('It did something else')->see('Foot off the pedal first');
        $browser->driver->executeScript("document.querySelector('[aria-label=\"Close the run\"]').click()");
        foreach ([1, 2] as $n) {
            self::step('Look')->see('Once it is open');
            self::type('Left side', '21');
            self::type('Right side', '21');
            self::type('Opening, as it is cut', '18');
            self::pick('snug')->press('Keep what was read')->see('Met, and the button is snug');
            self::step('Open, release')->see("Met and snug $n of 2 times");
        }
        $browser->press('Release it, keep the recipe')->see('It may be sewn on the garment')->see('Print the recipe');
        self::assertStringContainsString('That all 6 are', $browser->text());
        // The next such button is offered it.
        $browser->press('Another button')->see('The garment')->see('saved');
        self::step('Open, release')->see('A recipe');
        $browser->size(1280, 800);
        self::assertQuiet();
    }

    public function test_a_tight_button_says_the_one_change_in_this_machines_terms(): void
    {
        $browser = $this->job();
        self::step('Look');
        self::type('Left side', '21');
        self::type('Right side', '21');
        self::type('Opening, as it is cut', '17');
        self::pick('tight')->press('Keep what was read')->see('snip on, stitch by stitch');
        self::type('Left side', '21');
        self::type('Right side', '21');
        self::pick('tight')->press('Keep what was read')->see('make the next opening longer by 0.5 mm')->see('For the next:')->see('Size a buttonhole');
        self::assertQuiet();
    }

    public function test_the_strip_and_the_swing_of_the_button(): void
    {
        $browser = $this->job();
        self::type('How many', '3');
        self::step('Where')->see('3 holes')->see('20 · 100 · 180');
        $href = (string) $browser->driver->executeScript("return [...document.querySelectorAll('a')].find((a) => a.textContent === 'Strip, A4').getAttribute('href')");
        $status = $browser->driver->executeAsyncScript("fetch(arguments[0]).then((r) => arguments[1](r.status + ' ' + r.headers.get('content-type')))", [$href]);
        self::assertSame('200 application/pdf', $status);
        self::step('Button on')->see('Width 3.5')->see('0.5 mm of room at the walls');
        self::type('A hole across', '0.6');
        $browser->see('Not by machine');
        self::type('A hole across', '1.8');
        $browser->see('Width 3.5');
        // Once it is on it is looked at, and judged as it is typed.
        self::type('Swings in the first pair', '3');
        $browser->see('Two more swings');
        self::type('Swings in the first pair', '6');
        self::type('Off its place', '0.5');
        $browser->driver->executeScript("document.querySelectorAll('[role=group][aria-label] input[value=yes]').forEach((i) => i.click())");
        $browser->see('Met: it sits, and it holds.');
        self::assertQuiet();
    }
}
