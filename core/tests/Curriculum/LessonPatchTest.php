<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Curriculum\LessonPatch;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What a school changes, laid over a lesson. */
final class LessonPatchTest extends TestCase
{
    /** @return iterable<string, array{array<array-key, mixed>, array<array-key, mixed>, array<array-key, mixed>}> the example cases of RFC 7396, appendix A, whose target and patch are objects; from memory */
    public static function published(): iterable
    {
        yield 'replaced' => [['a' => 'b'], ['a' => 'c'], ['a' => 'c']];
        yield 'added' => [['a' => 'b'], ['b' => 'c'], ['a' => 'b', 'b' => 'c']];
        yield 'taken away' => [['a' => 'b'], ['a' => null], []];
        yield 'one taken away' => [['a' => 'b', 'b' => 'c'], ['a' => null], ['b' => 'c']];
        yield 'a list by a text' => [['a' => ['b']], ['a' => 'c'], ['a' => 'c']];
        yield 'a text by a list' => [['a' => 'c'], ['a' => ['b']], ['a' => ['b']]];
        yield 'within' => [['a' => ['b' => 'c']], ['a' => ['b' => 'd', 'c' => null]], ['a' => ['b' => 'd']]];
        yield 'a list by a list' => [['a' => [['b' => 'c']]], ['a' => [1]], ['a' => [1]]];
        yield 'null stays where nobody speaks of it' => [['e' => null], ['a' => 1], ['e' => null, 'a' => 1]];
        yield 'nothing within nothing' => [[], ['a' => ['bb' => ['ccc' => null]]], ['a' => ['bb' => []]]];
    }

    /**
     * @param  array<array-key, mixed>  $target
     * @param  array<array-key, mixed>  $patch
     * @param  array<array-key, mixed>  $is
     */
    #[DataProvider('published')]
    public function test_it_is_a_merge_patch(array $target, array $patch, array $is): void
    {
        self::assertSame($is, LessonPatch::lay($target, $patch));
    }

    public function test_an_entry_of_a_list_is_changed_by_its_id(): void
    {
        $rows = ['rows' => [['id' => 'a', 'x' => 1], ['id' => 'b', 'x' => 2]]];
        self::assertSame(['rows' => [['id' => 'a', 'x' => 1], ['id' => 'b', 'x' => 3]]], LessonPatch::lay($rows, ['rows' => ['b' => ['x' => 3]]]));
        self::assertSame(['rows' => [['id' => 'b', 'x' => 2]]], LessonPatch::lay($rows, ['rows' => ['a' => null]]));
        self::assertSame(['a', 'b', 'c'], array_column(LessonPatch::lay($rows, ['rows' => ['c' => ['id' => 'c', 'x' => 4]]])['rows'], 'id'));
        self::assertSame($rows, LessonPatch::lay($rows, ['rows' => ['gone' => ['x' => 5]]]), 'of what a teacher has taken away nothing is changed');
        self::assertSame(['set' => [['name' => 'Width', 'value' => '2']]], LessonPatch::lay(['set' => [['name' => 'Width', 'value' => '5']]], ['set' => ['Width' => ['value' => '2']]]));
    }
}
