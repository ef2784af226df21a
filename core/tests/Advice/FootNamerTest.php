<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Advice;

use OpenSeam\Core\Advice\FootNamer;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Picture\FootLook;
use OpenSeam\Core\Stitch\StitchKind;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A foot is known by what is seen on it. */
final class FootNamerTest extends TestCase
{
    /** @return iterable<string, array{string}> */
    public static function kinds(): iterable
    {
        foreach (array_keys(FootBook::standard()->all()) as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('kinds')]
    public function test_all_that_is_seen_on_a_foot_names_it(string $id): void
    {
        $guess = FootNamer::guess(FootNamer::seenOn(FootBook::standard()->get($id)));
        self::assertEqualsWithDelta(max($guess), $guess[$id] ?? 0.0, 1e-12, 'no other kind is likelier');
    }

    public function test_what_only_one_has_tells_it(): void
    {
        foreach (['scroll' => 'rolled-hem', 'funnel' => 'binding', 'upper-feed' => 'walking', 'rollers' => 'roller', 'blade' => 'blind-hem', 'one-toe' => 'zip', 'channels' => 'concealed-zip', 'spring' => 'free-motion', 'slider' => 'buttonhole-four-step'] as $seen => $kind) {
            self::assertSame($kind, array_key_first(FootNamer::guess([$seen])), $seen);
        }
    }

    /** Bayes' rule by hand for the two kinds with a groove and a wide opening: all else equal they share what is left. */
    public function test_kinds_that_look_alike_stay_alike(): void
    {
        $guess = FootNamer::guess(['slot', 'wide-hole']);
        self::assertGreaterThan(4, count($guess), 'several are named where little was seen');
        self::assertLessThanOrEqual(1.0 + 1e-9, array_sum($guess));
    }

    public function test_one_thing_overlooked_does_not_hide_it(): void
    {
        foreach (['overcast', 'quarter-inch', 'binding', 'free-motion'] as $id) {
            $seen = FootNamer::seenOn(FootBook::standard()->get($id));
            array_shift($seen);
            self::assertArrayHasKey($id, FootNamer::guess($seen), $id);
        }
    }

    public function test_everything_that_can_be_picked_has_words_and_a_foot(): void
    {
        foreach (FootNamer::all() as $seen => $kind) {
            self::assertNotSame('', Words::in()->say("foot-part.$seen"));
            self::assertContains($seen, FootNamer::seenOn($kind));
        }
        foreach (FootBook::standard()->all() as $id => $kind) {
            self::assertContains(FootLook::of($id)->toes, FootLook::TOES);
            foreach (FootNamer::measures($kind) as $measure) {
                self::assertNotSame('', Words::in()->say("foot-measure.$measure"));
            }
        }
    }

    public function test_nothing_and_nonsense_are_refused(): void
    {
        foreach ([[], ['wings']] as $seen) {
            try {
                FootNamer::guess($seen);
                self::fail('it was named');
            } catch (InputError $e) {
                self::assertStringContainsString('scroll', $e->getMessage());
            }
        }
    }

    private static function foot(string $kind): Foot
    {
        return Foot::read(Data::of(['kind' => $kind]));
    }

    /** Common practice, no source: a narrow hole takes no swing, a finger no narrow one. */
    public function test_what_strikes_it(): void
    {
        self::assertSame('Straight stitch only: any swing may strike it.', FootNamer::strikes(self::foot('straight'), Words::in()));
        self::assertSame('A swing narrower than 4.5 mm strikes its finger.', FootNamer::strikes(self::foot('overcast'), Words::in()));
        self::assertSame('A swing wider than 7.0 mm may strike it.', FootNamer::strikes(self::foot('standard'), Words::in()));
        foreach (FootBook::standard()->all() as $id => $kind) {
            self::assertSame(self::foot($id)->largestSwingMm <= 0.0, str_contains(FootNamer::strikes(self::foot($id), Words::in()), 'any swing'), $id);
        }
    }

    public function test_what_it_sews_never_strikes_it(): void
    {
        foreach (array_keys(FootBook::standard()->all()) as $id) {
            foreach (FootNamer::sews(self::foot($id)) as $stitch) {
                self::assertContains($id, $stitch->feet);
                self::assertFalse($stitch->swings() && self::foot($id)->largestSwingMm <= 0.0, "$id $stitch->id");
            }
        }
        self::assertContains('blind-hem', array_map(fn (StitchKind $s): string => $s->id, FootNamer::sews(self::foot('blind-hem'))));
    }

    public function test_machines_that_swing_what_it_is_for(): void
    {
        $machine = fn (string $name, array $facts): Machine => Machine::read(Data::of(['name' => $name] + $facts));
        $room = new Room(['a' => $machine('Straight', ['drive' => 'straight-only']), 'b' => $machine('Narrow', ['drive' => 'mechanical', 'widest_swing_mm' => 4]), 'c' => $machine('Wide', ['drive' => 'computerised', 'widest_swing_mm' => 7])], []);
        $on = fn (string $foot): array => array_map(fn (Machine $m): string => $m->name, FootNamer::on(self::foot($foot), $room));
        self::assertSame(['Straight', 'Narrow', 'Wide'], $on('quarter-inch'));
        self::assertSame(['Narrow', 'Wide'], $on('standard'), 'a swing is wanted');
        self::assertSame(['Wide'], $on('overcast'), 'its finger wants a wide one');
    }
}
