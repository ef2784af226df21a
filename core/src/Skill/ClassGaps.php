<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** What a class as a whole is missing, and who in it could help whom. */
final readonly class ClassGaps
{
    /** From this share of those who tried it on, it is shown to all again; common practice, no source. */
    public const SHOW_AGAIN = 0.4;

    /** A gap of fewer students than this is theirs, not the class's. */
    private const FEWEST = 2;

    /**
     * @param  list<array{skill: string, open: list<string>, tried: int, again: bool}>  $gaps  skills tried and not sure, of most weight first: who it is open for, and whether to show it to all again
     * @param  list<array{helper: string, learner: string, skill: string}>  $pairs  each student once
     */
    private function __construct(public array $gaps, public array $pairs) {}

    /**
     * @param  array<string, array<string, Standing>>  $standings  by student and skill
     * @param  array<string, list<string>>  $sewing  skills that each student is at
     */
    public static function of(SkillGraph $skills, School $school, array $standings, array $sewing): self
    {
        $open = $sure = [];
        foreach ($standings as $student => $mine) {
            foreach ($mine as $skill => $standing) {
                if ($skills->has((string) $skill) && $standing->tried()) {
                    $standing->isEnough($school) && ! $standing->refreshDue($school) ? $sure[$skill][] = (string) $student : $open[$skill][] = (string) $student;
                }
            }
        }
        $carries = self::carries($skills);
        $gaps = [];
        foreach ($open as $skill => $students) {
            $tried = count($students) + count($sure[$skill] ?? []);
            count($students) < self::FEWEST || $gaps[] = ['skill' => (string) $skill, 'open' => $students, 'tried' => $tried, 'again' => count($students) / $tried >= self::SHOW_AGAIN];
        }
        // What weighs the same stands in the order of the skills, whatever order they were read in.
        $place = array_flip(array_map(strval(...), array_keys($skills->all())));
        usort($gaps, fn (array $a, array $b): int => [$b['again'], count($b['open']) * $carries[$b['skill']], $place[$a['skill']]] <=> [$a['again'], count($a['open']) * $carries[$a['skill']], $place[$b['skill']]]);

        return new self($gaps, self::pairs($open, $sure, $carries, $sewing));
    }

    /** @return array<string, int> how much stands on each skill, itself included */
    private static function carries(SkillGraph $skills): array
    {
        $carries = array_map(fn (): int => 1, $skills->all());
        foreach (array_map(strval(...), array_keys($skills->all())) as $skill) {
            foreach ($skills->below([$skill]) as $below) {
                $carries[$below]++;
            }
        }

        return $carries;
    }

    /**
     * Who is sure beside who is not: what the learner is sewing first, then what
     * carries most; each student in one pair.
     *
     * @param  array<string, list<string>>  $open
     * @param  array<string, list<string>>  $sure
     * @param  array<string, int>  $carries
     * @param  array<string, list<string>>  $sewing
     * @return list<array{helper: string, learner: string, skill: string}>
     */
    private static function pairs(array $open, array $sure, array $carries, array $sewing): array
    {
        $could = [];
        foreach ($open as $skill => $learners) {
            foreach ($learners as $learner) {
                foreach ($sure[$skill] ?? [] as $helper) {
                    $at = in_array($skill, $sewing[$learner] ?? [], true);
                    $both = $at && in_array($skill, $sewing[$helper] ?? [], true);
                    $could[] = [[$both, $at, $carries[$skill], -count($sure[$skill])], ['helper' => $helper, 'learner' => $learner, 'skill' => (string) $skill]];
                }
            }
        }
        usort($could, fn (array $a, array $b): int => ($b[0] <=> $a[0]) ?: ([$a[1]['learner'], $a[1]['helper'], $a[1]['skill']] <=> [$b[1]['learner'], $b[1]['helper'], $b[1]['skill']]));
        [$pairs, $taken] = [[], []];
        foreach ($could as [, $pair]) {
            if (! isset($taken[$pair['helper']]) && ! isset($taken[$pair['learner']])) {
                $pairs[] = $pair;
                $taken += [$pair['helper'] => true, $pair['learner'] => true];
            }
        }

        return $pairs;
    }
}
