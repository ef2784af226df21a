<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

/** The one thing to change before the next row. */
final readonly class Change
{
    /** @param  string  $kind "setting", "guide" or "habit" */
    public function __construct(public string $kind, public string $text) {}

    /** What puts a cause right. */
    public static function of(Cause $cause): self
    {
        return new self(in_array($cause->kind, ['habit', 'guide'], true) ? $cause->kind : 'setting', $cause->do);
    }

    /** @param  array{kind: string, text: string}|null  $data */
    public static function from(?array $data): ?self
    {
        return $data === null ? null : new self($data['kind'], $data['text']);
    }
}
