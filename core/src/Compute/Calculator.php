<?php

declare(strict_types=1);

namespace OpenSeam\Core\Compute;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;

/** One calculation with a name, a described input and an example. */
interface Calculator
{
    public function name(): string;

    /** One line for the list. */
    public function summary(): string;

    /** @return array<string, mixed> JSON Schema (draft 2020-12) of the input object */
    public function schema(): array;

    /** @return array<string, mixed> JSON Schema of the answer */
    public function answer(): array;

    /** @return array<string, mixed> an input that works */
    public function example(): array;

    /**
     * @param  Data  $in  already valid against the schema
     * @return array<string, mixed>
     *
     * @throws InputError when values do not fit together
     */
    public function run(Data $in): array;
}
