<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Buttonhole;

use OpenSeam\Core\Buttonhole\ButtonLook;
use OpenSeam\Core\Buttonhole\ButtonOn;
use OpenSeam\Core\Data;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A button on its place, and a look at it. Limits are common practice, no source; widths worked by hand. */
final class ButtonOnTest extends TestCase
{
    public function test_its_swing_is_the_machines_and_its_feed_is_what_the_machine_has(): void
    {
        $of = fn (array $machine, array $job = []): ButtonOn => ButtonOn::of(Data::of($job), Made::machine($machine));
        $usual = $of(['feed_drop' => 'drops']);
        // Holes 3.4 apart on a dial of halves: 3.5; (1.8 − 0.8) ÷ 2 − 0.1 ÷ 2 = 0.45.
        self::assertEqualsWithDelta([3.5, 0.45], [$usual->swing->widthMm, $usual->swing->marginMm], 1e-9);
        self::assertStringStartsWith('Drop the feed', $usual->setUp[0]);
        self::assertStringStartsWith('Put the cover on', $of(['feed_drop' => 'cover'])->setUp[0]);
        self::assertStringStartsWith('Set the length to 0', $of(['feed_drop' => 'none'])->setUp[0]);
        // A machine that swings 3 does not reach a hole 6 away: 3 of it would be missing.
        $far = $of(['widest_swing_mm' => 3.0], ['spacing_mm' => 6.0]);
        self::assertSame(['strike', [], []], [$far->swing->verdict, $far->swing->patterns, $far->thread]);
        self::assertStringStartsWith('Not by machine', $far->setUp[0]);
        self::assertSame(3.4, ButtonOn::of(Data::of(['spacing_mm' => 0]), null)->spacingMm, 'what is not measured is a usual button’s');
    }

    /** Each thread ends in two holes, and a pattern uses every hole. */
    public function test_the_thread_lies_from_hole_to_hole(): void
    {
        foreach ([2, 4] as $holes) {
            $on = ButtonOn::of(Data::of(['holes' => $holes, 'spacing_mm' => 3.5, 'hole_mm' => 2.0]), Made::machine(['widest_swing_mm' => 7.0]));
            self::assertSame($holes === 2 ? ['one-pair'] : ['two-rows-across', 'two-rows-along', 'cross'], array_keys($on->thread));
            foreach ($on->thread as $pattern => $lines) {
                $ends = array_merge(...$lines);
                self::assertCount($holes, array_unique(array_map(fn (array $p): string => implode(' ', $p), $ends)), $pattern);
                foreach ($ends as [$x, $y]) {
                    self::assertEqualsWithDelta([1.75, $holes === 4 ? 1.75 : 0.0], [abs($x), abs($y)], 1e-9);
                }
                foreach ($lines as [[$x1, $y1], [$x2, $y2]]) {
                    $long = hypot($x2 - $x1, $y2 - $y1);
                    self::assertEqualsWithDelta($pattern === 'cross' ? 3.5 * M_SQRT2 : 3.5, $long, 1e-9);
                }
            }
        }
    }

    /** @return iterable<string, array{array<string, mixed>, int, array<string, string|null>, bool|null, string|null}> read, holes, verdicts, met, begin of the change */
    public static function looks(): iterable
    {
        $good = ['swings_1' => 6, 'off_mm' => 0.5, 'lies' => true, 'firm' => true, 'flat' => true];
        yield 'nothing looked at' => [[], 2, ['swings_1' => null, 'off_mm' => null, 'lies' => null, 'firm' => null, 'flat' => null], null, null];
        yield 'a perfect one' => [$good, 2, ['swings_1' => 'met', 'off_mm' => 'met', 'lies' => 'met', 'firm' => 'met', 'flat' => 'met'], true, null];
        yield 'four holes and one pair looked at' => [$good, 4, ['swings_2' => null], null, null];
        yield 'at the limits' => [['swings_1' => 5, 'swings_2' => 8, 'off_mm' => 1.0] + $good, 4, ['swings_1' => 'met', 'swings_2' => 'met', 'off_mm' => 'met'], true, null];
        yield 'just beyond' => [['swings_1' => 4, 'off_mm' => 2.0] + $good, 2, ['swings_1' => 'near', 'off_mm' => 'near'], false, 'Two more swings'];
        yield 'too many and loose' => [['swings_1' => 9, 'firm' => false] + $good, 2, ['swings_1' => 'near', 'firm' => 'not-yet'], false, 'Tails to the back'];
        yield 'eleven in the second pair' => [['swings_2' => 11] + $good, 4, ['swings_2' => 'not-yet'], false, 'Fewer swings in the second'];
        yield 'far from its place' => [['off_mm' => 4.0], 2, ['off_mm' => 'not-yet', 'firm' => null], false, 'A pin through'];
        yield 'all that can be off' => [['swings_1' => 2, 'off_mm' => 3.0, 'lies' => false, 'firm' => false, 'flat' => false], 2, ['swings_1' => 'not-yet', 'lies' => 'not-yet', 'firm' => 'not-yet', 'flat' => 'not-yet'], false, 'Two more'];
        yield 'lies across' => [['lies' => false] + $good, 2, ['lies' => 'not-yet'], false, 'Line the holes up'];
        yield 'pulls the cloth' => [['flat' => false] + $good, 2, ['flat' => 'not-yet'], false, 'A matchstick'];
    }

    /**
     * @param  array<string, mixed>  $read
     * @param  array<string, string|null>  $verdicts
     */
    #[DataProvider('looks')]
    public function test_a_look_at_it(array $read, int $holes, array $verdicts, ?bool $met, ?string $change): void
    {
        $look = ButtonLook::of(Data::of($read), $holes);
        $said = array_column($look->checks, 'verdict', 'id');
        foreach ($verdicts as $id => $verdict) {
            self::assertArrayHasKey($id, $said);
            self::assertSame($verdict, $said[$id], $id);
        }
        self::assertSame($met, $look->met);
        $change === null ? self::assertNull($look->change) : self::assertStringStartsWith($change, (string) $look->change);
        self::assertSame($holes === 4, array_key_exists('swings_2', $said), 'one pair has no second');
    }
}
