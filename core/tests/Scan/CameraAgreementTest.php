<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Scan\CameraAgreement;
use OpenSeam\Core\Scan\CameraTrust;
use OpenSeam\Core\Scan\Compared;
use OpenSeam\Core\Scan\PictureValue;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Ten by ruler and by camera, in studios whose ruler and camera are known. */
final class CameraAgreementTest extends TestCase
{
    /**
     * Samples of five marks each, read with errors drawn by lot.
     *
     * @param  float  $camera  what the camera is really out by, standard deviation, mm; it says 0.1
     * @param  float  $ruler  the ruler says so much, and is out by as much, mm
     * @param  float  $bias  the camera says so much more
     * @param  float  $shared  of each sample’s own: all its values are out by it alike
     * @return list<Compared>
     */
    private static function studio(int $seed, int $samples, float $camera, float $ruler, float $bias = 0.0, float $shared = 0.0): array
    {
        $lot = new Randomizer(new Mt19937($seed));
        $normal = fn (): float => sqrt(-2 * log($lot->getInt(1, 1_000_000) / 1_000_001)) * cos(2 * M_PI * $lot->getInt(0, 999_999) / 1_000_000);
        $pairs = [];
        for ($s = 0; $s < $samples; $s++) {
            $own = $shared * $normal();
            for ($i = 0; $i < 5; $i++) {
                $pairs[] = new Compared("s$s", PictureValue::Allowance, Reading::of(15.0 + $ruler * $normal(), $ruler), Reading::of(15.0 + $bias + $own + $camera * $normal(), 0.1));
            }
        }

        return $pairs;
    }

    /** @param  list<Compared>  $pairs */
    private static function factor(array $pairs): float
    {
        return CameraAgreement::of(PictureValue::Allowance, $pairs)->factor ?? 0.0;
    }

    public function test_nothing_follows_from_nine(): void
    {
        $nine = CameraAgreement::of(PictureValue::Allowance, self::studio(1, 9, 0.6, 0.03));
        self::assertNotNull($nine);
        self::assertFalse($nine->isEnough());
        self::assertSame(1.0, $nine->factor);
        self::assertFalse($nine->isBiased());
        self::assertSame([9, 45], [$nine->samples, $nine->values]);
        self::assertNull(CameraAgreement::of(PictureValue::Width, self::studio(1, 9, 0.6, 0.03)));
    }

    public function test_a_camera_as_sure_as_it_says_stays_so_nearly_always(): void
    {
        $raised = 0;
        for ($seed = 0; $seed < 200; $seed++) {
            $raised += self::factor(self::studio($seed, 10, 0.1, 0.1)) > 1.0 ? 1 : 0;
        }
        self::assertLessThanOrEqual(10, $raised, 'of 200 studios');
    }

    public function test_one_that_is_three_times_as_unsure_is_found_and_its_factor_too(): void
    {
        $factors = array_map(fn (int $seed): float => self::factor(self::studio($seed, 10, 0.3, 0.1)), range(0, 99));
        sort($factors);
        self::assertGreaterThan(1.0, $factors[5], '95 of 100 are found');
        self::assertEqualsWithDelta(3.0, $factors[50], 0.4, 'as large as it is');
        self::assertLessThanOrEqual(6.0, $factors[99]);
    }

    public function test_values_of_one_sample_are_one_witness(): void
    {
        // Each sample is out as a whole: fifty values tell no more of the bias than ten samples do.
        $beyond = 0;
        for ($seed = 0; $seed < 300; $seed++) {
            $found = CameraAgreement::of(PictureValue::Allowance, self::studio($seed, 10, 0.02, 0.02, 0.0, 0.5));
            self::assertNotNull($found);
            $beyond += $found->isBiased() ? 1 : 0;
        }
        // Student’s t with nine degrees of freedom at 2.26: one in twenty.
        self::assertEqualsWithDelta(15, $beyond, 12);
    }

