<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Http\Body;
use App\Http\MachineFacts;
use App\Models\Machine;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\HomeMachine;

#[OA\Schema(properties: [
    new OA\Property(property: 'name', description: 'what it is called at home'),
    new OA\Property(property: 'facts', ref: '#/components/schemas/MachineFactsSent'),
    new OA\Property(property: 'feet', description: 'kinds of feet that belong to it'),
])]
final class HomeBody extends Body
{
    /** Whoever has the link knows their own machine. */
    public function authorize(): bool
    {
        return true;
    }

    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:40'], 'drive' => ['required', 'string', 'in:'.implode(',', Machine::DRIVES)], 'tension_mark' => ['required', 'string', 'max:10'],
            'facts' => ['sometimes', 'array'], 'feet' => ['present', 'array', 'max:40'], 'feet.*' => ['string', 'max:60', 'distinct'],
        ];
    }

    /** @throws InputError when its facts do not fit */
    public function home(): HomeMachine
    {
        $said = ['name' => $this->word('name'), 'drive' => $this->word('drive'), 'tension_mark' => $this->word('tension_mark')] + MachineFacts::said($this->validated('facts', []));
        MachineFacts::fits($said, RoomSchema::machine());
        try {
            return HomeMachine::read(Data::of($said + ['feet' => $this->words('feet')]));
        } catch (InputError $e) {
            throw str_starts_with($e->field, 'feet') ? $e : InputError::at('facts.'.$e->field, $e->got, $e->getMessage());
        }
    }
}
