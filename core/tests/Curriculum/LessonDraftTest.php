<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Curriculum\CheckStarter;
use OpenSeam\Core\Curriculum\DraftProblem;
use OpenSeam\Core\Curriculum\LessonDraft;
use OpenSeam\Core\Curriculum\PathStarter;
use OpenSeam\Core\Curriculum\RowReader;
use OpenSeam\Core\Curriculum\RowStarter;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Sampler\SamplerLayout;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LessonDraftTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function lesson(string $id): array
    {
        return array_column((array) BundleFiles::read(Fixtures::folder())['lessons'], null, 'id')[$id];
    }

    private static function room(): Room
    {
        return new Room(
            ['wide' => Machine::read(Data::of(['name' => 'Wide', 'drive' => 'computerised', 'widest_swing_mm' => 7])), 'plain' => Machine::read(Data::of(['name' => 'Plain', 'drive' => 'straight-only', 'widest_swing_mm' => 0]))],
            ['standard' => Foot::read(Data::of(['kind' => 'standard', 'count' => 2])), 'satin' => Foot::read(Data::of(['kind' => 'satin', 'count' => 1]))],
        );
    }

    /**
     * @param  array<string, mixed>  $json
     * @return list<DraftProblem>
     */
    private static function problems(array $json): array
    {
        return LessonDraft::read($json, Fixtures::bundle(), self::room())->problems;
    }

    public function test_every_lesson_of_the_course_is_drafted_without_a_problem(): void
    {
        foreach ((array) BundleFiles::read(Fixtures::folder())['lessons'] as $json) {
            $stops = array_filter(self::problems($json), fn (DraftProblem $p): bool => $p->stops || $p->value !== null);
            self::assertSame([], array_values($stops), (string) $json['id']);
        }
    }

    public function test_one_row_off_its_piece_leaves_the_others_drawn(): void
    {
        $json = self::lesson('zigzag-ladder');
        $json['sampler']['rows'][2]['path']['distance_mm'] = 91;
        $draft = LessonDraft::read($json, Fixtures::bundle(), self::room());
        self::assertSame([['closer', true, 'sampler.rows[2].path.run']], array_map(fn (DraftProblem $p): array => [$p->row, $p->stops, $p->place], $draft->problems));
        self::assertSame(['average', 'longer', 'narrower', 'narrow', 'looking'], array_keys($draft->lesson->sampler->rows ?? []));
        $this->expectException(InputError::class);
        $draft->mustFit();
    }

    public function test_a_moved_row_says_that_its_checks_stay_behind(): void
    {
        $json = self::lesson('first-seam');
        $json['sampler']['rows'][0]['path'] = ['distance_mm' => 12.7, 'to_mm' => 120] + $json['sampler']['rows'][0]['path'];
        $found = array_column(array_map(fn (DraftProblem $p): array => ['place' => $p->place, 'value' => $p->value], self::problems($json)), 'value', 'place');
        self::assertSame([
            'sampler.rows[0].checks[0].target_mm' => 12.7, 'sampler.rows[0].checks[1].target_mm' => 12.7, 'sampler.rows[0].readings[0].marks[4].at_mm' => 120.0,
        ], $found);
        // Each put right as it says: nothing is left to say.
        $json['sampler']['rows'][0]['checks'][0]['target_mm'] = $json['sampler']['rows'][0]['checks'][1]['target_mm'] = 12.7;
        $json['sampler']['rows'][0]['readings'][0]['marks'][4]['at_mm'] = 120.0;
        self::assertSame([], self::problems($json));
    }

    /** 7 mm zigzag: swing 3.5 and needle radius 0.4 against a standard foot; a straight machine does not swing at all. */
    public function test_each_machine_says_how_it_sews_a_row(): void
    {
        $json = self::lesson('zigzag-ladder');
        $draft = LessonDraft::read($json, Fixtures::bundle(), self::room());
        [$wide, $plain] = $draft->room['average'];
        $opening = self::room()->feet['standard']->openingLeftMm;
        self::assertTrue($wide->works);
        self::assertEqualsWithDelta($opening - 3.5 / 2 - 0.4, $wide->marginMm, 1e-9);
        self::assertSame([false, null], [$plain->works, $plain->marginMm]);
        self::assertStringContainsString('straight only', $plain->why);
        $json['sampler']['rows'][0]['width_mm'] = 7;
        $room = self::room();
        $narrow = new Room($room->machines, ['standard' => Foot::read(Data::of(['kind' => 'standard', 'count' => 2, 'opening_left_mm' => 2.5, 'opening_right_mm' => 2.5, 'largest_swing_mm' => 7]))]);
        $struck = LessonDraft::read($json, Fixtures::bundle(), $narrow)->room['average'][0];
        self::assertFalse($struck->works, 'a swing that strikes is refused');
        self::assertStringContainsString('strikes', $struck->why);
    }

    public function test_what_a_row_swings_is_asked_of_the_room(): void
    {
        $json = self::lesson('zigzag-ladder');
        $json['sampler']['rows'][0]['width_mm'] = 6.5;
        $lesson = LessonDraft::read($json, Fixtures::bundle(), self::room())->lesson;
        self::assertSame([6.5, 6.5], array_map(fn ($n): float => $n->setup->stitch->widthMm, $lesson->sews ?? []));
    }

    public function test_needs_follow_the_stitches_of_the_rows(): void
    {
        $before = self::lesson('first-seam');
        $after = $before;
        $after['sampler']['rows'][] = RowStarter::row($before, 'square', 'wave');
        $needs = LessonDraft::withNeeds($after, $before);
        self::assertSame(['straight', 'wave'], array_column((array) $needs['sews'], 'stitch'));
        self::assertSame(StitchBook::standard()->get('wave')->feet, ((array) $needs['sews'])[1]['feet']);
        self::assertSame($before['sews'], LessonDraft::withNeeds($before, $needs)['sews'], 'taken away with its row');
        // What is asked without a row of its own stays: nobody took it away.
        $free = self::lesson('free-motion');
        self::assertSame($free['sews'], LessonDraft::withNeeds($free, $free)['sews']);
    }

    /** @return iterable<string, array{string}> */
    public static function stitches(): iterable
    {
        foreach (StitchBook::standard()->ids() as $id) {
            yield $id => [$id];
        }
    }

    #[DataProvider('stitches')]
    public function test_a_row_of_any_stitch_starts_fit_to_keep(string $stitch): void
    {
        $json = self::lesson('first-seam');
        $json['sampler']['rows'] = [];
        $row = RowStarter::row($json, 'square', $stitch);
        $json['sampler']['rows'] = [$row];
        $next = RowStarter::row($json, 'square', $stitch);
        $json['sampler']['rows'][] = $next;
        self::assertNotSame($row['id'], $next['id']);
        $draft = LessonDraft::read(LessonDraft::withNeeds($json, $json), Fixtures::bundle(), self::room());
        self::assertSame([], array_filter($draft->problems, fn (DraftProblem $p): bool => $p->stops), $stitch);
        self::assertNotNull($draft->lesson);
        foreach ($draft->lesson->sampler->rows as $r) {
            self::assertGreaterThanOrEqual(2, count($r->checks));
            foreach ($r->checks as $check) {
                self::assertNotSame('', $check->allows);
            }
        }
    }

    public function test_rows_start_one_foot_edge_apart_until_the_piece_is_full(): void
    {
        $json = self::lesson('first-seam');
        $json['sampler']['rows'] = [];
        $at = [];
        try {
            while (count($at) < 30) {
                $row = RowStarter::row($json, 'square', 'zigzag');
                $at[] = $row['path']['distance_mm'];
                $json['sampler']['rows'][] = $row;
            }
        } catch (InputError $e) {
            self::assertStringContainsString('100 mm wide', $e->getMessage());
        }
        self::assertSame([15.0, 22.0, 29.0], array_slice($at, 0, 3));
        self::assertSame(92.0, $at[11], 'twelve rows on 100 mm');
        self::assertCount(12, $at);
        $lesson = LessonDraft::read($json, Fixtures::bundle(), self::room())->lesson;
        self::assertNotNull($lesson);
        self::assertSame([], SamplerLayout::of($lesson->sampler)->touching());
    }

    /** What a check allows, where the bundle leaves it to the numbers. */
    public function test_allowances_are_said_from_the_numbers(): void
    {
        $said = [];
        foreach (['first-seam', 'zigzag-ladder', 'satin-bar', 'buttonhole'] as $id) {
            $json = self::lesson($id);
            foreach ($json['sampler']['rows'] as &$row) {
                foreach ($row['checks'] as &$check) {
                    unset($check['allows']);
                }
            }
            unset($row, $check);
            foreach (BundleReader::lesson(Data::of($json))->sampler->rows as $row) {
                foreach ($row->checks as $check) {
                    $said["$id.{$row->id}.{$check->id}"] = $check->allows;
                }
            }
        }
        self::assertSame('mean 15.9 mm ±1; ±2 near', $said['first-seam.seam.width']);
        self::assertSame('spread at most 2 mm; 4 mm near', $said['first-seam.seam.steering']);
        self::assertSame('2 to 5; 1 to 7 near', $said['first-seam.seam.back-start']);
        self::assertSame('40 mm or more; 20 near', $said['first-seam.seam.tail']);
        self::assertSame('3.2 to 3.8 mm; 2.9 to 4.1 near', $said['zigzag-ladder.average.width']);
        self::assertSame('2 mm ±0.2; ±0.4 near', $said['zigzag-ladder.average.length']);
        self::assertSame('5 mm ±0.3; ±0.6 near', $said['satin-bar.bar-1.edges']);
        self::assertSame('differ by 5 % or less; 10 % near', $said['buttonhole.sewn.sides']);
        self::assertSame('differ by 15 % or less; 30 % near', $said['buttonhole.sewn.density']);
        self::assertSame('yes', $said['buttonhole.sewn.bars']);
    }

    /** Every run on pieces from tiny to large can be read back, lies on its piece, and every way of reading starts with an order that holds. */
    public function test_runs_and_checks_start_so_that_they_can_be_read(): void
    {
        $count = 0;
        foreach ([[20.0, 20.0], [50.0, 200.0], [150.0, 150.0], [400.0, 60.0]] as [$width, $height]) {
            $piece = new \OpenSeam\Core\Sampler\Piece('p', $width, $height, 2, 'Piece');
            foreach ($width > 1.5 * $height ? array_diff(PathStarter::RUNS, ['square-spiral']) : PathStarter::RUNS as $run) {
                $row = ['id' => 'r', 'title' => 'Row', 'piece' => 'p', 'path' => PathStarter::of($run, $width, $height), 'stitch' => 'straight', 'stitch_mm' => 2.5, 'readings' => [], 'checks' => []];
                foreach (CheckStarter::KINDS as $n => $kind) {
                    $started = CheckStarter::of($row, "Look $n", $kind, ['follow-line', 'pivot']);
                    $row['readings'][] = $started['reading'];
                    $row['checks'][] = ['changes' => []] + $started['check'];
                    self::assertSame('own-'.($n + 1), $started['check']['id']);
                }
                $read = RowReader::read(\OpenSeam\Core\Data::of($row), ['p' => $piece]);
                foreach ($read->path?->places(range(0.0, $read->path->lengthMm(), 1.0)) ?? [] as [[$x, $y]]) {
                    self::assertTrue($x >= 0 && $x <= $width && $y >= 0 && $y <= $height, "$run on $width × $height");
                    $count++;
                }
                self::assertCount(count(CheckStarter::KINDS), $read->checks);
            }
        }
        self::assertGreaterThan(500, $count);
        foreach ([fn () => PathStarter::of('zigzag', 100, 100), fn () => PathStarter::of('edge', 10, 100), fn () => PathStarter::of('square-spiral', 400, 60), fn () => CheckStarter::of([], ' ', 'count', []), fn () => CheckStarter::of([], 'x', 'smell', [])] as $wrong) {
            try {
                $wrong();
                self::fail('It started.');
            } catch (InputError $e) {
                self::assertContains($e->field, ['run', 'label', 'kind']);
            }
        }
    }
}
