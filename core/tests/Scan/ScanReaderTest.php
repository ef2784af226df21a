<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use InvalidArgumentException;
use OpenSeam\Core\Scan\GreyImage;
use OpenSeam\Core\Scan\NotFound;
use OpenSeam\Core\Scan\ScanReader;
use OpenSeam\Core\Scan\SimulatedSample;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class ScanReaderTest extends TestCase
{
    public function test_a_plain_row_is_read_with_its_uncertainty(): void
    {
        $read = ScanReader::read((new SimulatedSample(allowanceMm: 15.9, lengthMm: 2.5, driftMm: 2.0))->draw(1));
        self::assertNull($read->cannot);
        self::assertEqualsWithDelta(2.5, (float) $read->length?->value, 0.02);
        self::assertEqualsWithDelta(15.9, (float) $read->allowance?->value, 0.15);
        self::assertLessThan(0.1, (float) $read->allowance?->u);
        self::assertGreaterThan(0.005, (float) $read->length?->u);
        // The drift is there as well: two millimetres over the height of the scan.
        self::assertEqualsWithDelta(2.0 / 80, $read->line()->slope, 0.004);
        self::assertGreaterThan(40, count($read->marks));
    }

    public function test_a_whole_piece_with_lid_about_it(): void
    {
        foreach ([[[250, 250, 250], 14.0], [[36, 38, 40], 27.5]] as [$lid, $at]) {
            $drawn = DrawnPiece::withRow('straight', 'right', $at, 2.5, 0.0, 1.5);
            [$drawn->widthMm, $drawn->heightMm, $drawn->marginMm, $drawn->lid] = [50.0, 60.0, 8.0, $lid];
            $image = imagecreatefromstring($drawn->draw(6));
            self::assertNotFalse($image);
            $pixels = '';
            for ($y = 0; $y < imagesy($image); $y++) {
                for ($x = 0; $x < imagesx($image); $x++) {
                    $p = imagecolorat($image, $x, $y);
                    $pixels .= chr(intdiv(299 * ($p >> 16 & 255) + 587 * ($p >> 8 & 255) + 114 * ($p & 255), 1000));
                }
            }
            $read = ScanReader::read(new GreyImage(imagesx($image), imagesy($image), 300.0, $pixels));
            self::assertNull($read->cannot);
            self::assertEqualsWithDelta(2.5, (float) $read->length?->value, 0.03);
            self::assertEqualsWithDelta($at, (float) $read->allowance?->value, 0.2);
            self::assertEqualsWithDelta(1.5 / 60, $read->line()->slope, 0.004);
        }
    }

    /** @return iterable<string, array{SimulatedSample}> */
    public static function odd(): iterable
    {
        yield 'light thread' => [new SimulatedSample(contrast: -90.0, texture: 4.0, lid: 30)];
        yield 'white lid' => [new SimulatedSample(lid: 245)];
        yield 'tilted' => [new SimulatedSample(tiltDegrees: 2.5)];
        yield 'coarse scan' => [new SimulatedSample(dpi: 200.0)];
        yield 'short stitches' => [new SimulatedSample(lengthMm: 1.1)];
        yield 'long stitches' => [new SimulatedSample(lengthMm: 4.8)];
        yield 'one in fifteen missed' => [new SimulatedSample(missed: 0.066)];
        yield 'loops' => [new SimulatedSample(loopsMm: 0.9)];
    }

    #[DataProvider('odd')]
    public function test_odd_rows(SimulatedSample $sample): void
    {
        $read = ScanReader::read($sample->draw(3));
        self::assertNull($read->cannot);
        self::assertEqualsWithDelta(1.0, (float) $read->length?->value / $sample->lengthMm, 0.02);
        self::assertEqualsWithDelta($sample->allowanceMm, (float) $read->allowance?->value, 0.3);
    }

    /** @return iterable<string, array{GreyImage, NotFound}> */
    public static function hopeless(): iterable
    {
        yield 'no edge: cloth all over' => [new GreyImage(500, 700, 300, str_repeat(chr(196), 350_000)), NotFound::Edge];
        $noise = '';
        mt_srand(2);
        for ($i = 0; $i < 350_000; $i++) {
            $noise .= chr(mt_rand(0, 255));
        }
        yield 'nothing but noise' => [new GreyImage(500, 700, 300, $noise), NotFound::Edge];
        yield 'cloth without a row' => [(new SimulatedSample(contrast: 0.0))->draw(5), NotFound::Row];
        yield 'thread of the cloth’s own colour' => [(new SimulatedSample(contrast: 1.5))->draw(5), NotFound::Row];
        // A drawn line is a row, and has no stitches.
        $line = (new SimulatedSample(contrast: 0.0))->draw(6);
        $pixels = $line->pixels;
        for ($y = 0; $y < $line->height; $y++) {
            for ($x = 440; $x < 445; $x++) {
                $pixels[$y * $line->width + $x] = chr(80);
            }
        }
        yield 'a pencil line' => [new GreyImage($line->width, $line->height, 300, $pixels), NotFound::Stitches];
    }

    #[DataProvider('hopeless')]
    public function test_it_says_what_it_cannot_tell(GreyImage $scan, NotFound $what): void
    {
        $read = ScanReader::read($scan);
        self::assertSame([$what, null, null], [$read->cannot, $read->length, $read->allowance]);
    }

    public function test_the_same_seed_draws_the_same_scan(): void
    {
        $sample = new SimulatedSample(widthMm: 20, heightMm: 20, allowanceMm: 6);
        self::assertSame($sample->draw(9)->pixels, $sample->draw(9)->pixels);
        self::assertNotSame($sample->draw(9)->pixels, $sample->draw(10)->pixels);
        $this->expectException(InvalidArgumentException::class);
        new GreyImage(10, 10, 300, 'short');
    }
}
