<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Models\Foot;
use App\Models\Machine;
use App\Models\Student;
use App\Records\RoomInventory;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Clearance;
use OpenSeam\Core\Machine\Fit;
use OpenSeam\Core\Machine\Setup;
use OpenSeam\Core\Measure\Length;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Words;

/** What a sample is said to have been sewn with: a combination that strikes is not kept as a setting that worked. */
final class SewnWith
{
    /**
     * @param  array<string, string|null>  $settings
     *
     * @throws InputError when machine, foot and width together would break the needle
     */
    public static function check(Lesson $lesson, Student $student, array $settings): void
    {
        $need = $lesson->sews[0] ?? null;
        if ($need === null || ($settings['machine'] ?? null) === null || ($settings['foot'] ?? null) === null) {
            return;
        }
        $book = RoomInventory::read()->with($student);
        $machine = $book->machines->first(fn (Machine $m): bool => $m->name === $settings['machine']);
        $foot = $book->feet->first(fn (Foot $f): bool => $f->name === $settings['foot']);
        if ($machine === null || $foot === null) {
            return;
        }
        $kind = $need->setup->stitch->kind;
        $width = self::mm($settings['width'] ?? null);
        if ($width !== null && $width > 0 && ! $kind->swings()) {
            throw InputError::at('settings.width', $settings['width'], "“{$kind->title}” has no width: leave it empty.");
        }
        $setup = new Setup(
            StitchSettings::of($kind, null, $width ?? $need->setup->stitch->widthMm, $need->setup->stitch->positionMm),
            Clearance::needleOf($settings['needle'] ?? null),
        );
        foreach ([...Fit::ofMachine($machine->core(), $setup), ...Fit::ofFoot($machine->core(), $foot->core(), $setup)] as $refusal) {
            if ($refusal->danger) {
                throw InputError::at('settings.'.($refusal->field === 'width_mm' ? 'width' : 'foot'), $settings[$refusal->field === 'width_mm' ? 'width' : 'foot'] ?? null, "$refusal->text This cannot be kept as a setting that worked; put right the foot or the width, or leave the foot empty.");
            }
        }
    }

    /**
     * On the machine that the student brought along.
     *
     * @param  array<string, string|null>  $settings
     */
    public static function onOwn(Student $student, array $settings): bool
    {
        $home = $student->atHome();

        return $home !== null && ($settings['machine'] ?? null) === Words::in()->say('room.own', ['machine' => $home->machine->name]);
    }

    private static function mm(?string $typed): ?float
    {
        try {
            return $typed === null || trim($typed) === '' ? null : Length::parse($typed, Unit::Millimetre)->inMm();
        } catch (NotALength) {
            return null;
        }
    }
}
