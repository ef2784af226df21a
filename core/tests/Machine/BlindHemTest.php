<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\BlindHem;
use OpenSeam\Core\Picture\BlindHemPicture;
use OpenSeam\Core\Picture\Shape;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** How deep a swing bites into the fold, worked by hand and read off the picture. */
final class BlindHemTest extends TestCase
{
    /** @return iterable<string, array{float, float, float, float, string}> width, position, blade, bite, verdict */
    public static function settings(): iterable
    {
        // The swing reaches 1.5 mm to the left of the centre; the fold's edge lies 1 mm to the left: half a millimetre is in it.
        yield 'it just bites' => [3.0, 0.0, -1.0, 0.5, 'good'];
        yield 'too deep' => [3.0, 0.0, 0.0, 1.5, 'picks'];
        yield 'beside it' => [3.0, 0.0, -2.0, -0.5, 'misses'];
        yield 'on the very edge' => [3.0, 0.0, -1.4, 0.1, 'split'];
        yield 'wider reaches further' => [4.0, 0.0, -1.5, 0.5, 'good'];
        yield 'needle to the left reaches further' => [3.0, -1.0, -2.0, 0.5, 'good'];
        yield 'the straight row would fall on the blade' => [3.0, 0.0, 1.5, 3.0, 'on-blade'];
    }

    #[DataProvider('settings')]
    public function test_worked_by_hand(float $width, float $position, float $blade, float $bite, string $verdict): void
    {
        $set = BlindHem::of($width, $position, $blade);
        self::assertSame([$bite, $verdict], [$set->biteMm, $set->verdict]);
        $mirrored = BlindHem::of($width, -$position, -$blade, true);
        self::assertSame([$bite, $verdict], [$mirrored->biteMm, $mirrored->verdict], 'and in a mirror');
    }

    /** Right-side pick at most 1 mm: the craft's own limit. Opened, both holes lie as far from the crease. */
    public function test_a_pick_shows_twice_the_bite(): void
    {
        self::assertSame(1.0, BlindHem::of(3, 0, -1)->pickMm());
        self::assertSame(0.0, BlindHem::of(3, 0, -2)->pickMm());
    }

    public function test_one_move_puts_it_right(): void
    {
        $steps = ['width' => 0.1, 'position' => 0.5, 'blade' => 0.25];
        for ($width = 2.5; $width <= 5; $width += 0.5) {
            for ($blade = -3.0; $blade <= 1.0; $blade += 0.25) {
                $set = BlindHem::of($width, 0.0, $blade);
                $move = $set->move($steps);
                if ($move === null) {
                    self::assertLessThan(0.5, abs($set->pickMm() - BlindHem::PICK_MM), "$width $blade");

                    continue;
                }
                $to = BlindHem::of($move['control'] === 'width' ? $move['to'] : $width, $move['control'] === 'position' ? $move['to'] : 0.0, $move['control'] === 'blade' ? $move['to'] : $blade);
                self::assertEqualsWithDelta($move['pick_mm'], 2 * $to->biteMm, 1e-6);
                self::assertLessThan(abs(2 * $set->biteMm - BlindHem::PICK_MM), abs(2 * $to->biteMm - BlindHem::PICK_MM), 'nearer than before');
            }
        }
    }

    public function test_what_a_test_showed_counts_more_than_what_was_worked_out(): void
    {
        // By its numbers it is right; a pick of 3 mm says that the fold lies elsewhere.
        $move = BlindHem::of(3, 0, -1)->move(['width' => 0.0, 'position' => 0.0, 'blade' => 0.5], 3.0);
        self::assertSame(['blade', -2.0], [$move['control'] ?? null, $move['to'] ?? null]);
        self::assertNull(BlindHem::of(3, 0, -1)->move(['width' => 0.0, 'position' => 0.0, 'blade' => 0.0], 3.0), 'nothing that could be moved');
    }

    public function test_the_finest_step(): void
    {
        // Half a millimetre of width moves each end by a quarter.
        self::assertSame('width', BlindHem::finest(['width' => 0.5, 'position' => 0.5, 'blade' => 0.5]));
        self::assertSame('blade', BlindHem::finest(['width' => 1.0, 'position' => 0.5, 'blade' => 0.25]));
        self::assertNull(BlindHem::finest(['width' => 0.0, 'position' => 0.0, 'blade' => 0.0]));
    }

    public function test_the_picture_bites_as_deep(): void
    {
        foreach ([[3.0, 0.0, -1.0], [4.0, 0.5, -1.0]] as [$width, $position, $blade]) {
            foreach ([false, true] as $stretch) {
                $set = BlindHem::of($width, $position, $blade);
                $picture = BlindHemPicture::of($set, $stretch);
                [$row] = array_values(array_filter($picture->shapes, fn (Shape $s): bool => $s->role === 'thread'));
                self::assertEqualsWithDelta($set->biteMm, $blade - min(array_column($row->points, 1) ?: [0.0]), 1e-9);
            }
        }
    }

    public function test_what_no_machine_has_is_refused(): void
    {
        foreach ([['width_mm' => 0], ['width_mm' => 3, 'blade_mm' => 40], ['width_mm' => 3, 'blade_mm' => 1, 'position_mm' => 9]] as $bad) {
            try {
                BlindHem::read(Data::of($bad));
                self::fail('it was taken');
            } catch (InputError $e) {
                self::assertStringContainsString('_mm', $e->field);
            }
        }
    }
}
