<?php

declare(strict_types=1);

namespace Tests\Static;

use PHPat\Selector\Selector;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Dependencies point one way: the front end to app/, app/ to core/, core/ to nothing. */
final class ArchitectureTest
{
    public function testTheCoreKnowsNothingOfTheApplication(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('OpenSeam\Core'))
            ->excluding(Selector::inNamespace('OpenSeam\Core\Tests'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'), Selector::inNamespace('Illuminate'), Selector::inNamespace('Carbon'), Selector::inNamespace('Symfony'))
            ->because('the rules of the job stand on their own');
    }

    public function testModelsDoNotKnowTheWeb(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App\Http'), Selector::inNamespace('App\Actions'))
            ->because('state is kept below the acts that change it');
    }
}
