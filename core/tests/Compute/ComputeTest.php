<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Compute;

use OpenSeam\Core\Compute\CommandLine;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Compute\SchemaCheck;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command-line contract, field by field. */
final class ComputeTest extends TestCase
{
    /**
     * @param  list<string>  $arguments
     * @return array{int, string}
     */
    private static function seam(array $arguments, string $in = ''): array
    {
        $input = fopen('php://memory', 'r+') ?: throw new \RuntimeException;
        $output = fopen('php://memory', 'r+') ?: throw new \RuntimeException;
        fwrite($input, $in);
        rewind($input);
        $exit = (new CommandLine(Registry::standard(), $input, $output))->run($arguments);
        rewind($output);

        return [$exit, (string) stream_get_contents($output)];
    }

    /**
     * @param  array<string, mixed>  $in
     * @return array<string, mixed>
     */
    private static function compute(string $name, array $in): array
    {
        [$exit, $out] = self::seam([$name], (string) json_encode($in));
        self::assertSame(0, $exit, $out);
        $decoded = json_decode($out, true);
        self::assertIsArray($decoded);

        /** @var array<string, mixed> $decoded */
        return $decoded;
    }

    /** @return iterable<string, array{string}> */
    public static function names(): iterable
    {
        foreach (array_keys(Registry::standard()->all()) as $name) {
            yield $name => [$name];
        }
    }

    #[DataProvider('names')]
    public function test_answers_are_what_the_calculation_says_they_are(string $name): void
    {
        $calculator = Registry::standard()->get($name);
        [$exit, $out] = self::seam([$name], (string) json_encode($calculator->example()));
        self::assertSame(0, $exit, $out);
        (new SchemaCheck($calculator->answer()))->check(json_decode($out, false, 64, JSON_THROW_ON_ERROR));
        self::assertSame([], array_diff(array_keys((array) json_decode($out, true)), array_keys((array) $calculator->answer()['properties'])));
    }

    public function test_worked_values_of_the_room(): void
    {
        foreach ([5 => [0.6, 'clear'], 6 => [0.1, 'close'], 7 => [-0.4, 'strike']] as $width => [$margin, $verdict]) {
            $out = self::compute('needle-clearance', ['opening_left_mm' => 3.5, 'opening_right_mm' => 3.5, 'stitch_width_mm' => $width, 'needle_position_mm' => 0, 'needle_size' => 80]);
            self::assertEqualsWithDelta($margin, $out['margin_left_mm'], 1e-9);
            self::assertSame($verdict, $out['verdict']);
        }
        $use = self::compute('thread-use', ['stitch' => 'straight', 'length_mm' => 10 / 7, 'width_mm' => 0, 'stack_mm' => 0.357, 'seam_mm' => 1000]);
        self::assertEqualsWithDelta(2.5, $use['ratio'], 0.005);
        self::assertSame($use['top_mm'], $use['bobbin_mm']);
        self::assertSame([[0, -1.75], [2, 1.75], [4, -1.75]], self::compute('stitch-points', ['stitch' => 'zigzag', 'length_mm' => 2, 'width_mm' => 3.5, 'row_mm' => 4.5, 'needle_position_mm' => 0])['points']);
        $guide = self::compute('find-guide', ['allowance_mm' => 12.7, 'needle_positions_mm' => [-3.5, 0], 'guides' => [['id' => 'line', 'kind' => 'fixed', 'distance_mm' => 16], ['id' => 'edge', 'kind' => 'fixed', 'distance_mm' => 9.2]]]);
        self::assertEqualsWithDelta(0.0, ((array) $guide['best'])['error_mm'], 1e-9);
        self::assertSame('edge', ((array) $guide['best'])['id']);
    }

