<?php

declare(strict_types=1);

namespace App\Models;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Database\Eloquent\Factories\HasFactory;
use OpenSeam\Core\Measure\Verdict;
use OpenSeam\Core\Skill\Evidence;

/**
 * A sample as its student read it: at home, or in class before the teacher looked. It is no sample of the teacher's and is never one.
 *
 * @property string $class_id
 * @property string $student_id
 * @property string $lesson
 * @property int $lesson_version
 * @property string $place
 * @property array<string, list<float|null>> $readings in mm, by reading
 * @property array<string, string> $verdicts by check
 * @property array<string, list<float>> $weights by skill
 * @property CarbonImmutable $looked_at
 */
final class OwnLook extends OwnedByStudio
{
    /** @use HasFactory<\Database\Factories\OwnLookFactory> */
    use HasFactory;

    public const HOME = 'home';

    public const PLACES = [self::HOME, 'class'];

    public $timestamps = false;

    protected $dateFormat = 'Y-m-d H:i:s.v';

    protected $casts = ['lesson_version' => 'int', 'readings' => 'array', 'verdicts' => 'array', 'weights' => 'array', 'looked_at' => 'immutable_datetime'];

    /**
     * @param  list<string>  $students
     * @return Collection<int, self> oldest first
     */
    public static function ofStudents(array $students): Collection
    {
        return self::query()->whereIn('student_id', $students)->orderBy('looked_at')->orderBy('id')->get();
    }

    /** @return array<string, Verdict> by check */
    public function said(): array
    {
        return array_map(Verdict::from(...), $this->verdicts);
    }

    public function evidence(): Evidence
    {
        return new Evidence($this->id, $this->looked_at, $this->weights);
    }
}
