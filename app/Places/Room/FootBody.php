<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Body;
use App\Http\MachineFacts;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot as CoreFoot;

#[OA\Schema(properties: [
    new OA\Property(property: 'facts', ref: '#/components/schemas/FootFactsSent'),
])]
final class FootBody extends Body
{
    public function rules(): array
    {
        return ['facts' => ['required', 'array']];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InputError when its facts do not fit
     */
    public function facts(): array
    {
        $facts = array_filter((array) $this->validated('facts', []), fn (mixed $v, int|string $name): bool => $v !== null || $name === 'open_side', ARRAY_FILTER_USE_BOTH);
        MachineFacts::fits($facts, RoomSchema::foot());

        return CoreFoot::read(Data::of($facts, 'facts'))->facts();
    }
}
