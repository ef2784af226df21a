<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\LessonRoom;
use OpenSeam\Core\Course\SettingSchool;
use OpenSeam\Core\Course\SewNeed;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Fit;
use OpenSeam\Core\Machine\OwnStitch;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\RoomFixtures as Made;
use PHPUnit\Framework\TestCase;

/** Where schools of teaching differ, the lesson follows the one that is chosen; common practice, no source. */
final class WaysTest extends TestCase
{
    /** @return list<string> */
    private static function stitches(string $lesson, string ...$schools): array
    {
        return array_map(fn (SewNeed $n): string => $n->setup->stitch->kind->id, Fixtures::bundle()->lesson($lesson)->in(new Way(array_values($schools)))->sews);
    }

    public function test_every_school_of_every_lesson_can_be_followed(): void
    {
        Fixtures::bundle()->checkWays();
        $followed = 0;
        foreach (Fixtures::bundle()->lessons as $lesson) {
            foreach ($lesson->settings as $setting) {
                foreach ($setting->schools as $school) {
                    $in = $lesson->in(new Way([$school->id]));
                    $now = array_values(array_filter($in->settings, fn ($s): bool => $s->name === $setting->name))[0];
                    self::assertSame([$lesson->id, $lesson->version, $school->value, $school->id], [$in->id, $in->version, $now->value, $now->inUse()?->id]);
                    self::assertSame($lesson->teaches === $in->teaches, array_diff($lesson->teaches, $in->teaches) === [], 'a school may teach less, never something else');
                    $followed++;
                }
            }
        }
        self::assertGreaterThan(35, $followed);
    }

    public function test_fit_rows_minutes_checks_and_cautions_follow(): void
    {
        $usual = Fixtures::bundle()->lesson('buttonhole');
        $hand = $usual->in(new Way(['by-hand']));
        self::assertSame(['buttonhole-by-hand'], self::stitches('buttonhole', 'by-hand'));
        self::assertSame(['buttonhole', 'buttonhole-by-hand'], [$usual->sampler->rows['sewn']->stitch->kind->id, $hand->sampler->rows['sewn']->stitch->kind->id]);
        self::assertSame([22.0, 30.0], [$usual->minutes->sew, $hand->minutes->sew]);
        self::assertNotContains('Lever fully down and pushed back before each one.', $hand->cautions);
        self::assertContains('Needle out of the cloth, at its highest, before width, length or position is turned.', $hand->cautions);
        self::assertNotContains('bh-no-start', $hand->faults, 'by hand there is no lever');
        self::assertSame([['multi-step-zigzag'], ['button-zigzag'], ['straight', 'straight']], [self::stitches('elastic', 'multi-step'), self::stitches('sew-a-button', 'length-0'), self::stitches('zip', 'move-the-needle')]);
        self::assertSame([-2.0, 2.0], array_map(fn (SewNeed $n): float => $n->setup->stitch->positionMm, Fixtures::bundle()->lesson('zip')->in(new Way(['move-the-needle']))->sews));
        self::assertSame([3.0, 3.0], [Fixtures::bundle()->lesson('satin-bar')->in(new Way(['narrow']))->sampler->rows['bar-1']->stitch->widthMm, (float) self::target('satin-bar', 'narrow')]);
        self::assertSame(['row', 'row-2'], array_keys(Fixtures::bundle()->lesson('gathers')->in(new Way(['two-rows']))->sampler->rows));
    }

    private static function target(string $lesson, string $school): string
    {
        $allows = Fixtures::bundle()->lesson($lesson)->in(new Way([$school]))->sampler->rows['bar-1']->checks[2]->allows;

        return explode(' ', $allows)[0];
    }

    public function test_two_settings_are_chosen_apart_and_one_school_of_each(): void
    {
        $seam = Fixtures::bundle()->lesson('first-seam');
        $both = $seam->in(new Way(['by-hand-first', 'long-ends']));
        self::assertSame(['long-ends', 'by-hand-first'], $both->way->schools, 'in the order of the settings');
        self::assertSame(4, $both->sampler->rows['seam']->backStitches);
        self::assertSame($both, $seam->in(new Way(['long-ends']))->in(new Way(['long-ends', 'by-hand-first'])), 'read once');
        self::assertSame($seam, $both->in(new Way), 'and back');
        self::assertSame($seam, $seam->in(new Way(['pedal-at-once'])), 'the usual school is no other way');
        $refused = function (array $schools) use ($seam): string {
            try {
                $seam->in(new Way(array_values($schools)));
            } catch (InputError $e) {
                return "$e->field: {$e->getMessage()}";
            }
            self::fail('It was taken.');
        };
        self::assertSame('schools: Only one school of “Back stitches” can be followed at a time.', $refused(['short-ends', 'long-ends']));
        self::assertStringStartsWith('schools: “First seam” has no such school. Its schools: short-ends', $refused(['no-ends']));
        self::assertSame([], $seam->others(), 'neither asks anything else of the room');
        $this->expectExceptionMessage('is not made from the machine’s own stitches');
        $seam->in(new Way([], OwnStitch::examples(OwnStitch::FIXED)));
    }

