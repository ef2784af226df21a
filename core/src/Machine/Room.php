<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;

/** All machines and feet of a room, and what works with what. */
final class Room
{
    /** Alternatives worth naming; more is a list nobody reads. */
    private const MOST_INSTEAD = 3;

    /**
     * @param  array<array-key, Machine>  $machines  by id
     * @param  array<array-key, Foot>  $feet  by id
     */
    public function __construct(public readonly array $machines, public readonly array $feet) {}

    /**
     * Whether a machine can sew it, with the best foot there is.
     *
     * @return array{works: bool, foot: string|null, clearance: string, refusals: list<Refusal>}
     */
    public function bestFoot(string $machine, Setup $setup): array
    {
        $m = $this->machines[$machine];
        $alone = Fit::ofMachine($m, $setup);
        if ($alone !== []) {
            return ['works' => false, 'foot' => null, 'clearance' => 'clear', 'refusals' => $alone];
        }
        $best = null;
        $rank = PHP_INT_MAX;
        $least = null;
        $usual = array_flip($setup->stitch->kind->feet);
        foreach ($this->feet as $id => $foot) {
            // Most feet are not made for most stitches: asked first, because a room has many pairs.
            if ($foot->count < 1 || ! Fit::isMadeFor($foot, $setup->stitch->kind, $m)) {
                continue;
            }
            $refusals = Fit::ofFoot($m, $foot, $setup);
            if ($refusals === []) {
                $place = $usual[$foot->kind->id] ?? 99;
                if ($place < $rank) {
                    [$best, $rank] = [(string) $id, $place];
                }
            } elseif ($least === null || count($refusals) < count($least)) {
                $least = $refusals;
            }
        }
        if ($best !== null) {
            $f = $this->feet[$best];
            $s = $setup->stitch;

            return ['works' => true, 'foot' => $best, 'clearance' => Clearance::inFoot($f, $s, $setup->needleSize)->verdict(), 'refusals' => []];
        }

        return ['works' => false, 'foot' => null, 'clearance' => 'clear', 'refusals' => $least ?? [$this->noFoot($m, $setup)]];
    }

    /**
     * Feet that sew it on this machine.
     *
     * @return list<array-key>
     */
    public function feetFor(string $machine, Setup $setup): array
    {
        $m = $this->machines[$machine];

        return array_keys(array_filter($this->feet, fn (Foot $f): bool => $f->count > 0 && Fit::ofFoot($m, $f, $setup) === []));
    }

    /**
     * Machine × stitch at usual settings: the room table.
     *
     * @return array<array-key, array<string, array{works: bool, foot: string|null, clearance: string, refusals: list<Refusal>}>>
     */
    public function table(float $needleSize = 80.0): array
    {
        $table = [];
        foreach ($this->machines as $id => $m) {
            foreach (StitchBook::standard()->all() as $kind) {
                $table[$id][$kind->id] = $this->bestFoot((string) $id, new Setup($this->usual($m, $kind->id), $needleSize));
            }
        }

        return $table;
    }

    /** How this machine would usually sew it: the usual settings, inside what it can. */
    public function usual(Machine $m, string $stitch): StitchSettings
    {
        $kind = StitchBook::standard()->get($stitch);
        $asked = StitchSettings::of($kind);
        $to = DialTranslator::to($m, $asked);
        if (! $to->possible) {
            return $asked;
        }
        $width = max($kind->width->min, $asked->widthMm + $to->widthOffMm);
        $length = min($kind->length->max, max($kind->length->min, $asked->lengthMm + $to->lengthOffMm));

        return StitchSettings::of($kind, $length, $width);
    }

    /**
     * What in this room would sew it instead.
     *
     * @return list<array{machine: string, foot: string}>
     */
    public function instead(Setup $setup, ?string $notMachine = null, ?string $notFoot = null): array
    {
        $found = [];
        // The same machine with another foot is the smallest change.
        $order = array_map(strval(...), array_keys($this->machines));
        usort($order, fn (string $a, string $b): int => (int) ($b === $notMachine) <=> (int) ($a === $notMachine));
        foreach ($order as $machine) {
            $best = $this->bestFoot($machine, $setup);
            if ($best['foot'] !== null && ! ($machine === $notMachine && $best['foot'] === $notFoot)) {
                $found[] = ['machine' => $machine, 'foot' => $best['foot']];
            }
            if (count($found) >= self::MOST_INSTEAD) {
                break;
            }
        }

        return $found;
    }

    private function noFoot(Machine $m, Setup $setup): Refusal
    {
        $kinds = FootBook::standard()->all();
        $names = array_map(fn (string $k): string => $kinds[$k]->title, array_slice($setup->stitch->kind->feet, 0, 3));

        return new Refusal('no-foot', 'foot', "No foot of this room sews “{$setup->stitch->kind->title}” on {$m->name}; it would be: ".implode(', ', $names).'.', false);
    }
}
