<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Closure;
use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;

/**
 * Cord or ribbon with bought ends: cut = what is seen between the ends + what goes into either. What is threaded slides
 * on it and takes none of its length. Its wire is how thick the cord is, in the metal of its ends. Millimetres. Common
 * practice: 8 mm into a cap, glued or pressed; a glue’s own sheet says how long it sets.
 */
final class Cord implements Technique
{
    use LiesAsTold, Usual {
        LiesAsTold::settled insteadof Usual;
    }

    /** Grams of a cubic centimetre of it, and of a cap with its ring [memory]. */
    private const DENSITY = ['leather' => 0.95, 'cotton' => 0.8, 'silk' => 0.9, 'linen' => 0.85, 'rubber' => 1.1];

    private const CAP_G = 0.25;

    private const GLUED = 'glued';

    public function name(): string
    {
        return 'cord';
    }

    public function label(): string
    {
        return 'cord';
    }

    public function role(): string
    {
        return 'cord';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return new Wire(Metal::Sterling, WireSize::millimetres(2.0), Temper::DeadSoft);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('long', 'length between its ends', 400.0, 5.0, 3000.0),
            Parameter::choice('made_of', 'made of', 'leather', array_combine(
                array_keys(self::DENSITY), array_keys(self::DENSITY),
            )),
            Parameter::choice('colour', 'colour', 'sand', array_combine(Bead::COLOURS, Bead::COLOURS)),
            Parameter::choice(
                'ends', 'its ends are', self::GLUED,
                [self::GLUED => 'glued into caps', 'pressed' => 'pressed into crimp ends'],
            ),
            Parameter::length('into', 'goes into each end', 8.0, 2.0, 30.0),
            Parameter::length('inside', 'rings of the ends, inside', 2.5, 1.0, 12.0),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 0;
    }

    public function isBought(Part $part): bool
    {
        return true;
    }

    private function cap(PartPlan $part): EndCap
    {
        return new EndCap($part, $part->part->mm('inside'), $part->part->mm('into'), 'ring of the cord’s end');
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name) => $this->cap($part)->eye($instance, $name, EyeKind::Closed);

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function along(PartPlan $part): array
    {
        return ['top', 'thread', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return $part->profile->length($part->part->mm('long'));
    }

    public function hung(PartPlan $part): array
    {
        return ['bottom' => new Placement($this->cap($part)->hangsMm($part->part->mm('long')), false)];
    }

    public function courses(PartPlan $part): array
    {
        [$cap, $long, $thick] = [$this->cap($part), $part->part->mm('long'), $part->wireMm()];
        $segment = Segment::given(
            SegmentKind::Straight, $long, 'cord', $part->mark('cord'), 'as set', $part->sourceOf($long),
        );
        $cord = (new Stretch($part))
            ->move(new Move($segment->carrying($part->strung), new Straight($long), $this->sliding($part)))
            ->by(
                fn (): Handwork => self::cutting($part),
                ...$part->strung === [] ? [] : [fn (): Handwork => self::threading($part)],
            )
            ->course('Cord', $part->part->wire, $part->times, Frame::down($cap->beginsMm()))
            ->coloured($part->part->choice('colour'));
        $end = fn (string $name, float $atMm): Course => (new Stretch($part))->move($cap->cap($name, $thick))
            ->by(...self::ending($part, $name))
            ->course('End', $part->part->wire, $part->times, Frame::down($atMm));

        return [
            $cord, $end('top', $cap->beginsMm() - $cap->capMm), $end('bottom', $cap->beginsMm() + $long),
            ...$cap->rings($long),
        ];
    }

    /** @return list<Threaded> in its middle, where it hangs */
    private function sliding(PartPlan $part): array
    {
        $from = max(0.0, ($part->part->mm('long') - $part->stackMm()) / 2);
        $threaded = [];
        foreach ($part->strung as $strung) {
            $threaded[] = new Threaded($strung->bead, $strung->count, $part->mark('beads'), atMm: $from);
            $from += $strung->lengthMm();
        }

        return $threaded;
    }

    public function readyMade(PartPlan $part): array
    {
        [$one, $thick] = [$part->part, $part->wireMm()];
        $takes = $one->mm('long') + 2 * $one->mm('into');
        $grams = M_PI / 4 * $thick ** 2 * $takes * self::DENSITY[$one->choice('made_of')] / 1000;
        $cord = $one->choice('colour').' '.$one->choice('made_of').' cord '.Figures::mm($thick);
        $ends = ($one->choice('ends') === self::GLUED ? 'cord cap ' : 'crimp end ').Figures::mm($thick).' inside, '
            .$part->wire->metal->words();

        return [
            new ReadyMade("{$cord}: ".$part->profile->length($takes), 1, $grams, $cord, $takes),
            new ReadyMade($ends, 2, self::CAP_G * $thick / 2),
        ];
    }

    private static function cutting(PartPlan $part): Handwork
    {
        $takes = $part->part->mm('long') + 2 * $part->part->mm('into');

        return new Handwork(
            Moment::form('top'), 'Cut the cord', 'Cut '.$part->profile->length($takes).' of it, square: '
                .$part->profile->length($part->part->mm('long')).' are seen and '
                .$part->profile->length($part->part->mm('into')).' go into each end.', Operation::Cut,
            'sharp scissors or knife, ruler', cautions: [Caution::CutEnds],
        );
    }

    /** @return list<Closure(): Handwork> how an end is put on */
    private static function ending(PartPlan $part, string $name): array
    {
        $which = $name === 'top' ? 'first' : 'other';
        $into = $part->profile->length($part->part->mm('into'));
        if ($part->part->choice('ends') !== self::GLUED) {
            return [fn (): Handwork => new Handwork(
                Moment::form($name), "Press the {$which} end",
                "Put {$into} of the cord into the crimp end, fold or press it over it, and pull to test it.",
                Operation::Crimp, 'chain-nose pliers',
            )];
        }

        return [
            fn (): Handwork => new Handwork(
                Moment::form($name), "Glue the {$which} cap on",
                "Try it dry, then put a little glue into the cap and push {$into} of the cord in, turning it.",
                Operation::Wait, 'glue, a stick to spread it', cautions: [Caution::Glue],
            ),
            fn (): Handwork => Handwork::setting(
                Moment::form($name), 'Leave it lying for as long as the glue’s own sheet says, then pull to test it.',
            ),
        ];
    }

    private static function threading(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::thread(), 'Thread what slides on it',
            Stringing::words($part->strung).': they stay on once the other end is closed.', Operation::Thread,
            'fingers', $part->beadCount(), 'beads', puts: true, lights: [$part->mark('beads')],
        );
    }

    public function checks(PartPlan $part): array
    {
        $over = $part->stackMm() - $part->part->mm('long');
        $checks = [];
        if ($over > 0.0) {
            $checks[] = new Check(
                Level::Stop, 'room', 'What is threaded is '.$part->profile->length($over).' longer than the cord.',
                $part->part->id,
                [new Way('A longer cord', new SetSetting($part->part->id, 'long', ceil($part->stackMm()).' mm'))],
            );
        }
        $widest = max([0.0, ...array_map(fn (Strung $strung): float => $strung->bead->holeMm, $part->strung)]);
        if ($widest >= $part->wireMm() + 0.9) {
            $checks[] = new Check(
                Level::Note, 'cord end', 'A hole of '.$part->profile->size($widest)
                    .' may slip over the end of the cord: try it before the end is closed.', $part->part->id,
            );
        }

        return $checks;
    }
}
