<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Tests\Browser\Support\Browser;

/** How many keys it takes: the first sample of a term, and a class's seams one after the other. */
final class KeysTest extends BrowserCase
{
    private const STUDENTS = ['Alder', 'Briony', 'Cole', 'Dove', 'Esk', 'Flint', 'Gorse', 'Hazel'];

    private string $class = '';

    private int $pressed = 0;

    protected function setUp(): void
    {
        parent::setUp();
        $this->signIn();
        // The session runs now: by the clock of the application, whatever the machine's is. The demo studio is in UTC.
        $now = strtotime((string) $this->asked('GET', '/api/classes/'.$this->classId().'/today')['now']) ?: null;
        $this->class = (string) $this->asked('POST', '/api/classes', [
            'name' => 'Keys', 'starts_on' => gmdate('Y-m-d', $now), 'time' => gmdate('H:i', $now), 'sessions' => 8, 'minutes' => 120, 'helpers' => 0, 'machines' => 8, 'students' => self::STUDENTS, 'began' => true,
        ])['id'];
    }

    protected function tearDown(): void
    {
        $this->class === '' || $this->asked('DELETE', "/api/classes/$this->class");
        parent::tearDown();
    }

    /**
     * @param  array<string, mixed>  $body
     * @return array<array-key, mixed>
     */
    private function asked(string $method, string $path, array $body = []): array
    {
        /** @var array<array-key, mixed> $answer */
        $answer = (array) self::browser()->driver->executeAsyncScript(
            'const [method, path, body, done] = arguments; fetch(path, {method, headers: {Accept: "application/json", "Content-Type": "application/json", "X-XSRF-TOKEN": decodeURIComponent(/XSRF-TOKEN=([^;]+)/.exec(document.cookie)[1])}, ...(method === "POST" ? {body: JSON.stringify(body)} : {})}).then((r) => r.status === 204 ? {} : r.json()).then(done)',
            [$method, $path, $body],
        );

        return $answer;
    }

    private function keys(string ...$keys): Browser
    {
        foreach ($keys as $key) {
            // A value is so many keys; a named key is one, whatever it is written with.
            $this->pressed += mb_strlen($key);
            self::browser()->keys($key);
        }

        return self::browser()->rest();
    }

    private function kept(): int
    {
        return array_sum(array_map(fn (array $s): int => count($s['kept']), (array) $this->asked('GET', "/api/classes/$this->class/today")['students']));
    }

    public function test_a_first_sample_is_kept_with_at_most_twelve_keys(): void
    {
        $browser = self::browser()->go("/today/$this->class")->see('Look at the sample')->rest();
        $browser->driver->executeScript('document.activeElement.blur()');
        $this->keys(WebDriverKeys::ENTER)->see('Hair, sleeves');
        $this->keys('y', 'y', 'y', 'y', 'y', 'y');
        $browser->chord(WebDriverKeys::CONTROL, WebDriverKeys::ENTER);
        $this->pressed++;
        $browser->until('it is kept', fn (): bool => $this->kept() === 1);
        self::assertLessThanOrEqual(12, $this->pressed);
    }

    public function test_eight_seams_are_read_with_at_most_three_hundred_keys(): void
    {
        $browser = self::browser()->go("/round/$this->class?lesson=first-seam")->see(self::STUDENTS[0])->rest();
        foreach (self::STUDENTS as $n => $name) {
            $browser->see($name)->rest();
            foreach (['16', '15.5', '16', '16', '16', '4', '3', '3'] as $typed) {
                $this->keys($typed, WebDriverKeys::ENTER);
            }
            $this->keys('y', 'y', 'y', '55', WebDriverKeys::ENTER, 'y', WebDriverKeys::ENTER);
            $browser->until("$name's seam is kept", fn (): bool => $this->kept() === $n + 1);
        }
        self::assertLessThanOrEqual(300, $this->pressed);
        // Each as it was typed.
        $student = (string) ((array) ((array) $this->asked('GET', "/api/classes/$this->class/today")['students'])[3])['student'];
        $typed = (array) $this->asked('GET', "/api/classes/$this->class/students/$student/samples")[0];
        self::assertSame(['16', '15.5', '16', '16', '16'], ((array) ((array) $typed['typed'])['readings'])['seam.allowance']);
    }
}
