<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Group;
use Hebra\Core\Piece\InvalidPiece;
use Hebra\Core\Piece\Piece;

/** How often a group repeats, and whether it is mirrored. */
final readonly class SetGroup implements Change
{
    public function __construct(
        public string $group, public ?int $count, public int $by = 0, public ?bool $isMirrored = null,
    ) {
    }

    public function apply(Piece $piece): Piece
    {
        $group = $piece->groups[$this->group] ?? throw InvalidPiece::noSuchGroup($this->group);

        return $piece->withGroup(
            $this->group,
            Group::of(($this->count ?? $group->repeat) + $this->by, $this->isMirrored ?? $group->isMirrored),
        );
    }

    public function words(Piece $before): string
    {
        return 'Group changed';
    }
}
