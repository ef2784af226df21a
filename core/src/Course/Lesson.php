<?php

declare(strict_types=1);

namespace OpenSeam\Core\Course;

use OpenSeam\Core\Data;
use OpenSeam\Core\InputError;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\OwnStitch;
use OpenSeam\Core\Picture\FoldStory;
use OpenSeam\Core\Picture\Story;
use OpenSeam\Core\Sampler\Row;
use OpenSeam\Core\Sampler\Sampler;

/** A lesson with its sampler. Content: it comes from a course bundle, never from code. */
final readonly class Lesson
{
    /**
     * @param  list<string>  $teaches  skill ids
     * @param  list<string>  $cautions
     * @param  list<string>  $points  teaching points
     * @param  list<string>  $steps
     * @param  list<Setting>  $settings  what to set, in words
     * @param  list<string>  $faults  fault ids usual here
     * @param  list<array{what: string, count: int}>  $extras  small things for one sample: zips, buttons
     * @param  list<SewNeed>  $sews  what must be sewn, and under which feet
     * @param  list<Drill>  $drills
     * @param  list<array{mistake: string, looks: string}>  $mistakes  common ones, with what they look like
     */
    public function __construct(
        public string $id,
        public string $title,
        public int $version,
        public string $why,
        public array $teaches,
        public LessonMinutes $minutes,
        public bool $machine,
        public string $foot,
        public array $settings,
        public array $cautions,
        public array $points,
        public array $steps,
        public Sampler $sampler,
        public array $faults,
        public array $extras,
        public array $sews,
        public array $drills,
        public ?Demonstration $demonstration = null,
        public array $mistakes = [],
        /** @var list<FoldStory> how something of it is folded and sewn */
        public array $folds = [],
        /** @var list<Story> something of it, picture after picture */
        public array $stories = [],
        /** @var list<Data|null> a picture of each step (PictureBook); null where none was chosen */
        public array $stepPictures = [],
        /** How it is sewn here. */
        public Way $way = new Way,
        private ?Ways $ways = null,
    ) {}

    /**
     * The lesson in another way: fit, dials, drawings, minutes, checks and cautions are those of that way.
     *
     * @throws InputError for a school it does not name, two of one setting, or stitches it has no rows for
     */
    public function in(Way $way): self
    {
        $usual = $this->ways?->of(new Way) ?? $this;
        $way = new Way($usual->chosen($way->schools), $way->stitches);
        $way->stitches === [] || $this->each() !== '' || throw InputError::at('stitches', count($way->stitches), "“{$this->title}” is not made from the machine’s own stitches.");

        return $way->isUsual() ? $usual : ($this->ways?->of($way) ?? $usual);
    }

    /** One of its drills; null where it has none of that id. */
    public function drill(?string $id): ?Drill
    {
        foreach ($this->drills as $drill) {
            if ($drill->id === $id) {
                return $drill;
            }
        }

        return null;
    }

    /**
     * In the same way, with its sampler made from the machine's own stitches where the lesson asks for that and the machine has them.
     *
     * @throws InputError never for a lesson that was checked
     */
    public function on(Machine $machine): self
    {
        $own = $this->each() === '' ? [] : OwnStitch::of($machine, $this->each());

        return $own === [] ? $this : $this->in(new Way($this->way->schools, $own));
    }

    /** Hours at the machine that so many samples of it take; 0 where it is not sewn at one. */
    public function hoursOfSewing(int $samples): float
    {
        return $this->machine ? $samples * $this->minutes->sew / 60 : 0.0;
    }

    /** The schools that are followed where they are not the usual ones, by name with commas between; empty for none. */
    public function schoolsFollowed(): string
    {
        $named = [];
        foreach ($this->settings as $setting) {
            foreach ($setting->schools as $school) {
                in_array($school->id, $this->way->schools, true) && $named[] = $school->school;
            }
        }

        return implode(', ', $named);
    }

    /** Which of a machine's own stitches its sampler is made from (OwnStitch); empty for none. */
    public function each(): string
    {
        return $this->ways->each ?? '';
    }

    /**
     * The other ways that teach as much and ask something else of machines and feet: one setting's school changed at a time.
     *
     * @return list<self>
     */
    public function others(): array
    {
        $others = [];
        foreach ($this->settings as $setting) {
            $all = array_map(fn (SettingSchool $s): string => $s->id, $setting->schools);
            if (array_filter($setting->schools, fn (SettingSchool $s): bool => $s->sewsOtherwise) === []) {
                continue;
            }
            $kept = array_values(array_diff($this->way->schools, $all));
            foreach ($all as $school) {
                $school === $setting->inUse()?->id || $others[] = $this->in(new Way([...$kept, $school], $this->way->stitches));
            }
        }

        return array_values(array_filter($others, fn (self $other): bool => array_diff($this->teaches, $other->teaches) === []));
    }

    /**
     * Those of the schools that are not what it is taught by anyway, in the order of its settings.
     *
     * @param  list<string>  $schools
     * @return list<string>
     *
     * @throws InputError
     */
    private function chosen(array $schools): array
    {
        $chosen = $known = [];
        foreach ($this->settings as $setting) {
            $of = [];
            foreach ($setting->schools as $school) {
                $known[] = $school->id;
                in_array($school->id, $schools, true) && $of[] = $school->id;
            }
            count($of) < 2 || throw InputError::at('schools', $of, "Only one school of “{$setting->name}” can be followed at a time.");
            $of === [] || $of[0] === $setting->inUse()?->id || $chosen[] = $of[0];
        }
        foreach (array_diff($schools, $known) as $school) {
            throw InputError::at('schools', $school, "“{$this->title}” has no such school".($known === [] ? '.' : '. Its schools: '.implode(', ', $known).'.'));
        }

        return $chosen;
    }

    /** @return list<Row> rows on which a fault is usual; none named means all */
    public function rowsWith(string $fault): array
    {
        $named = array_values(array_filter($this->sampler->rows, fn (Row $r): bool => $r->faults === null || in_array($fault, $r->faults, true)));

        return count($named) === count($this->sampler->rows) ? [] : $named;
    }
}