    public function test_a_way_survives_being_kept(): void
    {
        $way = new Way(['by-hand'], OwnStitch::examples(OwnStitch::FIXED));
        self::assertSame($way->key(), Way::read(Data::of((array) json_decode((string) json_encode($way->facts()), true)))->key());
        $this->expectExceptionMessage('There is no such stitch');
        Way::read(Data::of(['stitches' => [['stitch' => 'loop', 'width_mm' => 3, 'length_mm' => 2, 'name' => 'A']]]));
    }

    /** Any zigzag at length 0 sews a button; feed dropped or covered does too. */
    public function test_a_machine_whose_feed_stays_up_sews_the_button_at_length_0(): void
    {
        $room = fn (array $but): Room => new Room(['m' => Made::machine($but)], ['b' => Made::foot('button')]);
        $lesson = Fixtures::bundle()->lesson('sew-a-button');
        $on = fn (array $but): array => LessonRoom::of($lesson, $room($but))->on('m')->way->schools ?? ['cannot'];
        self::assertSame([], $on([]));
        self::assertSame(['length-0'], $on(['feed_drop' => 'none']));
        self::assertSame(['length-0'], $on(['stitch_names' => ['straight' => 'A', 'zigzag' => 'B']]), 'it has no button stitch of its own');
        self::assertSame(['cannot'], $on(['drive' => 'straight-only', 'widest_swing_mm' => 0, 'feed_drop' => 'none', 'stitch_names' => ['straight' => 'A']]));
        $free = ['feed_drop' => 'none', 'shortest_stitch_mm' => 0.5];
        self::assertSame([], Fit::ofMachine(Made::machine($free), $lesson->in(new Way(['length-0']))->sews[0]->setup), 'every length dial ends at 0');
    }

    public function test_a_machine_without_the_one_way_is_offered_the_other(): void
    {
        $machines = [
            'own' => Made::machine(), 'none' => Made::machine(['name' => 'Loft 2', 'buttonhole' => 'none', 'stitch_names' => ['straight' => '1', 'zigzag' => '2']]),
            'fixed' => Made::machine(['name' => 'Old 3', 'buttonhole' => 'none', 'fixed_zigzags' => [['width_mm' => 3.5, 'length_mm' => 2, 'name' => 'II']], 'stitch_names' => ['straight' => '1', 'zigzag' => '2']]),
        ];
        $feet = ['f' => Made::foot('buttonhole-four-step', ['count' => 1]), 's' => Made::foot('satin', ['count' => 1])];
        $fit = LessonRoom::of(Fixtures::bundle()->lesson('buttonhole'), new Room($machines, $feet));
        self::assertSame(['own', 'none'], $fit->machines);
        self::assertSame([[], ['by-hand'], null], [$fit->on('own')?->way->schools, $fit->on('none')?->way->schools, $fit->on('fixed')]);
        self::assertSame(2, $fit->places, 'each with its own foot');
        self::assertSame(['Loft 2 does not have “Buttonhole, rectangular”.', 'Old 3 does not have “Buttonhole, rectangular”.'], $fit->reasons);
        // Taught by hand, the machine that can is sewn by hand too.
        $hand = LessonRoom::of(Fixtures::bundle()->lesson('buttonhole')->in(new Way(['by-hand'])), new Room($machines, $feet));
        self::assertSame(['by-hand'], $hand->on('own')?->way->schools);
        self::assertSame(1, $hand->places, 'one satin foot for both');
        // Without its foot, the other way; and back to the machine's own where only that foot is there.
        self::assertSame(['by-hand'], LessonRoom::of(Fixtures::bundle()->lesson('buttonhole'), new Room(['own' => $machines['own']], ['s' => $feet['s']]))->on('own')?->way->schools);
        self::assertSame([], LessonRoom::of(Fixtures::bundle()->lesson('buttonhole')->in(new Way(['by-hand'])), new Room(['own' => $machines['own']], ['f' => $feet['f']]))->on('own')?->way->schools);
    }

    public function test_a_zip_without_a_zip_foot_is_sewn_by_moving_the_needle(): void
    {
        $feet = ['s' => Made::foot('standard', ['count' => 4])];
        $moves = LessonRoom::of(Fixtures::bundle()->lesson('zip'), new Room(['m' => Made::machine(), 'still' => Made::machine(['needle_positions_mm' => [0]])], $feet));
        self::assertSame([['m'], ['move-the-needle']], [$moves->machines, $moves->on('m')?->way->schools]);
        self::assertSame([], LessonRoom::of(Fixtures::bundle()->lesson('zip'), new Room(['m' => Made::machine()], $feet + ['z' => Made::foot('zip')]))->on('m')?->way->schools);
    }

