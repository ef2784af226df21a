<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Records\Shelf;
use Illuminate\Http\Request;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** The lesson that an address asks for, in the version and the way it was sewn. */
final readonly class AskedLesson
{
    private const LONGEST_WAY = 8_000;

    public function __construct(private Shelf $shelf) {}

    /** @throws InputError for a lesson or a way that is not known */
    public function of(Request $request): Lesson
    {
        $way = $request->query('way');
        $said = is_string($way) && strlen($way) <= self::LONGEST_WAY ? json_decode($way, true, 8) : null;
        $way === null || is_array($said) || throw InputError::at('way', null, 'A way is a JSON object with the schools and stitches it is sewn by.');
        $version = $request->query('version');
        $version === null || (is_numeric($version) && (int) $version >= 1) || throw InputError::at('version', $version, 'A version is a whole number from 1.');

        return $this->in($request->string('lesson')->toString(), is_numeric($version) ? (int) $version : null, is_array($said) ? Way::read(Data::of(['way' => $said])->part('way')) : null);
    }

    /** @throws InputError for a lesson that is not known */
    public function in(string $id, ?int $version, ?Way $way): Lesson
    {
        $lesson = $this->shelf->bundle()->lesson($id);
        $lesson = $version === null ? $lesson : $this->shelf->lessonAt($lesson->id, $version) ?? $lesson;

        return $way === null ? $lesson : $lesson->in($way);
    }
}
