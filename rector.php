<?php

declare(strict_types=1);

use Rector\Config\RectorConfig;
use Rector\DeadCode\Rector\Cast\RecastingRemovalRector;
use Rector\DeadCode\Rector\ClassMethod\RemoveUnusedPrivateMethodParameterRector;
use Rector\DeadCode\Rector\For_\RemoveDeadLoopRector;

// Code that nothing reaches: run by hand with vendor/bin/rector process --dry-run.
return RectorConfig::configure()
    ->withPaths([__DIR__.'/app', __DIR__.'/core/src'])
    ->withCache(__DIR__.'/var/rector')
    ->withPreparedSets(deadCode: true)
    // A key of digits is a number to PHP, whatever was put in; a loop may be all in its head; a callback takes what it is given.
    ->withSkip([RecastingRemovalRector::class, RemoveDeadLoopRector::class, RemoveUnusedPrivateMethodParameterRector::class]);
