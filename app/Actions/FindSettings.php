<?php

declare(strict_types=1);

namespace App\Actions;

use App\Http\Resources\SettingsLogView;
use App\Models\Sample;
use App\Support\KeptSample;
use App\Support\Shelf;
use App\Support\StudentRecords;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Words;

/** What worked on which machine with which cloth: settings of good samples, found again by words. No student is told of. */
final readonly class FindSettings
{
    /** Samples that are looked through, newest first. */
    private const MOST_SAMPLES = 600;

    /** Of those that match, how many are judged. */
    private const MOST_JUDGED = 80;

    public function __construct(private Shelf $shelf, private StudentRecords $records) {}

    /** @return list<SettingsLogView> newest first, the same settings once */
    public function __invoke(string $asked): array
    {
        $wanted = array_values(array_filter(explode(' ', mb_strtolower($asked)), fn (string $w): bool => $w !== ''));
        $matching = [];
        foreach (Sample::query()->orderByDesc('kept_at')->limit(self::MOST_SAMPLES)->get() as $sample) {
            $settings = array_filter($sample->settings, fn (?string $v): bool => $v !== null && $v !== '');
            // The seat's machine alone tells nothing that helps.
            if (array_diff_key($settings, ['machine' => 1]) !== [] && count($matching) < self::MOST_JUDGED && $this->holds($wanted, $this->title($sample->lesson).' '.implode(' ', $settings))) {
                $matching[$sample->class_id][$sample->student_id][$sample->id] = true;
            }
        }
        $found = [];
        foreach ($matching as $class => $students) {
            foreach ($this->records->of((string) $class, array_map(strval(...), array_keys($students)), Words::in()) as $student => $samples) {
                foreach ($samples as $kept) {
                    if (isset($students[$student][$kept->sample->id]) && $kept->grade->verdict() === Verdict::Met) {
                        $found[] = $kept;
                    }
                }
            }
        }
        usort($found, fn (KeptSample $a, KeptSample $b): int => $b->sample->kept_at <=> $a->sample->kept_at);
        $log = [];
        foreach ($found as $kept) {
            $settings = array_filter($kept->sample->settings, fn (?string $v): bool => $v !== null && $v !== '');
            ksort($settings);
            $key = $kept->sample->lesson.json_encode($settings);
            $log[$key] = SettingsLogView::of($kept->sample->lesson, $this->title($kept->sample->lesson), $settings, ($log[$key]->times ?? 0) + 1, $log[$key]->last_at ?? $kept->sample->kept_at->toIso8601ZuluString());
        }

        return array_values($log);
    }

    private function title(string $lesson): string
    {
        return $this->shelf->bundle()->lessons[$lesson]->title ?? $lesson;
    }

    /** @param  list<string>  $wanted */
    private function holds(array $wanted, string $text): bool
    {
        $text = mb_strtolower($text);

        return array_filter($wanted, fn (string $w): bool => ! str_contains($text, $w)) === [];
    }
}
