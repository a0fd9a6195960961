<?php

declare(strict_types=1);

namespace App\View;

use App\Models\User;
use App\Models\Workshop;
use Hebra\Core\Plan\Profile;
use Illuminate\Support\Collection;

/** The maker's account: the workshop, who works in it, and how its data is kept. */
final readonly class AccountDesk
{
    public Workshop $workshop;

    public Profile $profile;

    /** @var Collection<int, User> the others who work here */
    public Collection $partners;

    public function __construct(public User $maker)
    {
        $this->workshop = $maker->workshop;
        $this->profile = $this->workshop->profile();
        /** @var Collection<int, User> $partners */
        $partners = $this->workshop->makers()->whereKeyNot($maker->id)->orderBy('name')->get();
        $this->partners = $partners;
    }
}
