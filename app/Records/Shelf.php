<?php

declare(strict_types=1);

namespace App\Records;

use App\Models\Sample;
use App\Models\SewingClass;
use App\Support\BundleSchema;
use App\Support\CurrentStudio;
use Illuminate\Support\Facades\Log;
use OpenSeam\Core\Course\Lesson;
use OpenSeam\Core\Course\Way;
use OpenSeam\Core\Curriculum\Bundle;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleMerge;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Curriculum\PlainText;
use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Measure\Unit;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\Sampler\Threads;
use OpenSeam\Core\Skill\SkillGraphBroken;

/**
 * The lessons in use: the course's own, read from JSON once and served from a
 * compiled file afterwards, and over them what the studio in hand has changed.
 *
 * @phpstan-type Json array<string, mixed>
 */
final class Shelf
{
    /** @var array{edition: string, json: Json, bundle: Bundle|null}|null of the edition asked for last */
    private ?array $read = null;

    /** @var array<string, Lesson|null> earlier versions, by edition, lesson and version */
    private array $earlier = [];

    /** @var array{of: Bundle, schools: array<string, list<string>>, bundle: Bundle, options: array<string, Option>|null}|null as the class asked for last is taught them */
    private ?array $taught = null;

    /** That lengths in the words of its lessons are said in. */
    private Unit $unit = Unit::Millimetre;

    public function __construct(private readonly CurrentStudio $studio) {}

    public function unit(): Unit
    {
        return $this->unit;
    }

    /** From now on lengths in the words of its lessons are said in this unit. */
    public function in(Unit $unit): self
    {
        if ($unit !== $this->unit) {
            [$this->unit, $this->read, $this->earlier] = [$unit, null, []];
        }

        return $this;
    }

    public function bundle(): Bundle
    {
        $read = $this->read();

        return $read['bundle'] ?? $this->readBundle($read);
    }

    /** The lessons as a class is taught them: by the schools it follows. */
    public function taught(SewingClass $class): Bundle
    {
        $bundle = $this->bundle();
        $wanted = $class->lesson_schools ?? [];
        if ($this->taught === null || $this->taught['of'] !== $bundle || $this->taught['schools'] !== $wanted) {
            $chosen = [];
            foreach ($wanted as $id => $schools) {
                isset($bundle->lessons[$id]) && $chosen[$id] = self::inWay($bundle->lessons[$id], new Way($schools));
            }
            $taught = $bundle->with($chosen);
            $this->taught = ['of' => $bundle, 'schools' => $wanted, 'bundle' => $taught, 'options' => null];
        }

        return $this->taught['bundle'];
    }

    /** The same by the id of a class; of none the lessons as they are. */
    public function asTaught(string $class): Bundle
    {
        return $class === '' ? $this->bundle() : $this->taught(SewingClass::query()->findOrFail($class));
    }

    /** The lesson in a way it was chosen or sewn in once; the usual one where the lesson knows that way no more. */
    public static function inWay(Lesson $lesson, Way $way): Lesson
    {
        try {
            return $lesson->in($way);
        } catch (InputError) {
            return $lesson;
        }
    }

    /** Skills and faults without the lessons: what a draft stands on, and soon read. */
    public function ground(): Bundle
    {
        return BundleReader::read(['lessons' => [], 'courses' => []] + $this->read()['json'], $this->unit);
    }

    /** @return Json as described by docs/formats/course-bundle.schema.json */
    public function json(): array
    {
        return $this->read()['json'];
    }

    /** @return Json|null a lesson as in a bundle */
    public function text(string $lesson): ?array
    {
        foreach (self::lessons($this->json()) as $found) {
            if (($found['id'] ?? null) === $lesson) {
                return $found;
            }
        }

        return null;
    }

    /** The same with lessons called by their titles, as a teacher knows them. */
    public function inTitles(InputError $e): InputError
    {
        return InputError::at($e->field, $e->got, (string) preg_replace_callback('/“([a-z0-9-]+)”/', fn (array $m): string => '“'.($this->bundle()->lessons->title($m[1]) ?? $m[1]).'”', $e->getMessage()));
    }

    /** @return array<string, string> titles of the courses by id; nothing else is read */
    public function courses(): array
    {
        $titles = [];
        foreach (Data::of($this->json())->saidIn($this->unit)->parts('courses') as $part) {
            $titles[$part->text('id')] = $part->text('title');
        }

        return $titles;
    }

    /** @return list<string> lesson ids of a course in order */
    public function order(string $course): array
    {
        return $this->bundle()->courses[$course]['lessons'] ?? [];
    }

    /** @return array<string, Option> */
    public function options(SewingClass $class): array
    {
        $lessons = $this->taught($class)->lessons;
        if ($this->taught !== null) {
            return $this->taught['options'] ??= Option::all($lessons);
        }

        return Option::all($lessons);
    }

    /**
     * A lesson as it was at a version: samples are judged by what was sewn. Of a
     * version that is not known any more, today's stands in.
     */
    public function lessonAt(string $id, int $version): ?Lesson
    {
        $today = $this->bundle()->lessons[$id] ?? null;

        return $today?->version === $version ? $today : $this->earlier($id, $version) ?? $today;
    }

