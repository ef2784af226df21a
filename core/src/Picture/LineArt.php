<?php

declare(strict_types=1);

namespace OpenSeam\Core\Picture;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tables;

/** Drawings of things, kept as data in resources/line-art.json. */
final readonly class LineArt
{
    private const HEAD = 5.0;

    /** @param  array<string, array<string, Picture>>  $drawings  by group and id */
    private function __construct(private array $drawings) {}

    public static function standard(): self
    {
        static $art = null;
        if (! $art instanceof self) {
            $table = Tables::read('line-art');
            $drawings = [];
            foreach (['machine', 'tools', 'hands'] as $group) {
                $part = $table->part($group);
                foreach (array_keys($part->raw()) as $id) {
                    $drawings[$group][(string) $id] = self::drawn($part->parts((string) $id));
                }
            }
            $art = new self($drawings);
        }

        return $art;
    }

    /** @throws InputError when there is none */
    public function of(string $group, string $id, string $field): Picture
    {
        return $this->drawings[$group][$id] ?? throw InputError::at($field, $id, 'It must be one of: '.implode(', ', $this->ids($group)).'.');
    }

    /** @return list<string> */
    public function ids(string $group): array
    {
        return array_keys($this->drawings[$group] ?? []);
    }

    /** @param  list<Data>  $shapes */
    private static function drawn(array $shapes): Picture
    {
        $pen = new Pen;
        foreach ($shapes as $shape) {
            $role = $shape->among('role', [...Shape::AREAS, ...Shape::LINES], '');
            if ($shape->has('oval')) {
                [$x, $y, $rx, $ry] = $shape->numbers('oval');
                $pen->oval($role, $x, $y, $rx, $ry);

                continue;
            }
            $points = array_map(fn (string $p): array => array_map(floatval(...), explode(',', $p)), explode(' ', $shape->text('points')));
            /** @var list<array{float, float}> $points */
            $role === 'arrow' ? $pen->arrow(self::HEAD, ...array_merge(...$points)) : $pen->shape($role, $points);
        }

        return $pen->picture();
    }
}
