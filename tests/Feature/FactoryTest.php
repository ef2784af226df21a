<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\OwnedByStudio;
use App\Models\Student;
use App\Models\Studio;
use App\Support\CurrentStudio;
use Illuminate\Database\Eloquent\Factories\Factory;
use Illuminate\Database\Eloquent\Model;
use LogicException;
use PHPUnit\Framework\Attributes\DataProvider;
use ReflectionClass;
use Tests\TestCase;

/** Every model can be made on its own, whole, in the studio in hand. */
final class FactoryTest extends TestCase
{
    /** @return iterable<string, array{class-string<Model>}> */
    public static function models(): iterable
    {
        foreach (glob(__DIR__.'/../../app/Models/*.php') ?: [] as $file) {
            $class = 'App\\Models\\'.basename($file, '.php');
            if (is_subclass_of($class, Model::class) && ! (new ReflectionClass($class))->isAbstract()) {
                yield basename($file, '.php') => [$class];
            }
        }
    }

    /** @param  class-string<Model>  $model */
    #[DataProvider('models')]
    public function test_it_is_made_and_found_again(string $model): void
    {
        $studio = Studio::factory()->create();
        $made = app(CurrentStudio::class)->within($studio->id, function () use ($model): Model {
            $made = Factory::factoryForModel($model)->create();
            self::assertInstanceOf(Model::class, $made);
            self::assertTrue($model::query()->whereKey($made->getKey())->exists());

            return $made;
        });
        if ($made instanceof OwnedByStudio) {
            self::assertSame($studio->id, $made->studio_id);
            self::assertFalse(app(CurrentStudio::class)->within(Studio::factory()->create()->id, fn (): bool => $model::query()->whereKey($made->getKey())->exists()), 'another studio does not see it');
        }
    }

    public function test_nothing_is_made_that_would_belong_to_nobody(): void
    {
        app()->instance(CurrentStudio::class, new CurrentStudio);
        $this->expectException(LogicException::class);
        Student::factory()->create();
    }
}
