<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Fields;
use App\Exceptions\Refused;
use App\Models\Invitation;
use App\Support\Attempts;
use App\Support\Passwords;
use App\View\AccountDesk;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Wire\SizeSystem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;

/** The maker's units and habits, the password, who else works here, and leaving. */
final class AccountController extends Controller
{
    private const LIGHT_MINUTES = 60 * 24 * 365;

    public function show(Request $request): View
    {
        return view('account.show', ['desk' => new AccountDesk($this->maker($request)), 'problem' => null]);
    }

    /** By day or in the evening, on this device; as the device has it where neither is said. */
    public function light(Request $request): RedirectResponse
    {
        $light = $this->text($request, 'light');

        return redirect('/account')->withCookie(
            in_array($light, ['day', 'evening'], true)
                ? cookie('light', $light, self::LIGHT_MINUTES)
                : cookie()->forget('light'),
        );
    }

    public function units(Request $request): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $input = $this->texts(
                $request, 'name', 'ruler', 'sizes', 'clearance', 'keep', 'low', 'shortcuts', 'has_scale', 'has_camera',
            );
            $unit = $workshop->profile()->unit();
            $micrometres = fn (string $field, float $least, float $most): int => (int) round(
                Length::parse($input[$field], $field, $unit)->within($field, $least, $most)->millimetres() * 1000,
            );
            $workshop->update([
                ...Fields::all([
                    'name' => fn (): string => self::workshopName(trim($input['name'])),
                    'ruler' => fn (): string => OneOf::read(Ruler::class, $input['ruler'], 'ruler')->value,
                    'sizes' => fn (): string => OneOf::read(SizeSystem::class, $input['sizes'], 'sizes')->value,
                    'clearance_um' => fn (): int => $micrometres('clearance', 0, 1),
                    'low_um' => fn (): int => trim($input['low']) === ''
                        ? $workshop->low_um
                        : $micrometres('low', 0, 100_000),
                    'keep_um' => fn (): int => $micrometres('keep', 5, 2000),
                ]),
                'shortcuts' => $input['shortcuts'] === '1', 'has_scale' => $input['has_scale'] === '1',
                'has_camera' => $input['has_camera'] === '1',
            ]);
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }

        return redirect('/account', 303)->with('said', 'Saved: every page shows it from now on.');
    }

    private static function workshopName(string $name): string
    {
        return $name !== '' && mb_strlen($name) <= 80 ? $name : throw Refused::invalid(
            'name', 'The workshop’s name has '.mb_strlen($name).' characters: give 1 to 80.',
        );
    }

    public function password(Request $request): RedirectResponse|Response
    {
        $maker = $this->maker($request);
        try {
            $input = $this->texts($request, 'current', 'password');
            $this->confirm($request, 'current', $input['current']);
            Passwords::check($input['password'], $maker->name, $maker->email);
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }
        $maker->forceFill(['password' => $input['password'], 'remember_token' => Str::random(60)])->save();
        SessionController::begin($request, $maker);

        return redirect('/account', 303)->with('said', 'The password is changed. Everywhere else you are signed out.');
    }

    /** A link that lets one more maker in; it is shown once. */
    public function invite(Request $request): RedirectResponse
    {
        return redirect('/account', 303)->with('invitation', url('/join/'.Invitation::into($this->workshop($request))));
    }

    /**
     * Alone, it takes the workshop and everything in it: this is the only way lines leave the metal book. With others,
     * only the maker goes.
     */
    public function destroy(Request $request): RedirectResponse|Response
    {
        $maker = $this->maker($request);
        try {
            $this->confirm($request, 'confirm', $this->text($request, 'confirm'));
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }
        SessionController::end($request);
        DB::transaction(
            fn () => $maker->workshop->makers()->count() > 1 ? $maker->delete() : $maker->workshop->delete(),
        );

        return redirect('/sign-in');
    }

    /** @throws Refused if it is not the maker's password, or was tried too often */
    private function confirm(Request $request, string $field, string $password): void
    {
        $maker = $this->maker($request);
        Attempts::allow($request, $field, $maker, fn (): bool => Passwords::isRight($maker, $password))
            || throw Refused::invalid($field, 'That is not your password: give the one you sign in with now.');
    }
}
