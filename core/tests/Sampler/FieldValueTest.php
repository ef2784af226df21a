<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Sampler;

use OpenSeam\Core\Sampler\Field;
use OpenSeam\Core\Sampler\FieldKind;
use OpenSeam\Core\Sampler\FieldValue;
use PHPUnit\Framework\TestCase;

/** What each value of a reading is, in which bounds, and how it steps. */
final class FieldValueTest extends TestCase
{
    public function test_stitches_are_a_count_and_the_length_they_were_counted_over(): void
    {
        $field = new Field('count', 'Stitches', FieldKind::Stitches, 1.0, 60.0, 0.5);
        self::assertEquals([new FieldValue(false, 1.0, 60.0, 0.5), new FieldValue(true, 5.0, 300.0, 1.0)], $field->values());
        self::assertCount($field->size(), $field->values());
    }

    public function test_lengths_are_lengths_and_counts_and_choices_are_not(): void
    {
        self::assertEquals([new FieldValue(true, -5.0, 40.0, 0.5)], (new Field('a', 'A', FieldKind::Length, -5.0, 40.0, 0.5))->values());
        foreach ([FieldKind::Count, FieldKind::YesNo, FieldKind::Choice] as $kind) {
            self::assertFalse((new Field('a', 'A', $kind, 0.0, 9.0, 1.0))->values()[0]->length);
        }
    }
}
