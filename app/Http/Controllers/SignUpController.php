<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Actions\Fields;
use App\Exceptions\Refused;
use App\Models\Invitation;
use App\Models\User;
use App\Models\Workshop;
use App\Support\Passwords;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Unreadable;
use Illuminate\Contracts\View\View;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Facades\DB;

/** A maker sets up a workshop, or comes into one by an invitation. */
final class SignUpController extends Controller
{
    private const LONGEST_NAME = 80;

    public static function isOpen(): bool
    {
        return ! config('hebra.demo') && (config('hebra.sign_up') === 'open' || ! User::query()->exists());
    }

    public function create(): View|RedirectResponse
    {
        return self::isOpen() ? view('account.sign-up', ['token' => null]) : redirect('/sign-in');
    }

    public function store(Request $request): RedirectResponse|Response
    {
        self::isOpen() || abort(404);
        try {
            $input = $this->read($request, 'workshop');
            $maker = DB::transaction(function () use ($input): User {
                // Asked again by the one that writes: of two at the same moment the first is in.
                self::isOpen() || abort(404);

                return self::register(Workshop::query()->create(['name' => $input['workshop']]), $input);
            });
        } catch (Problem $problem) {
            return $this->again(view('account.sign-up', ['token' => null]), $problem);
        }
        SessionController::begin($request, $maker);

        return redirect('/');
    }

    public function invited(string $token): View
    {
        return view('account.sign-up', ['token' => $token, 'workshop' => Invitation::standing($token)->workshop]);
    }

    public function join(Request $request, string $token): RedirectResponse|Response
    {
        $invitation = Invitation::standing($token);
        try {
            $input = $this->read($request);
            $maker = DB::transaction(function () use ($input, $token): User {
                $invitation = Invitation::standing($token);
                $invitation->delete();

                return self::register($invitation->workshop, $input);
            });
        } catch (Problem $problem) {
            return $this->again(
                view('account.sign-up', ['token' => $token, 'workshop' => $invitation->workshop]),
                $problem,
            );
        }
        SessionController::begin($request, $maker);

        return redirect('/');
    }

    /** @return array<string, string> */
    private function read(Request $request, string ...$names): array
    {
        $input = array_map(
            trim(...),
            $this->texts($request, 'name', 'email', ...$names),
        ) + $this->texts($request, 'password');
        $input['email'] = mb_strtolower($input['email']);
        $reads = [
            'email' => fn () => self::checkEmail($input['email']),
            'password' => fn () => Passwords::check(
                $input['password'], $input['name'], $input['email'], strstr($input['email'], '@', true) ?: '',
            ),
        ];
        foreach (['name', ...$names] as $field) {
            $reads[$field] = fn () => self::checkName($field, $input[$field]);
        }
        Fields::all($reads);

        return $input;
    }

    private static function checkName(string $field, string $name): void
    {
        $name !== '' || throw Unreadable::empty($field, 'a name of up to '.self::LONGEST_NAME.' characters');
        mb_strlen($name) <= self::LONGEST_NAME
            || throw Unreadable::tooLong($field, mb_strlen($name), self::LONGEST_NAME);
    }

    private static function checkEmail(string $email): void
    {
        filter_var($email, FILTER_VALIDATE_EMAIL) !== false && strlen($email) <= 200
            || throw Refused::invalid('email', 'That is not an e-mail address: write it such as ada@workshop.example.');
    }

    /** @param  array<string, string>  $input */
    private static function register(Workshop $workshop, array $input): User
    {
        ! User::query()->where('email', $input['email'])->exists()
            || throw Refused::invalid('email', 'This address cannot be used: sign in, or give another one.');

        return User::query()->create(
            [
                'workshop_id' => $workshop->id, 'name' => $input['name'], 'email' => $input['email'],
                'password' => $input['password'],
            ],
        );
    }
}
