<?php

declare(strict_types=1);

namespace OpenSeam\Core\Skill;

/** When a course says that a student has a skill. The evidence is the same under all of them. */
enum School: string
{
    case Tracing = 'tracing';
    case ThreeInARow = 'three-in-a-row';
    case TwoOfThree = 'two-of-three';
    case TeachersWord = 'teachers-word';
}
