<?php

declare(strict_types=1);

namespace OpenSeam\Core\Machine;

/** Why a machine with a foot cannot sew something, or should not. */
final readonly class Refusal
{
    public function __construct(
        /** Which rule, such as "mount", "strike", "groove". */
        public string $rule,
        /** The setting it is about. */
        public string $field,
        /** One sentence: why, with the number and what is allowed. */
        public string $text,
        /** Dangerous: needle, foot or machine may break. */
        public bool $danger,
    ) {}
}
