<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\ParameterKind;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Wire;

/** A part with everything it refers to at hand: its wire, its beads, the maker's profile. */
final class PartPlan
{
    private ?string $likeness = null;

    private ?string $content = null;

    /** @var list<Course>|null */
    private ?array $courses = null;

    /** @var list<Course>|null */
    private ?array $settled = null;

    /** @param  list<Strung>  $strung */
    private function __construct(
        public readonly Part $part,
        public readonly Technique $technique,
        public readonly Wire $wire,
        public readonly array $strung,
        public readonly Profile $profile,
        /** @var array<string, Wire> every wire of the piece, by role */
        private readonly array $wires,
        /** how often it is made in one piece */
        public readonly int $times,
        /** whether its line of parts lies round a wrist or a neck, so that what hangs in it hangs outwards */
        public readonly bool $isLaidRound = false,
    ) {
    }

    public static function of(Piece $piece, Part $part, Profile $profile): self
    {
        $strung = [];
        foreach ($part->beads as $run) {
            $strung[] = new Strung($run->bead, $piece->beads[$run->bead], $run->count);
        }

        $technique = $part->technique();
        $technique instanceof Technique || throw new \LogicException("The {$technique->label()} cannot be planned.");

        return new self(
            $part, $technique, $piece->wires[$part->wire], $strung, $profile, $piece->wires,
            $piece->times($part), $piece->fit->kind->isRound(),
        );
    }

    /** The same with other settings. */
    public function with(Part $part): self
    {
        return new self(
            $part, $this->technique, $this->wire, $this->strung, $this->profile, $this->wires, $this->times,
            $this->isLaidRound,
        );
    }

    /** The same with its first runs of beads left out. */
    public function withoutFirst(int $runs): self
    {
        return new self(
            $this->part->withBeads(array_slice($this->part->beads, $runs)),
            $this->technique,
            $this->wire,
            array_slice($this->strung, $runs),
            $this->profile,
            $this->wires,
            $this->times,
            $this->isLaidRound,
        );
    }

    /** What it is called in a sentence. */
    public function label(): string
    {
        return $this->technique->labelOf($this->part);
    }

    /** The same for all parts that are formed alike, whatever beads are on them. */
    public function likeness(): string
    {
        // A free wire's course may be long, and this is kept of every step.
        return $this->likeness ??= hash('xxh128', json_encode(
            [$this->part->technique, $this->part->wire, $this->part->settings], JSON_THROW_ON_ERROR,
        ));
    }

    /** The same for all parts of a piece that differ in nothing but name and place. */
    public function content(): string
    {
        return $this->content ??= $this->times.$this->likeness().json_encode($this->part->beads, JSON_THROW_ON_ERROR);
    }

    /** @return array<string, Wire> every wire of the piece, by role */
    public function wires(): array
    {
        return $this->wires;
    }

    /** Another of its wires, by role. */
    public function wireOf(string $role): Wire
    {
        return $this->wires[$role] ?? $this->wire;
    }

    /** The wire of one of its cuts, by the cut's key; its own where none is named. */
    public function wireOfCut(string $key): Wire
    {
        // Several of one kind are told apart by a number: core, core-2.
        return $this->wireOf(preg_replace('/-\d+$/', '', substr($key, strlen($this->part->id->text) + 1)) ?? '');
    }

    /** The wire that goes through its beads. */
    public function threadMm(): float
    {
        return $this->wireOf($this->through(0)[0] ?? $this->part->wire)->size->passesMm();
    }

    public function wireMm(): float
    {
        return $this->wire->diameterMm();
    }

    /** How wide its wire lies, turn beside turn. */
    public function wideWireMm(): float
    {
        return $this->wire->widthMm();
    }

    public function stackMm(): float
    {
        return array_sum(array_map(fn (Strung $strung): float => $strung->lengthMm(), $this->strung));
    }

    public function beadCount(): int
    {
        return $this->part->beadCount();
    }

    /** The tightest bend of its wire, inside; null where it has none. */
    public function tightestMm(): ?float
    {
        $insides = array_map(fn (Eye $eye): float => $eye->insideMm, array_values($this->technique->eyes($this, '')));
        if (is_float($this->part->settings['eye'] ?? null)) {
            $insides[] = $this->part->mm('eye');
        }

        return $insides === [] ? null : min($insides);
    }