    public function test_what_it_says_too_much_is_found_and_goes_into_how_sure_it_is(): void
    {
        $found = CameraAgreement::of(PictureValue::Allowance, self::studio(4, 12, 0.1, 0.1, 0.5));
        self::assertNotNull($found);
        self::assertTrue($found->isBiased());
        self::assertEqualsWithDelta(0.5, $found->biasMm, 0.1);
        self::assertEqualsWithDelta(hypot(0.5, 0.1) / 0.1, $found->factor, 1.0);
        // As much as a hair is nothing to look for.
        self::assertFalse(CameraAgreement::of(PictureValue::Allowance, self::studio(4, 60, 0.01, 0.01, 0.05))?->isBiased());
    }

    public function test_a_coarse_ruler_proves_nothing_better_and_a_fine_one_does(): void
    {
        for ($seed = 0; $seed < 20; $seed++) {
            self::assertSame(1.0, self::factor(self::studio($seed, 10, 0.05, 0.29)), 'whole millimetres');
        }
        self::assertEqualsWithDelta(0.55, self::factor(self::studio(3, 40, 0.03, 0.03)), 0.1, 'through a magnifier');
        self::assertSame(0.5, self::factor(self::studio(3, 60, 0.005, 0.005)), 'never less than half');
    }

    public function test_a_factor_multiplies_what_a_picture_says(): void
    {
        $trust = CameraAgreement::trust(self::studio(0, 10, 0.3, 0.05));
        $read = $trust->of(Reading::of(15.0, 0.1), PictureValue::Allowance);
        self::assertEqualsWithDelta([15.0, 0.3], [$read->value, $read->u], 0.06);
        self::assertSame(0.1, $trust->of(Reading::of(2.4, 0.1), PictureValue::Length)->u, 'nothing was compared of that');
        self::assertSame(0.1, (new CameraTrust)->of(Reading::of(2.4, 0.1), PictureValue::Width)->u);
    }

    public function test_only_what_was_read_both_ways_is_compared(): void
    {
        $sampler = Fixtures::bundle()->lesson('first-seam')->sampler;
        $typed = fn (array $values): Readings => Readings::typed($sampler, ['seam.allowance' => $values], Unit::Millimetre);
        $pairs = Compared::all('one', $sampler, $typed(['15', '', '15.5', '16']), $typed(['15.12 ±0.09', '15.2 ±0.09', '', '15.9 ±0.09', '15 ±0.09']));
        self::assertEqualsWithDelta([0.12, -0.1], array_map(fn (Compared $p): float => $p->offMm(), $pairs), 1e-9);
        self::assertEqualsWithDelta(0.09 / sqrt(3), $pairs[0]->camera->u, 1e-9);
        self::assertSame([], Compared::all('one', $sampler, $typed([]), $typed(['15'])));
    }

    public function test_stitches_are_compared_by_their_length(): void
    {
        $ladder = Fixtures::bundle()->lesson('length-ladder')->sampler;
        $key = array_key_first(array_filter($ladder->fields(), fn ($f): bool => $f->kind->value === 'stitches'));
        $typed = fn (array $values): Readings => Readings::typed($ladder, [$key => $values], Unit::Millimetre);
        [$pair] = Compared::all('one', $ladder, $typed(['16', '40']), $typed(['17', '43.01 ±0.17']));
        self::assertSame(PictureValue::Length, $pair->of);
        self::assertEqualsWithDelta([2.5, 2.53], [$pair->ruler->value, $pair->camera->value], 1e-9);
        self::assertEqualsWithDelta(2.5 / sqrt(3) * hypot(0.5 / 16, 0.5 / 40), $pair->ruler->u, 0.02, 'half a stitch, half a millimetre');
        self::assertEqualsWithDelta(0.17 / 17 / sqrt(3), $pair->camera->u, 1e-6, 'a picture counts no halves');
    }
}
