<?php

declare(strict_types=1);

namespace App\Places\Samplers;

use App\Models\User;
use App\Records\Shelf;
use App\Support\BundleSchema;
use OpenSeam\Core\Curriculum\BundleChange;
use OpenSeam\Core\Curriculum\BundleMerge;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\InputError;

/** Brings a course bundle to the shelf: first what it would change, then, agreed to, the change itself. */
final readonly class BringBundle
{
    public function __construct(private Shelf $shelf, private ShelfEditions $book) {}

    /**
     * Stores nothing.
     *
     * @param  array<string, mixed>  $json
     * @param  mixed  $sent  the same with objects as objects
     *
     * @throws InputError naming the place in the file that does not fit
     */
    public function compare(array $json, mixed $sent): BundleChangesView
    {
        self::check($json, $sent);

        return BundleChangesView::of(self::title($json), $this->book->current()->number ?? 0, BundleMerge::of($this->shelf->json(), $json)->changes);
    }

    /**
     * @param  array<string, mixed>  $json
     * @param  mixed  $sent  the same with objects as objects
     * @param  int  $seen  the edition it was compared with
     *
     * @throws InputError naming the place in the file that does not fit
     * @throws \App\Support\Conflict when the shelf was changed meanwhile
     */
    public function import(User $user, array $json, mixed $sent, int $seen): BundleChangesView
    {
        self::check($json, $sent);
        $title = self::title($json);
        $merge = $this->book->lay($user, $json, $seen, fn (BundleMerge $m): string => "Brought in “{$title}”: ".self::count($m->changes));

        return BundleChangesView::of($title, $this->book->current()->number ?? 0, $merge->changes);
    }

    /** @param  array<string, mixed>  $json */
    private static function check(array $json, mixed $sent): void
    {
        // A newer format may have fields of its own: say so first, and not that a field is unknown.
        $version = $json['format_version'] ?? null;
        if (is_int($version) && $version > BundleReader::FORMAT) {
            throw InputError::at('format_version', $version, sprintf('This program reads format %d. A newer bundle needs a newer program.', BundleReader::FORMAT));
        }
        BundleSchema::check($sent);
    }

    /** @param  array<string, mixed>  $json */
    private static function title(array $json): string
    {
        return is_string($json['title'] ?? null) ? $json['title'] : '';
    }

    /** @param  list<BundleChange>  $changes */
    private static function count(array $changes): string
    {
        $counted = array_count_values(array_map(fn (BundleChange $c): string => $c->part, $changes));

        return implode(', ', array_map(fn (string $part, int $n): string => "$n $part".($n === 1 ? '' : 's'), array_keys($counted), $counted));
    }
}