    /** @return list<Course> each of its wires, as its technique tells them: told once */
    public function courses(): array
    {
        return $this->courses ??= $this->technique->courses($this);
    }

    /** @return list<Course> the same as they come to lie beside each other */
    public function settled(): array
    {
        return $this->settled ??= $this->technique->settled($this);
    }

    /** @return list<Cut> what is cut for it, with what beads that vary in length need */
    public function cuts(): array
    {
        return [
            ...array_map(Allowance::forBeads(...), $this->technique->cuts($this)), ...CoilBeads::cuts($this),
        ];
    }

    /**
     * How hard its wire is once made: straightened twice, bent round an inside diameter, hammered as the maker does.
     */
    public function afterMaking(?float $insideMm): Hardness
    {
        return Hardness::afterMaking(
            $this->wire,
            $insideMm,
            $this->profile->schools->makingNumbers($this->technique->wants()->isHammered)
                + ($this->technique->hammered($this)?->numbersHard() ?? 0.0),
        );
    }

    /** Where a length that is given comes from: a setting of the part that says just that, else common practice. */
    public function sourceOf(float $millimetres): string
    {
        foreach ($this->technique->parameters() as $parameter) {
            if (
                $parameter->kind === ParameterKind::Length
                && abs($this->part->mm($parameter->key) - $millimetres) < 1e-9
            ) {
                return 'your setting';
            }
        }

        return 'common practice';
    }

    /** Whether it shows the face it is told by, where its upper eye faces the viewer or not. */
    public function showsFace(bool $facing): bool
    {
        return $this->technique->isFaceAcross($this) !== $facing;
    }

    public function mark(string $name): string
    {
        return $this->part->id->mark($name);
    }

    /** The cut of one of its wires, as steps name it; the first where none is named. */
    public function cutKey(string $slot = ''): string
    {
        return $this->part->id.($slot === '' ? '' : '-'.$slot);
    }

    /**
     * @return list<string> the roles of the wires that go through each bead of a run, one for each pass; none through a
     *     set row
     */
    public function through(int $run): array
    {
        return $this->strung[$run]->bead->drilling === Drilling::Row ? [] : $this->technique->through($this, $run);
    }

    /**
     * Whether all that goes through the beads of a run goes through their hole; null where no wire does as it comes.
     */
    public function holeFit(int $run): ?HoleFit
    {
        $thick = array_map(
            fn (string $role): float => $this->wireOf($role)->size->passesMm(), $this->through($run),
        );

        return $thick === []
            ? null
            : new HoleFit($this->strung[$run]->bead->holeMm, $thick, $this->profile->clearanceMm);
    }

    /** The least hole of a bead in place of its first; null where no wire goes through it as it comes. */
    public function leastHoleMm(): ?float
    {
        return match (true) {
            $this->strung !== [] => $this->holeFit(0)?->leastMm(),
            default => (new HoleFit(0.0, [$this->wire->size->passesMm()], $this->profile->clearanceMm))->leastMm(),
        };
    }

    /**
     * @return list<array{thing: string, hole: int, wires: list<string>, needed_mm: float, hole_mm: float}> the wires
     *     that go through each of its beads
     */
    public function passes(): array
    {
        $passes = [];
        foreach ($this->strung as $run => $strung) {
            $wires = array_map($this->wireOf(...), $this->through($run));
            $fit = $this->holeFit($run);
            if ($fit === null) {
                continue;
            }
            $passes[] = [
                'thing' => $strung->bead->words(),
                'hole' => 1,
                'wires' => array_map(fn (Wire $wire): string => $wire->size->code(), $wires),
                'needed_mm' => $fit->neededMm(),
                'hole_mm' => $strung->bead->holeMm,
            ];
        }

        return $passes;
    }

    public function beadGrams(): float
    {
        return array_sum(
            array_map(fn (Strung $strung): float => $strung->bead->grams() * $strung->count, $this->strung),
        );
    }

    /** What it takes ready-made weighs so much in each made part. */
    public function readyGrams(): float
    {
        return array_sum(
            array_map(
                fn (ReadyMade $ready): float => $ready->grams * $ready->count,
                $this->technique->readyMade($this),
            ),
        );
    }

    public function widestMm(): float
    {
        return $this->strung === []
            ? 0.0
            : max(array_map(fn (Strung $strung): float => $strung->bead->widthMm, $this->strung));
    }
}
