<?php

declare(strict_types=1);

namespace App\Places\Room;

use App\Http\Body;
use App\Models\Machine;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Compute\RoomSchema;
use OpenSeam\Core\Compute\SchemaCheck;
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
        // Empty text arrives as nothing, and nothing means the usual.
        $facts = array_filter((array) $this->validated('facts', []), fn (mixed $v): bool => $v !== null);
        if (is_array($facts['stitch_names'] ?? null)) {
            $facts['stitch_names'] = array_map(fn (mixed $name): mixed => $name ?? '', $facts['stitch_names']);
        }
        self::fits($own + $facts, RoomSchema::machine());
        $core = CoreMachine::read(Data::of($own + $facts, 'facts'));

        return $own + ['usable' => $this->boolean('usable'), 'note' => $this->word('note')]
            // What is not said again stays as it is.
            + ($this->has('facts') || $this->isMethod('POST') ? ['facts' => $core->facts()] : []);
    }

    /**
     * @param  array<array-key, mixed>  $facts
     * @param  array<string, mixed>  $schema
     *
     * @throws InputError naming the field below "facts"
     */
    public static function fits(array $facts, array $schema): void
    {
        try {
            (new SchemaCheck($schema))->check(json_decode((string) json_encode($facts === [] ? (object) [] : self::objects($facts)), false, 64, JSON_THROW_ON_ERROR));
        } catch (InputError $e) {
            throw InputError::at('facts.'.$e->field, $e->got, $e->getMessage());
        }
    }

    /**
     * PHP cannot tell an empty object from an empty list; the one object that may be empty is named here.
     *
     * @param  array<array-key, mixed>  $facts
     * @return array<array-key, mixed>
     */
    private static function objects(array $facts): array
    {
        return ($facts['stitch_names'] ?? null) === [] ? ['stitch_names' => (object) []] + $facts : $facts;
    }
}
