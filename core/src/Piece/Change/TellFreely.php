<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Kinds;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;

/** A part as a free wire, told by its course from now on: in its place, of its wire, with its beads. */
final readonly class TellFreely implements Change
{
    private const FREE = 'free-wire';

    /** @param  bool|null  $isTurned  whether its eyes stand across its plane; null for as it usually is */
    public function __construct(public PartId $part, public string $course, public ?bool $isTurned = null)
    {
    }

    public function apply(Piece $piece): Piece
    {
        $part = $piece->part($this->part);
        $free = Kinds::newPart(self::FREE, $part->id);

        $free = $this->isTurned === null ? $free : $free->withSetting('turned', $this->isTurned);

        return (new SetSetting($part->id, 'course', $this->course))->apply($piece->withPart($part->becoming($free)));
    }

    public function words(Piece $before): string
    {
        return 'Told the '.$before->part($this->part)->label().' as free wire';
    }
}