    public function test_worked_values_of_the_contract(): void
    {
        self::assertSame(15.875, self::compute('convert-length', ['value' => '5/8', 'unit' => 'in'])['mm']);
        $read = self::compute('read-stitch-length', ['stitches' => 10, 'span_mm' => 25, 'target_mm' => 2.5, 'met_mm' => 0.2, 'near_mm' => 0.4]);
        self::assertEqualsWithDelta(0.0777, $read['u_mm'], 5e-5);
        self::assertEqualsWithDelta(0.155, $read['expanded_mm'], 5e-4);
        self::assertSame(['met', null], [$read['verdict'], $read['stitches_to_decide']]);
        $trace = self::compute('trace-skill', ['start' => 0.5, 'slip' => 0.1, 'guess' => 0.2, 'transit' => 0.2, 'samples' => [[1], [1], [1]]]);
        self::assertIsArray($trace['after']);
        self::assertEqualsWithDelta(0.8545, $trace['after'][0], 5e-5);
        self::assertSame(2, $trace['mastered_at']);
    }

    public function test_every_calculation_lists_describes_and_shows_itself(): void
    {
        [$exit, $list] = self::seam(['--list']);
        self::assertSame(0, $exit);
        $names = array_map(fn (string $line): string => explode(' ', $line)[0], array_filter(explode("\n", $list)));
        self::assertSame([], array_diff(['class-minutes', 'convert-length', 'find-guide', 'needle-clearance', 'next-lesson', 'read-seam', 'read-stitch-length', 'stitch-points', 'thread-use', 'trace-skill'], $names));
        foreach ($names as $name) {
            [$exit, $schema] = self::seam([$name, '--schema']);
            self::assertSame([0, 'https://json-schema.org/draft/2020-12/schema'], [$exit, json_decode($schema, true)['$schema'] ?? null]);
            [, $example] = self::seam([$name, '--example']);
            [$exit, $out] = self::seam([$name], $example);
            self::assertSame(0, $exit, $name.$out);
            self::assertSame($out, self::seam([$name], $example)[1], 'the same in, the same out');
        }
    }

