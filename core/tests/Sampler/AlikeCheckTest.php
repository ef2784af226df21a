<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Sampler;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\ToleranceOutOfOrder;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Check\AlikeCheck;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class AlikeCheckTest extends TestCase
{
    private static function field(int $size = 2): Field
    {
        return new Field('density', 'Stitches in 10 mm', FieldKind::Counts, 1, 100, 1, array_fill(0, $size, Mark::at(1)));
    }

    /** @return iterable<string, array{list<float|null>, string|null, string}> by hand: (largest − smallest) ÷ mean */
    public static function pairs(): iterable
    {
        yield 'the same' => [[20.0, 20.0], 'met', 'differ by 0 %'];
        yield 'just inside 15 %' => [[18.6, 21.6], 'met', 'differ by 15 %'];
        yield 'near' => [[17.0, 21.0], 'near', 'differ by 21 %'];
        yield 'exactly 30 %' => [[17.0, 23.0], 'near', 'differ by 30 %'];
        yield 'beyond' => [[16.0, 24.0], 'not-yet', 'differ by 40 %'];
        yield 'either way round' => [[24.0, 16.0], 'not-yet', 'differ by 40 %'];
        yield 'one missing' => [[20.0, null], null, ''];
        yield 'none' => [[null, null], null, ''];
    }

    /** @param  list<float|null>  $values */
    #[DataProvider('pairs')]
    public function test_share_of_the_mean(array $values, ?string $verdict, string $text): void
    {
        $result = (new AlikeCheck(15, 30))->judge(self::field(), $values, Words::in());
        self::assertSame($verdict, $result?->judgement->verdict->value);
        self::assertSame($text, $result->text ?? '');
        self::assertSame($verdict === null || $verdict === 'met' ? null : 'high', $result?->fix);
    }

    public function test_more_than_two(): void
    {
        $result = (new AlikeCheck(10, 20))->judge(self::field(4), [37.5, 38.0, 36.0, 39.0], Words::in());
        self::assertEqualsWithDelta(100 * 3 / 37.625, (float) ($result->figures['percent'] ?? 0), 1e-9);
    }

    public function test_tolerances_the_wrong_way_round(): void
    {
        $this->expectException(ToleranceOutOfOrder::class);
        new AlikeCheck(30, 15);
    }

    public function test_counts_are_whole_and_in_range(): void
    {
        $lesson = Fixtures::bundle()->lesson('buttonhole');
        $typed = fn (array $values): array => Readings::typed($lesson->sampler, ['sewn.density' => $values], Unit::Millimetre)->values['sewn.density'];
        self::assertSame([20.0, 22.0], $typed(['20', 22]));
        foreach ([['20.5'], ['0'], ['-3'], ['abc'], [1, 2, 3]] as $wrong) {
            try {
                $typed($wrong);
                self::fail('It was taken: '.json_encode($wrong));
            } catch (InputError $e) {
                self::assertStringStartsWith('readings.sewn.density', $e->field);
            }
        }
    }

    /** A reading with a magnifier is surer than one with a ruler: the same value, another verdict. */
    public function test_a_magnifier_settles_what_a_ruler_cannot(): void
    {
        $lesson = Fixtures::bundle()->lesson('zigzag-ladder');
        $field = $lesson->sampler->rows['average']->fields['width'];
        $check = $lesson->sampler->rows['average']->checks[0]->check;
        self::assertSame(0.2, $field->limitMm);
        self::assertSame('met', $check->judge($field, [3.6], Words::in())?->judgement->verdict->value);
        $ruler = new Field('width', 'Width', FieldKind::Length, 0, 10, 0.5);
        self::assertSame('unsure', $check->judge($ruler, [3.6], Words::in())?->judgement->verdict->value);
    }
}
