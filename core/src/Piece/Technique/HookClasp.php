<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Clasp;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Operation;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A clasp made from wire: an eye, a shank, a hook that narrows towards its tip; an S has a hook on both ends; a
 * shepherd's crook goes on to two thirds of a turn. Cut = π(D + d) + shank + turns·π(B + d) + tip; of an S shank and
 * twice bend and tip. It stands at the start of a chain or at its end. Millimetres. Common practice: 18 or 16 AWG, half
 * hard, the hook hammered lightly.
 */
final class HookClasp implements Technique
{
    use Usual;

    public function name(): string
    {
        return 'hook';
    }

    public function label(): string
    {
        return 'hook';
    }

    public function role(): string
    {
        return 'clasp';
    }

    public function family(): Family
    {
        return Family::Finding;
    }

    public function usualWire(): Wire
    {
        return self::awg(18, Temper::HalfHard);
    }

    public function wants(): Wants
    {
        return new Wants(holds: 1.0, effort: 1.8, isHammered: true);
    }

    /** How far a shepherd's crook goes round, in turns; a hook and an S go half. */
    private const CROOK_TURNS = 2 / 3;

    public function parameters(): array
    {
        return [
            Parameter::choice(
                'style',
                'shape',
                'hook',
                ['hook' => 'hook', 's' => 'S, a hook at both ends', 'crook' => 'shepherd’s crook'],
            ),
            Bought::parameter('it is'),
            Parameter::choice('end', 'stands at the', 'start', ['start' => 'start', 'end' => 'end']),
            Parameter::length('eye', 'eye, inside', 3.0, 1.0, 15.0),
            Parameter::length('shank', 'shank', 9.0, 2.0, 60.0),
            Parameter::length('bend', 'hook, inside', 4.0, 2.0, 25.0),
            Parameter::length('tip', 'tip', 5.0, 1.0, 30.0),
        ];
    }

    public function shows(string $key, Part $part): bool
    {
        return $key !== 'eye' || ! $this->isS($part);
    }

    private function isS(Part $part): bool
    {
        return $part->choice('style') === 's';
    }

    private function turns(Part $part): float
    {
        return $part->choice('style') === 'crook' ? self::CROOK_TURNS : 0.5;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $name = $part->part->choice('end') === 'end' ? 'top' : 'bottom';
        $isS = $this->isS($part->part);

        return [
            $name => new Eye(
                "{$instance}/{$name}",
                EyeKind::Openable,
                $part->part->mm($isS ? 'bend' : 'eye'),
                $part->wireMm(),
                $isS ? 'S’s closed end' : 'hook’s eye',
                $part->mark('eye'),
            ),
        ];
    }

    public function clasp(PartPlan $part): Clasp
    {
        return new Clasp(
            $this->isS($part->part) ? 'S' : 'hook',
            1.5 * $part->wireMm(),
            holdsMm: $part->part->mm('bend'),
        );
    }

