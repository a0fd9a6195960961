<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Models\User;
use App\Support\Passwords;
use Hebra\Core\Problem;
use Illuminate\Console\Command;
use Illuminate\Support\Facades\Schema;
use Illuminate\Support\Str;

/** A new password for whoever has forgotten theirs, by whoever runs this machine. */
final class PasswordCommand extends Command
{
    use RefusesOnStandardError;

    protected $signature = 'hebra:password {email? : the address of the maker}';

    protected $description = 'Sets a new password from the command line, and ends every session of that maker';

    public function handle(): int
    {
        if (! rescue(fn (): bool => Schema::hasTable('users'), false, false)) {
            return $this->refused('Nobody has signed up here yet: ./hebra serve opens the workshop.');
        }
        $email = $this->argument('email') ?? User::query()->orderBy('id')->value('email');
        $maker = User::query()->where('email', mb_strtolower(trim((string) $email)))->first();
        if ($maker === null) {
            $known = User::query()->orderBy('id')->limit(20)->pluck('email')->implode(', ')
                ?: 'none, since nobody has signed up';

            return $this->refused("Email “{$email}” is no maker’s address here: give one of {$known}.");
        }
        $password = (string) $this->secret("New password for {$maker->email}");
        try {
            Passwords::check($password, $maker->name, $maker->email);
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        $maker->forceFill(['password' => $password, 'remember_token' => Str::random(60)])->save();
        $this->line("The password of {$maker->email} is changed; every session of theirs has ended.");

        return self::SUCCESS;
    }
}
