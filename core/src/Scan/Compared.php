<?php

declare(strict_types=1);

namespace OpenSeam\Core\Scan;

use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\Measure\StitchLength;
use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\Readings;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;

/** One value of one sample, read by ruler and by camera; mm, each with its standard uncertainty. */
final readonly class Compared
{
    /** @param  string  $sample  whatever tells one sample from another: values of one share how it lay and how the ruler was laid */
    public function __construct(public string $sample, public PictureValue $of, public Reading $ruler, public Reading $camera) {}

    /** How much more the camera says, mm. */
    public function offMm(): float
    {
        return $this->camera->value - $this->ruler->value;
    }

    /** Its standard uncertainty by what both say of themselves, squared. */
    public function saidVariance(): float
    {
        return $this->camera->u ** 2 + $this->ruler->u ** 2;
    }

    /**
     * Every value that was read both ways.
     *
     * @return list<self>
     */
    public static function all(string $sample, Sampler $sampler, Readings $ruler, Readings $camera): array
    {
        $both = [];
        foreach ($sampler->rows as $row) {
            foreach ($row->fields as $field) {
                $of = PictureValue::askedBy($row, $field);
                if ($of === null || ! $of->isMeasured()) {
                    continue;
                }
                $byCamera = self::read($row, $field, $camera, true);
                foreach (self::read($row, $field, $ruler, false) as $i => $reading) {
                    isset($byCamera[$i]) && $both[] = new self($sample, $of, $reading, $byCamera[$i]);
                }
            }
        }

        return $both;
    }

    /** @return array<int, Reading> of each place that was read */
    private static function read(Row $row, Field $field, Readings $readings, bool $camera): array
    {
        $limit = $readings->asRead($row, $field)->limitMm;
        $values = $readings->of($row, $field);
        if ($field->kind === FieldKind::Stitches) {
            [$stitches, $span] = [$values[0] ?? 0.0, $values[1] ?? 0.0];
            // A picture finds how long they are, not how many: its count is whole.
            $strokes = $stitches * ($field->oneSide ? 2 : 1);

            return $stitches <= 0.0 || $span <= 0.0 ? [] : [$camera ? Reading::ruler($span / $strokes, $limit / $strokes) : StitchLength::measured($stitches, $span, $limit, $field->oneSide)];
        }

        return array_map(fn (float $mm): Reading => Reading::ruler($mm, $limit), array_filter($values, fn (?float $v): bool => $v !== null));
    }
}
