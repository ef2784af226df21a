<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\CameraComparison;
use App\Models\Studio;
use App\Views\ScannedSamplerView;
use Illuminate\Http\Request;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Scan\CameraAgreement;
use OpenSeam\Core\Scan\CameraTrust;
use OpenSeam\Core\Scan\CardView;
use OpenSeam\Core\Scan\Raster;
use OpenSeam\Core\Scan\Sampled;
use OpenSeam\Core\Scan\SamplerScan;
use OpenSeam\Core\ValueRefused;

/** Reads a sewn sampler off a picture that was sent, and forgets the picture. */
final readonly class ReadSampler
{
    private const INCH_MM = 25.4;

    /** @throws InputError for what is no picture, a piece there is none of, or pixels an inch that no scanner has */
    public function __invoke(Request $request, Lesson $lesson, Studio $studio, Unit $unit): ScannedSamplerView
    {
        $pieces = SamplerScan::pieces($lesson->sampler);
        $piece = $request->string('piece', $pieces[0] ?? '')->toString();
        in_array($piece, $pieces, true) || throw InputError::at('piece', $piece, $pieces === [] ? 'A picture tells nothing of this lesson: it is read by ruler and eye.' : 'It must be one of: '.implode(', ', $pieces).'.');
        $dpi = $request->query('dpi');
        $dpi === null || (is_numeric($dpi) && $dpi >= 72 && $dpi <= 1200) || throw InputError::at('dpi', $dpi, 'Pixels an inch must be a number from 72 to 1200.');
        try {
            $raster = Raster::read($request->getContent());
        } catch (ValueRefused $e) {
            throw InputError::at('(body)', null, $e->getMessage());
        }
        $flat = is_numeric($dpi);
        $picture = $flat ? new Sampled($raster, self::INCH_MM / (float) $dpi) : CardView::of($raster, $studio->card_line_mm);
        // What was found by ruler and camera was found on the card.
        $trust = $flat || $request->query('bare') === 'yes' ? new CameraTrust : CameraAgreement::trust(CameraComparison::pairs());

        return ScannedSamplerView::of(SamplerScan::read($picture, $lesson->sampler, $piece, $trust), $picture, $lesson->sampler, $unit);
    }
}
