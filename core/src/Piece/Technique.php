<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Wire\Wire;

/** One way of making a part. All techniques have this shape; nothing elsewhere asks which one it has before it. */
interface Technique
{
    /** `wrapped-link`: its name in documents. */
    public function name(): string;

    /** `link`: its name in a sentence. */
    public function label(): string;

    /** The wire it is made of, by role: `ear`, `link`, `pin`. */
    public function role(): string;

    public function usualWire(): Wire;

    /** How well its wire must hold, and how stiff it may be to work. */
    public function wants(): Wants;

    /** @return list<Parameter> */
    public function parameters(): array;

    /** Whether a setting matters as the part now stands; a bought pin has no foot to turn. */
    public function shows(string $key, Part $part): bool;

    public function takesBeads(): bool;

    /** @return list<Drilling> */
    public function drillings(): array;

    /**
     * The eyes it offers, in the order they are made, keyed `top` or `bottom`; a thread event stands between or before them.
     *
     * @return array{top?: Eye, bottom?: Eye}
     */
    public function eyes(PartPlan $part, string $instance): array;

    /**
     * The order along its wire: `top`, `bottom`, `thread`.
     *
     * @return list<'top'|'bottom'|'thread'>
     */
    public function along(): array;

    public function cut(PartPlan $part): Cut;

    /**
     * The steps of one event: `form top`, `close top`, `thread`, …
     *
     * @return list<Step>
     */
    public function steps(PartPlan $part, string $event): array;

    /** @return list<Check> */
    public function checks(PartPlan $part): array;

    /** Draws itself at a place and says where the next part hangs. */
    public function draw(PartPlan $part, Placement $place, Sketch $sketch): Placement;

    /** @return list<string> */
    public function tools(PartPlan $part): array;
}
