<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\OwnButtonhole;
use OpenSeam\Core\Near;
use OpenSeam\Core\ValueRefused;

/**
 * A button that is to button a garment: what was measured, where it sits, what
 * is under it, and what was chosen instead of what would be proposed. Lengths in mm.
 */
final readonly class Job
{
    public const DIRECTIONS = ['horizontal', 'vertical'];

    /** Of the garment, as it is worn. */
    public const OVER = ['left', 'right'];

    /** What of it makes another stack: a test of one says nothing of the other. */
    public const STACK = ['weight', 'stretch', 'delicate', 'layers', 'interfacing', 'stabiliser', 'thread', 'needle', 'diameter_mm', 'thickness_mm', 'wrap_mm', 'kind', 'machine', 'foot', 'density', 'width_mm'];

    /** @param  list<string>|null  $stabiliser  chosen; null: as proposed */
    private function __construct(
        public Button $button,
        public HeldButton $held,
        public int $count,
        public Cloth $cloth,
        public string $part,
        public bool $hardWear,
        public ?string $patternSays,
        public ?string $kind,
        public ?string $direction,
        public ?array $stabiliser,
        public ?string $school,
        public ?SizeWay $told,
        public float $easeMm,
        public bool $beginner,
        public ?float $bandMm,
        public string $over,
    ) {}

    /** @throws InputError naming what is wrong or lacking */
    public static function read(Data $d): self
    {
        $shape = ButtonShape::from($d->among('shape', array_column(ButtonShape::cases(), 'value'), 'flat'));
        $across = self::above($d, 'diameter_mm', 'How wide is the button? Lay the ruler across it.', 200);
        $through = $shape === ButtonShape::Ball ? $across : self::above($d, 'thickness_mm', 'How thick is the button at its thickest?', 200);
        $wrap = $d->has('wrap_mm') ? self::above($d, 'wrap_mm', 'The whole way round it.', 1000) : null;
        try {
            $button = Button::of($shape, $across, $through, $wrap);
            Sizing::askBack($button);
        } catch (ValueRefused $e) {
            throw InputError::at($d->path('wrap_mm'), $wrap, $e->getMessage());
        }
        $count = $d->whole('count', 1);
        $count >= 1 && $count <= 40 || throw InputError::at($d->path('count'), $count, 'From 1 to 40 buttons.');
        $one = fn (string $name, string ...$of): ?string => $d->has($name) ? $d->among($name, array_values($of), '') : null;

        return new self(
            $button, new HeldButton($through, $d->flag('shank', false)), $count,
            new Cloth($d->among('weight', Cloth::WEIGHTS, 'medium'), $d->among('stretch', Cloth::STRETCH, 'none'), $d->flag('delicate', false), $d->flag('fraying', false)),
            $d->among('part', HoleChoice::PARTS, 'front'), $d->flag('hard_wear', false), $one('pattern_says', ...self::DIRECTIONS), $one('kind', ...OwnButtonhole::KINDS), $one('direction', ...self::DIRECTIONS),
            $d->has('stabiliser') ? $d->texts('stabiliser') : null, $one('school', ...LengthRules::IDS), $d->has('told') ? SizeWay::from($d->among('told', array_column(SizeWay::cases(), 'value'), '')) : null,
            $d->numberWithin('ease_mm', 0.0, 0, 10), $d->flag('beginner', true), $d->has('band_mm') ? self::above($d, 'band_mm', 'Edge to edge of the band.', 500) : null, $d->among('over', self::OVER, 'right'),
        );
    }

    /** @return list<string> names of what makes another stack than before */
    public static function differences(Data $now, Data $before): array
    {
        return array_values(array_filter(self::STACK, function (string $name) use ($now, $before): bool {
            [$a, $b] = [$now->raw()[$name] ?? null, $before->raw()[$name] ?? null];

            return is_numeric($a) && is_numeric($b) ? abs((float) $a - (float) $b) > Near::DUST : $a !== $b && ! (in_array($a, [null, '', false], true) && in_array($b, [null, '', false], true));
        }));
    }

    private static function above(Data $d, string $name, string $asks, float $most): float
    {
        $value = $d->numberOrNull($name);

        return $value !== null && $value > 0 && $value <= $most ? $value : throw InputError::at($d->path($name), $value, $asks.sprintf(' More than 0 and at most %g mm.', $most));
    }
}
