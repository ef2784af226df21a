<?php

declare(strict_types=1);

// Made-up learners in five worlds that are not the model, taught by each rule: what it took, what they have at the
// end, and how far what was said of them was true. php core/bin/bench-learners.php [learners a world, default 200]

use OpenSeam\Core\NextLesson\SimulatedCourse;
use OpenSeam\Core\Tests\Support\Fixtures;
use OpenSeam\Core\Tests\Support\Worlds\Dice;
use OpenSeam\Core\Tests\Support\Worlds\Trial;
use OpenSeam\Core\Tests\Support\Worlds\World;

require __DIR__.'/../../vendor/autoload.php';

$learners = max(1, (int) ($argv[1] ?? 200));
$rules = [
    'the ladder' => fn (SimulatedCourse $c): bool => $c->follow(Trial::ladder()),
    'two good in a row' => function (SimulatedCourse $c): bool {
        $c->untilGoodInARow(2);

        return true;
    },
    'random ready lesson' => function (SimulatedCourse $c, int $i): bool {
        $dice = new Dice($i + 9);
        $c->atRandom(fn (int $below): int => min($below - 1, (int) ($dice->draw() * $below)));

        return true;
    },
];
foreach ([1, 2, 8] as $times) {
    $rules["every lesson {$times}×"] = function (SimulatedCourse $c) use ($times): bool {
        $c->inOrder($times);

        return true;
    };
}
$course = Fixtures::bundle()->courses['stitches-first']['lessons'];
$skills = count(array_unique(array_merge([], ...array_map(fn (string $id): array => Fixtures::bundle()->lesson($id)->teaches, $course))));
printf("%d learners a world, the course of %d lessons; known: share of the %d skills that are there at the end;\nfalse: of those called sure, the share that is not there; Brier: of the next showing, and of the base rate\n", $learners, count($course), $skills);
foreach (World::cases() as $world) {
    printf("\n%s\n  %-20s %7s %8s %8s %7s %7s %7s %7s\n", $world->value, '', 'known', 'samples', 'minutes', 'sure', 'false', 'Brier', 'base');
    $trials = [];
    foreach ($rules as $name => $teach) {
        $trials[] = $t = Trial::of($world, $teach, $learners);
        printf("  %-20s %7.3f %8.1f %8.0f %7.1f %7.3f %7.3f %7.3f\n", $name, $t->known, $t->samples, $t->minutes, $t->sure / $learners, $t->falseSure(), $t->brier(), $t->baseRate());
    }
    [$ladder, $two] = array_slice($trials, 0, 2);
    $f = Trial::forecasts($world, 5 * $learners);
    printf("  ladder against two good in a row: known %+.3f, samples × %.2f, minutes × %.2f; forecasts of 80 %%: %.0f %% of %d came true\n", $ladder->known - $two->known, $ladder->samples / $two->samples, $ladder->minutes / $two->minutes, 100 * $f['share'], $f['count']);
}
