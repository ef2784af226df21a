<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;

/** A photo as it is sent: the picture is the body, what it belongs to stands in the address. */
final class PhotoBody extends Body
{
    public function rules(): array
    {
        return ['id' => ['required', 'string', 'ulid'], 'row' => ['nullable', 'string', 'max:60']];
    }

    /** @return array<string, mixed> */
    public function validationData(): array
    {
        return $this->query->all();
    }
}
