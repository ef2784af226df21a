<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Http\BodyShape;
use App\Http\Keyed;
use App\Places\Account\GoodPassword;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The contract of what is sent is read from the rules it is checked by. */
final class BodyShapeTest extends TestCase
{
    /**
     * @param  list<mixed>  $rules
     * @param  array<string, mixed>  $shape
     */
    #[DataProvider('fields')]
    public function test_a_field_has_the_shape_its_rules_have(array $rules, array $shape): void
    {
        self::assertEquals($shape, self::plain(BodyShape::of(['field' => $rules])['properties'])['field']);
    }

    /** @return iterable<string, array{list<mixed>, array<string, mixed>}> */
    public static function fields(): iterable
    {
        yield 'text' => [['required', 'string', 'max:60'], ['type' => 'string']];
        yield 'a whole number' => [['sometimes', 'integer', 'min:1'], ['type' => 'integer']];
        yield 'a length' => [['numeric', 'min:0.5'], ['type' => 'number']];
        yield 'yes or no, or nothing' => [['nullable', 'boolean'], ['type' => ['boolean', 'null']]];
        yield 'one of several' => [['string', 'in:late,left'], ['type' => 'string', 'enum' => ['late', 'left']]];
        yield 'one of several numbers' => [['integer', 'in:1,2'], ['type' => 'integer', 'enum' => [1, 2]]];
        yield 'one of several or nothing' => [['nullable', 'in:late'], ['type' => ['string', 'null'], 'enum' => ['late', null]]];
        yield 'a day' => [['date_format:Y-m-d'], ['type' => 'string']];
        yield 'what has a rule of its own' => [['required', new GoodPassword], ['type' => 'string']];
        yield 'anything' => [['present'], []];
        yield 'fields that are named' => [['array:from,to'], ['type' => 'object', 'properties' => ['from' => [], 'to' => []]]];
    }

    public function test_what_must_be_there_is_named_and_what_may_stay_away_is_not(): void
    {
        $shape = BodyShape::with(['a' => ['required', 'string'], 'b' => ['present', 'array'], 'c' => ['sometimes', 'required', 'string'], 'd' => ['nullable', 'string']], []);
        self::assertSame(['a', 'b'], $shape['required']);
        self::assertSame([], BodyShape::with(['c' => ['string']], [])['required']);
    }

    public function test_lists_and_what_goes_by_name_are_told_apart(): void
    {
        $shape = self::plain(BodyShape::of([
            'rows' => ['array'], 'rows.*' => ['array'], 'rows.*.*' => ['string'],
            'pins' => ['array', new Keyed], 'pins.*' => ['integer'],
            'settings' => ['array:needle,foot'], 'settings.*' => ['nullable', 'string'], 'settings.foot' => ['string'],
        ])['properties']);
        self::assertEquals(['type' => 'array', 'items' => ['type' => 'array', 'items' => ['type' => 'string']]], $shape['rows']);
        self::assertEquals(['type' => 'object', 'additionalProperties' => ['type' => 'integer']], $shape['pins']);
        self::assertEquals(['type' => 'object', 'properties' => ['needle' => ['type' => ['string', 'null']], 'foot' => ['type' => 'string']]], $shape['settings']);
    }

    public function test_an_attribute_says_what_a_field_is_for_or_all_of_it(): void
    {
        $shape = self::plain(BodyShape::with(['a' => ['string'], 'b' => ['array'], 'c' => ['string']], ['a' => ['description' => 'for whom'], 'b' => ['$ref' => '#/b'], 'gone' => ['type' => 'string']])['properties']);
        self::assertEquals(['a' => ['description' => 'for whom', 'type' => 'string'], 'b' => ['$ref' => '#/b'], 'c' => ['type' => 'string']], $shape);
    }

    /** @return array<string, mixed> */
    private static function plain(mixed $shape): array
    {
        /** @var array<string, mixed> $plain */
        $plain = json_decode((string) json_encode($shape), true, 64, JSON_THROW_ON_ERROR);

        return $plain;
    }
}
