<?php

declare(strict_types=1);

namespace App\Places\Class;

/** Who comes into a class: new ones by name, and some who were here before. */
final readonly class Comers
{
    /**
     * @param  list<string>  $names
     * @param  array<string, string>  $hands  left or right, by name
     * @param  list<string>  $ownMachines  names of those who have one at home
     * @param  list<string>  $returning  ids of those whose history comes along
     */
    public function __construct(public array $names, public array $hands = [], public array $ownMachines = [], public array $returning = []) {}
}
