<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Body;
use App\Http\MachineFacts;
use App\Models\Machine;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Machine as CoreMachine;

#[OA\Schema(properties: [
    new OA\Property(property: 'facts', ref: '#/components/schemas/MachineFactsSent'),
])]
final class MachineBody extends Body
{
    public function rules(): array
    {
        return [
            'name' => ['required', 'string', 'max:60'],
            'drive' => ['required', 'string', 'in:'.implode(',', Machine::DRIVES)],
            'tension_mark' => ['required', 'string', 'max:10'],
            'usable' => ['required', 'boolean'],
            'note' => ['present', 'nullable', 'string', 'max:200'],
            'facts' => ['sometimes', 'array'],
        ];
    }

    /**
     * @return array<string, mixed>
     *
     * @throws InputError when its facts do not fit
     */
    public function machine(): array
    {
        $own = ['name' => $this->word('name'), 'drive' => $this->word('drive'), 'tension_mark' => $this->word('tension_mark')];
        $facts = MachineFacts::said($this->validated('facts', []));
        MachineFacts::fits($own + $facts, RoomSchema::machine());
        $core = CoreMachine::read(Data::of($own + $facts, 'facts'));

        return $own + ['usable' => $this->boolean('usable'), 'note' => $this->word('note')]
            // What is not said again stays as it is.
            + ($this->has('facts') || $this->isMethod('POST') ? ['facts' => $core->facts()] : []);
    }
}
