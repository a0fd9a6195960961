<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Course\Course;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Piece\Kind;
use Hebra\Core\Plate\Plate;

/** One way of making a part. All techniques have this shape; nothing elsewhere asks which one it has before it. */
interface Technique extends Kind
{
    /** How well its wire must hold, and how stiff it may be to work. */
    public function wants(): Wants;

    /**
     * What goes through each bead of a run, by its place on the part: the roles of the wires, one for each pass; none
     * where it is not the wire as it comes.
     *
     * @return list<string>
     */
    public function through(PartPlan $part, int $run): array;

    /**
     * The eyes it offers, in the order they are made: `top` is the one it hangs by, `bottom` the one the next part
     * hangs in, others have names of their own.
     *
     * @return array<string, Eye>
     */
    public function eyes(PartPlan $part, string $instance): array;

    /**
     * The order of work along its wire: names of eyes, `thread`, and other work by name. What cannot pass a finished
     * end comes before it.
     *
     * @return list<string>
     */
    public function along(PartPlan $part): array;

    /** @return list<Cut> each wire of the part once, the main one first; none where it is bought */
    public function cuts(PartPlan $part): array;

    /** @return list<ReadyMade> what it takes as it is bought */
    public function readyMade(PartPlan $part): array;

    /** Whether its flat face stands across its upper eye; in one plane with it: false; null where it is not flat. */
    public function facesAcross(PartPlan $part): ?bool;

    /** Whether it is strung on beading wire: done when all that is wire is made. */
    public function isStrung(): bool;

    /** How flat its wire is hammered; null where it stays as it is. */
    public function hammered(PartPlan $part): ?Hammered;

    /** What it closes a chain with, where it is a clasp. */
    public function clasp(PartPlan $part): ?Clasp;

    /** What tells one from another in the line of parts, beads apart: `120 links`. */
    public function inShort(PartPlan $part): string;

    /** @return list<Check> */
    public function checks(PartPlan $part): array;

    /**
     * @return list<Course> each of its wires, the main one first, as it lies with its face to the front, or its upper
     *     eye where it has none
     */
    public function courses(PartPlan $part): array;

    /** @return list<Course> the same as they come to lie beside each other, where they press: what is seen */
    public function settled(PartPlan $part): array;

    /** What it is where it is flat and bought, as its courses lie; null where it is wire alone. */
    public function plate(PartPlan $part): ?Plate;

    /** @return array<string, Placement> for each of its eyes that something hangs in where that hangs, as it lies so */
    public function hung(PartPlan $part): array;

    /** Whether it is told with its upper eye on edge: its face stands across it. */
    public function isFaceAcross(PartPlan $part): bool;
}
