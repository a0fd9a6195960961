<?php

declare(strict_types=1);

namespace App\Actions;

use App\Models\Making;
use Illuminate\Support\Str;

/**
 * What an entry is in the book of metal or of supplies: of which kind, by which name, of which making, and which other
 * it takes back.
 *
 * @phpstan-type Kind 'received'|'made'|'used'|'corrected'|'reversed'|'left'|'back'|'melted'|'refined'
 */
final readonly class Entry
{
    /** @param  Kind  $kind */
    private function __construct(
        public string $kind, public string $name, public ?Making $making = null, public ?string $reverses = null,
    ) {
    }

    /** @param  Kind  $kind */
    public static function of(string $kind, ?Making $making = null): self
    {
        return new self($kind, (string) Str::ulid(), $making);
    }

    /** In both books what one making takes has one name. */
    public function called(string $name): self
    {
        return new self($this->kind, $name, $this->making, $this->reverses);
    }

    /** Taking another back, by its name. */
    public function reversing(string $name): self
    {
        return new self($this->kind, $this->name, $this->making, $name);
    }
}
