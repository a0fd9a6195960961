<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Wire\Wire;

/** What a document has to know of a way of making a part: its name, its wires, its settings, its beads. */
interface Kind
{
    /** `wrapped-link`: its name in documents. */
    public function name(): string;

    /** `link`: its name in a sentence. */
    public function label(): string;

    /** The same of one part, where its settings say more: `charm`. */
    public function labelOf(Part $part): string;

    /** The wire it is made of, by role: `ear`, `link`, `pin`. */
    public function role(): string;

    public function usualWire(): Wire;

    /** The wire that a part is usually made of, where its settings ask for one. */
    public function usualWireOf(Part $part): Wire;

    /** @return array<string, Wire> the other wires it takes as it stands, by role, as they usually are */
    public function extraWires(Part $part): array;

    public function family(): Family;

    /** @return list<Parameter> */
    public function parameters(): array;

    /** Whether a setting matters as the part now stands; a bought pin has no foot to turn. */
    public function shows(string $key, Part $part): bool;

    /** The part with what follows from a setting that was just changed. */
    public function following(Part $part, string $key): Part;

    public function takesBeads(): bool;

    /** About how many strokes it is drawn with: what a page and its maker have to bear. */
    public function heft(Part $part): int;

    /** How many beads a new one begins with; 0 where most are made without. */
    public function usualBeads(): int;

    /** Which bead those are. */
    public function usualBead(): Bead;

    /** @return list<Drilling> */
    public function drillings(): array;

    /** Whether its line ends with it: it hangs, and nothing can hang in its foot. */
    public function endsLine(): bool;

    /** Whether it comes ready-made: then it is neither cut nor formed, and no wire is chosen for it. */
    public function isBought(Part $part): bool;

    /** Which of its settings follows from what the piece is to fit; null where none does. */
    public function sizing(Piece $piece, Part $part): ?Sizing;
}
