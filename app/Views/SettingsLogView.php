<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Settings a good sample was sewn with. */
#[OA\Schema]
final readonly class SettingsLogView
{
    private function __construct(
        #[OA\Property] public string $lesson,
        #[OA\Property] public string $title,
        #[OA\Property] public string $machine,
        #[OA\Property] public string $cloth,
        #[OA\Property] public string $foot,
        #[OA\Property] public string $needle,
        #[OA\Property] public string $length,
        #[OA\Property] public string $width,
        #[OA\Property] public string $tension,
        #[OA\Property] public string $note,
        #[OA\Property(description: 'good samples with just these')] public int $times,
        #[OA\Property] public string $last_at,
    ) {}

    /** @param  array<string, string|null>  $s */
    public static function of(string $lesson, string $title, array $s, int $times, string $lastAt): self
    {
        return new self(
            $lesson, $title, $s['machine'] ?? '', $s['cloth'] ?? '', $s['foot'] ?? '', $s['needle'] ?? '', $s['length'] ?? '', $s['width'] ?? '', $s['tension'] ?? '', $s['note'] ?? '', $times, $lastAt,
        );
    }
}