    /** @return iterable<string, array{string, string, string, string}> */
    public static function wrong(): iterable
    {
        $stitch = '{"stitches":10,"span_mm":25,"target_mm":2.5,"met_mm":0.2,"near_mm":0.4';
        yield 'unknown field' => ['read-stitch-length', $stitch.',"colour":"red"}', 'colour', 'Allowed: stitches'];
        yield 'missing' => ['read-stitch-length', '{"stitches":10}', 'span_mm', 'missing'];
        yield 'negative' => ['read-stitch-length', '{"stitches":-1,"span_mm":25,"target_mm":2.5,"met_mm":0.2,"near_mm":0.4}', 'stitches', 'from 0.5 to 10000'];
        yield 'text for a number' => ['read-stitch-length', '{"stitches":"ten","span_mm":25,"target_mm":2.5,"met_mm":0.2,"near_mm":0.4}', 'stitches', 'a number'];
        yield 'near inside met' => ['read-stitch-length', '{"stitches":10,"span_mm":25,"target_mm":2.5,"met_mm":0.4,"near_mm":0.2}', 'near_mm', 'at least'];
        yield 'broken json' => ['read-seam', '{"target_mm":', '(input)', 'JSON'];
        yield 'a list' => ['read-seam', '[]', '(input)', 'object'];
        yield 'nothing' => ['read-seam', '', '(input)', 'JSON'];
        yield 'two readings' => ['read-seam', '{"target_mm":15.9,"met_mm":1,"near_mm":2,"readings":[{"at_mm":0,"allowance_mm":1},{"at_mm":9,"allowance_mm":1}]}', 'readings', 'At least 3'];
        yield 'one place' => ['read-seam', '{"target_mm":15.9,"met_mm":1,"near_mm":2,"readings":[{"at_mm":5,"allowance_mm":1},{"at_mm":5,"allowance_mm":2},{"at_mm":5,"allowance_mm":3}]}', 'readings', 'different places'];
        yield 'deep field' => ['read-seam', '{"target_mm":15.9,"met_mm":1,"near_mm":2,"readings":[{"at_mm":0,"allowance_mm":1},{"at_mm":9,"allowance_mm":-4},{"at_mm":10,"allowance_mm":1}]}', 'readings[1].allowance_mm', 'from 0 to 1000'];
        yield 'weight' => ['trace-skill', '{"start":0.5,"slip":0.1,"guess":0.2,"transit":0.2,"samples":[[1],[1.5]]}', 'samples[1][0]', 'from 0 to 1'];
        yield 'slip and guess' => ['trace-skill', '{"start":0.5,"slip":0.6,"guess":0.5,"transit":0.2,"samples":[]}', 'guess', 'below 1'];
        yield 'no machine' => ['class-minutes', '{"students":10,"machines":0,"feet":1,"helpers":0,"demo":1,"sew":1,"inspect":1}', 'machines', 'from 1 to 500'];
        yield 'unit' => ['convert-length', '{"value":1,"unit":"ell"}', 'unit', 'mm, in'];
        yield 'circle' => ['next-lesson', '{"skills":[{"id":"a","needs":["b"]},{"id":"b","needs":["a"]}],"lessons":[{"id":"l","teaches":["a"],"minutes":5}]}', 'skills', 'circle'];
        yield 'unknown skill' => ['next-lesson', '{"skills":[{"id":"a"}],"lessons":[{"id":"l","teaches":["z"],"minutes":5}]}', 'lessons[0].teaches[0]', 'one of the skills'];
        yield 'unknown lesson' => ['next-lesson', '{"skills":[{"id":"a"}],"lessons":[{"id":"l","teaches":["a"],"minutes":5}],"samples":[{"lesson":"x","evidence":[]}]}', 'samples[0].lesson', 'one of the lessons'];
        yield 'no needle so thin' => ['needle-clearance', '{"opening_left_mm":3.5,"opening_right_mm":3.5,"stitch_width_mm":5,"needle_position_mm":0,"needle_size":8}', 'needle_size', 'from 50 to 200'];
        yield 'fixed without distance' => ['find-guide', '{"allowance_mm":16,"guides":[{"id":"a","kind":"fixed"}]}', 'guides[0].distance_mm', 'needs'];
        yield 'range backwards' => ['find-guide', '{"allowance_mm":16,"guides":[{"id":"a","kind":"adjustable","min_mm":25,"max_mm":5,"step_mm":1}]}', 'guides[0].max_mm', 'at least'];
        yield 'length 0' => ['stitch-points', '{"stitch":"zigzag","length_mm":0,"width_mm":3,"row_mm":10,"needle_position_mm":0}', 'length_mm', 'from 0.1'];
        yield 'unknown stitch' => ['stitch-points', '{"stitch":"knit","length_mm":1,"width_mm":3,"row_mm":10,"needle_position_mm":0}', 'stitch', 'straight'];
        yield 'deep in a machine' => ['translate-dial', '{"from":{"drive":"mechanical","stitch_names":{"zigzag":"B"}},"to":{"drive":"mechanical","widest_swing_mm":4,"fixed_zigzags":[{"width_mm":5,"length_mm":2,"name":"C"}]},"stitch":"zigzag","length_mm":2,"width_mm":3}', 'to.fixed_zigzags[0].width_mm', '4 mm'];
        yield 'it has no such stitch' => ['translate-dial', '{"from":{"drive":"mechanical"},"to":{"drive":"mechanical"},"stitch":"wave","length_mm":2}', 'stitch', 'It has: straight'];
        yield 'unknown foot' => ['advise-feet', '{"wants":["knits"],"have":{"clog":1}}', 'have.clog', 'Known'];
        yield 'endless' => ['convert-length', '{"value":1e400,"unit":"mm"}', 'value', 'too large'];
        yield 'no date' => ['next-lesson', '{"skills":[{"id":"a"}],"lessons":[{"id":"l","teaches":["a"],"minutes":5}],"now":"tomorrow"}', 'now', 'date'];
    }

