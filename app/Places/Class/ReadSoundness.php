<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\Enrolment;
use App\Models\LessonAssignment;
use App\Models\Studio;
use App\Records\KeptSample;
use App\Records\RebuildStandings;
use App\Records\Shelf;
use App\Records\Standings;
use App\Records\StudentRecords;
use App\Records\Tracing;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Grading\GradedCheck;
use OpenSeam\Core\NextLesson\Backtest;
use OpenSeam\Core\NextLesson\Kind;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Skill\FitReport;
use OpenSeam\Core\Skill\ParameterFit;
use OpenSeam\Core\Skill\StandingLedger;
use OpenSeam\Core\Skill\TracingParameters;
use OpenSeam\Core\Skill\TracingTable;
use OpenSeam\Core\Words;

/** Goes through the history of the studio's newest classes: what was called sure and held, what was given and taken, how its students learn. */
final readonly class ReadSoundness
{
    /** What the newest classes show is enough: what was sewn years ago tells of other lessons and other rules. */
    private const ENOUGH_SAMPLES = 1_200;

    public function __construct(private Shelf $shelf, private StudentRecords $records, private Standings $standings, private CurrentStudio $studio, private RebuildStandings $rebuild) {}

    public function __invoke(): SoundnessView
    {
        $history = $this->history();
        $test = Backtest::of(new StandingLedger($this->standings->table()), array_values($history));
        $own = $this->studio->tracing();

        return new SoundnessView(
            $test->students, $test->samples, array_sum(array_column($history, 'verdicts')), array_sum(array_column($history, 'overruled')),
            array_map(fn (string $school, array $n): SchoolSoundView => new SchoolSoundView($school, $n['called'], $n['held'], $n['open'], $n['good']), array_keys($test->schools), $test->schools),
            array_map(fn (string $kind, array $n): RuleSoundView => new RuleSoundView($kind, $n['given'], $n['agreed'], $n['sewn'], $n['met']), array_keys($test->rules), $test->rules),
            array_map(fn (FitReport $r): KindSoundView => self::kind($r, $own[$r->kind] ?? null), $this->fits($history)),
            ParameterFit::ENOUGH_SHOWINGS, ParameterFit::ENOUGH_STUDENTS, $own !== [],
        );
    }

    /** Goes by the studio's own samples from now on, where they foretell better; all standings are worked out anew. */
    public function fit(): void
    {
        $better = [];
        foreach ($this->fits($this->history()) as $report) {
            $report->used && $better[$report->kind] = $report->parameters;
        }
        $this->turnTo($better);
    }

    /** Back to the usual numbers. */
    public function forget(): void
    {
        $this->turnTo([]);
    }

    /** @param  array<string, TracingParameters>  $own */
    private function turnTo(array $own): void
    {
        DB::transaction(function () use ($own): void {
            $studio = (string) $this->studio->id();
            Studio::query()->whereKey($studio)->update(['tracing' => Tracing::write($own)]);
            $this->studio->turnTracingTo(Tracing::write($own));
            $this->standings->forget();
            ($this->rebuild)();
        });
    }

    private static function kind(FitReport $r, ?TracingParameters $own): KindSoundView
    {
        $p = $own ?? TracingTable::defaults()[$r->kind];

        return new KindSoundView($r->kind, TracingTable::kinds()[$r->kind], $p->start, $p->afterDemo(), $p->slip, $p->guess, $p->transit, $own !== null, $r->students, $r->showings, $r->usualLoss, $r->fittedLoss);
    }

    /**
     * @param  array<string, array{samples: list<PastSample>, given: list<array{kind: Kind, lesson: string|null, agreed: bool, after: int}>}>  $history
     * @return list<FitReport>
     */
    private function fits(array $history): array
    {
        $sequences = array_fill_keys(array_keys(TracingTable::defaults()), []);
        foreach ($history as $student => ['samples' => $samples]) {
            $shown = [];
            foreach ($samples as $sample) {
                foreach ($sample->evidence->skills() as $skill) {
                    $shown[$skill][] = $sample->evidence->showings($skill);
                }
            }
            foreach ($shown as $skill => $of) {
                $this->shelf->bundle()->skills->has((string) $skill) && $sequences[$this->shelf->bundle()->skills->get((string) $skill)->kind][] = ['student' => (string) $student, 'samples' => $of];
            }
        }

        return array_map(fn (string $kind): FitReport => ParameterFit::of($kind, $sequences[$kind], TracingTable::defaults()[$kind]), array_keys($sequences));
    }

    /** @return array<string, array{verdicts: int, overruled: int, samples: list<PastSample>, given: list<array{kind: Kind, lesson: string|null, agreed: bool, after: int}>}> by class and student */
    private function history(): array
    {
        $given = LessonAssignment::inForce()->where('by_bench', false)->get()->groupBy(fn (LessonAssignment $g): string => "{$g->class_id}/{$g->student_id}");
        $history = $seen = [];
        $many = 0;
        foreach (Enrolment::query()->orderByDesc('class_id')->orderBy('id')->get()->groupBy('class_id') as $class => $enrolments) {
            if ($many >= self::ENOUGH_SAMPLES) {
                break;
            }
            $students = array_values($enrolments->map(fn (Enrolment $e): string => $e->student_id)->all());
            // Whoever is in two classes has one history.
            $students = array_values(array_filter($students, fn (string $s): bool => ! isset($seen[$s])));
            $seen += array_fill_keys($students, true);
            foreach ($this->records->of($students, Words::in()) as $student => $kept) {
                $many += count($kept);
                $times = array_map(fn (KeptSample $k): int => (int) $k->sample->kept_at->getTimestampMs(), $kept);
                $checks = array_merge([], ...array_map(fn (KeptSample $k): array => $k->grade()->checks, $kept));
                $judged = array_filter($checks, fn (GradedCheck $c): bool => $c->result !== null);
                $history["$class/$student"] = [
                    'verdicts' => count($judged), 'overruled' => count(array_filter($judged, fn (GradedCheck $c): bool => $c->overruled !== null)),
                    'samples' => array_map(fn (KeptSample $k): PastSample => $k->past(), $kept),
                    'given' => array_map(fn (LessonAssignment $g): array => [
                        'kind' => $g->kind, 'lesson' => $g->lesson, 'agreed' => ! $g->overruled,
                        'after' => count(array_filter($times, fn (int $t): bool => $t <= $g->assigned_at->getTimestampMs())),
                    ], array_values(($given["$class/$student"] ?? collect())->all())),
                ];
            }
        }

        return array_filter($history, fn (array $h): bool => $h['samples'] !== []);
    }
}
