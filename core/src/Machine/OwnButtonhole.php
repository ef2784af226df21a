<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/**
 * How a machine sews a buttonhole. What nobody has looked at yet is null or
 * empty: the run then begins with the test that finds it out.
 */
final readonly class OwnButtonhole
{
    public const KINDS = ['rectangular', 'round-ended', 'keyhole', 'stretch', 'corded'];

    public const STARTS = ['', 'front', 'back'];

    public const FIRST_SIDES = ['', 'left', 'right'];

    public const DENSE_ENDS = ['', 'low', 'high'];

    /** Steps that a selector can have. */
    private const MOST_MARKS = 6;

    /** @var list<string> what of it the first test on scrap answers, by the name of the fact */
    public const LOOKED_AT = ['starts', 'first_side', 'straight_first', 'ties_off', 'stops'];

    /**
     * @param  list<string>  $marks  its own words of the steps, in their order
     */
    private function __construct(
        public ButtonholeWay $way,
        public string $starts,
        /** The side it sews first, as seen from where one sits; empty: unknown. */
        public string $firstSide,
        public ?bool $straightFirst,
        public ?bool $tiesOff,
        public ?bool $stops,
        /** A lever that is pulled down before each one. */
        public ?bool $lever,
        /** It has a control that makes both sides alike. */
        public ?bool $balance,
        /** Where on the length dial its density is set, in the dial's words; empty: no zone of its own. */
        public string $zone,
        /** The end of that zone that is denser. */
        public string $denseEnd,
        public array $marks,
        public float $longestMm,
        /** Of the number that is typed, mm; 0: by any. */
        public float $stepMm,
    ) {}

    /** @throws InputError naming what does not fit */
    public static function read(Data $d): self
    {
        $way = ButtonholeWay::from($d->among('buttonhole', array_column(ButtonholeWay::ofMachines(), 'value'), 'none'));
        $none = $way === ButtonholeWay::None;
        $marks = $d->texts('buttonhole_marks');
        count($marks) <= self::MOST_MARKS || throw InputError::at($d->path('buttonhole_marks'), count($marks), sprintf('At most %d steps.', self::MOST_MARKS));
        foreach ($marks as $i => $mark) {
            mb_strlen($mark) <= 20 || throw InputError::at($d->path("buttonhole_marks[$i]"), $mark, 'At most 20 letters, as it stands on the machine.');
        }

        return new self(
            $way, $d->among('buttonhole_starts', self::STARTS, ''), $d->among('buttonhole_first_side', self::FIRST_SIDES, ''),
            $d->flagOrNull('buttonhole_straight_first'), $d->flagOrNull('buttonhole_ties_off'), $d->flagOrNull('buttonhole_stops'),
            $d->flagOrNull('buttonhole_lever') ?? ($way === ButtonholeWay::OneStep ? true : null), $d->flagOrNull('buttonhole_balance'),
            mb_substr($d->text('buttonhole_zone', ''), 0, 30), $d->among('buttonhole_dense_end', self::DENSE_ENDS, ''),
            $marks, $d->numberWithin('longest_buttonhole_mm', $none ? 0.0 : 25.0, 0, 60), $d->numberWithin('buttonhole_step_mm', 0.0, 0, 10),
        );
    }

    /** @return array<string, mixed> as read() takes it */
    public function facts(): array
    {
        return [
            'buttonhole' => $this->way->value, 'buttonhole_starts' => $this->starts, 'buttonhole_first_side' => $this->firstSide, 'buttonhole_straight_first' => $this->straightFirst,
            'buttonhole_ties_off' => $this->tiesOff, 'buttonhole_stops' => $this->stops, 'buttonhole_lever' => $this->lever, 'buttonhole_balance' => $this->balance,
            'buttonhole_zone' => $this->zone, 'buttonhole_dense_end' => $this->denseEnd, 'buttonhole_marks' => $this->marks,
            'longest_buttonhole_mm' => $this->longestMm, 'buttonhole_step_mm' => $this->stepMm,
        ];
    }

    public function isThere(): bool
    {
        return $this->way !== ButtonholeWay::None;
    }

    /** @return list<string> what of a machine that sews them so can be looked at, by the name of the fact: what it cannot have is not asked */
    public static function asked(ButtonholeWay $way): array
    {
        return match (true) {
            $way === ButtonholeWay::None => [],
            $way->isOneStep() => ['straight_first', 'stops', 'ties_off', 'lever', 'balance'],
            default => ['ties_off', 'balance', 'marks'],
        };
    }

    /** @return list<string> facts that one test on scrap would tell, of LOOKED_AT */
    public function unknown(): array
    {
        $known = ['starts' => $this->starts !== '', 'first_side' => $this->firstSide !== '', 'ties_off' => $this->tiesOff !== null, 'straight_first' => $this->straightFirst !== null, 'stops' => $this->stops !== null];
        $asked = ['starts', 'first_side', ...self::asked($this->way)];

        return $this->isThere() ? array_values(array_filter(self::LOOKED_AT, fn (string $fact): bool => in_array($fact, $asked, true) && ! $known[$fact])) : [];
    }
}
