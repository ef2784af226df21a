<?php

declare(strict_types=1);

namespace OpenSeam\Core\Fault;

use OpenSeam\Core\Data;

/** Something seen on a sample that is not right. */
final readonly class Fault
{
    /**
     * @param  list<string>  $causes  most usual first
     * @param  list<string>  $denies  skills it speaks against
     */
    public function __construct(
        public string $id,
        public string $seen,
        public array $causes,
        public array $denies,
        public Change $first,
        /** As it should be, and as it is seen (PictureBook); null where none was drawn. */
        public ?Data $picture = null,
    ) {}
}
