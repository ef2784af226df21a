<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests;

use FilesystemIterator;
use OpenSeam\Core\CoreError;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\NotALength;
use OpenSeam\Core\Measure\Reading;
use OpenSeam\Core\ValueRefused;
use PHPUnit\Framework\TestCase;
use RecursiveDirectoryIterator;
use RecursiveIteratorIterator;
use SplFileInfo;
use Throwable;

final class CoreErrorTest extends TestCase
{
    public function test_everything_the_core_throws_is_caught_by_one_name(): void
    {
        $thrown = 0;
        /** @var SplFileInfo $file */
        foreach (new RecursiveIteratorIterator(new RecursiveDirectoryIterator(__DIR__.'/../src', FilesystemIterator::SKIP_DOTS)) as $file) {
            $source = (string) file_get_contents($file->getPathname());
            $class = 'OpenSeam\\Core\\'.strtr(substr($file->getPathname(), strlen(__DIR__.'/../src/'), -4), '/', '\\');
            if (is_subclass_of($class, Throwable::class)) {
                self::assertTrue(is_a($class, CoreError::class, true), $class);
            }
            preg_match_all('/throw new (\\\\?\w+)/', $source, $found);
            foreach ($found[1] as $name) {
                $thrown++;
                self::assertContains($name, ['ValueRefused', 'self'], "$class throws $name");
            }
        }
        self::assertGreaterThan(20, $thrown);
    }

    public function test_a_typed_field_and_a_value_both_come_by_that_name(): void
    {
        foreach ([fn () => throw InputError::at('n', 1, 'Two or more.'), fn () => throw NotALength::unreadable('x'), fn () => Reading::of(1.0, -1.0)] as $refuse) {
            try {
                $refuse();
                self::fail('Nothing was refused.');
            } catch (CoreError $e) {
                self::assertNotSame('', $e->getMessage());
                self::assertTrue($e instanceof InputError || $e instanceof ValueRefused);
            }
        }
    }
}
