<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Enrolment;
use App\Models\Sample;
use App\Models\User;

final class SamplePolicy
{
    /** The student sits in a class that this person sees. */
    public function view(User $user, Sample $sample): bool
    {
        return $user->studio_id === $sample->studio_id && Enrolment::query()->where('student_id', $sample->student_id)->exists();
    }

    /** A helper puts right what they kept themselves. */
    public function change(User $user, Sample $sample): bool
    {
        return $this->view($user, $sample) && ($user->role->teaches() || $sample->kept_by === $user->id);
    }
}
