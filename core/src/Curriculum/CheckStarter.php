<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\InputError;

/** A check of a teacher's own on a row: what it is read as, and the tolerance it starts with. Common practice, no source. */
final class CheckStarter
{
    public const KINDS = ['yes-no', 'length', 'lengths', 'count', 'stitches'];

    /** Marks of a length that is read along a row. */
    private const MARKS = 3;

    /**
     * @param  array<string, mixed>  $row  as in a bundle
     * @param  string  $label  what is looked for
     * @param  list<string>  $teaches  skills of the lesson
     * @return array{reading: array<string, mixed>, check: array<string, mixed>} as in a bundle
     *
     * @throws InputError for a way of reading that is not known, or without a name
     */
    public static function of(array $row, string $label, string $kind, array $teaches): array
    {
        trim($label) !== '' || throw InputError::at('label', $label, 'Say in a word or two what is looked for.');
        $number = fn (mixed $value, float $else): float => is_numeric($value) ? (float) $value : $else;
        $path = is_array($row['path'] ?? null) ? $row['path'] : [];
        $judged = match ($kind) {
            'yes-no' => ['kind' => 'yes'],
            'length' => ['kind' => 'band', 'met' => ['from' => 0, 'to' => 1], 'near' => ['from' => 0, 'to' => 2]],
            'lengths' => ['kind' => 'each', 'target_mm' => $number($path['distance_mm'] ?? null, 0.0), 'met_mm' => 1, 'near_mm' => 2],
            'count' => ['kind' => 'band', 'met' => ['from' => 1], 'near' => ['from' => 1]],
            'stitches' => ['kind' => 'stitch-length', 'target_mm' => $number($row['stitch_mm'] ?? null, 2.5), 'met_mm' => 0.2, 'near_mm' => 0.4],
            default => throw InputError::at('kind', $kind, 'It must be one of: '.implode(', ', self::KINDS).'.'),
        };
        $taken = [];
        foreach (['readings', 'checks'] as $list) {
            foreach (is_array($row[$list] ?? null) ? $row[$list] : [] as $thing) {
                $taken[] = is_array($thing) ? $thing['id'] ?? null : null;
            }
        }
        for ($n = 1; in_array("own-$n", $taken, true); $n++);
        $onEdge = ($path['run'] ?? null) === 'edge';
        $marks = $kind === 'lengths' ? ['marks' => RowStarter::marks($onEdge ? $number($path['from_mm'] ?? null, 0.0) : 0.0, $onEdge ? $number($path['to_mm'] ?? null, 30.0) : 30.0, self::MARKS)] : [];

        return [
            'reading' => ['id' => "own-$n", 'label' => $label, 'kind' => $kind] + $marks,
            'check' => ['id' => "own-$n", 'title' => $label, 'of' => "own-$n"] + $judged + ['shows' => array_slice($teaches, 0, 1), 'source' => 'the studio’s own', 'changes' => (object) []],
        ];
    }
}
