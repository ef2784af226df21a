<?php

declare(strict_types=1);

// How fast the core is: medians and 95th percentiles of many runs, printed as measured.

use OpenSeam\Core\Bench\BenchSolver;
use OpenSeam\Core\Compute\Registry;
use OpenSeam\Core\Course\LessonPictures;
use OpenSeam\Core\Course\Planning\SessionProblem;
use OpenSeam\Core\Course\Planning\SessionSolver;
use OpenSeam\Core\Curriculum\BundleFiles;
use OpenSeam\Core\Curriculum\BundleReader;
use OpenSeam\Core\Data;
use OpenSeam\Core\Machine\Foot;
use OpenSeam\Core\Machine\FootBook;
use OpenSeam\Core\Machine\Machine;
use OpenSeam\Core\Machine\Room;
use OpenSeam\Core\Measure\LeastSquares;
use OpenSeam\Core\NextLesson\Ladder;
use OpenSeam\Core\NextLesson\Option;
use OpenSeam\Core\NextLesson\PastSample;
use OpenSeam\Core\Scan\ScanReader;
use OpenSeam\Core\Scan\SimulatedSample;
use OpenSeam\Core\Skill\Evidence;
use OpenSeam\Core\Skill\School;
use OpenSeam\Core\Stitch\NeedlePoints;
use OpenSeam\Core\Stitch\StitchBook;
use OpenSeam\Core\Stitch\StitchSettings;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\GeneralSolver;
use OpenSeam\Core\Tests\Support\RandomBench;
use OpenSeam\Core\Tests\Support\RandomLessons;
use OpenSeam\Core\Tests\Support\SimulatedClass;
use OpenSeam\Core\Words;

require __DIR__.'/../../vendor/autoload.php';

$measure = function (string $what, int $times, callable $act): void {
    $act();
    $ms = [];
    for ($i = 0; $i < $times; $i++) {
        $start = hrtime(true);
        $act();
        $ms[] = (hrtime(true) - $start) / 1e6;
    }
    sort($ms);
    printf("  %-57s median %8.3f ms, 95 %% %8.3f ms\n", $what, $ms[intdiv($times, 2)], $ms[(int) floor($times * 0.95)]);
};
$registry = Registry::standard();
foreach ($registry->all() as $name => $calculator) {
    $in = (string) json_encode($calculator->example());
    $measure("core: $name", 200, fn () => $registry->run($name, $in));
}
mt_srand(1);
$xs = array_map(fn (): float => mt_rand() / 1e6, range(1, 1000));
$measure('core: line through 1,000 points', 100, fn () => LeastSquares::fit($xs, $xs));

$drawn = Fixtures::bundle()->lessons;
$measure('core: all pictures of one lesson, each of 51', 10, function () use ($drawn, &$slowest): void {
    foreach ($drawn as $lesson) {
        $start = hrtime(true);
        LessonPictures::of($lesson);
        $slowest = max($slowest ?? 0.0, (hrtime(true) - $start) / 1e6);
    }
});
printf("  %-57s %8.3f ms\n", 'core: pictures of the slowest lesson, slowest run', $slowest ?? 0.0);
$satin = StitchSettings::of(StitchBook::standard()->get('satin'), 0.3, 5.0);
$measure('core: 300 mm of satin, 1,001 needle points', 100, fn () => NeedlePoints::along($satin, 300.0));
$stitches = array_fill_keys(StitchBook::standard()->own(), 'A');
$kinds = array_keys(FootBook::standard()->all());
$machines = array_map(fn (int $i): Machine => Machine::read(Data::of(['name' => "Machine $i", 'drive' => 'mechanical', 'widest_swing_mm' => 5 + $i % 3, 'buttonhole' => 'four-step', 'feed_drop' => 'drops', 'stitch_names' => $stitches])), range(1, 30));
$feet = array_map(fn (int $i): Foot => Foot::read(Data::of(['kind' => $kinds[$i % count($kinds)]])), range(0, 39));
$room = new Room($machines, $feet);
$measure('core: room table, 30 machines × 40 feet × '.count($stitches).' stitches', 10, fn () => $room->table());

