<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Tables;

/** The causes there are, which faults each shows as, and what speaks for or against it. Table: resources/causes.json. */
final readonly class CauseBook
{
    /** Each cause is half as usual as the one named before it; common practice, no source. */
    private const NEXT = 0.5;

    /** What is known speaks against a cause below this. */
    private const SPOKEN_AGAINST = 0.5;

    /** Minutes to try a cause that only a teacher's own fault names; common practice, no source. */
    private const OWN_MINUTES = 1.0;

    /**
     * @param  array<string, Cause>  $causes
     * @param  array<string, array<string, float>>  $shares  how usual each cause is, by fault; of a fault they add up to 1
     * @param  list<Data>  $known  what speaks for and against
     * @param  array<string, list<Data>>  $first  what is put right before anything else, by fault, some only when something is known
     */
    private function __construct(public array $causes, public array $shares, private array $known, private array $first) {}

    public static function standard(Unit $unit = Unit::Millimetre): self
    {
        /** @var array<string, self> $books */
        static $books = [];

        return $books[$unit->value] ??= self::read(Tables::read('causes')->saidIn($unit));
    }

    private static function read(Data $table): self
    {
        $causes = [];
        foreach ($table->parts('causes') as $c) {
            $causes[$c->text('id')] = new Cause($c->text('id'), $c->text('title'), $c->text('kind'), $c->number('minutes'), $c->text('do'), $c->has('skill') ? $c->text('skill') : null, $c->has('prevents') && $c->flag('prevents'));
        }
        $shares = $first = [];
        foreach ($table->parts('faults') as $f) {
            foreach ($f->texts('causes') as $i => $id) {
                isset($causes[$id]) || throw InputError::at($f->path("causes[$i]"), $id, 'This must be the id of a cause.');
            }
            $shares[$f->text('id')] = self::halving($f->texts('causes'));
            $first[$f->text('id')] = $f->has('first') ? $f->parts('first') : [];
        }

        return new self($causes, $shares, $table->parts('known'), $first);
    }

    /**
     * The same with faults of a studio's own lessons, whose causes stand in words.
     *
     * @param  iterable<Fault>  $faults
     */
    public function with(iterable $faults): self
    {
        [$causes, $shares] = [$this->causes, $this->shares];
        foreach ($faults as $fault) {
            if (isset($shares[$fault->id])) {
                continue;
            }
            $ids = [];
            foreach ($fault->causes as $i => $title) {
                $id = $fault->id.'/'.($i + 1);
                $causes[$id] = new Cause($id, $title, 'habit', self::OWN_MINUTES, $i === 0 ? $fault->first->text : "Put this right: $title.");
                $ids[] = $id;
            }
            $shares[$fault->id] = self::halving($ids);
        }

        return new self($causes, $shares, $this->known, $this->first);
    }

    /** @throws InputError when there is none of that id */
    public function cause(string $id, string $field = 'cause'): Cause
    {
        return $this->causes[$id] ?? throw InputError::at($field, $id, 'This must be the id of a cause that is known: '.implode(', ', array_keys($this->causes)).'.');
    }

    /**
     * How much what is known speaks for each cause; 1 speaks neither way.
     *
     * @param  array<string, mixed>  $known
     * @return array<string, float>
     */
    public function spokenFor(array $known): array
    {
        $times = array_fill_keys(array_keys($this->causes), 1.0);
        foreach ($this->known as $rule) {
            if (! self::holds($rule->raw(), $known[$rule->text('about')] ?? null)) {
                continue;
            }
            foreach ($this->causes as $id => $cause) {
                $times[$id] *= ($rule->has('times') ? $rule->part('times')->number($id, 1.0) : 1.0) * ($rule->has('kinds') ? $rule->part('kinds')->number($cause->kind, 1.0) : 1.0);
            }
        }

        return $times;
    }

    /**
     * In which round of trials a cause comes: what a fault asks for before anything else, what puts right
     * the row that is there, what only keeps the next one from it.
     *
     * @param  list<string>  $seen  fault ids
     * @param  array<string, mixed>  $known
     * @param  float  $spoken  how much what is known speaks for it: what was put right just now does not come first
     */
    public function round(string $cause, array $seen, array $known, float $spoken): int
    {
        foreach ($seen as $fault) {
            foreach ($this->first[$fault] ?? [] as $rule) {
                $when = $rule->has('when') ? $rule->part('when') : null;
                if ($rule->text('cause') === $cause && ($spoken >= self::SPOKEN_AGAINST || ($rule->has('always') && $rule->flag('always'))) && ($when === null || self::holds($when->raw(), $known[$when->text('about')] ?? null))) {
                    return 0;
                }
            }
        }

        return $this->cause($cause)->prevents || $spoken < self::SPOKEN_AGAINST ? 2 : 1;
    }

    /** @param  array<array-key, mixed>  $rule */
    private static function holds(array $rule, mixed $value): bool
    {
        if ($value === null) {
            return false;
        }
        if (array_key_exists('is', $rule)) {
            return $value === $rule['is'];
        }

        return is_numeric($value) && (! isset($rule['at_least']) || $value >= $rule['at_least']) && (! isset($rule['below']) || $value < $rule['below']);
    }

    /**
     * @param  list<string>  $ids  most usual first
     * @return array<string, float>
     */
    private static function halving(array $ids): array
    {
        $shares = [];
        foreach ($ids as $i => $id) {
            $shares[$id] = self::NEXT ** $i;
        }
        $sum = array_sum($shares);

        return array_map(fn (float $s): float => $s / $sum, $shares);
    }
}
