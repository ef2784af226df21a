<?php

declare(strict_types=1);

namespace Tests\Static;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Dependencies point one way: the front end to app/, app/ to core/, core/ to nothing; within app/ from places down to models. */
final class ArchitectureTest
{
    /** Each may call acts of those before it: there is no way round in a circle. */
    private const PLACES = ['Account', 'Room', 'Session', 'Front', 'Materials', 'Samplers', 'Studio', 'Class', 'Plan', 'Look', 'Student', 'Today', 'Workshop', 'Finder'];

    /** The core's rooms: each may look into those before it. There is no way round in a circle. */
    private const ROOMS = ['Measure', 'Skill', 'Stitch', 'Fault', 'Machine', 'Buttonhole', 'Advice', 'Sampler', 'Picture', 'Course', 'Scan', 'Curriculum', 'Grading', 'Material', 'NextLesson', 'Bench', 'Compute'];

    public function testTheCoreKnowsNothingOfTheApplication(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('OpenSeam\Core'))
            ->excluding(Selector::inNamespace('OpenSeam\Core\Tests'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Carbon'), Selector::inNamespace('Symfony'))
            ->because('the rules of the job stand on their own');
    }

    /** @return iterable<Rule> */
    public function testRoomsOfTheCoreStandInOneOrder(): iterable
    {
        foreach (self::ROOMS as $i => $room) {
            $later = array_slice(self::ROOMS, $i + 1);
            if ($later !== []) {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace("OpenSeam\\Core\\$room"))
                    ->shouldNotDependOn()
                    ->classes(...array_map(fn (string $r): mixed => Selector::inNamespace("OpenSeam\\Core\\$r"), $later))
                    ->because('lengths and stitches are at the bottom, the command line at the top');
            }
        }
    }

    public function testModelsKnowNeitherPlacesNorRecords(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('App\Places'), Selector::inNamespace('App\Views'), Selector::inNamespace('App\Printing'))
            ->because('state is kept below the acts that change it');
    }

    public function testWhatIsSharedKnowsNoPlace(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Records'), Selector::inNamespace('App\Views'), Selector::inNamespace('App\Printing'), Selector::inNamespace('App\Support'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Places'), Selector::inNamespace('App\Console'))
            ->because('several places stand on it');
    }

    public function testViewsAreNotHttp(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Views'), Selector::inNamespace('App\Records'), Selector::inNamespace('App\Printing'), Selector::classname('/^App\\\\Places\\\\\w+\\\\\w+View$/', true))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'))
            ->because('what is answered does not depend on how it was asked');
    }

    /** @return iterable<Rule> */
    public function testPlacesStandInOneOrder(): iterable
    {
        foreach (self::PLACES as $i => $place) {
            $later = array_slice(self::PLACES, $i + 1);
            if ($later !== []) {
                yield PHPat::rule()
                    ->classes(Selector::inNamespace("App\\Places\\$place"))
                    ->shouldNotDependOn()
                    ->classes(...array_map(fn (string $p): mixed => Selector::inNamespace("App\\Places\\$p"), $later))
                    ->because('no two places need each other');
            }
        }
    }

    /** @return iterable<Rule> */
    public function testAPlaceCallsAnothersActsAndNothingElse(): iterable
    {
        foreach (self::PLACES as $place) {
            yield PHPat::rule()
                ->classes(Selector::inNamespace("App\\Places\\$place"))
                ->shouldNotDependOn()
                ->classes(Selector::classname("/^App\\\\Places\\\\(?!$place\\\\)\\w+\\\\\\w+(Controller|Body|View)$/", true))
                ->because('a door, a form and an answer belong to their own place');
        }
    }
}
