<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\BeadRun;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\Kinds;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\School\Schools;

/** A new part, complete from the first moment: it comes with a 6 mm round bead of its own. */
final readonly class AddPart implements Change
{
    /**
     * @param  int|null  $at place in the line of parts; null: where such a part belongs, or, where it is told what it
     *     hangs in, last
     */
    public function __construct(
        public string $technique, public ?int $at = null, public Schools $schools = new Schools,
        public ?EyeRef $on = null,
    ) {
    }

    public function apply(Piece $piece): Piece
    {
        $part = Kinds::newPart($this->technique, $piece->nextPartId(), $this->schools);
        $more = [];
        if ($part->technique()->takesBeads() && $part->technique()->usualBeads() > 0) {
            [$key, $more] = AddBead::keyFor($piece, $part->technique()->usualBead());
            $part = $part->withBeads([new BeadRun($key, $part->technique()->usualBeads())]);
        }
        $wires = isset($piece->wires[$part->wire])
            ? $piece
            : $piece->withWire($part->wire, $part->technique()->usualWireOf($part));
        $parts = $wires->parts;
        $at = $this->place($piece);
        // Between two of a group it joins them.
        if ($at > 0 && isset($parts[$at]) && $parts[$at]->group === $parts[$at - 1]->group) {
            $part = $part->inGroup($parts[$at]->group);
        }
        array_splice($parts, $at, 0, [Beside::hung($parts, $at, $part)]);

        $with = $wires->withParts(Settled::parts($parts), $more);

        $sized = $with->withPart(Sized::part($with, $with->part($part->id)));

        return $this->on === null ? $sized : (new HangPart($part->id, $this->on))->apply($sized);
    }

    private function place(Piece $piece): int
    {
        if ($this->at !== null) {
            return max(0, min(count($piece->parts), $this->at));
        }
        if ($this->on !== null) {
            return count($piece->parts);
        }
        $last = $piece->parts === [] ? null : $piece->parts[count($piece->parts) - 1];

        return match (true) {
            $this->technique === 'ear-wire' => 0,
            $last instanceof Part && $last->technique === 'head-pin' => count($piece->parts) - 1,
            default => count($piece->parts),
        };
    }

    public function words(Piece $before): string
    {
        return 'Added a '.Kinds::named($this->technique)->label();
    }
}
