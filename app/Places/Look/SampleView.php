<?php

declare(strict_types=1);

namespace App\Places\Look;

use App\Views\LessonView;
use OpenApi\Attributes as OA;

/** One kept sample with everything that was ever said of it. */
#[OA\Schema]
final readonly class SampleView
{
    /**
     * @param  list<SampleVersionView>  $versions
     * @param  list<SampleNoteView>  $notes
     */
    public function __construct(
        #[OA\Property(description: 'of the newest')] public string $id,
        #[OA\Property] public string $class,
        #[OA\Property] public string $student,
        #[OA\Property] public string $name,
        #[OA\Property] public string $title,
        #[OA\Property] public bool $withdrawn,
        #[OA\Property(description: 'whoever asks may correct and withdraw it')] public bool $may,
        #[OA\Property] public string $lesson,
        #[OA\Property(nullable: true, description: 'the lesson it was sewn by, where the class is taught it otherwise now')] public ?LessonView $sheet,
        #[OA\Property(description: 'as it was typed: to put it right where nobody can be asked')] public ReplacedView $typed,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SampleVersionView::class), description: 'newest first')] public array $versions,
        #[OA\Property(type: 'array', items: new OA\Items(ref: SampleNoteView::class), description: 'newest first')] public array $notes,
    ) {}
}
