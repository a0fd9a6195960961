<?php

declare(strict_types=1);

namespace Tests;

use App\Actions\History;
use App\Models\Piece;
use App\Models\User;
use App\Models\Workshop;
use Hebra\Core\Piece\Patterns;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Testing\RefreshDatabase;
use Illuminate\Foundation\Testing\TestCase as BaseTestCase;

abstract class TestCase extends BaseTestCase
{
    use RefreshDatabase;

    protected User $maker;

    protected function setUp(): void
    {
        parent::setUp();
        $this->withoutVite();
        $this->maker = User::factory()->create();
    }

    /** Another maker at the same browser has a session of their own. */
    public function actingAs(Authenticatable $user, $guard = null)
    {
        app('session')->forget('password_hash_'.config('auth.defaults.guard'));

        return parent::actingAs($user, $guard);
    }

    protected function workshop(): Workshop
    {
        return $this->maker->workshop;
    }

    protected function piece(string $pattern = 'link-and-drop', ?Workshop $workshop = null): Piece
    {
        return app(History::class)->begin(
            $workshop ?? $this->workshop(),
            Patterns::start($pattern, 'Test drops'),
            'Began',
        );
    }

    /** @param  array<string, mixed>  $input */
    protected function change(Piece $piece, array $input): \Illuminate\Testing\TestResponse
    {
        return $this->actingAs($this->maker)->post(
            "/pieces/{$piece->ulid}/changes",
            ['revision' => $piece->refresh()->revision, 'stage' => 'lay-out', ...$input],
            ['HX-Request' => 'true'],
        );
    }
}
