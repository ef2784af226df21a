<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Sampler\Sampler;
use OpenSeam\Core\Scan\PictureValue;
use OpenSeam\Core\Scan\Stretch;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What the course's own rows are for a picture: straight stretches level with an edge, and readings it tells. */
final class StretchTest extends TestCase
{
    private static function sampler(string $lesson): Sampler
    {
        return Fixtures::bundle()->lesson($lesson)->sampler;
    }

    /** @return list<Stretch> */
    private static function stretches(string $lesson, string $piece): array
    {
        return Stretch::of(self::sampler($lesson), self::sampler($lesson)->pieces[$piece]);
    }

    public function test_a_spiral_is_nine_each_from_the_edge_it_runs_along(): void
    {
        $all = self::stretches('square-spiral', 'square');
        self::assertSame(['top', 'right', 'bottom', 'left', 'top', 'right', 'bottom', 'left', 'top'], array_map(fn (Stretch $s): string => $s->side, $all));
        self::assertEqualsWithDelta([12.7, 12.7, 12.7, 12.7, 19.2, 19.2, 19.2, 19.2, 25.7], array_map(fn (Stretch $s): float => $s->about, $all), 0.1);
        self::assertSame(range(0, 8), array_map(fn (Stretch $s): int => $s->part, $all));
        // Half the way to the lane beside it, never further.
        foreach ($all as $stretch) {
            self::assertEqualsWithDelta(3.25, $stretch->reach($all), 0.05);
        }
    }

    public function test_a_seam_is_one_from_the_edge_its_allowance_is_of(): void
    {
        [$seam] = self::stretches('first-seam', 'square');
        self::assertSame('right', $seam->side);
        self::assertEqualsWithDelta(15.9, $seam->about, 0.05);
        self::assertTrue($seam->isPlain());
        self::assertFalse($seam->isZigzag());
        self::assertSame([1.0, 0.0], $seam->outwards());
        self::assertGreaterThan(5.0, $seam->reach([$seam]), 'nothing lies near it');
        self::assertTrue($seam->has([84.1, 75.0], true));
        self::assertFalse($seam->has([84.1, 149.0], true), 'beyond its end');
        self::assertFalse($seam->has([80.0, 75.0], true), 'beside it');
        self::assertFalse($seam->has([84.1, 75.0], false), 'along it, not across');
    }

    public function test_curves_and_rows_on_other_pieces_are_none(): void
    {
        self::assertSame([], self::stretches('applique', 'ground'));
        self::assertCount(2, self::stretches('guides', 'a'));
        self::assertFalse(self::stretches('satin-bar', 'strip')[0]->isPlain());
        self::assertTrue(self::stretches('zigzag-ladder', 'strip')[0]->isZigzag());
    }

    /** @return iterable<string, array{string, string, string, PictureValue|null}> */
    public static function readings(): iterable
    {
        yield 'seam to edge' => ['first-seam', 'seam', 'allowance', PictureValue::Allowance];
        yield 'start from the edge' => ['first-seam', 'seam', 'start-in', PictureValue::Start];
        yield 'back stitches of the end that its picture secures' => ['first-seam', 'seam', 'back-start', PictureValue::BackAtStart];
        yield 'those of the other end' => ['first-seam', 'seam', 'back-end', PictureValue::BackAtEnd];
        yield 'stitches of a button are counted by eye' => ['sew-a-button', 'two', 'stitches', null];
        yield 'a tail lies anywhere' => ['first-seam', 'seam', 'tail', null];
        yield 'ten stitches' => ['length-ladder', 'first', 'count', PictureValue::Length];
        yield 'zigzag, width' => ['zigzag-ladder', 'average', 'width', PictureValue::Width];
        yield 'row to row' => ['zigzag-ladder', 'looking', 'spacing', PictureValue::Spacing];
        yield 'corners' => ['square-spiral', 'spiral', 'corners', PictureValue::Spacing];
        yield 'lanes' => ['square-spiral', 'spiral', 'lanes', PictureValue::Spacing];
        yield 'the foot is measured, not the row' => ['square-spiral', 'spiral', 'foot-edge', null];
        yield 'satin, width at three places' => ['satin-bar', 'bar-1', 'edges', PictureValue::Width];
        yield 'sides of a buttonhole' => ['buttonhole', 'sewn', 'sides', PictureValue::Sides];
        yield 'its gap' => ['buttonhole', 'sewn', 'gap', PictureValue::Gap];
        yield 'its ends lie by marks that a picture does not see' => ['buttonhole', 'sewn', 'ends', null];
        yield 'an outer swing is not the middle of a zigzag' => ['edge-finish', 'zigzag', 'over', null];
        yield 'a ribbon from its line is no seam from its edge' => ['trims-and-easing', 'ribbon', 'off', null];
        yield 'nor is a tuck from the next' => ['piping-and-tucks', 'tuck', 'apart', null];
    }

    #[DataProvider('readings')]
    public function test_a_reading_is_what_its_own_picture_shows(string $lesson, string $row, string $field, ?PictureValue $is): void
    {
        $of = self::sampler($lesson)->rows[$row];
        self::assertSame($is, PictureValue::askedBy($of, $of->fields[$field]));
    }
}
