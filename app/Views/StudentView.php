<?php

declare(strict_types=1);

namespace App\Views;

use OpenApi\Attributes as OA;

/** Everything about one student of a class, for the teacher. */
#[OA\Schema]
final readonly class StudentView
{
    /**
     * @param  list<NamedView>  $wishes
     * @param  list<StudentSkillView>  $skills
     * @param  list<SeamStitchView>  $seam
     * @param  list<LastSampleView>  $struck
     * @param  list<NamedView>  $blocked
     * @param  list<SettingsLogView>  $settings
     * @param  list<GivenView>  $given
     * @param  list<OwnLookView>  $own_looks
     */
    public function __construct(
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public int $seat,
        #[OA\Property(nullable: true)] public ?string $machine,
        #[OA\Property] public string $note,
        #[OA\Property] public bool $own_machine,
        #[OA\Property(nullable: true, description: 'what that machine is called, where it is known what it can do')] public ?string $home,
        #[OA\Property(enum: ['', 'left', 'right'], description: 'empty: nobody said')] public string $hand,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'lessons they want to come to')] public array $wishes,
        #[OA\Property] public InHandView $in_hand,
        #[OA\Property(description: 'what follows when that is met')] public string $then,
        #[OA\Property(description: 'id of what they were given last; empty where nothing was')] public string $assigned,
        #[OA\Property] public AdviceView $advice,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentSkillView::class), description: 'of the course, needs first')] public array $skills,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SeamStitchView::class), description: 'oldest first')] public array $seam,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LastSampleView::class), description: 'withdrawn: they do not count, and can be brought back')] public array $struck,
        #[OA\Property(type: 'array', items: new OA\Items(ref: NamedView::class), description: 'lesson, and the skill it waits for')] public array $blocked,
        #[OA\Property(nullable: true)] public ?DrillView $homework,
        #[OA\Property] public ForecastStudentView $forecast,
        #[OA\Property(description: 'of the course')] public int $lessons,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SettingsLogView::class), description: 'of this student’s good samples, newest first')] public array $settings,
        #[OA\Property(type: 'array', items: new OA\Items(ref: GivenView::class), description: 'newest first')] public array $given,
        #[OA\Property(nullable: true, description: 'until when the private page of the student can be opened; null: there is no link')] public ?string $page_until,
        #[OA\Property(nullable: true, description: 'they joined when the course had begun')] public ?WayInView $way_in,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OwnLookView::class), description: 'what they read by themselves, newest first')] public array $own_looks,
        #[OA\Property(description: 'of all looks that a sample answered')] public AgreementView $agreed,
    ) {}
}
