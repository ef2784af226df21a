<?php

declare(strict_types=1);

namespace OpenSeam\Core\Buttonhole;

use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\ButtonholeWay;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Near;
use OpenSeam\Core\Stitch\Buttonhole;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\ValueRefused;
use OpenSeam\Core\Words;

/**
 * From a job and a machine with its foot to what is sewn: kind, direction and
 * stabiliser with reasons, the chain of lengths, what to set, and the run.
 */
final readonly class JobPlan
{
    /** What a hole by hand is sewn with: any free zigzag. */
    private const BY_HAND = 'buttonhole-by-hand';

    private function __construct(
        public HoleChoice $choice,
        public string $kind,
        public string $direction,
        /** @var list<string> */
        public array $stabiliser,
        public ButtonholeWay $way,
        public SizeWay $told,
        public Sizing $size,
        public SetLength $set,
        /** Foot or machine can be set so long; null where nobody knows its longest. */
        public ?bool $fits,
        public Run $run,
        public StitchSettings $stitch,
        /** @var array<string, list<array{float, float}>> needle points by part, along and across, mm */
        public array $points,
        /** @var list<array{float, float}> the way of its cord; empty without one */
        public array $cord,
        /** What is told, in words. */
        public string $toldText,
        private float $offsetMm,
        private float $diameterMm,
        private ?float $lineMm,
        private float $stepMm,
    ) {}

    /** @throws InputError when the job asks for what cannot be */
    public static function of(Job $job, ?Machine $machine, ?Foot $foot, Learned $learned, Words $words): self
    {
        $own = $machine?->buttonhole;
        $way = $own === null || ! $own->isThere() ? ButtonholeWay::ByHand : $own->way;
        $kinds = $machine?->holeKinds() ?? [];
        $choice = HoleChoice::of($job->cloth, $job->held, $job->part, $job->hardWear, $job->patternSays, $kinds, $foot?->hole->spur === true);
        $kind = $job->kind ?? $choice->kind;
        $told = $job->told ?? self::told($way, $foot);
        $line = $foot?->hole->lineMm;
        try {
            $size = Sizing::of($job->button, $job->easeMm, $learned->barMm, $line, $job->school);
            $set = SetLength::of($told, $size->finishedMm, $job->button->diameterMm, $learned->offsetMm, $told === SizeWay::Slider ? $line ?? Sizing::LINE_MM : $line, $own->stepMm ?? 0.0);
        } catch (ValueRefused $e) {
            throw InputError::at('school', $job->school, $e->getMessage());
        }
        $longest = self::longest($way, $machine, $foot);
        $corded = $kind === 'corded';
        $facts = $machine === null ? new RunFacts(corded: $corded) : RunFacts::ofMachine($machine, $foot, $corded);
        $stitch = self::stitch($kind, $way, $machine, $learned->barMm, $facts, $job->cloth);
        // As sewn from its start the first side is the left one; seen from where one sits, turned round where it starts at the back.
        $mirrored = $stitch->startsAtBack !== ($facts->firstSide === 'right');

        $text = self::inWords($set, $told, $words);

        return new self(
            $choice, $kind, $job->direction ?? $choice->direction, $job->stabiliser ?? $choice->stabiliser, $way, $told, $size, $set,
            $longest === null ? null : $set->mm <= $longest + Near::DUST,
            Run::of($way, $kind, $facts, Buttonhole::swings($stitch), $text, $stitch->openBars), $stitch,
            array_map(fn (array $part): array => self::seen($part, $mirrored), Buttonhole::parts($stitch, $size->finishedMm)), $corded ? self::seen(Buttonhole::cord($stitch, $size->finishedMm), $mirrored) : [],
            $text, $learned->offsetMm, $job->button->diameterMm, $told === SizeWay::Slider ? $line ?? Sizing::LINE_MM : $line, $own->stepMm ?? 0.0,
        );
    }

    /**
     * @param  list<array{float, float}>  $points
     * @return list<array{float, float}>
     */
    private static function seen(array $points, bool $mirrored): array
    {
        return $mirrored ? array_map(fn (array $p): array => [$p[0], -$p[1]], $points) : $points;
    }

    /** What would be told for another opening, in words; null where it cannot be told. */
    public function toldFor(float $openingMm, Words $words): ?string
    {
        try {
            return self::inWords(SetLength::of($this->told, $openingMm + 2 * $this->size->barMm, $this->diameterMm, $this->offsetMm, $this->lineMm, $this->stepMm), $this->told, $words);
        } catch (ValueRefused) {
            return null;
        }
    }

    /** By what such a machine with such a foot is told the length. */
    private static function told(ButtonholeWay $way, ?Foot $foot): SizeWay
    {
        return match (true) {
            $way === ButtonholeWay::ByHand => SizeWay::ByHand,
            $way === ButtonholeWay::Typed => SizeWay::Typed,
            $foot?->hole->holder === true && $way->isOneStep() => SizeWay::ButtonInFoot,
            $foot?->hole->lineMm !== null => SizeWay::Slider,
            default => SizeWay::Marks,
        };
    }

    private static function longest(ButtonholeWay $way, ?Machine $machine, ?Foot $foot): ?float
    {
        if ($way === ButtonholeWay::ByHand) {
            return null;
        }
        $known = array_filter([$machine?->buttonhole->longestMm, $foot?->hole->longestMm], fn (?float $v): bool => $v !== null && $v > 0);

        return $known === [] ? null : min($known);
    }

    private static function stitch(string $kind, ButtonholeWay $way, ?Machine $machine, float $bar, RunFacts $facts, Cloth $cloth): StitchSettings
    {
        $book = StitchBook::standard();
        $id = self::BY_HAND;
        if ($way !== ButtonholeWay::ByHand) {
            foreach ($book->all() as $stitch) {
                // A corded one is a rectangular one over a cord.
                $stitch->hole === ($kind === 'corded' ? 'rectangular' : $kind) && $id = $stitch->id;
            }
        }
        $stitch = $book->get($id);
        $width = max($stitch->width->min, min($stitch->width->usual, $machine->swing->widestMm ?? $stitch->width->usual));

        return StitchSettings::of($stitch, null, $width, barMm: max(0.5, min(4.0, $bar)), startsAtBack: $facts->starts === 'back', straightFirst: $facts->straightFirst === true && $way->isOneStep(), openBars: $kind === 'stretch' && $cloth->stretchesBothWays());
    }

    private static function inWords(SetLength $set, SizeWay $told, Words $words): string
    {
        $mm = $words->length(...);

        return match (true) {
            $set->lines !== null => $words->say('hole.set-lines', ['lines' => rtrim(rtrim(number_format($set->lines, 1, '.', ''), '0'), '.'), 'error' => $words->signed($set->errorMm ?? 0.0)]),
            $set->addMm !== null && abs($set->addMm) < 0.05 => $words->say('hole.set-in-foot'),
            $set->addMm !== null => $words->say($set->addMm > 0 ? 'hole.set-add' : 'hole.set-less', ['mm' => $mm(abs($set->addMm))]),
            $told === SizeWay::Typed => $words->say('hole.set-typed', ['mm' => $mm($set->mm)]),
            default => $words->say('hole.set-marks', ['mm' => $mm($set->mm)]),
        };
    }
}