    public function along(PartPlan $part): array
    {
        return ['hook', 'top', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return ['hook' => '', 's' => 'an S', 'crook' => 'a shepherd’s crook'][$part->part->choice('style')];
    }

    public function cuts(PartPlan $part): array
    {
        return Bought::cuts($part, $this->cut($part));
    }

    public function isBought(Part $part): bool
    {
        return Bought::is($part);
    }

    public function readyMade(PartPlan $part): array
    {
        return Bought::ready(
            $part,
            $this->cut($part),
            ['hook' => 'hook', 's' => 'S clasp', 'crook' => 'shepherd’s crook'][$part->part->choice('style')],
        );
    }

    private function cut(PartPlan $part): Cut
    {
        $turns = $this->turns($part->part);
        $arch = $turns * M_PI * ($part->part->mm('bend') + $part->wireMm());
        $numbers = Figures::trim($turns, 4).' × π × ('.Figures::trim($part->part->mm('bend')).' + '
            .Figures::trim($part->wireMm(), 3).')';
        $stretch = new Stretch($part);
        if ($this->isS($part->part)) {
            $stretch->given(
                SegmentKind::Straight, $part->part->mm('tip'), 'tip', 'eye', 'closed against the shank',
            )->bend('first hook starts')
                ->worked(
                    SegmentKind::Arch, $arch, 'first hook', 'eye', 'turns·π(D + d)', $numbers,
                )->bend('first hook ends');
        } else {
            $stretch->loop($part->part->mm('eye'), $part->wireMm(), 'eye', 'eye')->bend('eye ends');
        }

        return $stretch
            ->given(SegmentKind::Straight, $part->part->mm('shank'), 'shank', 'shank', 'straight')->bend('hook starts')
            ->worked(SegmentKind::Arch, $arch, 'hook', 'hook', 'turns·π(D + d)', $numbers)->bend('hook ends')
            ->given(SegmentKind::Straight, $part->part->mm('tip'), 'tip', 'tip', 'turned out a little at its end')
            ->cut('Hook', $part->part->wire, $part->times);
    }

    public function steps(PartPlan $part, string $event): array
    {
        if (! in_array($event, ['work hook', 'form top', 'form bottom'], true) || Bought::is($part->part)) {
            return [];
        }
        $profile = $part->profile;
        $isS = $this->isS($part->part);
        [$eye, $bend] = [Forming::loop($part->wire, $part->part->mm('eye'), $profile), Forming::arch($part->wire, $part->part->mm('bend'), $profile)];
        $far = $this->turns($part->part) > 0.5 ? 'two thirds of a turn' : 'half a turn';
        if ($event === 'work hook') {
            return [
                new Step(
                    $event,
                    '',
                    'Round the tip',
                    'File the end that will catch cloth and skin until it is round and smooth, and turn its last millimetre out.',
                    [$part->mark('tip')],
                    tool: 'needle file',
                    cautions: [Caution::Filing],
                    operation: Operation::File,
                ),
                new Step(
                    $event,
                    '',
                    'Bend the hook',
                    'Leave '.$profile->length($part->part->mm('tip'))." and bend {$far} round "
                        .$bend->where('mandrel', $profile).'; close it until the tip almost meets the shank.'
                        .$bend->opens($profile),
                    [$part->mark('hook')],
                    tool: 'mandrel',
                    operation: Operation::Bend,
                ),
                new Step(
                    $event,
                    '',
                    'Hammer the hook',
                    'A few light taps on the bend, one face, then the other: it stiffens.',
                    [$part->mark('hook')],
                    tool: 'hammer, bench block',
                    cautions: [Caution::Hammering],
                    operation: Operation::Hammer,
                ),
            ];
        }

        return [$isS
            ? new Step(
                $event,
                '',
                'Bend the other end',
                "Bend {$far} the other way round ".$bend->where('mandrel', $profile)
                    .', flat in one plane with the first, and close its tip against the shank once the chain hangs in it.',
                [$part->mark('eye')],
                tool: 'mandrel',
                operation: Operation::Bend,
            )
            : new Step($event, '', 'Turn the eye', 'Roll the eye at the other end round '.$eye->where('mark of the round-nose pliers', $profile).', at right angles to the hook.', [$part->mark('eye')], tool: 'round-nose pliers', operation: Operation::Eye)];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $r] = [$part->wireMm(), ($part->part->mm('bend') + $part->wireMm()) / 2];
        [$shank, $eye] = [$part->part->mm('shank'), $part->part->mm('eye')];
        $isEnd = $part->part->choice('end') === 'end';
        $closed = $this->isS($part->part) ? 2 * $r - $d : $eye;
        // From the end that closes down to the other, or up from it.
        $from = $isEnd ? $place->yMm + $closed + $d / 2 : $place->yMm + $d / 2 + $r;
        $this->bend($part, $sketch, $isEnd ? $from + $shank : $from, $isEnd ? 1 : -1, 1, 'hook', 'tip');
        $sketch->through([[0, $from], [0, $from + $shank]], $d, $part->wire->metal, $part->mark('shank'));
        if ($this->isS($part->part)) {
            $this->bend($part, $sketch, $isEnd ? $from : $from + $shank, $isEnd ? -1 : 1, -1, 'eye', 'eye');
            $below = $from + $shank + $r - $d / 2;

            return $isEnd ? [] : ['bottom' => new Placement($below, false, -$r)];
        }
        $sketch->eye(
            $isEnd ? $place->yMm : $from + $shank + $d / 2,
            $eye,
            $d,
            $isEnd ? $place->facing : true,
            $part->wire->metal,
            $part->mark('eye'),
        );

        return $isEnd ? [] : ['bottom' => new Placement($from + $shank + $d / 2 + $eye, false)];
    }

    /**
     * A bend from the shank's end at $yMm, going on up (-1) or down (1), over to the right (1) or the left (-1), and
     * its tip.
     */
    private function bend(
        PartPlan $part, Sketch $sketch, float $yMm, int $down, int $side, string $mark, string $tipMark,
    ): void {
        [$d, $metal, $r] = [$part->wireMm(), $part->wire->metal, ($part->part->mm('bend') + $part->wireMm()) / 2];
        $tip = $part->part->mm('tip');
        $turns = $this->turns($part->part);
        $points = [];
        for ($step = 0; $step <= 40; $step++) {
            $angle = 2 * M_PI * $turns * $step / 40;
            $points[] = [round($side * $r * (1 - cos($angle)), 3), round($yMm + $down * $r * sin($angle), 3)];
        }
        $sketch->through($points, $d, $metal, $part->mark($mark));
        // On from there as it points, its end turned out.
        $angle = 2 * M_PI * $turns;
        [$x, $y] = $points[40];
        [$dx, $dy] = [$side * sin($angle), $down * cos($angle)];
        $sketch->through(
            [[$x, $y], [round($x + 0.75 * $tip * $dx - $side * 0.06 * $tip, 3), round($y + 0.75 * $tip * $dy, 3)], [round($x + $tip * $dx + $side * 0.12 * $tip, 3), round($y + $tip * $dy, 3)]],
            $d,
            $metal,
            $part->mark($tipMark),
        );
    }
}
