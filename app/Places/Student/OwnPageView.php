<?php

declare(strict_types=1);

namespace App\Places\Student;

use App\Views\AgreementView;
use App\Views\AskedView;
use App\Views\DrawingView;
use App\Views\DrillView;
use App\Views\LastSampleView;
use App\Views\LessonView;
use App\Views\OwnLookView;
use App\Views\StudentSkillView;
use OpenApi\Attributes as OA;

/** What a student sees of their own course: nothing of anybody else, nothing that a teacher noted. */
#[OA\Schema]
final readonly class OwnPageView
{
    /**
     * @param  list<string>  $cautions
     * @param  list<string>  $steps
     * @param  list<StudentSkillView>  $skills
     * @param  list<LastSampleView>  $earlier
     * @param  list<OwnLookView>  $looks
     * @param  list<string>  $dials
     * @param  list<string>  $also
     */
    public function __construct(
        #[OA\Property] public string $name,
        #[OA\Property] public string $class,
        #[OA\Property(nullable: true, description: 'the next session begins')] public ?string $starts_at,
        #[OA\Property] public string $timezone,
        #[OA\Property] public string $title,
        #[OA\Property] public string $why,
        #[OA\Property(description: 'what to change, or to do')] public string $change,
        #[OA\Property(nullable: true)] public ?DrawingView $drawing,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $steps,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'))] public array $cautions,
        #[OA\Property(description: 'there is a practice sheet to print')] public bool $sheet,
        #[OA\Property(nullable: true)] public ?DrillView $homework,
        #[OA\Property(type: 'array', items: new OA\Items(ref: StudentSkillView::class))] public array $skills,
        #[OA\Property(enum: ['mm', 'in'], description: 'of the ruler the class is taught with')] public string $unit,
        #[OA\Property(nullable: true, description: 'what is sewn of it: its own steps, not the whole lesson’s')] public ?DrillView $drill,
        #[OA\Property(type: 'array', items: new OA\Items(ref: LastSampleView::class), description: 'their own, newest first')] public array $earlier,
        #[OA\Property(nullable: true, description: 'what they asked and nobody has looked at yet')] public ?AskedView $asked,
        #[OA\Property(nullable: true, description: 'the lesson in hand with its sheet, to read it oneself')] public ?LessonView $lesson,
        #[OA\Property(type: 'array', items: new OA\Items(ref: OwnLookView::class), description: 'what they read by themselves, newest first')] public array $looks,
        #[OA\Property(description: 'of all looks that the teacher answered')] public AgreementView $agreed,
        #[OA\Property(nullable: true, description: 'their own machine, where it is known')] public ?string $home,
        #[OA\Property(description: 'that all of this is shown for; empty: no machine')] public string $machine,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what to set there')] public array $dials,
        #[OA\Property(nullable: true, description: 'why it cannot be sewn there')] public ?string $cannot,
        #[OA\Property(type: 'array', items: new OA\Items(type: 'string'), description: 'what else that machine has and has to be watched')] public array $also,
    ) {}
}
