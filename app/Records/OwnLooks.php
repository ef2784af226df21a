<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\OwnLook;
use App\Views\AgreementView;
use App\Views\OwnLookView;
use OpenSeam\Core\Grading\Agreement;
use OpenSeam\Core\Measure\Verdict;

/** What a student read by themselves, beside what the teacher then saw. */
final readonly class OwnLooks
{
    public function __construct(private Shelf $shelf) {}

    /**
     * Newest first, each with how far both agree, and all of it together.
     *
     * @return array{list<OwnLookView>, Agreement}
     */
    public function of(StudentAsRead $s): array
    {
        $views = [];
        $all = Agreement::none();
        foreach (OwnLook::ofStudents([$s->enrolment->student_id]) as $look) {
            $answer = array_values(array_filter($s->samples, fn (KeptSample $k): bool => $k->sample->lesson === $look->lesson && $k->at >= $look->looked_at))[0] ?? null;
            // Practice at home is another piece of cloth: only what both had in hand is compared.
            $agreed = $answer === null || $look->place === 'home' ? null : Agreement::of($look->said(), $answer->grade()->verdicts());
            $all = $agreed === null ? $all : $all->and($agreed);
            array_unshift($views, new OwnLookView(
                $look->id, $this->shelf->bundle()->lessons->title($look->lesson) ?? $look->lesson, $look->place, $look->looked_at->toIso8601ZuluString(),
                array_reduce($look->said(), fn (?Verdict $worst, Verdict $v): Verdict => $worst === null ? $v : $worst->worse($v))?->value,
                $agreed === null ? null : AgreementView::from($agreed),
            ));
        }

        return [$views, $all];
    }
}
