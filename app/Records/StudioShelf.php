<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\LessonText;
use App\Models\ShelfEdition;

/**
 * What a studio has laid over the course's own shelf, and the versions of its
 * lessons that came before: two queries for each shelf that is read.
 *
 * @phpstan-type Json array<string, mixed>
 */
final readonly class StudioShelf
{
    public function __construct(private string $studio, private string $edition) {}

    /** @return array{lessons: list<Json>, skills: list<Json>, faults: list<Json>, courses: list<Json>} */
    public function over(): array
    {
        $manifest = ShelfEdition::query()->withoutGlobalScopes()->where('studio_id', $this->studio)->findOrFail($this->edition)->manifest;
        $texts = LessonText::query()->withoutGlobalScopes()->where('studio_id', $this->studio)
            ->where(function ($query) use ($manifest): void {
                $query->whereRaw('false');
                foreach ($manifest['lessons'] as $lesson => $version) {
                    $query->orWhere(fn ($one) => $one->where('lesson', $lesson)->where('version', $version));
                }
            })
            ->get()->keyBy('lesson');
        $lessons = [];
        foreach (array_keys($manifest['lessons']) as $lesson) {
            $lessons[] = self::json($texts->get($lesson) ?? throw new \LogicException("The shelf names a version of $lesson that is not there."));
        }

        return ['lessons' => $lessons] + $manifest;
    }

    /** @return Json|null a lesson as it once was */
    public function earlier(string $lesson, int $version): ?array
    {
        $text = LessonText::query()->withoutGlobalScopes()->where('studio_id', $this->studio)->where('lesson', $lesson)->where('version', $version)->first();

        return $text === null ? null : self::json($text);
    }

    /** @return Json */
    private static function json(LessonText $text): array
    {
        /** @var Json $json */
        $json = json_decode($text->body, true, 64, JSON_THROW_ON_ERROR);

        return $json;
    }
}
