<?php

declare(strict_types=1);

namespace App\Providers;

use App\Support\CurrentStudio;
use App\Support\Shelf;
use App\Support\Standings;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Foundation\Events\DiagnosingHealth;
use Illuminate\Http\Request;
use Illuminate\Http\Resources\Json\JsonResource;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        $this->app->singleton(CurrentStudio::class);
        $this->app->singleton(Shelf::class);
        $this->app->singleton(Standings::class);
    }

    public function boot(): void
    {
        Date::use(CarbonImmutable::class);
        JsonResource::withoutWrapping();
        Model::preventSilentlyDiscardingAttributes();
        Model::preventLazyLoading(! $this->app->environment('production'));
        // What a balancer asks at /up: without its database the application is not there.
        Event::listen(DiagnosingHealth::class, fn () => DB::select('SELECT 1'));
        RateLimiter::for('own-page', fn (Request $request): Limit => Limit::perMinute(60)->by('own-page|'.$request->ip()));
        RateLimiter::for('calculate', fn (Request $request): Limit => Limit::perMinute(300)->by('calculate|'.(string) $request->user()?->getAuthIdentifier()));
        RateLimiter::for('open-studio', fn (Request $request): Limit => Limit::perMinute(6)->by('open-studio|'.$request->ip()));
    }
}
