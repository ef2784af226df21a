<?php

declare(strict_types=1);

namespace App\Places\Workshop;

use App\Models\ButtonholeJob;
use OpenApi\Attributes as OA;
use OpenSeam\Core\Buttonhole\Release;

/** A buttonhole job: what was typed, what follows from it, what was sewn. */
#[OA\Schema]
final readonly class ButtonholeView
{
    /**
     * @param  array<string, mixed>  $job
     * @param  array{field: string, message: string}|null  $asks
     * @param  list<ButtonholeMachineView>  $machines
     * @param  list<ButtonholeTestView>  $tests
     * @param  array{in_a_row: int, needed: int, allowed: bool, next: float, all: float, released_at: string|null, overruled: bool}  $release
     * @param  array<string, string>|null  $recipe
     * @param  list<array{job: string, title: string, released_at: string|null, not_the_same: list<string>}>  $recipes
     */
    private function __construct(
        #[OA\Property] public string $id,
        #[OA\Property] public string $title,
        #[OA\Property(nullable: true)] public ?string $class,
        #[OA\Property(nullable: true)] public ?string $student,
        #[OA\Property(nullable: true)] public ?string $machine,
        #[OA\Property(nullable: true)] public ?string $foot,
        #[OA\Property(type: 'object', additionalProperties: true)] public array $job,
        #[OA\Property(type: 'object', nullable: true, description: 'what has to be known before anything follows', properties: [new OA\Property(property: 'field', type: 'string'), new OA\Property(property: 'message', type: 'string')], required: ['field', 'message'])] public ?array $asks,
        #[OA\Property(nullable: true)] public ?ButtonholePlanView $plan,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ButtonholeMachineView::class), description: 'the best first')] public array $machines,
        #[OA\Property(type: 'array', items: new OA\Items(ref: ButtonholeTestView::class), description: 'the latest first')] public array $tests,
        #[OA\Property(type: 'object', properties: [new OA\Property(property: 'in_a_row', type: 'integer'), new OA\Property(property: 'needed', type: 'integer'), new OA\Property(property: 'allowed', type: 'boolean'), new OA\Property(property: 'next', type: 'number'), new OA\Property(property: 'all', type: 'number'), new OA\Property(property: 'released_at', type: 'string', nullable: true), new OA\Property(property: 'overruled', type: 'boolean')], required: ['in_a_row', 'needed', 'allowed', 'next', 'all', 'released_at', 'overruled'])] public array $release,
        #[OA\Property(type: 'object', nullable: true, additionalProperties: new OA\AdditionalProperties(type: 'string'))] public ?array $recipe,
        #[OA\Property(type: 'array', items: new OA\Items(properties: [new OA\Property(property: 'job', type: 'string'), new OA\Property(property: 'title', type: 'string'), new OA\Property(property: 'released_at', type: 'string', nullable: true), new OA\Property(property: 'not_the_same', type: 'array', items: new OA\Items(type: 'string'))], type: 'object', required: ['job', 'title', 'released_at', 'not_the_same']), description: 'kept for such a button before')] public array $recipes,
    ) {}

    /**
     * @param  array{field: string, message: string}|null  $asks
     * @param  list<ButtonholeMachineView>  $machines
     * @param  list<ButtonholeTestView>  $tests
     * @param  list<array{job: string, title: string, released_at: string|null, not_the_same: list<string>}>  $recipes
     */
    public static function of(ButtonholeJob $job, ?array $asks, ?ButtonholePlanView $plan, array $machines, array $tests, Release $release, array $recipes): self
    {
        /** @var array<string, string>|null $recipe */
        $recipe = $job->recipe['lines'] ?? null;

        return new self(
            $job->id, $job->title, $job->class_id, $job->student_id, $job->machine_id, $job->foot_id, $job->job, $asks, $plan, $machines, $tests,
            ['in_a_row' => $release->inARow, 'needed' => $release->needed, 'allowed' => $release->allowed, 'next' => $release->next, 'all' => $release->all, 'released_at' => $job->released_at?->toIso8601ZuluString(), 'overruled' => $job->overruled],
            $recipe, $recipes,
        );
    }
}
