<?php

declare(strict_types=1);

namespace Database\Factories;

use App\Models\LessonText;
use App\Support\Clock;
use Illuminate\Database\Eloquent\Factories\Factory;

/**
 * A lesson as the studio wrote it.
 *
 * @extends Factory<LessonText>
 */
final class LessonTextFactory extends Factory
{
    protected $model = LessonText::class;

    public function definition(): array
    {
        return [
            'lesson' => fake()->unique()->slug(2),
            'version' => 1,
            'body' => '{}',
            'kept_at' => Clock::now(),
        ];
    }
}
