<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

/** What is cut and sewn for a lesson or a drill: pieces, the rows on them, and the lines that are only drawn. */
final readonly class Sampler
{
    /**
     * @param  array<string, Piece>  $pieces  by id; none where nothing is sewn
     * @param  array<string, Row>  $rows  by id; a row without a piece is looked at and not sewn
     * @param  list<Line>  $lines  folds, cuts and chalk marks
     */
    public function __construct(public array $pieces = [], public array $rows = [], public array $lines = []) {}

    /** @return array<string, Field> what is read of it, by "row.reading" */
    public function fields(): array
    {
        $fields = [];
        foreach ($this->rows as $row) {
            foreach ($row->fields as $field) {
                $fields["{$row->id}.{$field->id}"] = $field;
            }
        }

        return $fields;
    }

    /** There is something to cut and to print. */
    public function isSewn(): bool
    {
        return $this->pieces !== [];
    }
}
