<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Course;

use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Course\PictureStarter;
use OpenSeam\Core\Course\PictureTemplates;
use OpenSeam\Core\Course\WallCharts;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\OwnStitch;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Picture\FaultPicture;
use OpenSeam\Core\Picture\MachineLook;
use OpenSeam\Core\Picture\Picture;
use OpenSeam\Core\Picture\PictureBook;
use OpenSeam\Core\Picture\Shape;
use OpenSeam\Core\Picture\Shown;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Words;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every act and every step of the shipped lessons is drawn, whichever way they are taught. */
final class LessonPicturesTest extends TestCase
{
    /** @return iterable<string, array{Lesson}> */
    public static function lessons(): iterable
    {
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            yield $id => [$lesson];
        }
    }

    /** @return list<Lesson> as it is usual, by each school, and from a machine's own stitches */
    private static function ways(Lesson $lesson): array
    {
        $ways = [$lesson];
        foreach ($lesson->settings as $setting) {
            foreach ($setting->schools as $school) {
                $ways[] = $lesson->in(new Way([$school->id]));
            }
        }

        return $lesson->each() === '' ? $ways : [...$ways, $lesson->in(new Way([], OwnStitch::examples($lesson->each())))];
    }

    #[DataProvider('lessons')]
    public function test_each_act_and_step_has_its_own_picture(Lesson $lesson): void
    {
        foreach (self::ways($lesson) as $way) {
            self::assertSame([], LessonPictures::missing($way), $way->way->key());
            $pictures = LessonPictures::of($way);
            self::assertCount(count($way->demonstration->acts ?? []), $pictures->acts);
            self::assertCount(count($way->steps), $pictures->steps);
            foreach ($pictures->stories as $i => $drawn) {
                self::assertCount(count($way->stories[$i]->steps), $drawn);
            }
            self::assertGreaterThanOrEqual(LessonPictures::LEAST, count($pictures->acts) + count($pictures->steps));
            foreach ([...$pictures->acts, ...$pictures->steps] as $picture) {
                self::assertNotSame([], $picture->shapes);
                foreach ($picture->labels as $label) {
                    self::assertNotSame('', $label->text(Words::in()));
                }
            }
        }
    }

    /** What a picture names is there: a row that is not would be passed over and nobody would see it. */
    #[DataProvider('lessons')]
    public function test_pictures_name_rows_that_are_there(Lesson $lesson): void
    {
        foreach ([...$lesson->demonstration->pictures ?? [], ...$lesson->stepPictures] as $picture) {
            foreach ($picture?->raw()['kind'] === 'row' ? $picture->texts('rows') : [] as $row) {
                self::assertArrayHasKey($row, $lesson->sampler->rows);
            }
        }
        self::assertNotSame([], $lesson->steps);
    }

    /** Pictures of one lesson that are all alike would be a placeholder. */
    #[DataProvider('lessons')]
    public function test_pictures_of_a_lesson_differ(Lesson $lesson): void
    {
        $pictures = LessonPictures::of($lesson);
        $all = array_map(fn (Picture $p): string => md5(serialize($p)), [...$pictures->acts, ...$pictures->steps]);
        self::assertGreaterThanOrEqual(0.5, count(array_unique($all)) / count($all));
    }

    public function test_what_was_written_before_pictures_is_drawn_from_itself(): void
    {
        $files = glob(Fixtures::folder().'/earlier/*.json') ?: [];
        self::assertNotSame([], $files);
        foreach ($files as $file) {
            /** @var array<string, mixed> $json */
            $json = json_decode((string) file_get_contents($file), true, 64, JSON_THROW_ON_ERROR);
            $lesson = BundleReader::lesson(Data::of($json));
            self::assertNotSame([], LessonPictures::missing($lesson), $file);
            self::assertCount(count($lesson->steps), LessonPictures::of($lesson)->steps, $file);
        }
    }

    public function test_a_bundle_whose_pictures_cannot_be_drawn_does_not_come_in(): void
    {
        $json = BundleFiles::read(Fixtures::folder());
        /** @var array{lessons: list<array<string, mixed>>} $json */
        $json['lessons'][4]['step_pictures'][0] = ['kind' => 'tool', 'tool' => 'laser'];
        $bundle = BundleReader::read($json);
        try {
            $bundle->checkWays();
            self::fail('it came in');
        } catch (InputError $e) {
            self::assertStringContainsString('step_pictures[0].tool', $e->field);
        }
        $json['lessons'][4]['step_pictures'] = array_fill(0, 30, ['kind' => 'discs']);
        $this->expectException(InputError::class);
        BundleReader::read($json);
    }

    public function test_a_story_of_one_picture_is_none(): void
    {
        $json = BundleFiles::read(Fixtures::folder());
        /** @var array{lessons: list<array<string, mixed>>} $json */
        $json['lessons'][1]['stories'] = [['id' => 'one', 'title' => 'One', 'steps' => [['say' => 'This.', 'picture' => ['kind' => 'discs']]]]];
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('2 to 12');
        BundleReader::read($json);
    }

    public function test_all_faults_are_drawn(): void
    {
        foreach (Fixtures::bundle()->faults as $id => $fault) {
            self::assertNotNull(FaultPicture::of($fault), $id);
        }
    }

    /** @return iterable<string, array{string}> */
    public static function templates(): iterable
    {
        foreach (PictureTemplates::GROUPS as $group) {
            yield $group => [$group];
        }
    }

    #[DataProvider('templates')]
    public function test_every_template_can_be_drawn(string $group): void
    {
        foreach (['blind-hem', 'safe-seat', 'zigzag-ladder'] as $id) {
            $lesson = Fixtures::bundle()->lessons[$id];
            $templates = PictureTemplates::of($group, $lesson);
            self::assertGreaterThan(2, count($templates));
            foreach ($templates as $template) {
                $picture = (new PictureBook)->draw(Data::of($template), new Shown($lesson->sampler, $lesson->folds));
                self::assertNotSame([], $picture->shapes);
                foreach ($picture->labels as $label) {
                    self::assertNotSame('', $label->text(Words::in()));
                }
            }
        }
    }

    public function test_charts_are_of_this_room(): void
    {
        $machine = fn (string $name, array $also): Machine => Machine::read(Data::of(['name' => $name, 'drive' => 'mechanical', 'also' => $also]));
        $charts = new WallCharts(new Room(['a' => $machine('One', []), 'b' => $machine('Two', []), 'c' => $machine('Three', ['drop-in-bobbin'])], []), Fixtures::bundle()->faults, Words::in());
        $says = implode(' ', array_column($charts->of('threading'), 'say'));
        self::assertStringContainsString('One, Two:', $says, 'machines that are threaded alike share a picture');
        self::assertStringContainsString('Three:', $says);
        self::assertCount(count(Fixtures::bundle()->faults), $charts->of('faults'));
        self::assertSame([], $charts->of('feet'), 'no feet, no chart of them');
        foreach (WallCharts::ALL as $chart) {
            $chart === 'feet' || self::assertGreaterThan(5, count($charts->of($chart)), $chart);
        }
        $this->expectException(InputError::class);
        $charts->of('stars');
    }

    public function test_it_is_shown_on_the_machine_in_the_room(): void
    {
        $lesson = Fixtures::bundle()->lessons['wind-and-thread'];
        self::assertNotEquals(LessonPictures::of($lesson)->acts[2], LessonPictures::of($lesson, new MachineLook('drop-in'))->acts[2]);
        self::assertNotEquals(LessonPictures::of($lesson)->steps[6], LessonPictures::of($lesson, new MachineLook, true)->steps[6]);
    }

    public function test_a_starter_is_of_the_lesson_itself(): void
    {
        foreach (Fixtures::bundle()->lessons as $id => $lesson) {
            $shown = new Shown($lesson->sampler, $lesson->folds);
            $all = PictureStarter::all($lesson);
            foreach ($all as $spec) {
                self::assertNotSame([], (new PictureBook)->draw(Data::of($spec), $shown)->shapes, $id);
            }
            $kinds = array_column($all, 'kind');
            // Who sews cloth is shown it, under the foot it is sewn with.
            $sewn = $lesson->sampler->pieces !== [] && array_filter($lesson->sampler->rows, fn (Row $r): bool => $r->path !== null) !== [];
            self::assertSame($sewn, in_array('row', $kinds, true), $id);
            if ($lesson->sews !== []) {
                self::assertContains($lesson->sews[0]->usualFoot(), array_column($all, 'foot'), $id);
            }
            self::assertEquals($all[1 % count($all)], PictureStarter::of($lesson, 1, 2)->raw(), $id);
        }
    }

    public function test_the_chart_of_feet_has_each_kind_once(): void
    {
        $foot = fn (string $kind, string $name): Foot => Foot::read(Data::of(['kind' => $kind, 'name' => $name]));
        $charts = new WallCharts(new Room([], ['a' => $foot('zip', 'Zip, old'), 'b' => $foot('zip', 'Zip, new'), 'c' => $foot('satin', 'Satin')]), [], Words::in());
        $says = array_column($charts->of('feet'), 'say');
        self::assertCount(2, $says);
        self::assertStringStartsWith('Zip: close to the teeth', $says[0]);
        self::assertStringContainsString('hand wheel first', $says[0], 'its caution stands with it');
        self::assertSame([], $charts->of('faults'));
        self::assertCount(6, $charts->of('threading'), 'without machines as most are threaded');
    }

    public function test_the_ladder_climbs_in_width_and_length(): void
    {
        $charts = new WallCharts(new Room([], []), [], Words::in());
        foreach ($charts->of('zigzag') as $cell) {
            self::assertMatchesRegularExpression('/^\d mm wide, \d\.\d mm long$/', $cell['say']);
            self::assertTrue($cell['picture']->toScale);
            $thread = array_values(array_filter($cell['picture']->shapes, fn (Shape $s): bool => $s->role === 'thread'))[0];
            $y = array_column($thread->points, 1) ?: [0.0];
            self::assertEqualsWithDelta((float) $cell['say'], max($y) - min($y), 1e-9, 'as wide as it says');
        }
    }
}
