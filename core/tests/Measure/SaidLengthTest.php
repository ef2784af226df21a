<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Measure;

use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\SaidLength;
use OpenSeam\Core\Measure\Unit;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Lengths within the words of a lesson. Allowances in inches (1/4, 3/8, 1/2, 5/8) are common practice, no source. */
final class SaidLengthTest extends TestCase
{
    /** @return array<string, array{string, string, string}> */
    public static function texts(): array
    {
        return [
            'a length on the way' => ['Stop every {50 mm} and look.', 'Stop every 50 mm and look.', 'Stop every 2 in and look.'],
            'from and to' => ['{3 to 5 mm} from the edge', '3 to 5 mm from the edge', '1/8 to 3/16 in from the edge'],
            'with a name of its own' => ['the {15.9 mm (5/8)|5/8 in} line', 'the 15.9 mm (5/8) line', 'the 5/8 in line'],
            'drawn up' => ['Draw {300 mm up to 150}.', 'Draw 300 mm up to 150.', 'Draw 12 in up to 6.'],
            'a bound keeps its small numbers' => ['mean {15.9 mm ±1; ±2 near}', 'mean 15.9 mm ±1; ±2 near', 'mean 5/8 in ±0.04; ±0.08 near'],
            'a bound on the sixteenth' => ['{1.6 mm; 3 mm near}', '1.6 mm; 3 mm near', '1/16 in; 1/8 in near'],
            'an exact hole' => ['{18 ± 0.5 mm; ± 1 near}', '18 ± 0.5 mm; ± 1 near', '23/32 ± 0.02 in; ± 0.04 near'],
            'centimetres' => ['{10 cm} wide', '10 cm wide', '4 in wide'],
            'a stitch stays in millimetres' => ['Set 2.5 mm.', 'Set 2.5 mm.', 'Set 2.5 mm.'],
            'other braces stay' => ['{count*0.9} and {name}', '{count*0.9} and {name}', '{count*0.9} and {name}'],
        ];
    }

    #[DataProvider('texts')]
    public function test_a_text_in_both_units(string $text, string $mm, string $in): void
    {
        self::assertSame([$mm, $in], [SaidLength::in($text, Unit::Millimetre), SaidLength::in($text, Unit::Inch)]);
    }

    public function test_what_is_said_about_is_within_three_percent_and_a_bound_within_half_a_thirty_second(): void
    {
        for ($mm = 1; $mm <= 400; $mm++) {
            $exact = SaidLength::exactly($mm);
            $of = str_contains($exact, '.') ? (float) $exact * Length::MM_PER_INCH : Length::inches($exact)->inMm();
            self::assertLessThanOrEqual(max(0.1 * min($mm, 8.0), Length::MM_PER_INCH / 64), abs($of - $mm), "$mm: $exact");
            if ($mm >= 13) {
                $about = SaidLength::about($mm);
                self::assertLessThanOrEqual(max(0.03 * $mm, Length::MM_PER_INCH / 64), abs(Length::inches($about)->inMm() - $mm), "$mm: $about");
            }
        }
    }

    public function test_every_length_of_the_course_is_said_in_both_units(): void
    {
        $json = BundleFiles::read(__DIR__.'/../../../curriculum/beginner-machine');
        $mm = BundleReader::read($json, Unit::Millimetre);
        $in = BundleReader::read($json, Unit::Inch);
        foreach ($in->lessons as $id => $lesson) {
            $metric = $mm->lessons[$id];
            foreach ([...$lesson->steps, $lesson->title, ...array_map(fn ($row): string => $row->title, $lesson->sampler->rows)] as $text) {
                self::assertDoesNotMatchRegularExpression('/\{[^}]*\d ?(mm|cm)|\{[^}]*\|/', $text);
            }
            self::assertSame(count($metric->steps), count($lesson->steps));
        }
        self::assertContains('15.9 mm (5/8), plate line', array_map(fn ($row): string => $row->title, $mm->lessons['guides']->sampler->rows));
        self::assertContains('5/8 in, plate line', array_map(fn ($row): string => $row->title, $in->lessons['guides']->sampler->rows));
    }
}