    #[DataProvider('wrong')]
    public function test_wrong_input_names_field_and_what_is_allowed(string $name, string $in, string $field, string $said): void
    {
        [$exit, $out] = self::seam([$name], $in);
        self::assertSame(2, $exit);
        $error = json_decode($out, true)['error'] ?? null;
        self::assertIsArray($error);
        self::assertSame($field, $error['field']);
        self::assertArrayHasKey('got', $error);
        self::assertStringContainsString($said, (string) $error['message']);
    }

    public function test_a_batch_goes_on_after_a_wrong_line(): void
    {
        [$exit, $out] = self::seam(['convert-length', '--batch'], "{\"value\":1,\"unit\":\"in\"}\nnonsense\n{\"value\":\"1/2\",\"unit\":\"in\"}\n");
        $lines = array_map(fn (string $l): mixed => json_decode($l, true), explode("\n", trim($out)));
        self::assertSame(2, $exit);
        self::assertSame([25.4, true, 12.7], [$lines[0]['mm'] ?? null, isset($lines[1]['error']), $lines[2]['mm'] ?? null]);
    }

    public function test_an_unknown_name_or_option(): void
    {
        self::assertSame(2, self::seam(['knit'])[0]);
        self::assertSame(2, self::seam(['read-seam', '--fast'])[0]);
        self::assertSame(2, self::seam([])[0]);
    }

    public function test_next_lesson_says_why_with_the_reading(): void
    {
        [, $example] = self::seam(['next-lesson', '--example']);
        $out = json_decode(self::seam(['next-lesson'], $example)[1], true);
        self::assertIsArray($out);
        self::assertSame(['drill', 'seam', 'rows'], [$out['kind'], $out['lesson'], $out['drill']]);
        self::assertSame('s3', $out['reasons'][1]['evidence'][0]['sample']);
        self::assertSame('seam', $out['candidates'][0]['lesson']);
    }

    /** J. R. Jackson 1956, cycle 10: five stations, and no plan has four. */
    public function test_plan_sessions(): void
    {
        $needs = [[], ['a'], ['a'], ['a'], ['a'], ['b'], ['c', 'd', 'e'], ['f'], ['g'], ['h'], ['i', 'j']];
        $lessons = array_map(fn (int $t, int $i): array => ['id' => chr(97 + $i), 'minutes' => $t, 'needs' => $needs[$i]], [6, 2, 5, 7, 1, 2, 3, 6, 5, 5, 4], range(0, 10));
        $plan = self::compute('plan-sessions', ['capacity_minutes' => 10, 'lessons' => $lessons]);
        self::assertSame([5, 5, true], [$plan['count'], $plan['lower_bound'], $plan['proven']]);
        self::assertSame(46.0, (float) array_sum(array_column((array) $plan['sessions'], 'minutes')));
        // Pinned both ways, together, and in so many sessions.
        foreach ([['k' => 6], [['lesson' => 'k', 'session' => 6]]] as $pins) {
            $plan = self::compute('plan-sessions', ['capacity_minutes' => 10, 'lessons' => $lessons, 'pins' => $pins]);
            self::assertSame(6, $plan['count']);
            self::assertContains('k', (array) ((array) array_values((array) $plan['sessions'])[5])['lessons']);
        }
        $plan = self::compute('plan-sessions', ['capacity_minutes' => 14, 'lessons' => $lessons, 'together' => [['b', 'f']]]);
        $with = array_values(array_filter((array) $plan['sessions'], fn (mixed $s): bool => is_array($s) && in_array('b', (array) $s['lessons'], true)))[0];
        self::assertContains('f', (array) $with['lessons']);
        $plan = self::compute('plan-sessions', ['capacity_minutes' => 1, 'lessons' => [['id' => 'x', 'minutes' => 1]], 'session_minutes' => [0.5, 1]]);
        self::assertSame([[], ['x']], array_column((array) $plan['sessions'], 'lessons'));
        self::assertEqualsWithDelta(12.0, self::compute('plan-sessions', ['capacity_minutes' => 100, 'lessons' => $lessons, 'sessions' => 4])['capacity_minutes'], 1e-9);
        foreach ([
            [['lessons' => [['id' => 'a', 'minutes' => 11, 'needs' => []]]], 'lessons[0].minutes'],
            [['lessons' => [['id' => 'a', 'minutes' => 1, 'needs' => ['b']], ['id' => 'b', 'minutes' => 1, 'needs' => ['a']]]], 'lessons[0].needs'],
            [['lessons' => [['id' => 'a', 'minutes' => 1, 'needs' => ['q']]]], 'lessons[0].needs[0]'],
            [['lessons' => [['id' => 'a', 'minutes' => -5, 'needs' => []]]], 'lessons[0].minutes'],
            [['lessons' => $lessons, 'pins' => ['a' => 2, 'b' => 1]], 'pins'],
            [['lessons' => $lessons, 'pins' => ['nobody' => 2]], 'pins'],
            [['lessons' => $lessons, 'sessions' => 0], 'sessions'],
        ] as [$bad, $field]) {
            [$exit, $out] = self::seam(['plan-sessions'], (string) json_encode($bad + ['capacity_minutes' => 10]));
            self::assertSame([2, $field], [$exit, json_decode($out, true)['error']['field'] ?? null], $out);
        }
    }

