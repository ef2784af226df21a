<?php

declare(strict_types=1);

namespace App\Places\Class;

use App\Http\Body;
use App\Http\Keyed;
use App\Models\Student;

/**
 * The fields of a body that say who comes.
 *
 * @phpstan-require-extends Body
 */
trait HasComers
{
    /** @return array<string, list<mixed>> */
    protected function comerRules(): array
    {
        return [
            'students' => ['required_without:returning', 'array', 'max:40'], 'students.*' => ['required', 'string', 'max:60', 'distinct:ignore_case'],
            'returning' => ['sometimes', 'array', 'max:40'], 'returning.*' => ['required', 'string', 'max:26', 'distinct'],
            'hands' => ['sometimes', 'array', new Keyed, 'max:40'], 'hands.*' => ['required', 'string', 'in:'.implode(',', Student::HANDS)], 'own_machines' => ['sometimes', 'array', 'max:40'], 'own_machines.*' => ['required', 'string', 'max:60'],
        ];
    }

    public function comers(): Comers
    {
        return new Comers($this->words('students'), array_filter($this->asSent('hands'), is_string(...)), $this->words('own_machines'), $this->words('returning'));
    }
}
