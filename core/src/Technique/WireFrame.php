<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Frame as At;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Outlined;
use Hebra\Core\Course\Shape\Sheared;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Figure\Outline;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Fit\Frame;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A frame bent from one length and closed by a wrapped loop on top: round, a drop, a square on its corner, a triangle.
 * Cut = outline + two necks + loop + wraps + tail. Beads are strung on it or bound along it; something may hang in its
 * middle. Millimetres. Common practice: 18 to 20 AWG.
 */
final class WireFrame implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'frame';
    }

    public function label(): string
    {
        return 'frame';
    }

    public function role(): string
    {
        return 'frame';
    }

    public function family(): Family
    {
        return Family::Pendant;
    }

    public function usualWire(): Wire
    {
        return self::awg(18, Temper::HalfHard);
    }

    public function extraWires(Part $part): array
    {
        return BoundBeads::wires($part);
    }

    public function through(PartPlan $part, int $run): array
    {
        return [BoundBeads::isBound($part->part) ? BoundBeads::ROLE : $part->part->wire];
    }

    public function wants(): Wants
    {
        return new Wants(holds: 0.6, effort: 1.4);
    }

    public function parameters(): array
    {
        return [
            Parameter::choice(
                'shape',
                'shape',
                'hoop',
                ['hoop' => 'round', 'drop' => 'drop', 'square' => 'square on its corner', 'triangle' => 'triangle'],
            ),
            Parameter::length('size', 'diameter, width or side', 25.0, 8.0, 150.0)->bentOn(ToolKind::ARCHES),
            ...WrappedEnd::parameters('', '', 3.0, 3),
            WrappedEnd::tail(),
            ...BoundBeads::parameters('on'),
            Parameter::flag('turned', 'loop across the face', true),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return BoundBeads::shows($key, $part);
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 7;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $inside = $part->part->mm('size') - $part->wireMm();
        $closed = fn (string $name, string $words): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Closed, $inside, $part->wireMm(), $words, $part->mark('outline'),
        );

        return [
            'centre' => $closed('centre', 'frame’s top, inside'),
            'bottom' => $closed('bottom', 'frame’s lower edge'),
            'left' => $closed('left', 'frame’s left corner'),
            'right' => $closed('right', 'frame’s right corner'),
            'top' => $this->end($part)->eye($instance),
        ];
    }

    public function along(PartPlan $part): array
    {
        // What is strung on the frame goes on before its ends meet; what is bound to it, after.
        return BoundBeads::isBound($part->part) ? ['shape', 'top', 'beads'] : ['beads', 'shape', 'top'];
    }

    public function facesAcross(PartPlan $part): bool
    {
        return $part->part->is('turned');
    }

    private function end(PartPlan $part): WrappedEnd
    {
        // Both ends of the frame stand side by side in its neck.
        return new WrappedEnd($part, '', 'top', 2);
    }

    private function outline(PartPlan $part): Outline
    {
        return Outline::of(Frame::from($part->part->choice('shape')), $part->part->mm('size'));
    }

    public function inShort(PartPlan $part): string
    {
        return [
            'hoop' => 'round',
            'drop' => 'drop',
            'square' => 'square',
            'triangle' => 'triangle',
        ][$part->part->choice('shape')].', '.$part->profile->size($part->part->mm('size'));
    }

    public function courses(PartPlan $part): array
    {
        $shape = Frame::from($part->part->choice('shape'));
        [$loop, $size] = [$this->end($part)->loop, $part->part->mm('size')];
        $up = new Together(new Corner(-90.0), new Straight($loop->neckMm()));
        $shaping = fn (): Handwork => $this->shaping($part);
        $stretch = (new Stretch($part))
            ->worked(
                SegmentKind::Neck,
                $loop->neckMm(),
                'neck',
                'top-neck',
                'N·d',
                $loop->wraps.' × '.Figures::trim($part->wireMm(), 3),
                shape: $up,
            )->bend('first end up')->by($shaping)->anchored()
            ->worked(
                SegmentKind::Round,
                $size * $shape->outline(),
                'outline',
                'outline',
                Figures::trim($shape->outline(), 4).'·size',
                Figures::trim($shape->outline(), 4).' × '.Figures::trim($size),
                beads: (new BoundBeads($part))->onWire(),
                shape: new Sheared(new Outlined($shape, $size), $part->wireMm()),
            )->threading((new BoundBeads($part))->threaded($size * $shape->outline()))->bend('second end up')
            ->by($shaping, ...(new BoundBeads($part))->stringing());
        foreach ($this->end($part)->moves(false, '', $part->part->is('turned') ? 90.0 : 0.0) as $at => $move) {
            // The second end turns up as the first does.
            $stretch->move($at === 0 ? $move->lying($up)->by($shaping) : $move);
        }

        $frame = $stretch->course('Frame', $part->part->wire, $part->times, At::right(0.0, $this->topMm($part)));

        return [$frame, ...(new BoundBeads($part))->courses(
            fn (): Host => $frame->host($part->mark('outline')), $size * $shape->outline(),
        )];
    }

    /** How far it is from its top to its corner, or to where it is widest. */
    private function sideMm(PartPlan $part): float
    {
        $size = $part->part->mm('size');

        return match ($part->part->choice('shape')) {
            'square', 'triangle' => $size,
            // A tangent, and a twelfth of its round.
            'drop' => $size * (sqrt(3) / 2 + M_PI / 12),
            default => $size * M_PI / 4,
        };
    }

    /** How low the middle of the frame's wire begins. */
    private function topMm(PartPlan $part): float
    {
        return $this->end($part)->loop->reachMm() + $part->wireMm() / 2;
    }

    public function drillings(): array
    {
        return BoundBeads::drillings();
    }

    private function shaping(PartPlan $part): Handwork
    {
        $words = [
            'hoop' => 'Bend it round a mandrel or a bottle',
            'drop' => 'Round its lower half on a mandrel and draw both ends straight up to a point',
            'square' => 'Mark four equal sides and bend three corners square in the pliers',
            'triangle' => 'Mark three equal sides and bend two corners',
        ][$part->part->choice('shape')];

        return new Handwork(
            Moment::work('shape'), 'Shape the frame', $words.', '.$part->profile->length($part->part->mm('size'))
                .' to the middle of the wire, and turn both ends up side by side at the top.', Operation::Bend,
            'mandrel, flat-nose pliers',
        );
    }

    public function checks(PartPlan $part): array
    {
        $beads = new BoundBeads($part);
        $round = $this->outline($part)->lengthMm();
        $larger = ceil($part->part->mm('size') * $beads->coveredMm() / $round + 1);

        return [
            ...array_filter([$this->end($part)->held()]),
            ...$beads->checks(),
            ...array_filter([$beads->fits(
                'frame', $round,
                new Way('Make the frame larger', new SetSetting($part->part->id, 'size', "{$larger} mm")),
            )]),
        ];
    }

    public function hung(PartPlan $part): array
    {
        [$from, $half] = [$this->topMm($part), $part->wireMm() / 2];
        $below = $from + $this->outline($part)->bottomMm() - $half;

        $outline = $this->outline($part);
        $corner = function (float $mm) use ($outline, $from, $half): Placement {
            [$x, $y] = $outline->at($mm);

            return new Placement($from + $y - $half, false, $x);
        };
        $side = $this->sideMm($part);

        return [
            'centre' => new Placement($from + $half, false), 'bottom' => new Placement($below, false),
            'right' => $corner($side), 'left' => $corner($outline->lengthMm() - $side),
        ];
    }
}
