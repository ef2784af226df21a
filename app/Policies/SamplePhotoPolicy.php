<?php

declare(strict_types=1);

namespace App\Policies;

use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Models\User;

/** A photo is seen and removed by whoever sees and changes its sample. */
final readonly class SamplePhotoPolicy
{
    public function __construct(private SamplePolicy $samples) {}

    public function view(User $user, SamplePhoto $photo): bool
    {
        return $this->samples->view($user, Sample::query()->findOrFail($photo->sample_id));
    }

    public function change(User $user, SamplePhoto $photo): bool
    {
        return $this->samples->change($user, Sample::query()->findOrFail($photo->sample_id));
    }
}
