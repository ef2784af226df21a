<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Picture\LineArt;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Picture\MachinePicture;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Picture\ThreadWay;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The kinds of machine in a room are told apart by their outline; where a part sits is common practice, no source. */
final class MachinePictureTest extends TestCase
{
    /** @return iterable<string, array{MachineLook}> */
    public static function looks(): iterable
    {
        yield 'front bobbin' => [new MachineLook];
        yield 'drop-in bobbin and a screen' => [new MachineLook('drop-in', screen: true)];
        yield 'threaded from the side' => [new MachineLook(sideThreading: true)];
        yield 'turned by hand' => [new MachineLook(crank: true, straightOnly: true)];
        yield 'turned by hand, threaded from the side' => [new MachineLook(sideThreading: true, crank: true, straightOnly: true)];
    }

    /** @param  array<string, mixed>  $spec */
    private static function draw(MachineLook $look, array $spec = []): Picture
    {
        return (new MachinePicture)->draw(Data::of(['kind' => 'machine', ...$spec]), new Shown(machine: $look));
    }

    private static function has(Picture $picture, string $part): bool
    {
        foreach (LineArt::standard()->of('machine', $part, 'part')->shapes as $shape) {
            if (! in_array($shape, $picture->shapes)) {
                return false;
            }
        }

        return true;
    }

    public function test_each_kind_has_an_outline_of_its_own(): void
    {
        $drawn = array_map(fn (array $of): array => self::draw($of[0])->shapes, iterator_to_array(self::looks()));
        self::assertCount(5, array_unique(array_map(serialize(...), $drawn)));
        self::assertTrue(self::has(self::draw(new MachineLook), 'body'));
        self::assertTrue(self::has(self::draw(new MachineLook(sideThreading: true)), 'body-cast'));
        self::assertTrue(self::has(self::draw(new MachineLook(crank: true)), 'base-wood'), 'one that a hand turns stands on wood');
    }

    #[DataProvider('looks')]
    public function test_the_thread_goes_through_what_it_is_said_to_go_through(MachineLook $look): void
    {
        $near = function (string $part, array $at, float $mm): void {
            $box = LineArt::standard()->of('machine', $part, 'part')->box();
            self::assertGreaterThanOrEqual($box['left'] - $mm, $at[0], $part);
            self::assertLessThanOrEqual($box['left'] + $box['width'] + $mm, $at[0], $part);
            self::assertGreaterThanOrEqual($box['top'] - $mm, $at[1], $part);
            self::assertLessThanOrEqual($box['top'] + $box['height'] + $mm, $at[1], $part);
        };
        $stations = array_map(fn (array $s): array => [$s['x'], $s['y']], ThreadWay::on($look)->stations);
        $near('spool', $stations[0], 0);
        $near('guide', $stations[1], 4);
        $near($look->sideThreading ? 'tension-side' : 'tension', $stations[2], 2);
        $near('takeup', $stations[3], 2);
        $near('needle', $stations[5], 1);
        // It is one thread: as far as one station it is the beginning of the way to the next.
        for ($n = 1; $n < ThreadWay::STATIONS; $n++) {
            $short = ThreadWay::on($look)->upTo($n);
            self::assertSame($short, array_slice(ThreadWay::on($look)->upTo($n + 1), 0, count($short)));
        }
        $thread = array_values(array_filter(self::draw($look, ['threaded' => 6])->shapes, fn (Shape $s): bool => $s->role === 'thread'));
        self::assertSame(ThreadWay::on($look)->upTo(6), $thread[0]->points);
    }

    #[DataProvider('looks')]
    public function test_no_two_numbers_lie_on_each_other_and_none_covers_its_station(MachineLook $look): void
    {
        $labels = array_values(array_filter(self::draw($look, ['threaded' => 6])->labels, fn ($l): bool => $l->number !== ''));
        self::assertSame(['1', '2', '3', '4', '5', '6'], array_map(fn ($l): string => $l->number, $labels));
        foreach ($labels as $i => $a) {
            foreach (array_slice($labels, $i + 1) as $b) {
                self::assertGreaterThan(26.0, hypot($a->x - $b->x, $a->y - $b->y), "$a->number and $b->number");
            }
            $station = ThreadWay::on($look)->stations[$i];
            self::assertGreaterThan(13.0, abs($a->x - $station['x']));
        }
    }

    public function test_the_eye_is_threaded_from_the_side_where_the_machine_has_it_there(): void
    {
        $arrow = fn (MachineLook $look): int => count(array_filter(self::draw($look, ['near' => 'head', 'lit' => ['needle']])->shapes, fn (Shape $s): bool => $s->role === 'arrow'));
        self::assertSame([0, 1], [$arrow(new MachineLook), $arrow(new MachineLook(sideThreading: true))]);
    }

    /** A machine turned by hand has no current: no lead, no lamp, no pedal, no switch. */
    public function test_one_turned_by_hand_has_nothing_electric(): void
    {
        $hand = self::draw(new MachineLook(crank: true));
        foreach (['switch', 'lead', 'socket', 'plug-in', 'pedal', 'light'] as $part) {
            self::assertFalse(self::has($hand, $part), $part);
            self::assertTrue(self::has(self::draw(new MachineLook), $part), $part);
        }
        self::assertTrue(self::has($hand, 'crank'));
        // Where a lesson speaks of the plug, there it is the crank that stands still.
        self::assertSame('part-plug', self::draw(new MachineLook(crank: true), ['lit' => ['plug']])->labels[0]->key);
    }

    public function test_what_a_machine_does_not_have_is_not_drawn(): void
    {
        self::assertFalse(self::has(self::draw(new MachineLook(straightOnly: true)), 'width'), 'a needle that does not swing');
        self::assertFalse(self::has(self::draw(new MachineLook(screen: true)), 'selector'));
        self::assertTrue(self::has(self::draw(new MachineLook(screen: true)), 'screen'));
        $this->expectExceptionObject(InputError::at('lit[0]', 'engine', 'It must be one of: '.implode(', ', LineArt::standard()->ids('machine')).'.'));
        self::draw(new MachineLook, ['lit' => ['engine']]);
    }

    public function test_it_looks_as_what_is_known_of_it_says(): void
    {
        $look = fn (array $facts): MachineLook => MachineLook::of(Machine::read(Data::of(['drive' => 'mechanical', ...$facts])));
        self::assertEquals(new MachineLook, $look([]));
        self::assertEquals(new MachineLook('drop-in'), $look(['also' => ['drop-in-bobbin']]));
        self::assertEquals(new MachineLook(sideThreading: true, crank: true), $look(['also' => ['side-threading', 'hand-crank']]));
        self::assertTrue($look(['drive' => 'computerised'])->screen);
        self::assertSame(['body'], $look(['drive' => 'computerised', 'also' => ['side-threading']])->body(), 'one with a screen is not cast');
    }
}
