<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tables;

/** The numbers of knowledge tracing for each skill, by its kind. */
final class TracingTable
{
    /** The kind of a skill that names none. */
    public const USUAL = 'hand';

    /** @var array<string, KnowledgeTracing> */
    private array $tracing = [];

    /**
     * @param  array<string, string>  $kindOf  by skill
     * @param  array<string, TracingParameters>  $byKind
     */
    private function __construct(private readonly array $kindOf, private readonly array $byKind) {}

    /** The same numbers for everything. */
    public static function same(TracingParameters $parameters): self
    {
        return new self([], [self::USUAL => $parameters]);
    }

    /**
     * @param  array<string, TracingParameters>  $own  a studio's own numbers by kind, where its samples gave better ones
     * @param  array<string, TracingParameters>  $bySkill  numbers of single skills, before those of their kind
     */
    public static function of(SkillGraph $skills, array $own = [], array $bySkill = []): self
    {
        $kindOf = array_map(fn (Skill $s): string => $s->kind, $skills->all());
        $byKind = $own + self::defaults();
        foreach ($bySkill as $skill => $numbers) {
            // A kind of one: no kind of the table has a colon.
            $byKind[$kindOf[$skill] = "own:$skill"] = $numbers;
        }

        return new self($kindOf, $byKind);
    }

    public function for(string $skill): TracingParameters
    {
        return $this->byKind[$this->kindOf[$skill] ?? self::USUAL];
    }

    public function tracing(string $skill): KnowledgeTracing
    {
        return $this->tracing[$this->kindOf[$skill] ?? self::USUAL] ??= new KnowledgeTracing($this->for($skill));
    }

    /** @return array<string, TracingParameters> by kind: resources/tracing.json */
    public static function defaults(): array
    {
        /** @var array<string, TracingParameters> $read */
        static $read = [];
        foreach ($read === [] ? array_keys(self::kinds()) : [] as $kind) {
            $read[$kind] = TracingParameters::read(Tables::read('tracing')->part('kinds')->part($kind));
        }

        return $read;
    }

    /** @return array<string, string> what each kind is called */
    public static function kinds(): array
    {
        $kinds = Tables::read('tracing')->part('kinds');
        $titles = [];
        foreach (array_map(strval(...), array_keys($kinds->raw())) as $kind) {
            $titles[$kind] = $kinds->part($kind)->text('title');
        }

        return $titles;
    }

    /** @throws InputError for a kind that is not in the table */
    public static function kind(Data $skill): string
    {
        $kind = $skill->text('kind', self::USUAL);

        return isset(self::kinds()[$kind]) ? $kind : throw InputError::at($skill->path('kind'), $kind, 'A skill is of one of these kinds: '.implode(', ', array_keys(self::kinds())).'.');
    }
}
