<?php

declare(strict_types=1);

namespace OpenSeam\Core\Sampler;

use OpenSeam\Core\Near;

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

    /**
     * A piece as it lies when it was sewn: beyond a fold from side to side, at its foot or on its right, on which nothing is
     * sewn and nothing drawn, the cloth is turned under.
     */
    public function asItLies(string $pieceId): Piece
    {
        $piece = $this->pieces[$pieceId];
        $is = [$piece->widthMm, $piece->heightMm];
        foreach ($this->lines as $line) {
            foreach ($line->piece === $pieceId && $line->kind === 'fold' ? [0, 1] : [] as $across) {
                [$at, $long] = [$line->from[$across], [$piece->heightMm, $piece->widthMm][$across]];
                $ends = [$line->from[1 - $across], $line->to[1 - $across]];
                $isWhole = abs($at - $line->to[$across]) < Near::SPOT_MM && min($ends) < Near::SPOT_MM && max($ends) > $long - Near::SPOT_MM;
                $is[$across] = $isWhole && $at > $this->furthest($pieceId, $across) - Near::SPOT_MM ? min($is[$across], $at) : $is[$across];
            }
        }

        return $piece->cutTo(...$is);
    }

    /**
     * What is sewn or drawn on a piece furthest to the right, or furthest down, mm.
     *
     * @param  0|1  $across
     */
    private function furthest(string $pieceId, int $across): float
    {
        $places = [0.0];
        foreach ($this->rows as $row) {
            $row->piece === $pieceId && array_push($places, ...array_column($row->path->corners ?? [], $across));
        }
        foreach ($this->lines as $line) {
            $line->piece === $pieceId && array_push($places, $line->from[$across], $line->to[$across]);
        }

        return max($places);
    }

    /** There is something to cut and to print. */
    public function isSewn(): bool
    {
        return $this->pieces !== [];
    }
}
