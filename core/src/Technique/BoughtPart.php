<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Material;
use Hebra\Core\Course\Vector;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Clasp;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Way;
use Hebra\Core\Plate\Hole;
use Hebra\Core\Plate\HoleList;
use Hebra\Core\Plate\Outline;
use Hebra\Core\Plate\Plate;
use Hebra\Core\Plate\PlateShape;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A flat part that is bought: charm, connector, centre, frame, clasp, tassel. Its outline, size, holes and soldered
 * rings say how it hangs and what passes; its weight is given, or reckoned from area × thickness × density.
 * Millimetres, grams.
 */
final class BoughtPart implements Technique
{
    use LiesAsTold, Usual {
        LiesAsTold::settled insteadof Usual;
    }

    private const GLUED = 'glued';

    /** @var \WeakMap<Part, Plate>|null worked out once of each part */
    private static ?\WeakMap $known = null;

    /** What metal and other materials weigh that is no wire's. */
    private const OTHERS = ['glass', 'stone', 'pearl', 'wood', 'ceramic', 'resin'];

    public function name(): string
    {
        return 'bought-part';
    }

    public function label(): string
    {
        return 'bought part';
    }

    public function role(): string
    {
        return 'bought';
    }

    public function family(): Family
    {
        return Family::Finding;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::DeadSoft);
    }

    public function heft(Part $part): int
    {
        return 8;
    }

    public function parameters(): array
    {
        $shapes = $materials = $colours = [];
        foreach (PlateShape::cases() as $shape) {
            $shapes[$shape->value] = $shape->words();
        }
        foreach (Metal::cases() as $metal) {
            $materials[$metal->value] = $metal->words();
        }
        foreach (self::OTHERS as $other) {
            $materials[$other] = $other;
        }
        foreach (Bead::COLOURS as $colour) {
            $colours[$colour] = $colour;
        }

        return [
            Parameter::choice('what', 'it is a', 'connector', [
                'charm' => 'charm', 'connector' => 'connector', 'centre' => 'centre', 'frame' => 'frame',
                'clasp' => 'clasp', 'tassel' => 'tassel', 'bail' => 'bail', 'ear-finding' => 'ear finding',
            ]),
            Parameter::text('name', 'called', ''),
            Parameter::choice('shape', 'outline', 'round', $shapes),
            Parameter::text('path', 'outline as SVG path', 'M0 0 L10 0 L10 14 L0 14 Z', Outline::read(...)),
            Parameter::length('length', 'length', 12.0, 1.0, 150.0),
            Parameter::length('width', 'width', 12.0, 1.0, 150.0),
            Parameter::length('thick', 'thickness', 1.0, 0.1, 20.0),
            Parameter::length('rim', 'rim of a frame; 0 where it is whole', 0.0, 0.0, 40.0),
            Parameter::text('holes', 'holes', 'top 1.5 mm · bottom 1.5 mm', HoleList::read(...)),
            Parameter::choice('made_of', 'made of', Metal::Sterling->value, $materials),
            Parameter::choice('colour', 'colour', 'sea', $colours),
            Parameter::number('grams', 'weighs, in grams; 0 to reckon it', 0.0, 0.0, 200.0),
            Parameter::choice('prepared', 'before it is used', 'as-is', [
                'as-is' => 'as it comes', 'shank' => 'its shank is cut off and filed', self::GLUED => 'it is glued on',
            ]),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'path' => $this->shape($part) === PlateShape::Own,
            'width' => ! $this->shape($part)->isRegular(),
            'colour' => $this->metal($part) === null,
            default => true,
        };
    }

    /**
     * An outline of its own, drawn or traced, is as wide as it was drawn, of its length; until another width is set.
     */
    public function following(Part $part, string $key): Part
    {
        if (! in_array($key, ['shape', 'path', 'length'], true) || $this->shape($part) !== PlateShape::Own) {
            return $part;
        }
        $wide = $part->mm('length') * Outline::read($part->choice('path'), 'outline as SVG path')->wideOfLong;
        foreach ($this->parameters() as $parameter) {
            if ($parameter->key === 'width' && $wide >= $parameter->least && $wide <= $parameter->most) {
                return $part->withSetting('width', round($wide, 2));
            }
        }

        return $part;
    }

    public function isBought(Part $part): bool
    {
        return true;
    }

    private function shape(Part $part): PlateShape
    {
        return PlateShape::from($part->choice('shape'));
    }

    private function wideMm(Part $part): float
    {
        return $part->mm($this->shape($part)->isRegular() ? 'length' : 'width');
    }

    private function metal(Part $part): ?Metal
    {
        return Metal::tryFrom($part->choice('made_of'));
    }

    /** Across from each: what a part that hangs by the one goes on from. */
    private const ACROSS = ['top' => 'bottom', 'bottom' => 'top', 'left' => 'right', 'right' => 'left'];

    /** About the middle of its outline, as it hangs by its first hole: the one across from it, or its middle, below. */
    private function told(Part $part): Plate
    {
        self::$known ??= new \WeakMap;

        return self::$known[$part] ??= $this->laid($this->upright($part));
    }

    private function laid(Plate $plate): Plate
    {
        $holes = $plate->holes;
        $first = $holes[self::first($plate)];
        if ($this->isLoose($plate)) {
            return $plate;
        }
        $other = $holes[self::ACROSS[$first->name] ?? ''] ?? null;
        [$x, $y] = [($other->xMm ?? 0.0) - $first->xMm, ($other->yMm ?? 0.0) - $first->yMm];
        $turn = hypot($x, $y) < 1e-6 ? 0.0 : atan2($x, $y);

        return abs($turn) < 1e-6 ? $plate : $plate->turned($turn);
    }

    /** Whether nothing of it hangs in anything: an ear finding, which only carries. */
    private function isLoose(Plate $plate): bool
    {
        return array_keys($plate->holes) === ['bottom'];
    }

    /**
     * The hole that it hangs by. A line goes clockwise round, and so enters what has a left and a right from its right.
     */
    private static function first(Plate $plate): string
    {
        $first = (string) array_key_first($plate->holes);

        return $first === 'left' && isset($plate->holes['right']) ? 'right' : $first;
    }

    /** As it is written down. */
    private function upright(Part $part): Plate
    {
        $shape = $this->shape($part);
        $own = $shape === PlateShape::Own ? Outline::read($part->choice('path'), 'outline as SVG path') : null;
        $wide = $this->wideMm($part);
        $outline = $shape->outline($part->mm('length'), $wide, $own);

        // A clasp is open in its middle, where the ring lies; so is what goes round a lobe.
        $rim = $part->mm('rim') === 0.0 ? $shape->rimShare() * $wide : $part->mm('rim');

        return new Plate(
            $outline, $part->mm('thick'), HoleList::read($part->choice('holes'), 'holes')->on($outline),
            $rim, $this->metal($part), $this->metal($part) === null ? $part->choice('colour') : '',
        );
    }

    /**
     * @return array<string, Hole> the first as the one it hangs by, the one across as that from which the line goes on
     */
    private function holes(Part $part): array
    {
        $plate = $this->told($part);
        if ($this->isLoose($plate)) {
            return $plate->holes;
        }
        $first = self::first($plate);
        $goesOn = self::ACROSS[$first] ?? 'bottom';
        $holes = [];
        foreach ($plate->holes as $name => $hole) {
            $key = match ($name) {
                $first => 'top',
                $goesOn => 'bottom',
                'top', 'bottom' => "its-{$name}",
                default => $name,
            };
            $holes[$key] = $hole;
        }

        return $holes;
    }

    /** Where it hangs, from its middle: the top of its upper hole, or of all of it where it has none. */
    private function hangsAt(Part $part): Vector
    {
        $top = $this->holes($part)['top'] ?? null;

        return $top === null
            ? new Vector(0.0, min(array_column($this->told($part)->outline, 1)))
            : new Vector($top->xMm, $top->yMm - $top->insideMm / 2);
    }

    public function plate(PartPlan $part): Plate
    {
        $from = $this->hangsAt($part->part);

        return $this->told($part->part)->moved(-$from->x, -$from->y)
            ->by(...$this->preparing($part->part, $part->mark('face')));
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eyes = [];
        $plate = $this->told($part->part);
        foreach ($this->holes($part->part) as $name => $hole) {
            $words = $this->called($part->part)."’s {$hole->name} ".($hole->isRing ? 'ring' : 'hole');
            $eyes[$name] = new Eye(
                "{$instance}/{$name}", EyeKind::Closed, $hole->insideMm,
                $hole->isRing ? Plate::ringWireMm($hole->insideMm) : max(0.0, $plate->edgeMm($hole)),
                $words, $part->mark('face'), deepMm: $hole->isRing ? 0.0 : $plate->thickMm,
            );
        }

        return $eyes;
    }

    public function along(PartPlan $part): array
    {
        return array_keys($this->holes($part->part));
    }

    public function hung(PartPlan $part): array
    {
        $holes = $this->holes($part->part);
        $from = $this->hangsAt($part->part);
        $hung = [];
        foreach ($holes as $name => $hole) {
            if ($name !== 'top') {
                $hung[$name] = new Placement(
                    $hole->yMm + $hole->insideMm / 2 - $from->y, $hole->isAcross, $hole->xMm - $from->x,
                );
            }
        }

        return $hung;
    }

    public function facesAcross(PartPlan $part): bool
    {
        return ($this->holes($part->part)['top'] ?? null)?->isAcross === true;
    }

    public function courses(PartPlan $part): array
    {
        return [];
    }

    public function labelOf(Part $part): string
    {
        return $this->called($part);
    }

    /** Its own name, or what it is. */
    private function called(Part $part): string
    {
        return $part->choice('name') !== '' ? $part->choice('name') : strtr($part->choice('what'), '-', ' ');
    }

    public function inShort(PartPlan $part): string
    {
        $size = Figures::trim($part->part->mm('length')).($this->shape($part->part)->isRegular()
            ? ''
            : ' × '.Figures::trim($part->part->mm('width'))).' mm';

        return ($this->shape($part->part) === PlateShape::Own ? '' : $this->shape($part->part)->words().' ').$size;
    }

    private function grams(PartPlan $part): float
    {
        $given = (float) $part->part->settings['grams'];
        $density = $this->metal($part->part)?->gramsPerCubicCentimetre()
            ?? Material::from($part->part->choice('made_of'))->gramsPerCubicCentimetre();

        return $given > 0 ? $given : $this->told($part->part)->volumeMm3() / 1000 * $density;
    }

    public function readyMade(PartPlan $part): array
    {
        $one = $part->part;
        $shape = $this->shape($one);
        $of = $this->metal($one)?->words() ?? $one->choice('colour').' '.$one->choice('made_of');
        $shaped = $shape === PlateShape::Own ? '' : $shape->words().' ';
        $name = $one->choice('name') === '' ? $shaped.strtr($one->choice('what'), '-', ' ') : $one->choice('name');

        return [new ReadyMade("{$name} {$this->size($one)}, {$of}", 1, $this->grams($part))];
    }

    private function size(Part $part): string
    {
        return Figures::trim($part->mm('length')).' × '
            .Figures::trim($this->wideMm($part)).' mm';
    }

    public function clasp(PartPlan $part): ?Clasp
    {
        return $part->part->choice('what') === 'clasp' ? new Clasp($this->called($part->part), 0.8) : null;
    }

    /** @return list<Closure(): Handwork> how it is made ready, where it is */
    private function preparing(Part $part, string $face): array
    {
        $called = $this->called($part);

        return match ($part->choice('prepared')) {
            'shank' => [
                fn (): Handwork => new Handwork(
                    Moment::form('top'), 'Cut the shank off',
                    "Cut the shank of the {$called} off close, without marking its face.", Operation::Trim,
                    'heavy cutters', cautions: [Caution::CutEnds], lights: [$face],
                ),
                fn (): Handwork => new Handwork(
                    Moment::form('top'), 'File the stub flat',
                    'File the stub level with the back, then smooth it with fine paper until nothing catches.',
                    Operation::File, 'file, fine paper', cautions: [Caution::Filing], lights: [$face],
                ),
            ],
            self::GLUED => [
                fn (): Handwork => new Handwork(
                    Moment::form('top'), 'Glue it on',
                    "Roughen and clean both faces, a little glue in the middle, and press the {$called} on level.",
                    Operation::Wait, 'glue, a stick to spread it', cautions: [Caution::Glue], lights: [$face],
                ),
                fn (): Handwork => Handwork::setting(Moment::form('top'), 'Leave it flat and untouched for as long as '
                    .'the glue’s own sheet says, before anything pulls at it.', $face),
            ],
            default => [],
        };
    }

    public function checks(PartPlan $part): array
    {
        [$id, $profile, $plate] = [$part->part->id, $part->profile, $this->told($part->part)];
        $checks = [];
        foreach ($plate->holes as $hole) {
            $edge = $hole->isRing ? 1.0 : $plate->edgeMm($hole);
            if ($edge <= 0.0) {
                $checks[] = new Check(
                    Level::Stop, 'hole',
                    "The {$hole->name} hole, {$profile->size($hole->insideMm)} inside, does not lie within the "
                        .$this->called($part->part)
                            ." of {$this->size($part->part)}: make it smaller, or place it farther in.",
                    $id, [new Way('The hole at the top alone', new SetSetting($id, 'holes', 'top 1 mm'))],
                );
            } elseif (! $hole->isRing && $edge < min(0.5, $hole->insideMm / 3)) {
                $checks[] = new Check(
                    Level::Warn, 'hole',
                    "Only {$profile->size($edge)} stand between the {$hole->name} hole and the rim: it may tear out.",
                    $id,
                );
            }
        }
        $narrow = min($part->part->mm('length'), $this->wideMm($part->part));
        if ($part->part->mm('rim') * 2 >= $narrow) {
            $checks[] = new Check(
                Level::Stop, 'rim',
                'A rim of '.$profile->size($part->part->mm('rim'))." leaves no opening in {$this->size($part->part)}.",
                $id, [new Way('A whole face', new SetSetting($id, 'rim', '0 mm'))],
            );
        }

        return [...$checks, ...$this->meeting($plate, $id)];
    }

    /** @return list<Check> */
    private function meeting(Plate $plate, PartId $id): array
    {
        $holes = array_values(array_filter($plate->holes, fn (Hole $hole): bool => ! $hole->isRing));
        foreach ($holes as $at => $one) {
            foreach (array_slice($holes, $at + 1) as $other) {
                if (hypot($one->xMm - $other->xMm, $one->yMm - $other->yMm) < ($one->insideMm + $other->insideMm) / 2) {
                    return [new Check(
                        Level::Stop, 'hole', "The {$one->name} and the {$other->name} hole run into each other.", $id,
                    )];
                }
            }
        }

        return [];
    }
}
