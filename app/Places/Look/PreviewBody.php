<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\Body;
use App\Http\Keyed;
use App\Http\SaysWay;
use App\Views\WayView;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Grading\Overruling;

#[OA\Schema(properties: [
    new OA\Property(property: 'id', description: 'that it will be kept by: what was found to be behind its faults counts'),
    new OA\Property(property: 'drill', description: 'sewn instead of the whole lesson'),
    new OA\Property(property: 'readings', type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'array', items: new OA\Items(oneOf: [new OA\Schema(type: 'string'), new OA\Schema(type: 'number'), new OA\Schema(type: 'null')]))),
    new OA\Property(property: 'overruled', type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(required: ['verdict', 'because'], properties: [new OA\Property(property: 'verdict', type: 'string', enum: ['met', 'near', 'not-yet']), new OA\Property(property: 'because', type: 'string')], type: 'object'), description: 'the teacher’s own verdicts, by check'),
    new OA\Property(property: 'version', description: 'of the lesson that was sewn; the one on the shelf where it is not given'),
    new OA\Property(property: 'way', ref: WayView::class, nullable: true, description: 'it was sewn in; as the class is taught where it is not given'),
])]
class PreviewBody extends Body
{
    use SaysWay;

    public function rules(): array
    {
        return [
            'id' => ['nullable', 'string', 'ulid'],
            'class' => ['required', 'string', 'max:26'],
            'student' => ['required', 'string', 'max:26'],
            'lesson' => ['required', 'string', 'max:60'],
            'drill' => ['nullable', 'string', 'max:60'],
            'readings' => ['present', 'array', 'max:100'],
            'faults' => ['present', 'array', 'max:40'],
            'faults.*' => ['required', 'string', 'max:60'],
            'replaces' => ['nullable', 'string', 'ulid'],
            'version' => ['nullable', 'integer', 'min:1'],
            ...self::wayRules(),
            'overruled' => ['sometimes', 'nullable', 'array', new Keyed, 'max:40'],
            'overruled.*' => ['required', 'array:verdict,because'],
        ];
    }

    /** Of the lesson that was sewn; null where it is not said. */
    public function version(): ?int
    {
        return $this->validated('version') === null ? null : $this->whole('version');
    }

    /** @return array<string, Overruling> the teacher's own verdicts, by check */
    public function overruled(): array
    {
        $sent = $this->input('overruled');

        return Overruling::all(is_array($sent) ? $sent : []);
    }

    /** @return array<array-key, mixed> as typed; the core reads and checks them */
    public function readings(): array
    {
        $readings = $this->input('readings');

        return is_array($readings) ? $readings : [];
    }
}