$seed = 0;
$measure('core: bench plan, 16 students, 12 lessons, proven', 60, function () use (&$seed): void {
    $plan = BenchSolver::solve(RandomBench::of(16, 16, 12, ++$seed));
    $plan->proven || exit("not proven: $seed\n");
});

$scan = (new SimulatedSample(widthMm: 100, heightMm: 150))->draw(1);
$measure('core: a scan of 100 × 150 mm at 300 dpi read by itself', 5, fn () => ScanReader::read($scan));
foreach ([[40, 105.0], [40, 165.0], [80, 105.0]] as [$lessons, $capacity]) {
    $proven = $gap = $at = 0;
    $measure(sprintf('core: plan of %d lessons, sessions of %d min, 50 courses', $lessons, $capacity), 50, function () use ($lessons, $capacity, &$proven, &$gap, &$at): void {
        $plan = SessionSolver::fewest(SessionProblem::of(RandomLessons::course($lessons, $at++ % 50), $capacity));
        $proven += $plan->proven ? 1 : 0;
        $gap = max($gap, $plan->count() - $plan->lowerBound);
    });
    printf("    proven to be the fewest: %d of 51; furthest from the bound: %d sessions\n", $proven, $gap);
}
// Once more with the compiler on, what belongs to no speed is left out: bench.php alone.
$alone = ($argv[1] ?? '') === 'alone';
if (! $alone && GeneralSolver::isThere()) {
    $ratios = [];
    foreach (range(0, 4) as $seed) {
        $tasks = RandomLessons::course(40, $seed);
        $start = hrtime(true);
        $plan = SessionSolver::fewest(SessionProblem::of($tasks, 165.0));
        $own = hrtime(true) - $start;
        $start = hrtime(true);
        GeneralSolver::fewestSessions($tasks, 165.0, $plan->count(), 20);
        $ratios[] = (hrtime(true) - $start) / $own;
    }
    sort($ratios);
    printf("  core: the general solver on five of these (40 lessons, stopped after 20 s) takes %.0f to %.0f times as long\n", $ratios[0], $ratios[4]);
}

$bundle = BundleReader::read(BundleFiles::read(__DIR__.'/../../curriculum/beginner-machine'));
$order = $bundle->courses['first-steps']['lessons'];
$ladder = new Ladder($bundle->skills, Option::all($bundle->lessons), $order, Words::in());
$class = [];
for ($student = 0; $student < 1000; $student++) {
    $class[] = array_map(function (int $i) use ($bundle, $order): PastSample {
        $lesson = $bundle->lesson($order[intdiv($i, 5)]);
        $weights = array_fill_keys($lesson->teaches, [mt_rand(0, 10) / 10, 1.0]);

        return new PastSample($lesson->id, new Evidence("s$i", new DateTimeImmutable('@'.(1_900_000_000 + $i * 3600)), $weights, $bundle->uses($lesson)), []);
    }, range(0, 39));
}
$now = new DateTimeImmutable('@1900200000');
$measure('core: next lesson, 1,000 students × 48 skills × 40 samples', 5, function () use ($class, $ladder, $now): void {
    foreach ($class as $samples) {
        $ladder->advise($samples, $now);
    }
});
printf("  %-57s %8.1f MB\n", 'core: most memory', memory_get_peak_usage() / 1e6);

if ($alone) {
    return;
}
// Simulated learners in the first course: what each school takes and leaves.
$learners = 100;
printf("  %d simulated learners, the first course of %d lessons\n", $learners, count(Fixtures::order()));
foreach (School::cases() as $school) {
    $run = SimulatedClass::followed($school, $learners);
    printf("    %-40s %6.1f samples each, %5.1f %% of the skills known at the end, %d finished\n", $school->value, $run['samples'], 100 * $run['known'], $run['finished']);
}
foreach ([2, 4, 8, 12, 16, 20] as $times) {
    $run = SimulatedClass::inOrder($times, $learners);
    printf("    %-40s %6.1f samples each, %5.1f %%\n", "every lesson $times times", $run['samples'], 100 * $run['known']);
}
