<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Http\ChoiceBody;
use App\Records\Choice;
use App\Records\NewSample;
use Carbon\CarbonImmutable;
use OpenApi\Attributes as OA;

#[OA\Schema(properties: [
    new OA\Property(property: 'id', description: 'a ULID made where the sample was looked at'),
    new OA\Property(property: 'next', ref: ChoiceBody::class),
    new OA\Property(property: 'known', description: 'samples of this lesson by this student that were known where it was looked at'),
    new OA\Property(property: 'sewn_at', description: 'when it was looked at, where it waited on a device; now where it is not said'),
    new OA\Property(property: 'session', description: 'that it was sewn in, where it is caught up later'),
    new OA\Property(property: 'sure', description: 'keep it beside another one that was kept meanwhile'),
])]
final class SampleBody extends PreviewBody
{
    /** What can be noted of how a sample was sewn. */
    private const SETTINGS = ['machine', 'foot', 'needle', 'length', 'width', 'tension', 'cloth', 'note'];

    public function rules(): array
    {
        $rules = [
            'id' => ['required', 'string', 'ulid'],
            'known' => ['nullable', 'integer', 'min:0', 'max:100000'],
            'sure' => ['sometimes', 'boolean'],
            'sewn_at' => ['nullable', 'date_format:Y-m-d\TH:i:s\Z,Y-m-d\TH:i:s.v\Z'],
            'session' => ['nullable', 'string', 'max:26'],
            'settings' => ['sometimes', 'array:'.implode(',', self::SETTINGS)],
            'settings.*' => ['nullable', 'string', 'max:200'],
            'next' => ['nullable', 'array:lesson,drill,because,given'],
        ] + parent::rules();

        return $rules + array_combine(array_map(fn (string $k): string => "next.$k", array_keys(ChoiceBody::fields())), array_map(
            fn (array $r): array => $r[0] === 'required' ? ['required_with:next', ...array_slice($r, 1)] : $r, ChoiceBody::fields(),
        ));
    }

    public function messages(): array
    {
        return ['settings.array' => 'Settings can be: '.implode(', ', self::SETTINGS).'.', 'next.lesson.required_with' => '“next.lesson” must be given when another lesson is chosen.'] + parent::messages();
    }

    public function sample(): NewSample
    {
        $given = $this->validated('settings');
        $settings = [];
        foreach (is_array($given) ? $given : [] as $name => $value) {
            $settings[(string) $name] = is_string($value) ? $value : null;
        }
        $next = $this->validated('next');

        return new NewSample(
            strtolower($this->word('id')), $this->word('lesson'), $this->readings(), $this->words('faults'), $settings,
            $this->wordOrNull('drill'),
            $this->wordOrNull('replaces') === null ? null : strtolower($this->word('replaces')),
            is_array($next) ? new Choice($this->word('next.lesson'), $this->wordOrNull('next.drill'), $this->word('next.because')) : null,
            $this->version(), $this->overruled(), $this->validated('known') === null || $this->boolean('sure') ? null : $this->whole('known'), $this->way(),
            $this->wordOrNull('sewn_at') === null ? null : CarbonImmutable::parse($this->word('sewn_at'))->utc(), $this->wordOrNull('session'),
        );
    }
}
