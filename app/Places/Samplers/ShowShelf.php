<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\LessonText;
use App\Models\ShelfEdition;
use App\Records\Shelf;
use App\Views\NamedView;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\InputError;

/** The studio's shelf with its editions, and one lesson of it to be changed. */
final readonly class ShowShelf
{
    private const MOST_EDITIONS = 50;

    public function __construct(private Shelf $shelf, private ShelfEditions $book) {}

    public function __invoke(): ShelfView
    {
        $current = $this->book->current();
        $bundle = $this->shelf->bundle();
        $own = array_values(array_filter(array_map(strval(...), array_keys($current->manifest['lessons'] ?? [])), fn (string $id): bool => isset($bundle->lessons[$id])));

        return new ShelfView(
            $current->number ?? 0, count($bundle->lessons),
            array_map(fn (string $id): NamedView => new NamedView($id, $bundle->lesson($id)->title), $own),
            array_map(fn (string $id, array $c): NamedView => new NamedView($id, $c['title']), array_keys($bundle->courses), $bundle->courses),
            array_values(ShelfEdition::query()->orderByDesc('number')->limit(self::MOST_EDITIONS)->get()->map(EditionView::of(...))->all()),
        );
    }

    /**
     * @param  int|null  $version  null: the one on the shelf
     *
     * @throws InputError for a lesson or version that is not known
     */
    public function lesson(string $id, ?int $version): LessonTextView
    {
        $today = $this->shelf->text($id) ?? throw InputError::at('lesson', $id, 'There is no such lesson on the shelf.');
        $current = is_int($today['version']) ? $today['version'] : 1;
        $samples = $this->book->samples($id);
        // A version that came with an earlier course can be looked at and taken up again too.
        $versions = array_fill_keys(BundleFiles::earlierVersions(Shelf::folder(), $id), null);
        foreach (LessonText::query()->where('lesson', $id)->get(['id', 'studio_id', 'version', 'kept_at']) as $text) {
            $versions[$text->version] = $text->kept_at->toIso8601ZuluString();
        }
        foreach (Shelf::shipped()['lessons'] ?? [] as $shipped) {
            if (is_array($shipped) && $shipped['id'] === $id && is_int($shipped['version'])) {
                $versions[$shipped['version']] = null;
            }
        }
        krsort($versions);
        $text = $version === null || $version === $current ? $today : $this->shelf->earlierText($id, $version);

        return new LessonTextView(
            $text ?? throw InputError::at('version', $version, 'There is no such version. Known: '.implode(', ', array_keys($versions)).'.'), $current,
            array_map(fn (int $v, ?string $at): LessonVersionView => new LessonVersionView($v, $at, $samples[$v] ?? 0, $v === $current), array_keys($versions), $versions),
        );
    }
}
