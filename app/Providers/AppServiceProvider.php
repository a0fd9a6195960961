<?php

declare(strict_types=1);

namespace App\Providers;

use App\Models\Piece;
use App\Support\SqliteConnection;
use Carbon\CarbonImmutable;
use Illuminate\Cache\RateLimiting\Limit;
use Illuminate\Database\Connection;
use Illuminate\Database\Eloquent\Model;
use Illuminate\Http\Request;
use Illuminate\Support\Facades\Date;
use Illuminate\Support\Facades\RateLimiter;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\ServiceProvider;

final class AppServiceProvider extends ServiceProvider
{
    public function register(): void
    {
        Connection::resolverFor('sqlite', fn (\PDO|\Closure $pdo, string $database, string $prefix, array $config): Connection => new SqliteConnection($pdo, $database, $prefix, $config));
    }

    public function boot(): void
    {
        Model::shouldBeStrict();
        // Explicit, because requests read the piece from the route to decide who may.
        Route::model('piece', Piece::class);
        Date::use(CarbonImmutable::class);
        RateLimiter::for('sign-in', function (Request $request): Limit {
            $email = $request->input('email');

            return Limit::perMinute(6)->by(md5(is_string($email) ? mb_strtolower(trim($email)) : '').'|'.$request->ip());
        });
    }
}
