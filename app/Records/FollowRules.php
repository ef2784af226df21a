<?php

declare(strict_types=1);

namespace App\Records;

use App\Support\CurrentStudio;

/** After an upgrade: standings that were worked out by other rules, or another curriculum, are worked out anew. */
final readonly class FollowRules
{
    /** What a standing depends on. */
    private const RULES = ['core/src/Measure', 'core/src/Sampler', 'core/src/Skill', 'core/resources', 'curriculum'];

    public function __construct(private RebuildStandings $rebuild, private CurrentStudio $studio) {}

    /** @return int|null enrolments rebuilt; null where nothing had changed */
    public function __invoke(): ?int
    {
        $rules = self::digest();
        if (Facts::of(Facts::RULES) === $rules) {
            return null;
        }
        $count = $this->studio->everywhere($this->rebuild->__invoke(...));
        Facts::note(Facts::RULES, $rules);

        return $count;
    }

    private static function digest(): string
    {
        $hash = hash_init('sha256');
        foreach (self::RULES as $folder) {
            $files = [];
            foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator(base_path($folder), \FilesystemIterator::SKIP_DOTS)) as $file) {
                $files[] = (string) $file;
            }
            sort($files);
            foreach ($files as $file) {
                hash_update($hash, substr($file, strlen(base_path())).':');
                hash_update_file($hash, $file);
            }
        }

        return hash_final($hash);
    }
}
