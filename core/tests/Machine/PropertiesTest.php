<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use Eris\Generators;
use Eris\TestTrait;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Clearance;
use OpenSeam\Core\Machine\DialTranslator;
use OpenSeam\Core\Machine\Drive;
use OpenSeam\Core\Machine\Fit;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Guide;
use OpenSeam\Core\Machine\GuideFinder;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\TestCase;

/** What must hold whatever the numbers are. */
final class PropertiesTest extends TestCase
{
    use TestTrait;

    /** The guide finder against trying every guide, every setting and every needle position. */
    public function test_guide_finder_against_brute_force(): void
    {
        mt_srand(17);
        for ($round = 0; $round < 150; $round++) {
            $guides = [];
            $positions = array_map(fn (): float => mt_rand(-7, 7) / 2, range(1, mt_rand(1, 5)));
            for ($i = 0; $i < mt_rand(1, 6); $i++) {
                $from = mt_rand(0, 300) / 10;
                $guides[] = mt_rand(0, 1) === 1
                    ? Guide::fixed("f$i", $from, mt_rand(0, 3))
                    : Guide::adjustable("a$i", $from, $from + mt_rand(0, 40), mt_rand(1, 8) / 4, mt_rand(0, 3));
            }
            $allowance = mt_rand(10, 450) / 10;
            $least = INF;
            foreach ($guides as $g) {
                foreach ($positions as $p) {
                    for ($s = $g->minMm; $s <= $g->maxMm + 1e-9; $s += $g->adjustable ? $g->stepMm : 1e9) {
                        $least = min($least, abs($s - $p - $allowance));
                    }
                }
            }
            $found = GuideFinder::find($allowance, $guides, $positions);
            self::assertEqualsWithDelta($least, $found[0]['error_mm'], 1e-9);
            self::assertCount(count($guides), $found);
            for ($i = 1; $i < count($found); $i++) {
                self::assertGreaterThanOrEqual($found[$i - 1]['error_mm'] - 1e-9, $found[$i]['error_mm'], 'best first');
            }
            foreach ($found as $f) {
                self::assertEqualsWithDelta($f['setting_mm'] - $f['needle_position_mm'] - $allowance, $f['over_mm'], 1e-9);
                self::assertEqualsWithDelta(abs($f['over_mm']), $f['error_mm'], 1e-12);
            }
        }
    }

    /** From one dial to another and back again is where it started, inside what both can sew. */
    public function test_dials_there_and_back(): void
    {
        $names = ['stitch_names' => ['straight' => 'A', 'zigzag' => 'B']];
        $stroke = Made::machine($names + ['widest_swing_mm' => 7, 'longest_stitch_mm' => 5]);
        $cycle = Made::machine($names + ['widest_swing_mm' => 7, 'longest_stitch_mm' => 5, 'zigzag_length' => 'per-cycle']);
        $this->forAll(Generators::choose(3, 50), Generators::choose(0, 70), Generators::elements(['straight', 'zigzag']))
            ->then(function (int $length, int $width, string $stitch) use ($stroke, $cycle): void {
                $kind = StitchBook::standard()->get($stitch);
                $asked = StitchSettings::of($kind, $length / 10, $width / 10);
                $there = DialTranslator::to($cycle, $asked);
                $back = DialTranslator::to($stroke, StitchSettings::of($kind, DialTranslator::strokeLength($cycle, $there->lengthDial, $kind), $there->widthDial));
                self::assertEqualsWithDelta($asked->lengthMm, $back->lengthDial, 1e-9);
                self::assertEqualsWithDelta($asked->widthMm, $back->widthDial, 1e-9);
            });
    }

    /** The nearest of fixed zigzags is never further than any other. */
    public function test_nearest_fixed_zigzag(): void
    {
        $this->forAll(Generators::choose(0, 70), Generators::choose(2, 50), Generators::seq(Generators::tuple(Generators::choose(0, 70), Generators::choose(2, 50))))
            ->then(function (int $width, int $length, array $fixed): void {
                /** @var list<array{int, int}> $fixed */
                if ($fixed === []) {
                    return;
                }
                $m = Made::machine(['widest_swing_mm' => 7, 'fixed_zigzags' => array_map(fn (array $z, int $i): array => ['width_mm' => $z[0] / 10, 'length_mm' => $z[1] / 10, 'name' => "m$i"], $fixed, array_keys($fixed))]);
                $near = DialTranslator::nearestFixed($m, $width / 10, $length / 10);
                $far = hypot($near['width_mm'] - $width / 10, $near['length_mm'] - $length / 10);
                foreach ($m->swing->fixed as $z) {
                    self::assertGreaterThanOrEqual($far - 1e-9, hypot($z['width_mm'] - $width / 10, $z['length_mm'] - $length / 10));
                }
            });
    }

