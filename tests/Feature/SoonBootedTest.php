<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Sample;
use App\Models\SoonBooted;
use App\Models\User;
use Illuminate\Database\Eloquent\Attributes\Boot;
use Illuminate\Database\Eloquent\Attributes\Initialize;
use Illuminate\Database\Eloquent\Model;
use ReflectionClass;
use Tests\TestCase;

/** Models start without being looked through for attributes: none of them may need that. */
final class SoonBootedTest extends TestCase
{
    public function test_no_model_says_by_an_attribute_what_it_does_at_its_start(): void
    {
        $seen = 0;
        foreach (glob(app_path('Models/*.php')) ?: [] as $file) {
            $class = 'App\\Models\\'.basename($file, '.php');
            if (! class_exists($class) || ! is_subclass_of($class, Model::class)) {
                continue;
            }
            self::assertContains(SoonBooted::class, class_uses_recursive($class), $class);
            foreach ((new ReflectionClass($class))->getMethods() as $method) {
                self::assertSame([], [...$method->getAttributes(Boot::class), ...$method->getAttributes(Initialize::class)], "$class::{$method->getName()}");
            }
            $seen++;
        }
        self::assertGreaterThan(15, $seen);
    }

    public function test_what_traits_do_by_their_names_is_done(): void
    {
        // An id of its own, the studio in hand, and nobody who was taken out.
        self::assertSame('string', (new Sample)->getKeyType());
        self::assertMatchesRegularExpression('/^[0-9a-z]{26}$/', (string) (new Sample)->newUniqueId());
        self::assertSame('string', (new User)->getKeyType());
        self::assertArrayHasKey('studio', (new Sample)->getGlobalScopes());
        self::assertArrayHasKey(\Illuminate\Database\Eloquent\SoftDeletingScope::class, (new \App\Models\Student)->getGlobalScopes());
        self::assertTrue((new \App\Models\Student)->hasCast('deleted_at'));
    }
}