    /** The lesson of a kept sample can be read; it is not read for that. */
    public function knows(Sample $sample): bool
    {
        return isset($this->bundle()->lessons[$sample->lesson]) || $this->sewn($sample) !== null;
    }

    /** Changes with all that its lessons are read from and with this version of the program; null where that is not compiled. */
    public function stamp(): ?string
    {
        $compiled = self::compiled();

        return is_file($compiled) ? filemtime($compiled).'-'.filesize($compiled).'-'.$this->studio->edition() : null;
    }

    /** The lesson of a kept sample, at its version and in its way. */
    public function sewn(Sample $sample): ?Lesson
    {
        $lesson = $this->lessonAt($sample->lesson, $sample->lesson_version);

        return $lesson === null || $sample->way === null ? $lesson : self::inWay($lesson, Way::read(Data::of($sample->way)));
    }

    /** A lesson at a version that is not today's; null when it was never kept. */
    public function earlier(string $id, int $version): ?Lesson
    {
        $key = "{$this->read()['edition']}/$id/$version";
        if (! array_key_exists($key, $this->earlier)) {
            $json = $this->earlierText($id, $version);
            $this->earlier[$key] = $json === null ? null : BundleReader::lesson(Data::of($json)->saidIn($this->unit), Threads::read(Data::of($this->json()), new Threads));
        }

        return $this->earlier[$key];
    }

    /** @return Json|null */
    public function earlierText(string $id, int $version): ?array
    {
        $edition = $this->studio->edition();
        $found = $edition === null ? null : (new StudioShelf((string) $this->studio->id(), $edition))->earlier($id, $version);
        foreach ($found === null ? self::lessons(self::shipped()) : [] as $lesson) {
            if (($lesson['id'] ?? null) === $id && ($lesson['version'] ?? null) === $version) {
                return $lesson;
            }
        }

        return $found ?? BundleFiles::earlier(self::folder(), $id, $version);
    }

    /** @return Json the course's own shelf */
    public static function shipped(): array
    {
        /** @var Json $json */
        $json = is_file(self::compiled()) ? require self::compiled() : BundleFiles::read(self::folder());

        return $json;
    }

    /**
     * Checks the bundle against its published schema and compiles it.
     *
     * @throws InputError when it does not fit
     */
    public static function compile(): void
    {
        $json = BundleFiles::read(self::folder());
        PlainText::check($json);
        BundleSchema::check(json_decode((string) json_encode($json), false, 64, JSON_THROW_ON_ERROR));
        BundleReader::read($json)->checkWays();
        $file = self::compiled();
        file_put_contents("$file.new", '<?php return '.var_export($json, true).';');
        rename("$file.new", $file);
        // What was sound over the course before may not be over this one.
        array_map(unlink(...), glob(dirname($file).'/sound/*') ?: []);
    }

    public static function folder(): string
    {
        return base_path('curriculum/beginner-machine');
    }

    /** @return array{edition: string, json: Json, bundle: Bundle|null} */
    private function read(): array
    {
        $edition = $this->studio->edition();
        if ($this->read === null || $this->read['edition'] !== (string) $edition) {
            $shipped = self::shipped();
            $json = $edition === null ? $shipped : BundleMerge::lay($shipped, (new StudioShelf((string) $this->studio->id(), $edition))->over());
            $this->read = ['edition' => (string) $edition, 'json' => $json, 'bundle' => null];
        }

        return $this->read;
    }

    /** @param  array{edition: string, json: Json, bundle: Bundle|null}  $read */
    private function readBundle(array $read): Bundle
    {
        $sound = self::soundness($read['edition']);
        try {
            // What was read whole once is not checked again: a lesson is made when somebody asks for it.
            $bundle = $sound !== null && is_file($sound) ? BundleReader::trusted($read['json'], $this->unit) : BundleReader::read($read['json'], $this->unit);
            $sound === null || is_file($sound) || self::note($sound);
        } catch (InputError|SkillGraphBroken $e) {
            // Kept under an older program and no longer sound with this one's course: its own shelf still is.
            Log::error("Shelf edition {$read['edition']} does not fit: ".$e->getMessage());
            $read['edition'] === '' && throw $e;
            $read['json'] = self::shipped();
            $bundle = BundleReader::read($read['json'], $this->unit);
        }
        $this->read = ['bundle' => $bundle] + $read;

        return $bundle;
    }

    /**
     * @param  Json  $json
     * @return list<Json>
     */
    private static function lessons(array $json): array
    {
        /** @var list<Json> $lessons */
        $lessons = is_array($json['lessons'] ?? null) ? $json['lessons'] : [];

        return $lessons;
    }

    /** @return string|null a file that stands there when this edition was read whole over the compiled course; null: nothing is compiled */
    private static function soundness(string $edition): ?string
    {
        $compiled = self::compiled();

        return is_file($compiled) ? dirname($compiled).'/sound/'.filemtime($compiled).'-'.($edition === '' ? 'shipped' : preg_replace('/[^a-z0-9-]/i', '', $edition)) : null;
    }

    /** Another request may do it at the same moment; without a place to write it is checked each time. */
    private static function note(string $sound): void
    {
        (is_dir(dirname($sound)) || @mkdir(dirname($sound), 0700, true)) && @touch($sound);
    }

    private static function compiled(): string
    {
        return dirname(storage_path()).'/cache/curriculum.php';
    }
}