    /** What the room's table says works, no rule refuses; and no needle ever strikes there. */
    public function test_what_works_strikes_nowhere(): void
    {
        mt_srand(29);
        $book = StitchBook::standard()->own();
        $kinds = array_keys(FootBook::standard()->all());
        $works = 0;
        for ($round = 0; $round < 25; $round++) {
            $machines = [];
            foreach (['a', 'b', 'c'] as $id) {
                $widest = mt_rand(0, 18) / 2;
                $machines[$id] = Machine::read(Data::of([
                    'name' => $id, 'drive' => 'mechanical', 'widest_swing_mm' => $widest, 'slot_mm' => max(1.0, $widest + mt_rand(-2, 4) / 2), 'longest_stitch_mm' => mt_rand(2, 6),
                    'buttonhole' => ['none', 'one-step', 'four-step'][mt_rand(0, 2)], 'feed_drop' => ['drops', 'none'][mt_rand(0, 1)], 'stitch_names' => array_fill_keys($book, 'x'),
                ]));
            }
            $feet = [];
            foreach ($kinds as $kind) {
                $feet[$kind] = Foot::read(Data::of(['kind' => $kind, 'opening_left_mm' => mt_rand(5, 60) / 10, 'opening_right_mm' => mt_rand(5, 60) / 10, 'count' => mt_rand(0, 2)]));
            }
            $room = new Room($machines, $feet);
            foreach ($room->table() as $id => $row) {
                foreach ($row as $stitch => $cell) {
                    self::assertSame($cell['works'], $cell['foot'] !== null);
                    self::assertSame($cell['works'], $cell['refusals'] === []);
                    if ($cell['foot'] !== null) {
                        $works++;
                        $s = $room->usual($machines[$id], (string) $stitch);
                        $setup = Made::setup((string) $stitch, $s->kind->feedDropped ? null : $s->lengthMm, $s->widthMm);
                        $foot = $feet[$cell['foot']];
                        self::assertGreaterThan(0, $foot->count);
                        self::assertSame([], [...Fit::ofMachine($machines[$id], $setup), ...Fit::ofFoot($machines[$id], $foot, $setup)]);
                        self::assertNotSame('strike', Clearance::of($foot->openingLeftMm, $foot->openingRightMm, $s->widthMm, 0.0, 80.0)->verdict());
                    }
                }
            }
        }
        self::assertGreaterThan(100, $works, 'some do work');
    }

    /** What a machine or a foot says of itself reads back as the same. */
    public function test_facts_read_back(): void
    {
        foreach (Drive::cases() as $drive) {
            $machine = Machine::read(Data::of(['name' => 'x', 'drive' => $drive->value]));
            self::assertEquals($machine, Machine::read(Data::of($machine->facts())));
            self::assertSame($drive === Drive::StraightOnly, $machine->swing->widestMm === 0.0);
        }
        foreach (array_keys(FootBook::standard()->all()) as $kind) {
            $foot = Made::foot($kind);
            self::assertEquals($foot, Foot::read(Data::of($foot->facts())));
        }
    }

    public function test_the_needle_takes_the_nearest_position_it_has(): void
    {
        $m = Made::machine(['needle_positions_mm' => [-3.5, -1, 0, 2]]);
        foreach ([[-9.0, -3.5], [-2.0, -1.0], [0.4, 0.0], [1.4, 2.0], [3.0, 2.0]] as [$asked, $got]) {
            self::assertSame($got, $m->swing->nearestPosition($asked));
        }
    }

    public function test_the_finest_step_between_two_needle_positions(): void
    {
        $step = fn (array $positions): float => Made::machine(['needle_positions_mm' => $positions])->swing->positionStepMm();
        self::assertSame([0.0, 3.5, 0.5, 1.0], [$step([0]), $step([-3.5, 0, 3.5]), $step([2, 0, -1, 0.5, 3]), $step([0, 1])]);
    }
}