    /** A dial with three or four fixed zigzags gets a ladder of its own. */
    public function test_fixed_zigzags_get_their_own_ladder(): void
    {
        $fixed = Made::machine(['fixed_zigzags' => [['width_mm' => 2, 'length_mm' => 1.5, 'name' => 'I'], ['width_mm' => 3.5, 'length_mm' => 2, 'name' => 'II'], ['width_mm' => 5, 'length_mm' => 2.5, 'name' => 'III']]]);
        $room = new Room(['free' => Made::machine(), 'fixed' => $fixed], ['s' => Made::foot('standard', ['count' => 2])]);
        $lesson = Fixtures::bundle()->lesson('zigzag-ladder');
        $fit = LessonRoom::of($lesson, $room);
        self::assertSame([['free', 'fixed'], $lesson], [$fit->machines, $fit->on('free')]);
        $own = $fit->on('fixed') ?? self::fail('It is refused.');
        self::assertSame(['own-1', 'own-2', 'own-3', 'looking'], array_keys($own->sampler->rows));
        self::assertSame('Mark II: 3.5 × 2', $own->sampler->rows['own-2']->title);
        self::assertSame([12.0, 18.5, 25.0], array_map(fn (Row $r): float => (float) $r->run?->allowanceMm(), array_values(array_slice($own->sampler->rows, 0, 3))));
        self::assertSame('3.5 mm ±0.3; ±0.6 near', $own->sampler->rows['own-2']->checks[0]->allows);
        self::assertCount(2, $own->sampler->rows['looking']->fields['spacing']->marks);
        self::assertSame('Before each row: needle out, the next mark, one turn of the hand wheel.', $own->steps[1]);
        self::assertSame([2.0, 3.5, 5.0], array_map(fn (SewNeed $n): float => $n->setup->stitch->widthMm, $own->sews));
        // One zigzag alone has no row beside it.
        $one = $lesson->on(Made::machine(['fixed_zigzags' => [['width_mm' => 4, 'length_mm' => 2, 'name' => '']]]));
        self::assertSame(['foot-edge', 'dial'], array_keys($one->sampler->rows['looking']->fields));
        self::assertSame(['dial'], array_map(fn ($c): string => $c->id, $one->sampler->rows['looking']->checks));
        self::assertSame('Mark 1: 4 × 2', $one->sampler->rows['own-1']->title);
    }

    public function test_every_stitch_is_made_from_the_machines_own_list(): void
    {
        $machine = Made::machine(['stitch_names' => ['zigzag' => '2', 'blind-hem' => '10', 'straight' => '1', 'overcast' => '9', 'button' => '11', 'buttonhole' => '12', 'honeycomb' => '']]);
        $own = Fixtures::bundle()->lesson('every-stitch')->on($machine);
        self::assertSame(['1: Straight 2.5', '2: Zigzag 3.5 × 2', '9: Overcast 5 × 2', '10: Blind hem, woven 3 × 2', '5: Honeycomb 5 × 1.5', 'All rows'], array_values(array_map(fn (Row $r): string => $r->title, $own->sampler->rows)));
        self::assertSame('9, Overcast foot', $own->sampler->rows['own-3']->guide);
        self::assertSame(5.0, $own->sampler->rows['rows']->fields['sewn']->max);
        self::assertSame('5 of 5; 4 near', $own->sampler->rows['rows']->checks[0]->allows);
        foreach ($own->sampler->rows as $row) {
            self::assertTrue($row->path === null || (float) $row->run?->allowanceMm() < $own->sampler->pieces['strip']->widthMm, "$row->title lies on the strip");
        }
        // A straight-only machine has a list too.
        $straight = Made::machine(['drive' => 'straight-only', 'widest_swing_mm' => 0, 'stitch_names' => ['straight' => 'A']]);
        self::assertSame(['m'], LessonRoom::of(Fixtures::bundle()->lesson('every-stitch'), new Room(['m' => $straight], ['s' => Made::foot('standard')]))->machines);
    }

    public function test_a_school_without_an_id_goes_by_its_name(): void
    {
        $json = array_values(array_filter((array) BundleFiles::read(Fixtures::folder())['lessons'], fn ($l): bool => is_array($l) && $l['id'] === 'mend'))[0];
        self::assertIsArray($json);
        $json['settings'][] = ['name' => 'Hoop', 'value' => 'none', 'schools' => [['school' => 'With a hoop!', 'value' => 'small'], ['school' => 'None', 'value' => 'none']]];
        $lesson = BundleReader::lesson(Data::of($json));
        $schools = $lesson->settings[count($lesson->settings) - 1]->schools;
        self::assertSame(['with-a-hoop', 'none'], array_map(fn (SettingSchool $s): string => $s->id, $schools));
        $in = $lesson->in(new Way(['with-a-hoop']));
        self::assertSame('small', $in->settings[count($in->settings) - 1]->value);
    }
}
