<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Picture\Story;

/** Every act of a lesson's demonstration and every step of its student, drawn. */
final readonly class LessonPictures
{
    /** A lesson is shown with so many pictures at least. */
    public const LEAST = 4;

    /**
     * @param  list<Picture>  $acts
     * @param  list<Picture>  $steps
     * @param  list<list<Picture>>  $stories  of each of its stories
     */
    private function __construct(public array $acts, public array $steps, public array $stories) {}

    /**
     * @param  MachineLook  $machine  that it is shown on
     * @param  bool  $leftHanded  where hands matter the pictures stand as in a mirror
     *
     * @throws InputError naming the picture that cannot be drawn
     */
    public static function of(Lesson $lesson, MachineLook $machine = new MachineLook, bool $leftHanded = false): self
    {
        $book = new PictureBook;
        $shown = new Shown($lesson->sampler, $lesson->folds, $machine, $leftHanded);
        $draw = fn (?Data $chosen, int $at, int $of): Picture => $book->draw($chosen ?? PictureStarter::of($lesson, $at, $of), $shown);
        $acts = $lesson->demonstration->pictures ?? [];

        return new self(
            array_map(fn (int $i): Picture => $draw($acts[$i], $i, count($acts)), array_keys($acts)),
            array_map(fn (int $i): Picture => $draw($lesson->stepPictures[$i] ?? null, $i, count($lesson->steps)), array_keys($lesson->steps)),
            array_map(fn (Story $story): array => array_map(fn (array $s): Picture => $book->draw($s['picture'], $shown), $story->steps), $lesson->stories),
        );
    }

    /**
     * What stands in the way of showing a lesson with pictures of its own, by field; empty: nothing.
     *
     * @return array<string, string>
     */
    public static function missing(Lesson $lesson): array
    {
        $missing = [];
        foreach ($lesson->demonstration->pictures ?? [] as $i => $picture) {
            $picture === null && $missing["demonstration.acts[$i].picture"] = 'Choose what is drawn for this act.';
        }
        foreach (array_keys($lesson->steps) as $i) {
            isset($lesson->stepPictures[$i]) || $missing["step_pictures[$i]"] = 'Choose what is drawn for this step.';
        }
        $there = count($lesson->steps) + count($lesson->demonstration->acts ?? []) - count($missing);
        $there >= self::LEAST || $missing['step_pictures'] = sprintf('A lesson is shown with at least %d pictures; %d are chosen.', self::LEAST, $there);

        return $missing;
    }
}
