<?php

declare(strict_types=1);

namespace App\Support;

use Illuminate\Support\Str;

/** A private link: the link itself is told once, only its digest is kept. */
final readonly class Link
{
    private const LETTERS = 40;

    private function __construct(public string $token, public string $hash) {}

    public static function new(): self
    {
        $token = Str::random(self::LETTERS);

        return new self($token, self::hash($token));
    }

    /** Digest of a link that somebody came by; null for what never was one. */
    public static function read(string $token): ?string
    {
        return preg_match('/^[0-9a-zA-Z]{'.self::LETTERS.'}$/D', $token) === 1 ? self::hash($token) : null;
    }

    private static function hash(string $token): string
    {
        return hash('sha256', $token);
    }
}
