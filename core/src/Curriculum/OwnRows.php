<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\OwnStitch;
use OpenSeam\Core\Near;

/**
 * A lesson's sampler made from one machine's own stitches: a row for each, side
 * by side, its settings and what is judged on it filled in from the stitch.
 *
 * In the row and in what else changes, {name}, {title}, {width}, {length}, {foot}
 * and {count} stand for what the stitch or the list has; {count*0.9} for that share
 * of the list. A text that is nothing else becomes a number.
 */
final readonly class OwnRows
{
    private const EDGE_MM = 10.0;

    /**
     * @param  array<string, mixed>  $lesson
     * @param  list<OwnStitch>  $stitches
     * @return array<array-key, mixed>
     *
     * @throws InputError when the lesson does not say how its rows are made
     */
    public static function lay(array $lesson, array $stitches): array
    {
        $how = Data::of($lesson)->part('on_machine');
        $lesson = LessonPatch::lay($lesson, self::filled($how->part('instead')->raw(), ['count' => count($stitches)]));
        $piece = $how->text('piece');
        $first = $how->number('first_mm');
        $step = $how->number('step_mm');
        $rows = $sews = [];
        foreach ($stitches as $i => $own) {
            $row = self::filled($how->part('row')->raw(), self::values($own, $i + 1, count($stitches)));
            $path = is_array($row['path'] ?? null) ? $row['path'] : [];
            $rows[] = [
                'id' => 'own-'.($i + 1), 'piece' => $piece, 'stitch' => $own->settings->kind->id, 'stitch_mm' => $own->settings->lengthMm, 'width_mm' => $own->settings->widthMm,
                'path' => ['run' => 'edge', 'edge' => 'left', 'distance_mm' => $first + $i * $step] + $path,
            ] + $row;
            $need = ['stitch' => $own->settings->kind->id, 'length_mm' => $own->settings->lengthMm, 'width_mm' => $own->settings->widthMm, 'feet' => $how->texts('feet'), 'exact' => true];
            in_array($need, $sews, true) || $sews[] = $need;
        }
        $sampler = is_array($lesson['sampler'] ?? null) ? $lesson['sampler'] : [];
        $sampler['rows'] = [...$rows, ...(is_array($sampler['rows'] ?? null) ? array_values($sampler['rows']) : [])];
        $wide = $first + (count($stitches) - 1) * $step + max(self::EDGE_MM, $step);
        $patch = ['pieces' => [$piece => ['width_mm' => max($wide, $how->number('least_width_mm', 0.0))]]];
        if ($how->has('gaps')) {
            [$in, $reading] = [$how->part('gaps')->text('row'), $how->part('gaps')->text('reading')];
            $y = $how->part('gaps')->number('at_mm');
            // One row has nothing beside it to be measured to.
            $patch['rows'] = count($stitches) < 2 ? [$in => ['readings' => [$reading => null], 'checks' => [$how->part('gaps')->text('check') => null]]] : [$in => ['readings' => [$reading => [
                'marks' => array_map(fn (int $i): array => ['from' => [$first + $i * $step, $y], 'to' => [$first + ($i + 1) * $step, $y]], array_keys(array_slice($stitches, 1))),
            ]]]];
        }

        return ['sampler' => LessonPatch::lay($sampler, $patch)] + ($how->texts('feet') === [] ? [] : ['sews' => $sews]) + $lesson;
    }

    /** @return array<string, string|float|int> */
    private static function values(OwnStitch $own, int $number, int $count): array
    {
        $s = $own->settings;
        $size = $s->kind->swings() ? sprintf('%g × %g', round($s->widthMm, 2), round($s->lengthMm, 2)) : sprintf('%g', round($s->lengthMm, 2));

        return [
            'number' => $number, 'count' => $count, 'name' => $own->name === '' ? (string) $number : $own->name, 'title' => "{$s->kind->title} $size",
            'width' => round($s->widthMm, 3), 'length' => round($s->lengthMm, 3), 'foot' => FootBook::standard()->get($s->kind->feet[0])->title,
        ];
    }

    /**
     * @param  array<array-key, mixed>  $json
     * @param  array<string, string|float|int>  $values
     * @return array<array-key, mixed>
     */
    private static function filled(array $json, array $values): array
    {
        foreach ($json as $key => $value) {
            if (is_array($value)) {
                $json[$key] = self::filled($value, $values);
            } elseif (is_string($value) && str_contains($value, '{')) {
                $json[$key] = self::one($value, $values);
            }
        }

        return $json;
    }

    /** @param  array<string, string|float|int>  $values */
    private static function one(string $text, array $values): string|float|int
    {
        $pattern = '\{([a-z]+)(?:([*-])([0-9.]+))?\}';
        // Nothing but one value: it stays the number it is.
        if (preg_match("/^$pattern$/", $text, $m) === 1) {
            return self::value($m, $values);
        }

        return (string) preg_replace_callback("/$pattern/", fn (array $m): string => (string) self::value($m, $values), $text);
    }

    /**
     * @param  array<array-key, string>  $m  what was found, its name, sign and number
     * @param  array<string, string|float|int>  $values
     */
    private static function value(array $m, array $values): string|float|int
    {
        $value = $values[$m[1] ?? ''] ?? $m[0] ?? '';

        return match (is_string($value) ? '' : $m[2] ?? '') {
            '' => $value,
            '*' => (int) ceil((float) $value * (float) ($m[3] ?? 1) - Near::DUST),
            default => (float) $value - (float) ($m[3] ?? 0),
        };
    }
}
