<?php

declare(strict_types=1);

namespace OpenSeam\Core\NextLesson;

use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Standing;
use OpenSeam\Core\Skill\StandingLedger;

/**
 * A studio's history gone through again: what each school called sure, and
 * whether it then held; what each rule gave, and whether the teacher agreed.
 */
final readonly class Backtest
{
    /**
     * @param  array<string, array{called: int, held: int, open: int, good: int}>  $schools  showings of skills that were called sure and those that were good; likewise of those that were not called sure
     * @param  array<string, array{given: int, agreed: int, sewn: int, met: int}>  $rules  by kind of next lesson: given, taken by the teacher as it was, sewn next, and met then
     */
    private function __construct(public array $schools, public array $rules, public int $students, public int $samples) {}

    /**
     * @param  list<array{samples: list<PastSample>, given: list<array{kind: Kind, lesson: string|null, agreed: bool, after: int}>, words?: array<string, bool>}>  $histories  by student: samples oldest first; what was given after how many of them; the teacher's own word by skill
     */
    public static function of(StandingLedger $book, array $histories): self
    {
        $schools = array_fill_keys(array_column(School::cases(), 'value'), ['called' => 0, 'held' => 0, 'open' => 0, 'good' => 0]);
        $rules = array_fill_keys(array_column(Kind::cases(), 'value'), ['given' => 0, 'agreed' => 0, 'sewn' => 0, 'met' => 0]);
        $samples = 0;
        foreach ($histories as $history) {
            $samples += count($history['samples']);
            self::skills($book, array_map(fn (PastSample $s): Evidence => $s->evidence, $history['samples']), $history['words'] ?? [], $schools);
            foreach ($history['given'] as $given) {
                $rule = &$rules[$given['kind']->value];
                $rule['given']++;
                $rule['agreed'] += $given['agreed'] ? 1 : 0;
                $next = $history['samples'][$given['after']] ?? null;
                if ($next !== null && $next->lesson === $given['lesson']) {
                    $rule['sewn']++;
                    $rule['met'] += $next->worst() === null ? 1 : 0;
                }
                unset($rule);
            }
        }

        return new self($schools, $rules, count($histories), $samples);
    }

    /**
     * @param  list<Evidence>  $evidence
     * @param  array<string, bool>  $words
     * @param  array<string, array{called: int, held: int, open: int, good: int}>  $schools
     */
    private static function skills(StandingLedger $book, array $evidence, array $words, array &$schools): void
    {
        foreach ($evidence as $i => $sample) {
            // As it was told just before this sample, from what was known then.
            $before = $i === 0 ? [] : $book->standings(array_slice($evidence, 0, $i), $sample->at, $words);
            foreach ($sample->skills() as $skill) {
                if (! isset($before[$skill])) {
                    continue;
                }
                $good = $sample->showing($skill) >= Standing::GOOD_SHOWING ? 1 : 0;
                foreach (School::cases() as $school) {
                    $sure = $before[$skill]->isSure($school) ? 1 : 0;
                    $count = $schools[$school->value];
                    $schools[$school->value] = [
                        'called' => $count['called'] + $sure, 'held' => $count['held'] + $sure * $good,
                        'open' => $count['open'] + 1 - $sure, 'good' => $count['good'] + (1 - $sure) * $good,
                    ];
                }
            }
        }
    }
}
