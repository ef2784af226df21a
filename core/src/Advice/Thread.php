<?php

declare(strict_types=1);

namespace OpenSeam\Core\Advice;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Tables;

/**
 * A sewing thread by its fineness. tex is grams per 1,000 m; denier = 9 tex;
 * weight number: 1,000/tex (km for each kg); metric ticket: about 3,000/tex.
 * Relations by definition of the units; the ticket from memory.
 */
final readonly class Thread
{
    public const UNITS = ['tex', 'weight', 'ticket', 'denier'];

    private function __construct(public float $tex) {}

    /** @throws InputError when the number is not above 0, or no sewing thread is so fine or thick */
    public static function of(float $value, string $unit, string $field = 'thread'): self
    {
        if (! is_finite($value) || $value <= 0) {
            throw InputError::at($field, is_finite($value) ? $value : null, 'The number on the thread must be above 0.');
        }
        $tex = match ($unit) {
            'tex' => $value,
            'denier' => $value / 9,
            'weight' => 1000 / $value,
            'ticket' => 3000 / $value,
            default => throw InputError::at("{$field}_unit", $unit, 'It must be one of: '.implode(', ', self::UNITS).'.'),
        };
        if ($tex < 5 || $tex > 400) {
            throw InputError::at($field, $value, sprintf('That is %.3g tex; sewing threads are from 5 to 400 tex.', $tex));
        }

        return new self($tex);
    }

    public function denier(): float
    {
        return $this->tex * 9;
    }

    public function weight(): float
    {
        return 1000 / $this->tex;
    }

    public function ticket(): float
    {
        return 3000 / $this->tex;
    }

    /**
     * Diameter in mm, d = √(4·tex/(1000·π·ρ·φ)).
     *
     * @param  string  $fibre  one of resources/needles.json
     *
     * @throws InputError when the fibre is unknown
     */
    public function diameterMm(string $fibre = 'polyester'): float
    {
        $table = Tables::read('needles');
        $known = $table->part('fibres')->raw();
        isset($known[$fibre]) || throw InputError::at('fibre', $fibre, 'It must be one of: '.implode(', ', array_keys($known)).'.');

        return sqrt(4 * $this->tex / (1000 * M_PI * $table->part('fibres')->number($fibre) * $table->number('packing')));
    }
}
