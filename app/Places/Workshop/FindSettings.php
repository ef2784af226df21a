<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\Sample;
use App\Records\KeptSample;
use App\Records\SettingsLog;
use App\Records\StudentRecords;
use App\Views\SettingsLogView;
use OpenSeam\Core\Words;

/** What worked on which machine with which cloth: settings of good samples, found again by words. No student is told of. */
final readonly class FindSettings
{
    /** Samples that are looked through, newest first. */
    private const MOST_SAMPLES = 600;

    /** Of those that match, how many are judged. */
    private const MOST_JUDGED = 80;

    public function __construct(private SettingsLog $log, private StudentRecords $records) {}

    /** @return list<SettingsLogView> newest first, the same settings once */
    public function __invoke(string $asked): array
    {
        $wanted = array_values(array_filter(explode(' ', mb_strtolower($asked)), fn (string $w): bool => $w !== ''));
        $matching = [];
        foreach (Sample::query()->orderByDesc('kept_at')->limit(self::MOST_SAMPLES)->get() as $sample) {
            $settings = array_filter($sample->settings, fn (?string $v): bool => $v !== null && $v !== '');
            if (SettingsLog::tells($settings) && count($matching) < self::MOST_JUDGED && $this->holds($wanted, $this->log->title($sample->lesson).' '.implode(' ', $settings))) {
                $matching[$sample->class_id][$sample->student_id][$sample->id] = true;
            }
        }
        $found = [];
        foreach ($matching as $students) {
            foreach ($this->records->of(array_map(strval(...), array_keys($students)), Words::in()) as $student => $samples) {
                foreach ($samples as $kept) {
                    if (isset($students[$student][$kept->sample->id])) {
                        $found[] = $kept;
                    }
                }
            }
        }
        usort($found, fn (KeptSample $a, KeptSample $b): int => $b->sample->kept_at <=> $a->sample->kept_at);

        return $this->log->of($found);
    }

    /** @param  list<string>  $wanted */
    private function holds(array $wanted, string $text): bool
    {
        $text = mb_strtolower($text);

        return array_filter($wanted, fn (string $w): bool => ! str_contains($text, $w)) === [];
    }
}
