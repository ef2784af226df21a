<?php

declare(strict_types=1);

// Read once when PHP is started, so that no request has to put classes together from their files: the program, its
// core, and what of the framework an ordinary request needs. Anything else is loaded when it is asked for.

$root = dirname(__DIR__);
$wanted = '/^(App\\\\(?!Console\\\\)|OpenSeam\\\\Core\\\\(?!Compute\\\\|Tests\\\\|Scan\\\\)|Carbon\\\\(Carbon|Traits|FactoryImmutable|Factory|WrapperClock)|Illuminate\\\\(Auth|Bus|Cache|Config|Container|Contracts|Cookie|Database|Encryption|Events|Foundation|Hashing|Http|Log|Pagination|Pipeline|Redis|Routing|Session|Support|Translation|Validation|View)\\\\|Symfony\\\\Component\\\\(ErrorHandler|EventDispatcher|Finder|HttpFoundation|HttpKernel|Mime|Routing)\\\\|Psr\\\\|Brick\\\\Math\\\\)/';
// What stands on packages that are not here, or is never asked for by a browser.
$never = '/\\\\(Console|Testing|Tests?|Factories|DataCollector|Profiler|CacheWarmer|Debug)\\\\|DynamoDb|Memcached|Sqs|Postgres|Postmark|Sendgrid|Pusher|Ably|SqlServer|SQLite|Doctrine|Octane|Vapor/';
/** @var array<string, string> $map */
$map = require $root.'/vendor/composer/autoload_classmap.php';
// Compiled, not run. One that stands on something that is not here is left for whoever asks for it, without a word.
error_reporting(0);
foreach ($map as $class => $file) {
    if (preg_match($wanted, $class) === 1 && preg_match($never, $class) === 0) {
        opcache_compile_file($file);
    }
}
