<?php

declare(strict_types=1);

namespace App\Providers;

use App\Http\Middleware\Once;
use App\Http\Middleware\SessionOfHere;
use App\Models\Piece;
use App\Models\User;
use App\Support\SqliteConnection;
use App\Support\WholeSessionFiles;
use Carbon\CarbonImmutable;
use Closure;
use Hebra\Core\Course\Settling\Settled;
use Hebra\Core\Quantity\Currency;
use Illuminate\Auth\Events\Login;
use Illuminate\Contracts\Foundation\Application;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Middleware\TrustProxies;
use Illuminate\Support\Facades\Blade;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\Event;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Session;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    /** So long it is remembered how wires lie: two weeks. */
    public const KEPT_SECONDS = 1_209_600;

    public function register(): void
    {
        $this->app->bind(
            Currency::class, fn (): Currency => User::signedInWorkshop()?->currency() ?? Currency::of('EUR'),
        );
        Connection::resolverFor(
            'sqlite',
            fn (
                \PDO|\Closure $pdo,
                string $database,
                string $prefix,
                array $config,
            ): Connection => new SqliteConnection($pdo, $database, $prefix, $config),
        );
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // Explicit, because requests read the piece from the route to decide who may.
        Route::model('piece', Piece::class);
        Date::use(CarbonImmutable::class);
        [$cache, $version] = [Cache::store(), config()->string('hebra.version')];
        Settled::rememberedBy(fn (string $name, Closure $work): array => $cache->remember(
            "settled-{$version}-{$name}", self::KEPT_SECONDS, $work,
        ));
        Session::extend('file', fn (Application $app): WholeSessionFiles => new WholeSessionFiles(
            $app->make('files'), config()->string('session.files'), config()->integer('session.lifetime'),
        ));
        TrustProxies::at((array) config('hebra.proxies'));
        // What is indented in a template is for who reads the template.
        Blade::precompiler(fn (string $template): string => (string) preg_replace('/^[ \t]+/m', '', $template));
        Blade::directive('csrf', fn (): string => '<?php echo csrf_field().\\'.Once::class.'::field(); ?>');
        // A session names the workshop it was begun in by its random id: a number alone means another workshop in
        // another database.
        Event::listen(
            Login::class,
            fn (Login $login) => $login->user instanceof User
                ? session()->put(SessionOfHere::KEY, $login->user->workshop->ulid)
                : null,
        );
    }
}
