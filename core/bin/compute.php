<?php

declare(strict_types=1);

use Composer\Autoload\ClassLoader;
use OpenSeam\Core\Compute\CommandLine;
use OpenSeam\Core\Compute\Registry;

// Only what the core needs is loaded: the framework's helper files and class map
// would double the time to start.
$vendor = is_file(__DIR__.'/../vendor/composer/ClassLoader.php') ? __DIR__.'/../vendor' : __DIR__.'/../../vendor';
require $vendor.'/composer/ClassLoader.php';
$loader = new ClassLoader;
$loader->setPsr4('OpenSeam\\Core\\', [__DIR__.'/../src']);
$loader->setPsr4('Opis\\JsonSchema\\', [$vendor.'/opis/json-schema/src']);
$loader->setPsr4('Opis\\String\\', [$vendor.'/opis/string/src']);
$loader->setPsr4('Opis\\Uri\\', [$vendor.'/opis/uri/src']);
$loader->register();

ini_set('serialize_precision', '-1');

exit((new CommandLine(Registry::standard(), STDIN, STDOUT))->run(array_slice($argv, 1)));
