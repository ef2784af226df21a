<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Advice;

use OpenSeam\Core\Advice\FootNamer;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Picture\FootLook;
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
}
