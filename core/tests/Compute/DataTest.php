<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Compute;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class DataTest extends TestCase
{
    private static function data(): Data
    {
        return Data::of(['name' => 'seam', 'n' => 3, 'x' => 2.5, 'yes' => true, 'list' => ['a', 'b'], 'numbers' => [1, 2.5], 'part' => ['deep' => ['er' => 1]], 'parts' => [['id' => 'one'], ['id' => 'two']], 'mixed' => [1, 'a']]);
    }

    public function test_reads_by_type(): void
    {
        $d = self::data();
        self::assertSame(['seam', 3.0, 3, 2.5, true, false], [$d->text('name'), $d->number('n'), $d->whole('n'), $d->number('x'), $d->flag('yes'), $d->flag('missing')]);
        self::assertSame([['a', 'b'], [1.0, 2.5], 'two', 1.0], [$d->texts('list'), $d->numbers('numbers'), $d->parts('parts')[1]->text('id'), $d->part('part')->part('deep')->number('er')]);
        self::assertSame(['else', 7.0, null, []], [$d->text('none', 'else'), $d->number('none', 7.0), $d->numberOrNull('none'), $d->items('none')]);
        self::assertTrue($d->has('part'));
        self::assertFalse($d->has('none'));
    }

    /** @return iterable<string, array{callable(Data): mixed, string}> */
    public static function misses(): iterable
    {
        yield 'missing text' => [fn (Data $d): string => $d->text('none'), 'none'];
        yield 'number for text' => [fn (Data $d): string => $d->text('n'), 'n'];
        yield 'text for number' => [fn (Data $d): float => $d->number('name'), 'name'];
        yield 'half for whole' => [fn (Data $d): int => $d->whole('x'), 'x'];
        yield 'text for flag' => [fn (Data $d): bool => $d->flag('name'), 'name'];
        yield 'text for list' => [fn (Data $d): array => $d->items('name'), 'name'];
        yield 'object for list' => [fn (Data $d): array => $d->items('part'), 'part'];
        yield 'number among texts' => [fn (Data $d): array => $d->texts('mixed'), 'mixed'];
        yield 'text among numbers' => [fn (Data $d): array => $d->numbers('mixed'), 'mixed'];
        yield 'text for part' => [fn (Data $d): Data => $d->part('name'), 'name'];
        yield 'number for parts' => [fn (Data $d): array => $d->parts('mixed'), 'mixed[0]'];
        yield 'deep' => [fn (Data $d): string => $d->part('part')->part('deep')->text('er'), 'part.deep.er'];
        yield 'in a list' => [fn (Data $d): float => $d->parts('parts')[1]->number('id'), 'parts[1].id'];
    }

    /** @param  callable(Data): mixed  $read */
    #[DataProvider('misses')]
    public function test_names_the_whole_path(callable $read, string $field): void
    {
        try {
            $read(self::data());
            self::fail('It was read.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
        }
    }

    public function test_words_are_said_in_the_persons_unit(): void
    {
        [$mm, $inch] = [Words::in(), Words::in(Unit::Inch)];
        self::assertSame(['15.9 mm', '5/8 in'], [$mm->length(15.9), $inch->length(15.9)]);
        self::assertSame(['+3.0 mm', '+1/8 in', "\u{2212}3.0 mm", "\u{2212}1/8 in"], [$mm->signed(3.0), $inch->signed(3.0), $mm->signed(-3.0), $inch->signed(-3.0)]);
        self::assertSame(['2.50 mm', '3', '2.5'], [$inch->mm(2.5, 2), $mm->number(3.0), $mm->number(2.5)]);
        self::assertSame('0.0 mm', $mm->length(-0.01), 'no minus before nothing');
        self::assertStringContainsString('Count 12 stitches (about 14 mm)', $mm->say('again.stitch', ['count' => '12', 'span' => '14 mm']));
    }

    public function test_unknown_phrases_and_languages_are_refused(): void
    {
        foreach ([fn () => Words::in(language: 'xx'), fn () => Words::in(language: '../en'), fn () => Words::in()->say('no.such.phrase')] as $act) {
            try {
                $act();
                self::fail('It was said.');
            } catch (\InvalidArgumentException $e) {
                self::assertNotSame('', $e->getMessage());
            }
        }
    }

    /** Every phrase the code asks for is there, with the blanks it fills. */
    public function test_every_phrase_in_the_code_exists(): void
    {
        /** @var array<string, string> $phrases */
        $phrases = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/resources/phrases.en.json'), true);
        $asked = 0;
        // Where the core stands alone there is no application beside it.
        $folders = array_filter([dirname(__DIR__, 2).'/src', dirname(__DIR__, 3).'/app'], is_dir(...));
        foreach ($folders as $folder) {
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($folder, \FilesystemIterator::SKIP_DOTS)) as $file) {
                if (! $file instanceof \SplFileInfo) {
                    continue;
                }
                preg_match_all("/->say\('([a-z.-]+[a-z])'[,)]/", (string) file_get_contents($file->getPathname()), $m);
                foreach ($m[1] as $key) {
                    self::assertArrayHasKey($key, $phrases, $file->getFilename());
                    $asked++;
                }
            }
        }
        self::assertGreaterThan(25, $asked);
    }

    public function test_what_speaks_to_the_teacher_is_said_otherwise_to_who_sews(): void
    {
        $words = Words::in(Unit::Inch);
        self::assertSame('First time: show it, then let them sew the sampler.', $words->say('change.first-time'));
        self::assertSame('New: watch it shown, then sew the sampler.', $words->theirs()->say('change.first-time'));
        self::assertSame($words->say('change.other-way'), $words->theirs()->say('change.other-way'), 'with the same ruler');
        /** @var array<string, string> $phrases */
        $phrases = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/resources/phrases.en.json'), true);
        foreach (array_keys($phrases) as $key) {
            str_starts_with($key, 'their.') && self::assertArrayHasKey(substr($key, 6), $phrases, 'it is said to both');
        }
    }
}
