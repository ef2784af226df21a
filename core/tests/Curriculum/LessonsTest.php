<?php

declare(strict_types=1);

namespace OpenSeam\Core\Tests\Curriculum;

use OpenSeam\Core\Course\Drill;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Curriculum\Lessons;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\Tests\Support\Fixtures;
use PHPUnit\Framework\TestCase;

/** Lessons that are made when they are asked for are the lessons that are made at once. */
final class LessonsTest extends TestCase
{
    /** @return array<string, mixed> */
    private static function json(): array
    {
        static $json = null;

        return $json ??= BundleFiles::read(__DIR__.'/../../../curriculum/beginner-machine');
    }

    public function test_one_made_late_is_the_one_made_at_once(): void
    {
        $late = BundleReader::trusted(self::json());
        $now = BundleReader::read(self::json());
        self::assertSame($now->lessons->ids(), $late->lessons->ids());
        self::assertCount(count($now->lessons), $late->lessons);
        foreach (['first-seam', 'buttonhole', 'zip', 'press'] as $id) {
            self::assertNull($late->lessons->made($id), 'nobody asked for it yet');
            self::assertSame($now->lessons[$id]->title, $late->lessons->title($id));
            self::assertNull($late->lessons->made($id), 'its title is not all of it');
            self::assertEquals($now->lessons[$id]->sampler, $late->lessons[$id]->sampler);
            self::assertEquals($now->lessons[$id]->folds, $late->lessons[$id]->folds);
            self::assertSame($late->lessons[$id], $late->lessons->made($id), 'and made once');
        }
        self::assertSame(array_keys($now->lessons->all()), array_keys(iterator_to_array($late->lessons)));
    }

    public function test_what_the_ladder_weighs_is_the_same_of_one_that_is_made_and_one_that_is_not(): void
    {
        $unmade = BundleReader::trusted(self::json());
        $made = BundleReader::read(self::json());
        // Rows of drills are made when they are asked for.
        $whole = function (array $options): array {
            array_walk($options, fn (Option $o) => array_map(fn (Drill $d) => $d->sampler(), $o->drills));

            return $options;
        };
        self::assertEquals($whole(array_map(Option::of(...), $made->lessons->all())), $whole(Option::all($unmade->lessons)));
        self::assertNull($unmade->lessons->made('zip'), 'no lesson was made for it');
        self::assertEquals($whole(Option::all($made->lessons)), $whole(Option::all($unmade->lessons)));
    }

    public function test_in_another_unit_its_words_are_in_that_unit(): void
    {
        self::assertEquals(BundleReader::read(self::json(), Unit::Inch)->lessons['double-hem']->steps, BundleReader::trusted(self::json(), Unit::Inch)->lessons['double-hem']->steps);
        self::assertNotEquals(BundleReader::trusted(self::json())->lessons['double-hem']->steps, BundleReader::trusted(self::json(), Unit::Inch)->lessons['double-hem']->steps);
    }

    public function test_one_in_another_way_stands_in_for_it_alone(): void
    {
        $bundle = BundleReader::trusted(self::json());
        $lesson = array_values(array_filter(Fixtures::bundle()->lessons->all(), fn ($l): bool => $l->others() !== []))[0];
        $other = $lesson->others()[0];
        $taught = $bundle->with([$lesson->id => $other, 'juggling' => $other]);
        self::assertSame($other, $taught->lessons[$lesson->id]);
        self::assertNotEquals(new Way, $taught->lessons[$lesson->id]->way);
        self::assertEquals(new Way, $bundle->lessons[$lesson->id]->way, 'the bundle it came from is as it was');
        self::assertFalse(isset($taught->lessons['juggling']), 'nothing comes in that was not there');
        self::assertSame($bundle->lessons->ids(), $taught->lessons->ids());
        self::assertSame($other->minutes->total(), Option::all($taught->lessons)[$lesson->id]->minutes);
    }

    public function test_what_is_not_sound_is_found_when_it_comes_in(): void
    {
        $json = self::json();
        /** @var list<array<string, mixed>> $lessons */
        $lessons = $json['lessons'];
        $lessons[3]['teaches'] = ['flying'];
        $wrong = ['lessons' => $lessons] + $json;
        // Trusted it is read; nobody trusts what was not checked.
        self::assertSame(['flying'], BundleReader::trusted($wrong)->lessons[(string) $lessons[3]['id']]->teaches);
        $this->expectException(InputError::class);
        $this->expectExceptionMessage('This must be the id of a skill of the bundle.');
        BundleReader::read($wrong);
    }

    public function test_two_of_one_name_are_refused_without_being_made(): void
    {
        $json = self::json();
        /** @var list<array<string, mixed>> $lessons */
        $lessons = $json['lessons'];
        $this->expectExceptionMessage('Two lessons cannot have the same id.');
        BundleReader::trusted(['lessons' => [...$lessons, $lessons[0]]] + $json);
    }

    public function test_they_are_read_and_not_written(): void
    {
        $lessons = Lessons::told(['a' => Data::of(['title' => 'A'])]);
        self::assertSame(['A', null], [$lessons->title('a'), $lessons->title('b')]);
        foreach ([function () use ($lessons): void {
            $lessons['a'] = Fixtures::bundle()->lessons['zip'];
        }, function () use ($lessons): void {
            unset($lessons['a']);
        }] as $act) {
            try {
                $act();
                self::fail('It was written.');
            } catch (InputError $e) {
                self::assertSame(['lessons', 'a'], [$e->field, $e->got]);
            }
        }
    }
}
