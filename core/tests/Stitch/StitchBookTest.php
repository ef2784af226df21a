<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Stitch;

use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Stitch\StitchSettings;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The stitches as data: what any entry must be, new ones too. */
final class StitchBookTest extends TestCase
{
    /** @return iterable<string, array{StitchKind}> */
    public static function kinds(): iterable
    {
        foreach (StitchBook::standard()->all() as $id => $kind) {
            yield $id => [$kind];
        }
    }

    #[DataProvider('kinds')]
    public function test_an_entry_is_whole(StitchKind $kind): void
    {
        self::assertNotSame('', $kind->title.$kind->about);
        self::assertContains($kind->generator, ['pattern', 'buttonhole', 'button']);
        self::assertNotSame([], $kind->feet, 'somebody must sew it');
        foreach ($kind->feet as $foot) {
            self::assertArrayHasKey($foot, FootBook::standard()->all());
        }
        foreach ([$kind->length, $kind->width] as $span) {
            self::assertTrue($span->min <= $span->usual && $span->usual <= $span->max);
        }
        self::assertSame($kind->generator === 'button', $kind->staysInPlace(), 'only on the spot is there no length');
        self::assertFalse($kind->feedDropped && ! $kind->staysInPlace());
        // A swing needs a foot that takes one.
        if ($kind->swings()) {
            $swinging = array_filter($kind->feet, fn (string $f): bool => ! FootBook::standard()->get($f)->straightOnly);
            self::assertNotSame([], $swinging);
        }
    }

    #[DataProvider('kinds')]
    public function test_a_pattern_goes_on_and_repeats(StitchKind $kind): void
    {
        if ($kind->generator !== 'pattern') {
            self::assertContains($kind->end, ['', 'rectangular', 'round', 'keyhole']);

            return;
        }
        $net = array_sum(array_column($kind->strokes, 0));
        self::assertGreaterThan(0, $net, 'the cloth moves on');
        self::assertSame($kind->start, $kind->strokes[count($kind->strokes) - 1][1], 'a cycle ends across where it began');
        foreach ($kind->strokes as [$feed, $across]) {
            self::assertLessThanOrEqual(1.0, abs($across), 'inside its own swing');
            self::assertLessThanOrEqual(1.0, abs($feed));
        }
        // Three cycles on: the same stitches, moved along by three times the net feed.
        $settings = StitchSettings::of($kind);
        $points = NeedlePoints::along($settings, $net * 7 * $settings->lengthMm);
        $cycle = count($kind->strokes);
        foreach (range(0, $cycle - 1) as $i) {
            self::assertEqualsWithDelta($points[$i][0] + 3 * $net * $settings->lengthMm, $points[$i + 3 * $cycle][0], 1e-9);
            self::assertEqualsWithDelta($points[$i][1], $points[$i + 3 * $cycle][1], 1e-9);
        }
    }

    #[DataProvider('kinds')]
    public function test_wider_uses_more_thread_and_longer_less(StitchKind $kind): void
    {
        if ($kind->generator !== 'pattern' || ! $kind->swings()) {
            self::assertSame(0.0, $kind->generator === 'pattern' ? $kind->width->max : 0.0);

            return;
        }
        $path = fn (float $length, float $width): float => NeedlePoints::pathMm(NeedlePoints::along(StitchSettings::of($kind, $length, $width), 240.0));
        [$length, $width] = [$kind->length->usual, max(1.0, $kind->width->usual)];
        self::assertGreaterThan($path($length, $width), $path($length, min($kind->width->max, $width * 1.5)));
        self::assertLessThan($path($length, $width), $path(min($kind->length->max, $length * 1.5), $width));
    }

    /** Dense is what covers the cloth: the thread lies closer than a third of a 5 mm swing; common practice, no source. */
    public function test_dense_stitches_are_the_dense_ones(): void
    {
        foreach (StitchBook::standard()->all() as $id => $kind) {
            if ($kind->generator === 'pattern') {
                self::assertSame($kind->dense, $kind->length->usual <= 0.5, (string) $id);
            }
        }
    }

    /** Stitches per inch: 25.4/L; 10 and 12 are the marks of older dials. Trade fact: common practice, no source. */
    public function test_marks_of_older_dials(): void
    {
        foreach ([6 => 4.23, 10 => 2.54, 12 => 2.12] as $perInch => $length) {
            self::assertEqualsWithDelta($length, 25.4 / $perInch, 0.005);
            self::assertCount($perInch + 1, NeedlePoints::along(StitchSettings::of(StitchBook::standard()->get('straight'), 25.4 / $perInch), 25.4));
        }
    }

    public function test_a_filled_shape_grows_and_falls_back(): void
    {
        $points = NeedlePoints::along(StitchSettings::of(StitchBook::standard()->get('pennant'), 0.5, 6), 10);
        $reach = array_values(array_filter(array_column($points, 1), fn (float $a): bool => $a > -3));
        // Ten steps from the base line to the full 6 mm, then from the base again.
        self::assertEqualsWithDelta([-2.4, -1.8, -1.2, -0.6, 0, 0.6, 1.2, 1.8, 2.4, 3.0], array_slice($reach, 0, 10), 1e-9);
        self::assertEqualsWithDelta(-2.4, $reach[10], 1e-9);
    }
}
