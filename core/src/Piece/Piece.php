<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * A design as a document: parts from the ear down, their wires by role, the beads they use.
 *
 * Invariants, checked whenever one is made: the name has 1 to 80 characters; part ids are unique; every part's wire
 * and beads are in the piece; a part without a place for beads has none; a part hangs on one that stands before it, and
 * closes in one that is there; a group
 * stands together; unfolded there are at most 2,000 parts and at
 * most 2,000 beads. Beads that no part uses are dropped.
 */
final readonly class Piece
{
    /** The role of the wire that beads of coil are wound of. */
    public const COIL_BEAD = 'coil-bead';

    public const MOST_PARTS = 2000;

    public const MOST_BEADS = 2000;

    /** Strokes: a page of more cannot be looked at. */
    public const MOST_HEFT = 20_000;

    /**
     * @param  array<string, Wire>  $wires  role => wire
     * @param  array<string, Bead>  $beads  key => bead
     * @param  list<Part>  $parts
     * @param  array<string, Group>  $groups  by the name that parts give
     */
    private function __construct(
        public string $name,
        public string $note,
        public Makes $makes,
        public array $wires,
        public array $beads,
        public array $parts,
        public Fit $fit,
        public array $groups,
    ) {
    }

    /**
     * @param  array<string, Wire>  $wires
     * @param  array<string, Bead>  $beads
     * @param  list<Part>  $parts
     * @param  array<string, Group>  $groups
     *
     * @throws InvalidPiece|OutOfRange|Unreadable if an invariant does not hold
     */
    public static function of(
        string $name, string $note, Makes $makes, array $wires, array $beads, array $parts, ?Fit $fit = null,
        array $groups = [],
    ): self {
        self::checkTexts($name, $note);
        $used = [];
        $ids = [];
        foreach ($parts as $index => $part) {
            $at = "parts.{$index}";
            if (isset($ids[$part->id->text])) {
                throw InvalidPiece::twice($at.'.id', $part->id->text);
            }
            $ids[$part->id->text] = true;
            isset($wires[$part->wire]) || throw InvalidPiece::noSuchWire($at.'.wire', $part->wire);
            if ($part->beads !== [] && ! $part->technique()->takesBeads()) {
                throw InvalidPiece::takesNoBeads($part->label());
            }
            if ($part->on !== null && ! self::isEyeOfOther($part->on, $part, $ids)) {
                throw InvalidPiece::hangsOnNothing($at.'.on', $part->on->text());
            }
            foreach ($part->technique()->extraWires($part) as $role => $usual) {
                $wires[$role] ??= $usual->withMetal($wires[$part->wire]->metal);
            }
            foreach ($part->beads as $run) {
                isset($beads[$run->bead]) || throw InvalidPiece::noSuchBead($at.'.beads', $run->bead);
                $used[$run->bead] = true;
                if ($beads[$run->bead]->shape->isWound()) {
                    $wires[self::COIL_BEAD] ??= new Wire(
                        $wires[$part->wire]->metal, WireSize::awg(22), Temper::DeadSoft,
                    );
                }
            }
        }
        foreach ($parts as $index => $part) {
            // What is made more than once may close in the first of itself.
            $isRound = $part->to?->eye === 'top'
                && $part->to->part === $part->id
                && ($part->repeat > 1 || $part->group !== '');
            if ($part->to !== null && ! $isRound && ! self::isEyeOfOther($part->to, $part, $ids)) {
                throw InvalidPiece::closesInNothing("parts.{$index}.to", $part->to->text());
            }
        }
        $groups = self::groupsInUse($parts, $groups);
        self::checkCounts($parts, $groups);
        $wires = self::withoutLeftOver($wires, $parts);

        return new self(
            $name,
            $note,
            $makes,
            $wires,
            array_intersect_key($beads, $used),
            $parts,
            $fit ?? Fit::usual(),
            $groups,
        );
    }

    /**
     * A wire of a part's own goes with it; that of a kind stays, for when one of its kind comes again.
     *
     * @param  array<string, Wire>  $wires
     * @param  list<Part>  $parts
     * @return array<string, Wire>
     */
    private static function withoutLeftOver(array $wires, array $parts): array
    {
        $used = array_column($parts, 'wire');

        return array_filter(
            $wires,
            fn (string $role): bool => preg_match('/^p\d+$/', $role) !== 1 || in_array($role, $used, true),
            ARRAY_FILTER_USE_KEY,
        );
    }

    private static function checkTexts(string $name, string $note): void
    {
        if (trim($name) === '') {
            throw Unreadable::empty('name', 'a name of up to 80 characters');
        }
        if (mb_strlen($name) > 80) {
            throw Unreadable::tooLong('name', mb_strlen($name), 80);
        }
        if (mb_strlen($note) > 2000) {
            throw Unreadable::tooLong('note', mb_strlen($note), 2000);
        }
    }

    /**
     * Groups stand together: a group that another part stands amid, or that nothing is in, is none.
     *
     * @param  list<Part>  $parts
     * @param  array<string, Group>  $groups
     * @return array<string, Group>
     */
    private static function groupsInUse(array $parts, array $groups): array
    {
        $used = [];
        $last = '';
        foreach ($parts as $index => $part) {
            if ($part->group !== '' && $part->group !== $last) {
                ! isset($used[$part->group]) || throw InvalidPiece::groupApart("parts.{$index}.group", $part->group);
                $used[$part->group] = $groups[$part->group] ?? Group::of(1);
            }
            $last = $part->group;
        }

        return $used;
    }

    /**
     * @param  list<Part>  $parts
     * @param  array<string, Group>  $groups
     */
    private static function checkCounts(array $parts, array $groups): void
    {
        $unfolded = $beads = $heft = 0;
        foreach ($parts as $part) {
            $times = $part->repeat * ($part->group === '' ? 1 : $groups[$part->group]->times());
            $unfolded += $times;
            $beads += $times * $part->beadCount();
            $heft += $times * $part->technique()->heft($part);
        }
        if ($unfolded > self::MOST_PARTS) {
            throw OutOfRange::tooMany('parts', $unfolded, self::MOST_PARTS, 'parts');
        }
        if ($beads > self::MOST_BEADS) {
            throw OutOfRange::tooMany('beads', $beads, self::MOST_BEADS, 'beads');
        }
        if ($heft > self::MOST_HEFT) {
            throw OutOfRange::because(
                'parts',
                'of this piece',
                'come to some '.number_format($heft).' strokes to draw',
                'fewer links or repeats, or several pieces, to at most '.number_format(self::MOST_HEFT),
            );
        }
    }

    /** @throws InvalidPiece if there is none */
    public function part(PartId $id): Part
    {
        return $this->parts[$this->indexOf($id)];
    }

    /** @throws InvalidPiece if there is none */
    public function indexOf(PartId $id): int
    {
        foreach ($this->parts as $index => $part) {
            if ($part->id === $id) {
                return $index;
            }
        }
        throw InvalidPiece::noSuchPart($id);
    }

    public function nextPartId(): PartId
    {
        return PartId::of($this->nextKey('p', array_map(fn (Part $part): string => $part->id->text, $this->parts)));
    }

    public function nextGroup(): string
    {
        return $this->nextKey('g', array_map(strval(...), array_keys($this->groups)));
    }

    public function nextBeadKey(): string
    {
        return $this->nextKey('b', array_map(strval(...), array_keys($this->beads)));
    }

    /** @param  list<string>  $taken */
    private function nextKey(string $letter, array $taken): string
    {
        $most = 0;
        foreach ($taken as $key) {
            if (preg_match('/^'.$letter.'(\d{1,9})$/', $key, $match) === 1) {
                $most = max($most, (int) $match[1]);
            }
        }

        return $letter.($most + 1);
    }

    /** The key under which the piece already has this bead, or null. */
    public function keyOfBead(Bead $bead): ?string
    {
        foreach ($this->beads as $key => $known) {
            if ($known->key() === $bead->key() && $known->name === $bead->name) {
                return (string) $key;
            }
        }

        return null;
    }

    public function withName(string $name): self
    {
        return self::of(
            $name, $this->note, $this->makes, $this->wires, $this->beads, $this->parts, $this->fit, $this->groups,
        );
    }

    public function withNote(string $note): self
    {
        return self::of(
            $this->name, $note, $this->makes, $this->wires, $this->beads, $this->parts, $this->fit, $this->groups,
        );
    }

    public function withMakes(Makes $makes): self
    {
        return self::of(
            $this->name, $this->note, $makes, $this->wires, $this->beads, $this->parts, $this->fit, $this->groups,
        );
    }

    public function withFit(Fit $fit): self
    {
        return self::of(
            $this->name, $this->note, $this->makes, $this->wires, $this->beads, $this->parts, $fit, $this->groups,
        );
    }

    public function withWire(string $role, Wire $wire): self
    {
        return self::of(
            $this->name,
            $this->note,
            $this->makes,
            [...$this->wires, $role => $wire],
            $this->beads,
            $this->parts,
            $this->fit,
            $this->groups,
        );
    }

    /** A part and the wire it names, together. */
    public function withPartOf(Part $part, Wire $wire): self
    {
        $parts = $this->parts;
        $parts[$this->indexOf($part->id)] = $part;

        return self::of(
            $this->name,
            $this->note,
            $this->makes,
            [...$this->wires, $part->wire => $wire],
            $this->beads,
            array_values($parts),
            $this->fit,
            $this->groups,
        );
    }

    public function withGroup(string $name, Group $group): self
    {
        return self::of(
            $this->name,
            $this->note,
            $this->makes,
            $this->wires,
            $this->beads,
            $this->parts,
            $this->fit,
            [...$this->groups, $name => $group],
        );
    }

    /** How often a part is made in one piece: its own repeat, times that of its group. */
    public function times(Part $part): int
    {
        return $part->repeat * ($part->group === '' ? 1 : $this->groups[$part->group]->times());
    }

    public function withBead(string $key, Bead $bead): self
    {
        return self::of(
            $this->name,
            $this->note,
            $this->makes,
            $this->wires,
            [...$this->beads, $key => $bead],
            $this->parts,
            $this->fit,
            $this->groups,
        );
    }

    /**
     * @param  list<Part>  $parts
     * @param  array<string, Bead>  $more  beads that the parts newly use
     */
    public function withParts(array $parts, array $more = []): self
    {
        return self::of(
            $this->name, $this->note, $this->makes, $this->wires, [...$this->beads, ...$more], $parts, $this->fit,
            $this->groups,
        );
    }

    /** @param  array<string, Bead>  $more */
    public function withPart(Part $part, array $more = []): self
    {
        $parts = $this->parts;
        $parts[$this->indexOf($part->id)] = $part;

        return $this->withParts(array_values($parts), $more);
    }

    /**
     * The roles in use, in the order of the parts.
     *
     * @return list<string>
     */
    public function roles(): array
    {
        return $this->rolesOf($this->parts);
    }

    /**
     * The roles for which a wire is chosen: not those of what is only bought.
     *
     * @return list<string>
     */
    public function rolesToChoose(): array
    {
        return $this->rolesOf(
            array_filter($this->parts, fn (Part $part): bool => ! $part->technique()->isBought($part)),
        );
    }

    /** A wire in words: that of a kind, or that of one part. */
    public function wireWords(string $role): string
    {
        foreach ($this->parts as $part) {
            if ($part->wire === $role && $part->isOfOwnWire()) {
                return 'the wire of the '.$part->label();
            }
        }

        return "the {$role} wire";
    }

    /** How thick the wire of a part is. */
    public function wireMm(Part $part): float
    {
        return $this->wires[$part->wire]->diameterMm();
    }

    /**
     * How thick the beads of a part lie on the finger or the wrist, through the middle: of a bead with holes side by
     * side
     * its share of the width [memory].
     */
    public function thickestMm(Part $part): float
    {
        $thick = array_map(function (BeadRun $run): float {
            $bead = $this->beads[$run->bead];

            return $bead->widthMm / max(1, $bead->drilling->holes());
        }, $part->beads);

        return max([0.0, ...$thick]);
    }

    /** @param  array<string, true>  $ids  of the parts there are */
    private static function isEyeOfOther(EyeRef $eye, Part $part, array $ids): bool
    {
        return isset($ids[$eye->part->text]) && $eye->part !== $part->id && $eye->isWhole();
    }

    /**
     * @param  array<Part>  $parts
     * @return list<string>
     */
    private function rolesOf(array $parts): array
    {
        $roles = [];
        foreach ($parts as $part) {
            $roles[] = $part->wire;
            array_push($roles, ...array_keys($part->technique()->extraWires($part)));
            foreach ($part->beads as $run) {
                array_push($roles, ...($this->beads[$run->bead]->shape->isWound() ? [self::COIL_BEAD] : []));
            }
        }

        return array_values(array_unique($roles));
    }
}
