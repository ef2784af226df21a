<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Models\Enrolment;
use OpenSeam\Core\Skill\Level;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Skill\Standing;

/** One student in the matrix of a class: where they stand, and what they were given. */
final readonly class MatrixRow
{
    /** @param  array<string, Standing>  $standings  by skill */
    public function __construct(public Enrolment $enrolment, public array $standings, public ?string $lesson, public ?string $drill) {}

    public function level(string $skill, School $school): Level
    {
        return ($this->standings[$skill] ?? null)?->level($school) ?? Level::NotTried;
    }
}
