<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\LessonAssignment;
use App\Models\LessonText;
use App\Models\PlannedLesson;
use App\Models\Sample;
use App\Models\SewingClass;
use App\Models\ShelfEdition;
use App\Models\Studio;
use App\Models\User;
use App\Records\Shelf;
use App\Support\Clock;
use App\Support\Conflict;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\DB;
use OpenSeam\Core\Curriculum\BundleChange;
use OpenSeam\Core\Curriculum\BundleJson;
use OpenSeam\Core\Curriculum\BundleMerge;

/**
 * The studio's shelf, edition by edition. A change makes new versions of the
 * lessons it touches and a new edition that names them; nothing kept before is
 * changed, and going back is one more edition.
 */
final readonly class ShelfEditions
{
    public function __construct(private Shelf $shelf, private CurrentStudio $studio) {}

    /** The edition in use; null: the shelf as it is shipped, number 0. */
    public function current(): ?ShelfEdition
    {
        $edition = $this->studio->edition();

        return $edition === null ? null : ShelfEdition::query()->findOrFail($edition);
    }

    /**
     * Lays a bundle over the shelf.
     *
     * @param  array<string, mixed>  $in
     * @param  int|null  $seen  number of the edition it was compared with; null: whatever it is
     * @param  callable(BundleMerge): string  $what  says what was done
     * @return BundleMerge what changed; nothing is written when nothing did
     *
     * @throws Conflict when the shelf was changed meanwhile
     * @throws \OpenSeam\Core\InputError naming the place that does not fit
     */
    public function lay(User $user, array $in, ?int $seen, callable $what): BundleMerge
    {
        return DB::transaction(function () use ($user, $in, $seen, $what): BundleMerge {
            $manifest = $this->lock($user, $seen)->manifest ?? ShelfEdition::NOTHING;
            $merge = BundleMerge::of($this->shelf->json(), $in);
            if ($merge->changes === []) {
                return $merge;
            }
            foreach ($merge->changes as $change) {
                if ($change->part === 'lesson') {
                    $manifest['lessons'][$change->id] = $this->keepText($user, $merge->json, $change);
                } else {
                    $part = "{$change->part}s";
                    /** @var 'skills'|'faults'|'courses' $part */
                    $manifest[$part] = [...array_values(array_filter($manifest[$part], fn (array $e): bool => ($e['id'] ?? null) !== $change->id)), self::entry($merge->json, $part, $change->id)];
                }
            }
            $this->turn($user, $manifest, $what($merge));

            return $merge;
        });
    }

    /**
     * Goes back to the shelf as it was at an edition; 0: as it is shipped.
     *
     * @throws Conflict when something in use would go, or the shelf was changed meanwhile
     */
    public function backTo(User $user, int $number, int $seen): void
    {
        DB::transaction(function () use ($user, $number, $seen): void {
            $this->lock($user, $seen);
            $then = $number === 0 ? null : ShelfEdition::query()->where('number', $number)->firstOrFail();
            $manifest = $then->manifest ?? ShelfEdition::NOTHING;
            $this->mustBeFree($manifest);
            $this->turn($user, $manifest, $then === null ? 'Back to the shelf as it came' : "Back to {$number}: {$then->what}");
        });
    }

    /** A lesson of this id was kept once, on the shelf or not any more. */
    public function wasThere(string $lesson): bool
    {
        return LessonText::query()->where('lesson', $lesson)->exists();
    }

    /** @return array<int, int> how many samples were sewn of each version of a lesson */
    public function samples(string $lesson): array
    {
        $counted = [];
        foreach (Sample::query()->where('lesson', $lesson)->toBase()->groupBy('lesson_version')->selectRaw('lesson_version as version, count(*) as samples')->get() as $row) {
            $row = (array) $row;
            $counted[self::whole($row['version'] ?? 0)] = self::whole($row['samples'] ?? 0);
        }

        return $counted;
    }

    /** One change of a studio's shelf at a time. */
    private function lock(User $user, ?int $seen): ?ShelfEdition
    {
        $studio = Studio::query()->whereKey($user->studio_id)->lockForUpdate()->firstOrFail();
        $this->studio->turnTo($studio->shelf_edition);
        $current = $this->current();
        if ($seen !== null && $seen !== ($current->number ?? 0)) {
            throw Conflict::staleShelf($seen, $current->number ?? 0);
        }

        return $current;
    }

    /**
     * The next version of a lesson; with it the one before, which may be the course's own.
     *
     * @param  array<string, mixed>  $json
     */
    private function keepText(User $user, array $json, BundleChange $change): int
    {
        $before = $this->shelf->text($change->id);
        $kept = LessonText::query()->where('lesson', $change->id)->pluck('version')->map(self::whole(...))->all();
        if ($before !== null && is_int($before['version']) && ! in_array($before['version'], $kept, true)) {
            $this->write($user, $change->id, $before['version'], $before);
            $kept[] = $before['version'];
        }
        $text = self::entry($json, 'lessons', $change->id);
        $version = $kept === [] ? 1 : max($kept) + 1;
        $this->write($user, $change->id, $version, ['version' => $version] + $text);

        return $version;
    }

    /** @param  array<string, mixed>  $text */
    private function write(User $user, string $lesson, int $version, array $text): void
    {
        LessonText::query()->create([
            'studio_id' => $user->studio_id, 'lesson' => $lesson, 'version' => $version, 'body' => BundleJson::encode($text), 'kept_by' => $user->id, 'kept_at' => Clock::now(),
        ]);
    }

    /** @param  array{lessons: array<string, int>, skills: list<array<string, mixed>>, faults: list<array<string, mixed>>, courses: list<array<string, mixed>>}  $manifest */
    private function turn(User $user, array $manifest, string $what): void
    {
        $last = ShelfEdition::query()->max('number');
        $edition = ShelfEdition::query()->create([
            'studio_id' => $user->studio_id, 'number' => self::whole($last) + 1, 'what' => mb_strimwidth($what, 0, 200, '…'), 'manifest' => $manifest, 'made_by' => $user->id, 'made_at' => Clock::now(),
        ]);
        Studio::query()->whereKey($user->studio_id)->update(['shelf_edition' => $edition->id]);
        $this->studio->turnTo($edition->id);
        $user->turnTo($edition->id);
    }

    /**
     * @param  array{lessons: array<string, int>, skills: list<array<string, mixed>>, faults: list<array<string, mixed>>, courses: list<array<string, mixed>>}  $manifest
     *
     * @throws Conflict naming what is used and would go
     */
    private function mustBeFree(array $manifest): void
    {
        $ids = fn (mixed $list): array => array_column(is_array($list) ? $list : [], 'id');
        $shipped = Shelf::shipped();
        $going = array_diff($this->shelf->bundle()->lessons->ids(), $ids($shipped['lessons'] ?? []), array_keys($manifest['lessons']));
        foreach ($going as $lesson) {
            foreach ([Sample::class, PlannedLesson::class, LessonAssignment::class] as $model) {
                $used = $model::query()->where('lesson', $lesson)->count();
                $used === 0 || throw Conflict::lessonInUse($this->shelf->bundle()->lesson($lesson)->title, $model === Sample::class ? "$used samples" : 'a plan');
            }
        }
        foreach (array_diff(array_keys($this->shelf->bundle()->courses), $ids($shipped['courses'] ?? []), $ids($manifest['courses'])) as $course) {
            $class = SewingClass::query()->where('course', $course)->first();
            $class === null || throw Conflict::lessonInUse($this->shelf->bundle()->courses[$course]['title'], "the class “{$class->name}”");
        }
    }

    private static function whole(mixed $number): int
    {
        return is_numeric($number) ? (int) $number : 0;
    }

    /**
     * @param  array<string, mixed>  $json
     * @return array<string, mixed>
     */
    private static function entry(array $json, string $part, string $id): array
    {
        /** @var list<array<string, mixed>> $list */
        $list = $json[$part];

        return array_values(array_filter($list, fn (array $e): bool => ($e['id'] ?? null) === $id))[0];
    }
}
