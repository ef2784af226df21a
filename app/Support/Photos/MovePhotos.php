<?php

declare(strict_types=1);

namespace App\Support\Photos;

use Illuminate\Support\Facades\DB;

/**
 * Brings every photo to where the setting says, one after the other: each is there whole
 * and read back before its other copy goes, so that this can be stopped, killed and run
 * twice at any time.
 */
final readonly class MovePhotos
{
    private const AT_ONCE = 50;

    public function __construct(private PhotoPlaces $places) {}

    /** @return int that lie somewhere else than they should */
    public function waiting(?string $to): int
    {
        return DB::table('sample_photos')->whereNot(fn ($q) => $q->whereRaw('stored_on <=> ?', [$to]))->count();
    }

    /**
     * @param  string|null  $to  a disk; null: the database
     * @param  callable(int): mixed  $moved  after each some, with how many so far
     * @return array{int, int} moved, and lost: their file is not there
     *
     * @throws PhotoAway when a disk cannot be reached
     */
    public function __invoke(?string $to, callable $moved): array
    {
        $done = $lost = 0;
        $last = '';
        do {
            $photos = DB::table('sample_photos')->select('id', 'studio_id', 'stored_on')->where('id', '>', $last)->whereNot(fn ($q) => $q->whereRaw('stored_on <=> ?', [$to]))->orderBy('id')->limit(self::AT_ONCE)->get();
            foreach ($photos as $photo) {
                /** @var object{id: string, studio_id: string, stored_on: string|null} $photo */
                $last = $photo->id;
                try {
                    $done += $this->move($photo->id, $photo->studio_id, $photo->stored_on, $to) ? 1 : 0;
                } catch (PhotoAway $e) {
                    $e->forEver || throw $e;
                    $lost++;
                }
            }
            $photos->isEmpty() || $moved($done);
        } while ($photos->isNotEmpty());

        return [$done, $lost];
    }

    private function move(string $id, string $studio, ?string $from, ?string $to): bool
    {
        $path = PhotoPlaces::path(DB::getDatabaseName(), $studio, $id);
        $row = fn () => DB::table('sample_photos')->where('id', $id)->whereRaw('stored_on <=> ?', [$from]);
        $bytes = $from === null ? $row()->value('image') : $this->places->read($from, $path);
        if (! is_string($bytes) || $bytes === '') {
            // Taken away meanwhile, or a photo that was lost before.
            return $row()->exists() ? throw PhotoAway::lost() : false;
        }
        $to === null || $this->places->write($to, $path, $bytes);
        if ($row()->update(['image' => $to === null ? $bytes : '', 'stored_on' => $to]) === 0) {
            $to === null || $this->places->remove($to, $path);

            return false;
        }
        $from === null || $this->places->remove($from, $path);

        return true;
    }
}
