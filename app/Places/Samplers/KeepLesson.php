<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\User;
use App\Records\RoomInventory;
use App\Records\Shelf;
use App\Support\BundleSchema;
use App\Support\Conflict;
use Illuminate\Support\Str;
use OpenSeam\Core\Curriculum\BundleMerge;
use OpenSeam\Core\Curriculum\LessonDraft;
use OpenSeam\Core\InputError;

/** Puts a drafted lesson on the shelf as its next version, or as a new lesson. Samples of the version before keep theirs. */
final readonly class KeepLesson
{
    public function __construct(private Shelf $shelf, private ShelfEditions $book) {}

    /**
     * @param  array<string, mixed>  $json
     * @param  mixed  $sent  the same with objects as objects
     * @param  int  $version  the one it was made from; 0: a new lesson
     * @return string the lesson's id
     *
     * @throws InputError naming the place that does not fit
     * @throws Conflict when somebody was quicker
     */
    public function __invoke(User $user, array $json, mixed $sent, int $version): string
    {
        BundleSchema::checkLesson($sent);
        $id = is_string($json['id'] ?? null) ? $json['id'] : '';
        $title = is_string($json['title'] ?? null) ? $json['title'] : '';
        $before = $this->shelf->text($id);
        if ($version === 0) {
            $json['id'] = $id = $this->freeId($title);
        } elseif ($before === null) {
            throw InputError::at('lesson.id', $id, 'There is no such lesson on the shelf; keep it as a new one.');
        } elseif ($before['version'] !== $version) {
            throw Conflict::staleLesson($title, $version, is_int($before['version']) ? $before['version'] : 0);
        }
        $json = LessonDraft::withNeeds($json, $before ?? $json);
        LessonDraft::read($json, $this->shelf->bundle(), RoomInventory::read()->room)->mustFit();
        $this->book->lay($user, ['format_version' => 1, 'lessons' => [$json]], null, function (BundleMerge $merge) use ($title): string {
            return $merge->changes[0]->isNew ? "New lesson: $title" : "Changed: $title";
        });

        return $id;
    }

    /** A new lesson's id, from its title; one that was on the shelf once is not used again. */
    private function freeId(string $title): string
    {
        $slug = substr(Str::slug($title), 0, 50);
        $slug = $slug === '' ? 'lesson' : $slug;
        for ($n = 2, $id = $slug; $this->shelf->text($id) !== null || $this->book->wasThere($id); $n++) {
            $id = "$slug-$n";
        }

        return $id;
    }
}