    public function test_plans_with_schools_homework_and_reviews(): void
    {
        $lessons = array_map(fn (string $id, ?string $needs, string $strand): array => ['id' => $id, 'minutes' => 40, 'needs' => $needs === null ? [] : [$needs], 'strand' => $strand], ['a', 'b', 'c', 'd'], [null, 'a', 'b', null], ['x', 'y', 'x', 'y']);
        $plan = fn (array $with): array => self::compute('plan-sessions', $with + ['capacity_minutes' => 90, 'lessons' => $lessons]);
        self::assertSame([['a', 'd'], ['b', 'c']], array_column((array) $plan(['pins' => ['d' => 1]])['sessions'], 'lessons'));
        $day = $plan(['school' => 'one-day']);
        self::assertSame([[['a', 'b']], ['c', 'd'], 1], [array_column((array) $day['sessions'], 'lessons'), $day['left'], $day['count']]);
        $home = self::compute('plan-sessions', ['capacity_minutes' => 90, 'lessons' => array_replace($lessons, [1 => ['home' => true, 'minutes' => 500] + $lessons[1]])]);
        self::assertSame([['b'], []], array_column((array) $home['sessions'], 'home'));
        self::assertContains(['lesson' => 'c', 'kind' => 'home', 'because' => 'a'], (array) $home['reasons']);
        $reviewed = $plan(['review_every' => 2, 'review_minutes' => 60]);
        self::assertSame([80.0, 0.0, 80.0], array_map(floatval(...), array_column((array) $reviewed['sessions'], 'minutes')));
        self::assertEqualsWithDelta(33.0, self::compute('class-minutes', ['students' => 4, 'machines' => 4, 'feet' => 4, 'helpers' => 3, 'demo' => 5, 'sew' => 10, 'inspect' => 3, 'opening' => 5, 'clearing' => 10])['minutes'], 1e-9);
    }

    public function test_dates_of_a_course(): void
    {
        $dates = self::compute('course-dates', ['first' => '2030-10-17 18:30', 'zone' => 'Europe/Berlin', 'sessions' => 3, 'closed' => ['2030-10-24']]);
        self::assertSame(['2030-10-17T16:30:00Z', '2030-10-31T17:30:00Z', '2030-11-07T17:30:00Z'], array_column((array) $dates['dates'], 'utc'));
        foreach ([['zone', ['zone' => 'Attic']], ['first', ['first' => '2030-02-30 18:30']], ['closed', ['closed' => ['2030-04-31']]]] as [$field, $bad]) {
            [$exit, $out] = self::seam(['course-dates'], (string) json_encode($bad + ['first' => '2030-10-17 18:30', 'zone' => 'UTC', 'sessions' => 3]));
            self::assertSame(2, $exit);
            self::assertStringContainsString("\"field\":\"$field\"", $out);
        }
    }
}
