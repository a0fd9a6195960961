<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\WorkshopFile;
use App\Models\User;
use App\Models\Workshop;
use App\Support\Copies;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\SizeSystem;
use Illuminate\Support\Collection;

/** The maker's account: the workshop, who works in it, and how its data is kept. */
final readonly class AccountDesk
{
    public Workshop $workshop;

    public Profile $profile;

    /** @var Collection<int, User> the others who work here */
    public Collection $partners;

    /** whether nothing is in the workshop yet */
    public bool $isEmpty;

    public function __construct(public User $maker)
    {
        $this->workshop = $maker->workshop;
        $this->profile = $this->workshop->profile();
        /** @var Collection<int, User> $partners */
        $partners = $this->workshop->makers()->whereKeyNot($maker->id)->orderBy('name')->get();
        $this->partners = $partners;
        $this->isEmpty = app(WorkshopFile::class)->isEmpty($this->workshop);
    }

    /** @return array<string, string> in words, by their names */
    public function sizeSystems(): array
    {
        $systems = [];
        foreach (SizeSystem::cases() as $system) {
            $systems[$system->value] = $system->words();
        }

        return $systems;
    }

    /** Where a phone in this network finds it; null where it is not open to the network. */
    public function lan(): ?string
    {
        $address = config('hebra.lan');

        return is_string($address) && $address !== '' ? $address : null;
    }

    /** When all this was copied last. */
    public function kept(): string
    {
        $last = Copies::last();

        return $last === null
            ? 'No copy has been made yet: one a day is made by itself while Hebra is served.'
            : 'Last copy '.$last->format('j F Y, H:i').'; one a day is made by itself.';
    }
}
