<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\Curve;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Construction;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\Held;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\Refused;
use Hebra\Core\Technique\Written\WrittenMove;

/**
 * From one end of a bead's hole round its outside to the other, on one side of it, bare or with beads on it: half an
 * ellipse that lies off it by half of what is on the wire, and beside the other wires where it comes to the hole.
 * Length: that of its curve (geometry).
 */
final readonly class Round implements WrittenMove
{
    use HoldsNothing;

    private const PIECES = 12;

    /** What beads may take more than their way: they are squeezed. */
    private const SQUEEZED = 1.03;

    private function __construct(private int $of, private string $side, private int $count, private ?int $with)
    {
    }

    public static function form(): Form
    {
        return new Form(
            'round',
            Form::letter('of').' '.Form::side('side').'(?: with '.Form::beads('beads', 'with').')?',
            'round A above with 9 B', 'round the outside of a bead to the other end of its hole, with beads on it',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self(
            (int) $reading->run('of'), $reading->word('side'), (int) $reading->number('beads', 1.0, 500.0),
            $reading->run('with'),
        );
    }

    public function lay(Laying $wire): void
    {
        $held = $wire->construction->held($this->of);
        $taken = $this->count === 0 ? [] : $wire->construction->takes($this->count, $this->with);
        $beads = array_map(fn (array $one): Strung => $one[1], $taken);
        $widest = $beads === [] ? 0.0 : max(array_map(fn (Strung $run): float => $run->bead->widthMm, $beads));
        $spans = $this->halfEllipse($wire, $held, max($wire->wireMm, $widest) / 2);
        $curve = new Curve($spans);
        [$mm, $stack] = [$curve->lengthMm(), array_sum(array_map(fn (Strung $run): float => $run->lengthMm(), $beads))];
        $stack <= $mm * self::SQUEEZED || throw Refused::because(
            'course', Figures::counted($this->count, 'bead'), 'take '.Figures::mm($stack).', the way round '
                .Construction::letter($this->of).' is '.Figures::mm($mm), 'fewer of them',
        );
        $wire->construction->strings($taken);
        $wire->goTo($spans[0]->from, $spans[0]->runs(0.0)->unit(), true);
        $wire->laid(
            SegmentKind::Round, 'round '.Construction::letter($this->of), $spans, 'the length of its curve',
            Figures::trim($mm), $wire->construction->spread($beads, $mm), $beads,
        );
    }

    /**
     * From the end of the hole that is nearer to the other one: from where the wire comes out of it to beside those
     * that are in it.
     *
     * @return non-empty-list<Span>
     */
    private function halfEllipse(Laying $wire, Held $held, float $offMm): array
    {
        $from = $wire->frame->at;
        $isFirst = $from->minus($held->from)->lengthMm() < $from->minus($held->to)->lengthMm();
        $out = $held->ahead()->times($isFirst ? -1.0 : 1.0);
        $side = new Vector(...Form::SIDES[$this->side]);
        $side = $side->minus($out->times($side->dot($out)));
        $side = $side->lengthMm() < 1e-6 ? $held->across() : $side->unit();
        [$along, $across] = [$held->lengthMm() / 2 + $offMm, $held->widthMm / 2 + $offMm];
        $beside = $from->minus($held->middle());
        $beside = $beside->minus($out->times($beside->dot($out)));
        // Beside the middle of the hole at both its ends, close to the bead between.
        $end = $side->times($wire->wireMm + max(0.0, $beside->dot($side)));
        $aside = fn (float $angle): Vector => cos($angle) > 0.0 ? $beside : $end;
        $at = fn (float $angle): Vector => $held->middle()->plus($out->times($along * cos($angle)))
            ->plus($side->times($across * sin($angle)))->plus($aside($angle)->times(cos($angle) ** 2));
        $runs = fn (float $angle): Vector => $side->times($across * cos($angle))
            ->minus($out->times($along * sin($angle)))->minus($aside($angle)->times(sin(2 * $angle)))->unit();
        $spans = [];
        for ($piece = 0; $piece < self::PIECES; $piece++) {
            [$one, $other] = [M_PI * $piece / self::PIECES, M_PI * ($piece + 1) / self::PIECES];
            $spans[] = Span::along($at($one), $runs($one), $at($other), $runs($other));
        }

        return $spans;
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $with = $put->beads === [] ? '' : ', with '.Stringing::words($put->beads).' on it';
        $side = match ($this->side) {
            'above', 'below' => $this->side,
            'before', 'behind' => $this->side.' it',
            default => 'on its '.$this->side,
        };

        return new Handwork(
            $moment, 'Round the bead', "Out of the hole and round the bead {$side}{$with}, close to its edge.",
            $put->beads === [] ? Operation::Bend : Operation::Thread, 'fingers',
            $put->count(), $put->beads === [] ? '' : 'beads',
        );
    }
}
