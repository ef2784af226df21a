<?php

declare(strict_types=1);

namespace App\Views;

use App\Records\KeptSample;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Words;

/** How a lesson or one of its drills is called on screen. */
final class Titles
{
    public static function of(Bundle $bundle, ?string $lesson, ?string $drill = null): string
    {
        if ($drill === null) {
            return $lesson === null ? '' : $bundle->lessons->title($lesson) ?? '';
        }
        $found = $lesson === null ? null : ($bundle->lessons[$lesson] ?? null);
        $sewn = $found?->drill($drill);

        return $found === null || $sewn === null ? $found->title ?? '' : Words::in()->say('drill.title', ['lesson' => $found->title, 'drill' => $sewn->title]);
    }

    /** A kept sample's, with the schools it was sewn by where they were not the usual ones. */
    public static function sewn(Bundle $bundle, KeptSample $kept): string
    {
        $title = self::of($bundle, $kept->sample->lesson, $kept->sample->drill);
        $schools = $kept->lesson()->schoolsFollowed();

        return $schools === '' ? $title : Words::in()->say('sewn.title', ['lesson' => $title, 'schools' => $schools]);
    }
}
