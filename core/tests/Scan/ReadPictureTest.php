<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Scan;

use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Tests\Support\DrawnPiece;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Pictures by the command line's contract: what goes in, what comes out, and every way in which it does not. */
final class ReadPictureTest extends TestCase
{
    private static string $scan = '';

    /** A ladder of three rows, as a lesson has them. */
    private static function ladder(): DrawnPiece
    {
        $piece = DrawnPiece::withRow('straight', 'left', 10.0, 2.0);
        [$piece->widthMm, $piece->heightMm, $piece->marginMm, $piece->dpi] = [60.0, 50.0, 7.0, 240.0];
        $piece->rows[] = ['stitch' => 'zigzag', 'edge' => 'left', 'at' => 28.0, 'length' => 2.0, 'width' => 3.5, 'drift' => 0.4, 'wobble' => 0.0];
        $piece->rows[] = ['stitch' => 'straight', 'edge' => 'right', 'at' => 12.0, 'length' => 3.5, 'width' => 0.0, 'drift' => 0.0, 'wobble' => 0.2];

        return $piece;
    }

    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private static function input(array $but = []): array
    {
        self::$scan = self::$scan === '' ? base64_encode(self::ladder()->draw(8)) : self::$scan;

        return $but + ['picture' => self::$scan, 'scale' => ['kind' => 'dpi', 'dpi' => 240], 'rows' => [
            ['id' => 'first', 'stitch' => 'straight', 'edge' => 'left', 'about_mm' => 10, 'marks_mm' => [10, 25, 40]],
            ['id' => 'second', 'stitch' => 'zigzag', 'edge' => 'left', 'about_mm' => 28],
            ['id' => 'third', 'stitch' => 'straight', 'edge' => 'right', 'about_mm' => 11],
            ['id' => 'not sewn', 'stitch' => 'straight', 'edge' => 'top', 'about_mm' => 25],
        ]];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private static function reads(array $in): array
    {
        return Registry::standard()->run('read-picture', (string) json_encode($in));
    }

    public function test_a_whole_ladder_at_once(): void
    {
        $out = self::reads(self::input());
        self::assertNull($out['cannot']);
        self::assertIsArray($out['piece']);
        self::assertEqualsWithDelta([60.0, 50.0], [$out['piece']['width_mm'], $out['piece']['height_mm']], 0.2);
        self::assertCount(4, $out['piece']['corners']);
        /** @var list<array{id: string, allowance: list<array{at_mm: float, mm: float, u_mm: float}>, length: array{mm: float}|null, width: array{mm: float, u_mm: float}|null, cannot: string|null}> $rows */
        $rows = $out['rows'];
        self::assertSame(['first', 'second', 'third', 'not sewn'], array_column($rows, 'id'));
        self::assertSame([null, null, null], [$rows[0]['cannot'], $rows[1]['cannot'], $rows[2]['cannot']]);
        $drawn = self::ladder();
        foreach ([0, 1, 2] as $i) {
            self::assertEqualsWithDelta(1.0, (float) ($rows[$i]['length']['mm'] ?? 0) / $drawn->rows[$i]['length'], 0.02, $rows[$i]['id']);
            foreach ($rows[$i]['allowance'] as $mark) {
                self::assertEqualsWithDelta($drawn->allowance($i, $mark['at_mm']), $mark['mm'], 3 * $mark['u_mm'], $rows[$i]['id']);
            }
        }
        self::assertSame([10.0, 25.0, 40.0], array_map(floatval(...), array_column($rows[0]['allowance'], 'at_mm')));
        self::assertCount(5, $rows[2]['allowance'], 'five, evenly, where none are named');
        self::assertEqualsWithDelta(3.5, (float) ($rows[1]['width']['mm'] ?? 0), 0.2);
        self::assertSame([null, null], [$rows[0]['width'], $rows[2]['width']]);
        self::assertSame([[], null, null], [$rows[3]['allowance'], $rows[3]['length'], $rows[3]['width']]);
        self::assertNotNull($rows[3]['cannot']);
        self::assertEquals($out, self::reads(self::input()), 'the same picture says the same');
    }

    public function test_upside_down_the_edges_are_those_of_the_picture(): void
    {
        $image = imagecreatefromstring((string) base64_decode(self::input()['picture'], true));
        self::assertNotFalse($image);
        $turned = imagerotate($image, 180, 0);
        self::assertNotFalse($turned);
        ob_start();
        imagepng($turned);
        $out = self::reads(self::input(['picture' => base64_encode((string) ob_get_clean()), 'rows' => [['id' => 'first', 'stitch' => 'straight', 'edge' => 'right', 'about_mm' => 10, 'marks_mm' => [25]]]]));
        /** @var list<array{allowance: list<array{mm: float}>}> $rows */
        $rows = $out['rows'];
        self::assertEqualsWithDelta(10.0, $rows[0]['allowance'][0]['mm'], 0.3);
    }

    public function test_marks_beside_the_row_are_left_out(): void
    {
        $out = self::reads(self::input(['rows' => [['id' => 'first', 'stitch' => 'straight', 'edge' => 'left', 'about_mm' => 10, 'marks_mm' => [25, 49.9, 80, 1500]]]]));
        /** @var list<array{allowance: list<array{at_mm: float}>, cannot: string|null}> $rows */
        $rows = $out['rows'];
        self::assertNull($rows[0]['cannot']);
        self::assertEquals(25.0, $rows[0]['allowance'][0]['at_mm']);
        self::assertLessThanOrEqual(2, count($rows[0]['allowance']));
    }

    public function test_what_is_wrong_with_the_picture_is_said_of_it_and_of_each_row(): void
    {
        $blank = imagecreatetruecolor(300, 300);
        self::assertNotFalse($blank);
        imagefill($blank, 0, 0, 0x404040);
        ob_start();
        imagejpeg($blank);
        $out = self::reads(self::input(['picture' => base64_encode((string) ob_get_clean())]));
        self::assertSame(['no-piece', null], [$out['cannot'], $out['piece']]);
        self::assertIsArray($out['rows']);
        self::assertSame(array_fill(0, 4, 'no-piece'), array_column($out['rows'], 'cannot'));
        self::assertSame('no-card', self::reads(self::input(['scale' => ['kind' => 'card']]))['cannot']);
    }

    /** @return iterable<string, array{array<string, mixed>, string, string}> */
    public static function wrong(): iterable
    {
        yield 'no base64' => [['picture' => 'a cat!'], 'picture', 'base64'];
        yield 'no picture' => [['picture' => base64_encode('a cat')], 'picture', 'no picture'];
        yield 'nothing' => [['picture' => ''], 'picture', ''];
        yield 'no dpi' => [['scale' => ['kind' => 'dpi']], 'scale.dpi', 'pixels an inch'];
        yield 'dpi of a fax' => [['scale' => ['kind' => 'dpi', 'dpi' => 5]], 'scale.dpi', '50'];
        yield 'another scale' => [['scale' => ['kind' => 'coin']], 'scale.kind', 'card'];
        yield 'another stitch' => [['rows' => [['id' => 'a', 'stitch' => 'satin', 'edge' => 'left', 'about_mm' => 10]]], 'rows[0].stitch', 'zigzag'];
        yield 'another edge' => [['rows' => [['id' => 'a', 'stitch' => 'straight', 'edge' => 'middle', 'about_mm' => 10]]], 'rows[0].edge', 'left'];
        yield 'behind the edge' => [['rows' => [['id' => 'a', 'stitch' => 'straight', 'edge' => 'left', 'about_mm' => -3]]], 'rows[0].about_mm', '1'];
        yield 'a word for a mark' => [['rows' => [['id' => 'a', 'stitch' => 'straight', 'edge' => 'left', 'about_mm' => 9, 'marks_mm' => ['x']]]], 'rows[0].marks_mm[0]', ''];
        yield 'too many rows' => [['rows' => array_fill(0, 21, ['id' => 'a', 'stitch' => 'straight', 'edge' => 'left', 'about_mm' => 9])], 'rows', '20'];
    }

    /** @param  array<string, mixed>  $but */
    #[DataProvider('wrong')]
    public function test_what_is_wrong_with_the_question_names_its_field(array $but, string $field, string $said): void
    {
        try {
            self::reads(self::input($but));
            self::fail('It was taken.');
        } catch (InputError $e) {
            self::assertSame($field, $e->field);
            self::assertStringContainsString($said, $e->getMessage());
        }
    }
}
