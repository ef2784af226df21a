<?php

declare(strict_types=1);

namespace OpenSeam\Core;

use DomainException;

/** Input that cannot be worked with: which field, what it held, what is allowed. Nothing has been stored. */
final class InputError extends DomainException implements CoreError
{
    private function __construct(public readonly string $field, public readonly mixed $got, string $message)
    {
        parent::__construct($message);
    }

    /** @param  string  $allowed a whole sentence that says what is allowed */
    public static function at(string $field, mixed $got, string $allowed): self
    {
        return new self($field, $got, $allowed);
    }
}
