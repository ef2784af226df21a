<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\Tolerance;
use OpenSeam\Core\Measure\ToleranceOutOfOrder;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Near;
use OpenSeam\Core\Sampler\Check\AlikeCheck;
use OpenSeam\Core\Sampler\Check\BandCheck;
use OpenSeam\Core\Sampler\Check\Check;
use OpenSeam\Core\Sampler\Check\EachCheck;
use OpenSeam\Core\Sampler\Check\RatedCheck;
use OpenSeam\Core\Sampler\Check\SeamCheck;
use OpenSeam\Core\Sampler\Check\StitchLengthCheck;
use OpenSeam\Core\Sampler\CheckSpec;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Mark;
use OpenSeam\Core\Sampler\Piece;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Run\Run;
use OpenSeam\Core\Sampler\Threads;
use OpenSeam\Core\Stitch\Path;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\ValueRefused;

/** Makes a row with its readings and checks from a bundle's JSON. */
final class RowReader
{
    /**
     * @param  array<string, Piece>  $pieces
     *
     * @throws InputError when something does not fit together
     */
    public static function read(Data $data, array $pieces, Threads $threads = new Threads): Row
    {
        $path = $data->has('path') ? $data->part('path') : null;
        $pieceId = $data->has('piece') ? $data->text('piece') : null;
        $piece = $pieceId === null ? null : ($pieces[$pieceId] ?? throw InputError::at($data->path('piece'), $pieceId, 'This must be the id of a piece of the sampler.'));
        $fields = [];
        foreach ($data->parts('readings') as $f) {
            $fields[$f->text('id')] = self::field($f);
        }
        $checks = array_map(fn (Data $c): CheckSpec => self::check($c, $fields), $data->parts('checks'));
        $run = $path === null ? null : RunReader::read($path);
        $line = $path === null || $run === null || $piece === null ? null : self::onPiece($path, self::path($run, $path, $piece), $piece);

        return new Row(
            id: $data->text('id'),
            title: $data->text('title'),
            piece: $pieceId,
            path: $line,
            run: $line === null ? null : $run,
            stitch: self::stitch($data),
            backStitches: $data->whole('back_stitches', 0),
            guide: $data->text('guide', ''),
            fields: $fields,
            checks: $checks,
            threads: Threads::read($data, $threads),
            faults: $data->has('faults') ? $data->texts('faults') : null,
        );
    }

    /** @throws InputError when the run does not fit its piece */
    private static function path(Run $run, Data $path, Piece $piece): Path
    {
        try {
            return $run->path($piece);
        } catch (ValueRefused $e) {
            throw InputError::at($path->path('run'), $path->text('run'), $e->getMessage());
        }
    }

    private static function stitch(Data $data): StitchSettings
    {
        $kind = StitchBook::standard()->get($data->text('stitch', 'straight'), $data->path('stitch'));
        try {
            return StitchSettings::of(
                $kind, $data->has('stitch') ? $data->numberOrNull('stitch_mm') : $data->number('stitch_mm', 2.5),
                $data->numberOrNull('width_mm'), $data->number('needle_position_mm', 0.0),
            );
        } catch (InputError $e) {
            // A row calls the length of its stitches "stitch_mm".
            throw InputError::at($data->path($e->field === 'length_mm' ? 'stitch_mm' : $e->field), $e->got, $e->getMessage());
        }
    }

    /** @throws InputError when the row leaves its piece */
    private static function onPiece(Data $data, Path $path, Piece $piece): Path
    {
        foreach ($path->corners as [$x, $y]) {
            if ($x < -Near::SPOT_MM || $y < -Near::SPOT_MM || $x > $piece->widthMm + Near::SPOT_MM || $y > $piece->heightMm + Near::SPOT_MM) {
                throw InputError::at($data->path('run'), [round($x, 2), round($y, 2)], sprintf('The row leaves its piece “%s”, which is %g × %g mm.', $piece->label, $piece->widthMm, $piece->heightMm));
            }
        }

        return $path;
    }

