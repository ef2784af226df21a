<?php

declare(strict_types=1);

namespace App\Records;

use App\Views\SettingsLogView;
use OpenSeam\Core\Measure\Verdict;

/** Settings of good samples, the same settings once. */
final readonly class SettingsLog
{
    public function __construct(private Shelf $shelf) {}

    /**
     * @param  list<KeptSample>  $samples  newest first
     * @return list<SettingsLogView>
     */
    public function of(array $samples): array
    {
        $log = [];
        foreach ($samples as $kept) {
            $settings = array_filter($kept->sample->settings, fn (?string $v): bool => $v !== null && $v !== '');
            if ($kept->verdict() !== Verdict::Met || ! self::tells($settings)) {
                continue;
            }
            ksort($settings);
            $key = $kept->sample->lesson.json_encode($settings);
            $log[$key] = SettingsLogView::of($kept->sample->lesson, $this->title($kept->sample->lesson), $settings, ($log[$key]->times ?? 0) + 1, $log[$key]->last_at ?? $kept->sample->kept_at->toIso8601ZuluString());
        }

        return array_values($log);
    }

    /**
     * The seat's machine alone tells nothing that helps.
     *
     * @param  array<string, string|null>  $settings  that were noted
     */
    public static function tells(array $settings): bool
    {
        return array_diff_key($settings, ['machine' => 1]) !== [];
    }

    public function title(string $lesson): string
    {
        return $this->shelf->bundle()->lessons->title($lesson) ?? $lesson;
    }
}
