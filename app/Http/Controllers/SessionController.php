<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Exceptions\Refused;
use App\Models\User;
use App\Support\Attempts;
use App\Support\Passwords;
use Hebra\Core\Problem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\Hash;

/** Signing in and out. */
final class SessionController extends Controller
{
    public function create(): View|RedirectResponse
    {
        return SignUpController::isOpen() && config('hebra.sign_up') === 'first'
            ? redirect('/sign-up')
            : view('account.sign-in');
    }

    public function store(Request $request): RedirectResponse|Response
    {
        try {
            ['email' => $email, 'password' => $password] = $this->texts($request, 'email', 'password');
            $maker = User::query()->where('email', mb_strtolower(trim($email)))->first();
            if (
                ! Attempts::allow($request, 'email', $maker, fn (): bool => Passwords::isRight($maker, $password))
                || $maker === null
            ) {
                // The same sentence whether the address is known or not.
                throw Refused::invalid(
                    'email',
                    'That address and password do not belong together: check both and try again.',
                );
            }
        } catch (Problem $problem) {
            return $this->again(view('account.sign-in'), $problem);
        }
        if (Hash::needsRehash($maker->password)) {
            $maker->forceFill(['password' => $password])->save();
        }
        self::begin($request, $maker, $request->boolean('remember'));

        return redirect()->intended('/');
    }

    public function demo(Request $request): RedirectResponse
    {
        config('hebra.demo') || abort(404);
        self::begin($request, User::query()->whereRelation('workshop', 'is_demo', true)->firstOrFail());

        return redirect('/');
    }

    public function destroy(Request $request): RedirectResponse
    {
        self::end($request);

        return redirect('/sign-in');
    }

    public static function begin(Request $request, User $maker, bool $isRemembered = false): void
    {
        Auth::login($maker, $isRemembered);
        $request->session()->regenerate();
    }

    public static function end(Request $request): void
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();
    }
}