    private static function field(Data $data): Field
    {
        $kind = FieldKind::tryFrom($data->text('kind')) ?? throw InputError::at($data->path('kind'), $data->text('kind'), 'A reading is one of: '.implode(', ', array_column(FieldKind::cases(), 'value')).'.');
        $marks = array_map(Mark::read(...), $data->parts('marks'));
        $options = $data->texts('options');

        return new Field(
            $data->text('id'), $data->text('label'), $kind,
            $data->number('min', 0.0),
            $data->number('max', match ($kind) {
                FieldKind::YesNo => 1.0,
                FieldKind::Choice => max(0, count($options) - 1),
                FieldKind::Stitches => 200.0,
                default => 100.0,
            }),
            $data->number('step', in_array($kind, [FieldKind::Length, FieldKind::Lengths], true) ? 0.5 : 1.0),
            $marks, $options, $data->text('hint', ''), $data->number('limit_mm', Reading::RULER_LIMIT_MM),
            $data->text('counted', 'strokes') === 'one-side', $data->parts('looks'),
        );
    }

    /** @param  array<string, Field>  $fields */
    private static function check(Data $data, array $fields): CheckSpec
    {
        $of = $data->text('of');
        isset($fields[$of]) || throw InputError::at($data->path('of'), $of, 'A check judges a reading of its own row.');

        try {
            $judge = self::judge($data);
        } catch (ToleranceOutOfOrder $e) {
            throw InputError::at($data->path('near_mm'), $data->raw()['near_mm'] ?? $data->raw()['near'] ?? $data->raw()['near_percent'] ?? null, $e->getMessage());
        }

        return new CheckSpec(
            $data->text('id'), $data->text('title'), $of, $judge,
            $data->texts('shows'), BundleReader::changes($data->part('changes')),
            $data->text('source'), $data->has('allows') ? $data->text('allows') : Allowance::inWords($data, $fields[$of]),
            $data->flag('extra'), self::targetOf($data, $fields),
        );
    }

    /** @param  array<string, Field>  $fields */
    private static function targetOf(Data $data, array $fields): ?string
    {
        if (! $data->has('target_of')) {
            return null;
        }
        $id = $data->text('target_of');
        $data->text('kind') === 'each' || throw InputError::at($data->path('target_of'), $id, 'Only a check of the kind “each” aims at another reading.');

        return ($fields[$id] ?? null)?->kind === FieldKind::Length ? $id : throw InputError::at($data->path('target_of'), $id, 'It must be a reading of the kind “length” in the same row.');
    }

    private static function judge(Data $data): Check
    {
        $kind = $data->text('kind');
        // Said now, with its place, and not when the first sample is judged.
        $data->has('met_mm') && Tolerance::around(0.0, $data->number('met_mm'), $data->number('near_mm'));

        return match ($kind) {
            'mean' => SeamCheck::mean($data->number('target_mm'), $data->number('met_mm'), $data->number('near_mm')),
            'spread' => SeamCheck::spread($data->number('target_mm'), $data->number('met_mm'), $data->number('near_mm')),
            'each' => new EachCheck($data->number('target_mm', 0.0), $data->number('met_mm'), $data->number('near_mm')),
            'stitch-length' => new StitchLengthCheck($data->number('target_mm'), $data->number('met_mm'), $data->number('near_mm')),
            'band' => new BandCheck(self::band($data->part('met'), $data->part('near'))),
            'alike' => new AlikeCheck($data->number('met_percent'), $data->number('near_percent')),
            'yes' => RatedCheck::yes(),
            'choice' => new RatedCheck(array_map(Verdict::from(...), $data->texts('verdicts'))),
            default => throw InputError::at($data->path('kind'), $kind, 'A check is one of: mean, spread, each, band, stitch-length, alike, yes, choice.'),
        };
    }

    private static function band(Data $met, Data $near): Tolerance
    {
        return Tolerance::bands(
            $met->numberOrNull('from') ?? -INF, $met->numberOrNull('to') ?? INF,
            $near->numberOrNull('from') ?? -INF, $near->numberOrNull('to') ?? INF,
        );
    }
}
