<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A photo of a whole piece, one pixel of it.
 *
 * @extends Factory<SamplePhoto>
 */
final class SamplePhotoFactory extends Factory
{
    protected $model = SamplePhoto::class;

    public function definition(): array
    {
        return [
            'sample_id' => Sample::factory(),
            'row' => null,
            'width' => 1,
            'height' => 1,
            'image' => 'JPEG',
            'kept_at' => Clock::now(),
        ];
    }
}
