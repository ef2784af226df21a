<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Role;
use App\Models\Sample;
use App\Models\SamplePhoto;
use App\Models\User;
use App\Policies\SamplePhotoPolicy;
use App\Policies\SamplePolicy;
use App\Records\Shelf;
use App\Records\Standings;
use App\Support\CurrentStudio;
use App\Support\Database\PatientConnection;
use App\Support\Database\ReadyConnector;
use App\Support\MailboxTransport;
use App\Support\Metrics\Counts;
use App\Support\NearMemory;
use App\Support\QuietSessions;
use App\Support\Reader;
use App\Support\SignedIn;
use Carbon\CarbonImmutable;
use Closure;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Events\QueryExecuted;
use Illuminate\Foundation\Application;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Log;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;
use PDO;

final class AppServiceProvider extends ServiceProvider
{
    private const SLOW_QUERY_MS = 500.0;

    public function register(): void
    {
        $this->app->singleton(CurrentStudio::class);
        $this->app->singleton(Reader::class);
        $this->app->singleton(Shelf::class);
        $this->app->singleton(Standings::class);
        $this->app->singleton(NearMemory::class, fn (): NearMemory => NearMemory::standard());
        self::keepConnections();
        $this->app->bind('db.connector.mariadb', ReadyConnector::class);
        Connection::resolverFor('mariadb', fn (Closure|PDO $pdo, string $database, string $prefix, array $config): PatientConnection => new PatientConnection($pdo, $database, $prefix, $config));
    }

    /**
     * A worker keeps its connection for the next request: making one takes as long as two or three questions. What a
     * request left open is rolled back at its end, and a connection that ended meanwhile is made anew. Commands have one of their own.
     */
    private static function keepConnections(): void
    {
        if (PHP_SAPI === 'fpm-fcgi') {
            foreach (['options', 'read.options'] as $of) {
                $options = config("database.connections.mariadb.$of");
                is_array($options) && config(["database.connections.mariadb.$of" => [PDO::ATTR_PERSISTENT => true] + $options]);
            }
        }
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        JsonResource::withoutWrapping();
        Model::preventSilentlyDiscardingAttributes();
        Model::preventAccessingMissingAttributes();
        Model::preventLazyLoading(! $this->app->environment('production'));
        Mail::extend('mailbox', fn (array $config): MailboxTransport => new MailboxTransport(is_string($config['folder'] ?? null) ? $config['folder'] : storage_path()));
        Auth::provider('signed-in', fn (Application $app): SignedIn => new SignedIn($app->make('hash'), User::class));
        Session::extend('quiet-database', fn (Application $app): QuietSessions => new QuietSessions(DB::connection(), config()->string('session.table'), config()->integer('session.lifetime'), $app));
        Route::bind('person', fn (string $id): User => User::query()->where('studio_id', Auth::user()->studio_id ?? '')->findOrFail($id));
        Gate::define('own', fn (User $user): bool => $user->role === Role::Owner);
        Gate::define('teach', fn (User $user): bool => $user->role->teaches());
        Gate::policy(Sample::class, SamplePolicy::class);
        Gate::policy(SamplePhoto::class, SamplePhotoPolicy::class);
        TrustProxies::at(array_filter(config()->array('seam.proxies'), is_string(...)));
        Event::listen(['eloquent.saving: *', 'eloquent.deleting: *'], function (string $event, array $models): void {
            foreach ($models as $model) {
                $model instanceof Model && PatientConnection::noteBefore($model);
            }
        });
        // The statement alone: what was put into it may be a student's.
        DB::listen(function (QueryExecuted $query): void {
            if ($query->time >= self::SLOW_QUERY_MS) {
                Counts::add('open_seam_slow_queries');
                Log::warning('slow query', ['ms' => (int) round($query->time), 'sql' => $query->sql]);
            }
        });
        RateLimiter::for('own-page', fn (Request $request): Limit => Limit::perMinute(60)->by('own-page|'.$request->ip()));
        RateLimiter::for('own-picture', fn (Request $request): array => [Limit::perMinute(12)->by('own-picture|'.$request->path()), Limit::perMinute(60)->by('own-picture|'.$request->ip())]);
        RateLimiter::for('calculate', fn (Request $request): Limit => Limit::perMinute(300)->by('calculate|'.$request->user()?->getAuthIdentifier()));
        // Links and addresses are not guessed by the thousand.
        RateLimiter::for('door', fn (Request $request): Limit => Limit::perMinute(20)->by('door|'.$request->ip()));
    }
}
