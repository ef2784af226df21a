<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\SewingClass;
use App\Records\Shelf;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\InputError;

/** A class follows other schools in a lesson from now on; samples that were kept stay as they were sewn. */
final readonly class ChooseSchools
{
    public function __construct(private Shelf $shelf) {}

    /**
     * @param  list<string>  $schools
     * @return Lesson as the class is taught it now
     *
     * @throws InputError for a lesson or school that is not there
     */
    public function __invoke(SewingClass $class, string $lesson, array $schools): Lesson
    {
        $found = $this->shelf->bundle()->lesson($lesson)->in(new Way($schools));
        DB::transaction(function () use ($class, $lesson, $found): void {
            // Two choices at once, of different lessons, are both kept.
            $row = SewingClass::query()->lockForUpdate()->findOrFail($class->id);
            $row->lesson_schools = array_filter([$lesson => $found->way->schools] + ($row->lesson_schools ?? []), fn (array $s): bool => $s !== []) ?: null;
            $row->save();
        });

        return $found;
    }
}
