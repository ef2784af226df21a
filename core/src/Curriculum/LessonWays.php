<?php

declare(strict_types=1);

namespace OpenSeam\Core\Curriculum;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Course\SettingSchool;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Data;
use OpenSeam\Core\Fault\Fault;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\OwnStitch;
use OpenSeam\Core\Picture\RowLooks;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Skill\SkillGraph;
use OpenSeam\Core\Words;

/** A lesson's JSON in another way than the usual one. */
final readonly class LessonWays
{
    /**
     * @param  array<string, mixed>  $lesson
     * @return array<array-key, mixed>
     *
     * @throws InputError when a school's changes or the machine's rows do not fit the lesson
     */
    public static function lay(array $lesson, Way $way): array
    {
        $laid = $lesson;
        foreach (Data::of($lesson)->parts('settings') as $setting) {
            foreach ($setting->parts('schools') as $school) {
                if (in_array(self::id($school), $way->schools, true)) {
                    $laid = LessonPatch::lay($laid, ['settings' => [$setting->text('name') => ['value' => $school->text('value')]]]);
                    $laid = LessonPatch::lay($laid, $school->part('instead')->raw());
                }
            }
        }
        /** @var array<string, mixed> $laid */

        return $way->stitches === [] ? $laid : OwnRows::lay($laid, $way->stitches);
    }

    /**
     * @return list<SettingSchool>
     *
     * @throws InputError when something is missing or of the wrong type
     */
    public static function schools(Data $setting): array
    {
        return array_map(fn (Data $s): SettingSchool => new SettingSchool(self::id($s), $s->text('school'), $s->text('value'), $s->part('instead')->has('sews')), $setting->parts('schools'));
    }

    /**
     * Every way that a class can choose, and one with stitches of a machine, holds together.
     *
     * @param  array<string, Fault>  $faults
     *
     * @throws InputError naming the school
     */
    public static function check(Lesson $lesson, SkillGraph $skills, array $faults): void
    {
        self::drawn($lesson);
        foreach ($lesson->settings as $i => $setting) {
            foreach ($setting->schools as $j => $school) {
                self::checkOne($lesson, new Way([$school->id]), $skills, $faults, "settings[$i].schools[$j].instead", "“{$school->school}”: ");
            }
        }
        $lesson->each() === '' || self::checkOne($lesson, new Way([], OwnStitch::examples($lesson->each())), $skills, $faults, 'on_machine', '');
    }

    /** @param  array<string, Fault>  $faults */
    private static function checkOne(Lesson $lesson, Way $way, SkillGraph $skills, array $faults, string $place, string $school): void
    {
        try {
            Bundle::checkLesson($lesson->in($way), $skills, $faults);
            self::drawn($lesson->in($way));
        } catch (InputError $e) {
            throw InputError::at("$place.$e->field", $e->got, "{$lesson->title}: $school{$e->getMessage()}");
        }
    }

    /** @throws InputError for one whose pictures cannot be drawn: it does not come in */
    private static function drawn(Lesson $lesson): void
    {
        LessonPictures::of($lesson);
        foreach ($lesson->sampler->rows as $row) {
            foreach ($row->fields as $field) {
                $field->looks === [] || RowLooks::of($row, $field, Words::in(), new Shown($lesson->sampler, $lesson->folds));
            }
        }
    }

    /** A school that has no id of its own goes by its name. */
    private static function id(Data $school): string
    {
        return $school->text('id', trim((string) preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($school->text('school'))), '-'));
    }
}
