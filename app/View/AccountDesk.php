<?php

declare(strict_types=1);

namespace App\View;

use App\Actions\WorkshopFile;
use App\Models\User;
use App\Models\Workshop;
use App\Support\Copies;
use Carbon\CarbonImmutable;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\SizeSystem;
use Illuminate\Support\Collection;

/** The maker's account: the workshop, who works in it, and how its data is kept. */
final readonly class AccountDesk
{
    /** Every second of the common wires is drawn, to this one. */
    private const LAST_WIRE = 14;

    private const TINS = 6;

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

    /** @return list<array{float, string}> wires as this workshop labels them: how thick, mm, and their names */
    public function wires(): array
    {
        $common = $this->profile->sizes->common();

        return array_map(
            fn (int $at): array => [$common[$at]->diameterMm(), $common[$at]->text()],
            range(2, min(self::LAST_WIRE, count($common) - 1), 2),
        );
    }

    /** @return list<array{day: CarbonImmutable, isToday: bool}> the copies that are drawn, the latest first */
    public function copies(): array
    {
        return array_map(
            fn (CarbonImmutable $day): array => ['day' => $day, 'isToday' => $day->isToday()],
            array_slice(Copies::days(), 0, self::TINS),
        );
    }

    /** Where a phone in this network finds it; null where it is not open to the network. */
    public function lan(): ?string
    {
        $address = config('hebra.lan');

        return is_string($address) && $address !== '' ? $address : null;
    }

    /** When all this was copied last; null before the first. */
    public function lastCopy(): ?CarbonImmutable
    {
        return Copies::last();
    }
}
