<?php

declare(strict_types=1);

use App\Http\Middleware\Headers;
use App\Http\Middleware\InStudio;
use App\Http\Middleware\Measured;
use App\Http\Middleware\PlainQuery;
use App\Http\Middleware\ReadableBody;
use App\Http\Middleware\TwoAtOnce;
use App\Http\Problems;
use App\Support\KnownHosts;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Configuration\Exceptions;
use Illuminate\Foundation\Configuration\Middleware;
use Illuminate\Http\Middleware\HandleCors;
use Illuminate\Routing\Middleware\SubstituteBindings;

// Everything the application writes lies under one folder, so that the code can be read-only.
$var = rtrim((string) (getenv('SEAM_VAR') ?: dirname(__DIR__).'/var'), '/');
foreach (['config', 'routes', 'events', 'packages', 'services'] as $cache) {
    $_ENV['APP_'.strtoupper($cache).'_CACHE'] = "$var/cache/$cache.php";
    if (! is_dir("$var/cache")) {
        @mkdir("$var/cache", 0755, true);
    }
}

return Application::configure(basePath: dirname(__DIR__))
    ->withRouting(web: __DIR__.'/../routes/web.php', commands: __DIR__.'/../routes/console.php')
    ->withMiddleware(function (Middleware $middleware): void {
        // One origin: no cross-origin requests to handle.
        $middleware->remove(HandleCors::class);
        $middleware->trustHosts(at: KnownHosts::patterns(...), subdomains: false);
        $middleware->append(Headers::class);
        $middleware->prepend(ReadableBody::class);
        $middleware->prepend(PlainQuery::class);
        $middleware->prepend(Measured::class);
        $middleware->alias(['in-studio' => InStudio::class, 'two-at-once' => TwoAtOnce::class]);
        // What an address names is looked up within the studio of whoever asks.
        $middleware->prependToPriorityList(SubstituteBindings::class, InStudio::class);
        $middleware->redirectGuestsTo('/sign-in');
    })
    ->withExceptions(fn (Exceptions $exceptions) => Problems::register($exceptions))
    ->create()
    ->useEnvironmentPath($var)
    ->useStoragePath("$var/storage");
