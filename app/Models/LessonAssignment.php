<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Database\Factories\LessonAssignmentFactory;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use OpenSeam\Core\NextLesson\Kind;

/**
 * What a student was given to sew next: what the ladder proposed and what the
 * teacher chose.
 *
 * @property string $class_id
 * @property string $student_id
 * @property string|null $sample_id
 * @property Kind $kind
 * @property string|null $lesson
 * @property string|null $drill
 * @property string|null $proposed_lesson
 * @property string|null $proposed_drill
 * @property bool $overruled
 * @property string $overruled_because
 * @property bool $by_bench given because of who sits where, not because the teacher thought otherwise
 * @property CarbonImmutable $assigned_at
 * @property int $turn number among what the student was given, as it was said
 * @property bool $set_aside its sample is withdrawn
 */
final class LessonAssignment extends OwnedByStudio
{
    /** @use HasFactory<LessonAssignmentFactory> */
    use HasFactory;

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['kind' => Kind::class, 'overruled' => 'bool', 'by_bench' => 'bool', 'set_aside' => 'bool', 'turn' => 'int', 'assigned_at' => 'immutable_datetime'];

    /**
     * What counts, in the order it was said: the clock of the computer may have been set back meanwhile.
     *
     * @return Builder<self>
     */
    public static function inForce(): Builder
    {
        return self::query()->where('set_aside', false)->orderBy('turn')->orderBy('id');
    }

    /**
     * What each was given in a class, oldest first. A class of many has hundreds: of those only the last is made a model.
     *
     * @param  list<string>  $students
     * @return array<string, list<self>> by student
     */
    public static function given(string $class, array $students, bool $onlyLast): array
    {
        $rows = [];
        foreach (self::inForce()->where('class_id', $class)->whereIn('student_id', $students)->toBase()->get() as $row) {
            /** @var object{student_id: string} $row */
            $onlyLast ? $rows[$row->student_id] = [$row] : $rows[$row->student_id][] = $row;
        }

        return array_map(fn (array $of): array => array_values(self::query()->hydrate($of)->all()), $rows);
    }

    /**
     * The number of what each is given next. Asked for while the students are locked.
     *
     * @param  list<string>  $students
     * @return array<string, int> by student
     */
    public static function nextTurns(array $students): array
    {
        $next = array_fill_keys($students, 1);
        foreach (self::query()->whereIn('student_id', $students)->groupBy('student_id')->selectRaw('student_id, max(turn) as last')->toBase()->get() as $row) {
            /** @var object{student_id: string, last: int|string} $row */
            $next[$row->student_id] = 1 + (int) $row->last;
        }

        return $next;
    }
}
