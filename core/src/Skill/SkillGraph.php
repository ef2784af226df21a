<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/**
 * Skills and what they stand on: an acyclic graph. The surmise relation of
 * knowledge space theory (Doignon & Falmagne 1985, from memory).
 */
final readonly class SkillGraph
{
    /**
     * @param  array<string, Skill>  $skills  in an order in which needs come first
     * @param  array<string, list<string>>  $closures  all a skill stands on, directly or not
     */
    private function __construct(private array $skills, private array $closures) {}

    /**
     * @param  iterable<Skill>  $skills
     *
     * @throws SkillGraphBroken for a cycle, an unknown need or a skill given twice
     */
    public static function of(iterable $skills): self
    {
        $given = [];
        foreach ($skills as $skill) {
            if (isset($given[$skill->id])) {
                throw SkillGraphBroken::twice($skill->id);
            }
            $given[$skill->id] = $skill;
        }
        foreach ($given as $skill) {
            foreach ($skill->needs as $need) {
                if (! isset($given[$need])) {
                    throw SkillGraphBroken::unknownNeed($skill->id, $need);
                }
            }
        }
        $ordered = [];
        foreach ($given as $id => $_) {
            self::visit((string) $id, $given, $ordered, []);
        }
        $closures = [];
        foreach ($ordered as $id => $skill) {
            $all = [];
            foreach ($skill->needs as $need) {
                $all += array_fill_keys($closures[$need], true) + [$need => true];
            }
            $closures[$id] = array_map(strval(...), array_keys($all));
        }

        return new self($ordered, $closures);
    }

    /**
     * @param  array<string, Skill>  $given
     * @param  array<string, Skill>  $ordered
     * @param  list<string>  $trail
     */
    private static function visit(string $id, array $given, array &$ordered, array $trail): void
    {
        if (isset($ordered[$id])) {
            return;
        }
        $seen = array_search($id, $trail, true);
        if ($seen !== false) {
            throw SkillGraphBroken::cycle([...array_slice($trail, $seen), $id]);
        }
        foreach ($given[$id]->needs as $need) {
            self::visit($need, $given, $ordered, [...$trail, $id]);
        }
        $ordered[$id] = $given[$id];
    }

    /** @return array<string, Skill> needs before what stands on them */
    public function all(): array
    {
        return $this->skills;
    }

    public function has(string $id): bool
    {
        return isset($this->skills[$id]);
    }

    /** @throws SkillGraphBroken when it is unknown */
    public function get(string $id): Skill
    {
        return $this->skills[$id] ?? throw SkillGraphBroken::unknown($id);
    }

    /**
     * All that the given skills stand on, without themselves.
     *
     * @param  list<string>  $ids
     * @return list<string> deepest first
     */
    public function below(array $ids): array
    {
        $all = [];
        foreach ($ids as $id) {
            $this->get($id);
            $all += array_fill_keys($this->closures[$id], true);
        }
        $all = array_diff_key($all, array_fill_keys($ids, true));

        return array_values(array_filter(array_map(strval(...), array_keys($this->skills)), fn (string $id): bool => isset($all[$id])));
    }

    /**
     * Skills that these stand on directly, without themselves.
     *
     * @param  list<string>  $ids
     * @return list<string>
     */
    public function needed(array $ids): array
    {
        return array_values(array_diff(array_unique(array_merge([], ...array_map(fn (string $id): array => $this->get($id)->needs, $ids))), $ids));
    }

    /**
     * The outer fringe: skills not yet sure whose needs all are.
     *
     * @param  callable(string): bool  $isSure
     * @return list<string>
     */
    public function ready(callable $isSure): array
    {
        $ready = [];
        foreach ($this->skills as $id => $skill) {
            if (! $isSure((string) $id) && array_filter($skill->needs, fn (string $need): bool => ! $isSure($need)) === []) {
                $ready[] = (string) $id;
            }
        }

        return $ready;
    }

    /**
     * Whether all that the given skills stand on, beyond themselves, is sure:
     * the root gap is null, told without looking for the deepest.
     *
     * @param  list<string>  $ids
     * @param  callable(string): bool  $isSure
     */
    public function stands(array $ids, callable $isSure): bool
    {
        foreach ($ids as $id) {
            foreach ($this->closures[$id] ?? throw SkillGraphBroken::unknown($id) as $below) {
                if (! in_array($below, $ids, true) && ! $isSure($below)) {
                    return false;
                }
            }
        }

        return true;
    }

    /**
     * The root gap: the deepest unmet skill below the given ones, that is one
     * whose own needs are all met. Null when nothing is missing.
     *
     * @param  list<string>  $ids
     * @param  callable(string): bool  $isSure
     */
    public function rootGap(array $ids, callable $isSure): ?string
    {
        $under = [];
        foreach ($ids as $id) {
            $under += array_fill_keys($this->closures[$id] ?? throw SkillGraphBroken::unknown($id), true);
        }
        $gaps = [];
        foreach ($under as $id => $_) {
            if (! in_array((string) $id, $ids, true) && ! $isSure((string) $id)) {
                $gaps[(string) $id] = true;
            }
        }
        // Deepest first is the graph's own order; it matters only where something is missing.
        foreach ($gaps === [] ? [] : $this->skills as $id => $_) {
            if (isset($gaps[$id])) {
                return (string) $id;
            }
        }

        return null;
    }
}
