<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\WorkshopFile;
use App\Exceptions\Refused;
use App\Models\User;
use App\Models\Workshop;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\SizeSystem;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Auth;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Hash;

/** Signing up, in and out; the maker's units; the password; leaving with all data. */
final class AccountController extends Controller
{
    private const LEAST_PASSWORD = 10;

    public static function signUpIsOpen(): bool
    {
        return ! config('hebra.demo') && (config('hebra.sign_up') === 'open' || ! User::query()->exists());
    }

    public function signIn(): View|RedirectResponse
    {
        return self::signUpIsOpen() && config('hebra.sign_up') === 'first' ? redirect('/sign-up') : view('account.sign-in');
    }

    public function enter(Request $request): RedirectResponse|Response
    {
        try {
            ['email' => $email, 'password' => $password] = $this->texts($request, 'email', 'password');
            if (! Auth::attempt(['email' => mb_strtolower(trim($email)), 'password' => $password], $request->boolean('remember'))) {
                // The same sentence whether the address is known or not.
                throw Refused::invalid('email', 'That address and password do not belong together: check both and try again.');
            }
        } catch (Problem $problem) {
            return $this->again(view('account.sign-in'), $problem);
        }
        $request->session()->regenerate();

        return redirect()->intended('/');
    }

    public function enterDemo(Request $request): RedirectResponse
    {
        config('hebra.demo') || abort(404);
        Auth::login(User::query()->whereRelation('workshop', 'is_demo', true)->firstOrFail());
        $request->session()->regenerate();

        return redirect('/');
    }

    public function signUp(): View|RedirectResponse
    {
        return self::signUpIsOpen() ? view('account.sign-up') : redirect('/sign-in');
    }

    public function register(Request $request): RedirectResponse|Response
    {
        self::signUpIsOpen() || abort(404);
        try {
            $input = $this->texts($request, 'workshop', 'name', 'email', 'password');
            $email = mb_strtolower(trim($input['email']));
            foreach (['workshop', 'name'] as $field) {
                trim($input[$field]) !== '' || throw Unreadable::empty($field, 'a name of up to 80 characters');
                mb_strlen($input[$field]) <= 80 || throw Unreadable::tooLong($field, mb_strlen($input[$field]), 80);
            }
            filter_var($email, FILTER_VALIDATE_EMAIL) !== false && strlen($email) <= 200 || throw Refused::invalid('email', 'That is not an e-mail address: write it such as ada@workshop.example.');
            $this->checkPassword($input['password']);
            ! User::query()->where('email', $email)->exists() || throw Refused::invalid('email', 'This address cannot be used: sign in, or give another one.');
            $user = DB::transaction(function () use ($input, $email): User {
                $workshop = Workshop::query()->create(['name' => trim($input['workshop'])]);

                return User::query()->create(['workshop_id' => $workshop->id, 'name' => trim($input['name']), 'email' => $email, 'password' => $input['password']]);
            });
        } catch (Problem $problem) {
            return $this->again(view('account.sign-up'), $problem);
        }
        Auth::login($user);
        $request->session()->regenerate();

        return redirect('/');
    }

    public function signOut(Request $request): RedirectResponse
    {
        Auth::logout();
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }

    public function show(Request $request): View
    {
        return view('account.show', ['maker' => $this->maker($request), 'workshop' => $this->workshop($request), 'profile' => $this->workshop($request)->profile(), 'problem' => null]);
    }

    /** The whole workshop as one file. */
    public function export(Request $request, WorkshopFile $file): Response
    {
        return response($file->write($this->workshop($request)), 200, ['Content-Type' => 'application/json', 'Content-Disposition' => 'attachment; filename="workshop.hebra.json"']);
    }

    public function import(Request $request, WorkshopFile $files): RedirectResponse|Response
    {
        try {
            $file = $request->file('file');
            $file instanceof UploadedFile || throw Refused::invalid('file', 'No file came: choose a workshop that Hebra exported (.json).');
            $file->isValid() && $file->getSize() <= WorkshopFile::MOST_BYTES || throw Refused::invalid('file', 'The file is larger than 100 MB or did not arrive whole.');
            $files->read($this->workshop($request), $file->getContent());
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }

        return redirect('/', 303)->with('said', 'The workshop is as it was when it was exported.');
    }

    public function units(Request $request): RedirectResponse|Response
    {
        $workshop = $this->workshop($request);
        try {
            $input = $this->texts($request, 'name', 'ruler', 'sizes', 'clearance', 'keep', 'low', 'shortcuts');
            $unit = $workshop->profile()->unit();
            trim($input['name']) !== '' && mb_strlen($input['name']) <= 80 || throw Refused::invalid('name', 'The workshop’s name has '.mb_strlen(trim($input['name'])).' characters: give 1 to 80.');
            $ruler = Ruler::tryFrom($input['ruler']) ?? throw Unreadable::choice('ruler', $input['ruler'], array_column(Ruler::cases(), 'value'));
            $sizes = SizeSystem::tryFrom($input['sizes']) ?? throw Unreadable::choice('sizes', $input['sizes'], array_column(SizeSystem::cases(), 'value'));
            $workshop->update([
                'name' => trim($input['name']), 'ruler' => $ruler->value, 'sizes' => $sizes->value,
                'clearance_um' => (int) round(Length::parse($input['clearance'], 'clearance', $unit)->within('clearance', 0, 1)->millimetres() * 1000),
                'low_um' => trim($input['low']) === '' ? $workshop->low_um : (int) round(Length::parse($input['low'], 'low', $unit)->within('low', 0, 100_000)->millimetres() * 1000),
                'keep_um' => (int) round(Length::parse($input['keep'], 'keep', $unit)->within('keep', 5, 2000)->millimetres() * 1000),
                'shortcuts' => $input['shortcuts'] === '1',
            ]);
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }

        return redirect('/account', 303)->with('said', 'Saved: every page shows it from now on.');
    }

    public function password(Request $request): RedirectResponse|Response
    {
        try {
            $input = $this->texts($request, 'current', 'password');
            Hash::check($input['current'], $this->maker($request)->password) || throw Refused::invalid('current', 'That is not your password: give the one you sign in with now.');
            $this->checkPassword($input['password']);
            $this->maker($request)->update(['password' => $input['password']]);
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }
        Auth::login($this->maker($request));
        $request->session()->regenerate();

        return redirect('/account', 303)->with('said', 'The password is changed.');
    }

    /** Takes the workshop and everything in it: this is the only way lines leave the metal book. */
    public function destroy(Request $request): RedirectResponse|Response
    {
        try {
            Hash::check($this->text($request, 'confirm'), $this->maker($request)->password) || throw Refused::invalid('confirm', 'That is not your password: give it to delete everything.');
        } catch (Problem $problem) {
            return $this->again($this->show($request), $problem);
        }
        $workshop = $this->workshop($request);
        Auth::logout();
        DB::transaction(fn () => $workshop->delete());
        $request->session()->invalidate();
        $request->session()->regenerateToken();

        return redirect('/sign-in');
    }

    private function checkPassword(string $password): void
    {
        $length = mb_strlen($password);
        $length >= self::LEAST_PASSWORD && strlen($password) <= 72 || throw Refused::invalid('password', "The password has {$length} characters: give ".self::LEAST_PASSWORD.' to 72.');
    }
}
