<?php

declare(strict_types=1);

namespace App\Places\Look;

use OpenApi\Attributes as OA;

/** Where a phone sends its pictures. */
#[OA\Schema]
final readonly class LensView
{
    /** @param  list<string>  $code */
    public function __construct(
        #[OA\Property] public string $lens,
        #[OA\Property(description: 'to open on the phone')] public string $address,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'the same as a QR code: rows of 1 and 0')] public array $code,
        #[OA\Property(description: 'whether another device in the room finds this address')] public bool $reached,
    ) {}
}
