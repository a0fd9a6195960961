<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Technique;

use Hebra\Core\Figure\Placement;
use Hebra\Core\Figure\Sketch;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Technique;
use Hebra\Core\Plan\Caution;
use Hebra\Core\Plan\Clasp;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\SegmentKind;
use Hebra\Core\Plan\Step;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A clasp made from wire: an eye, a shank, a hook that narrows towards its tip; an S has a hook on both ends; a shepherd's
 * crook is round. Cut = π(D + d) + shank + half a turn + tip. It stands at the start of a chain or at its end. Millimetres.
 * Common practice: 18 or 16 AWG, half hard, the hook hammered lightly.
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

    public function parameters(): array
    {
        return [
            Parameter::choice('end', 'stands at the', 'start', ['start' => 'start', 'end' => 'end']),
            Parameter::length('eye', 'eye, inside', 3.0, 1.0, 15.0),
            Parameter::length('shank', 'shank', 9.0, 2.0, 60.0),
            Parameter::length('bend', 'hook, inside', 4.0, 2.0, 25.0),
            Parameter::length('tip', 'tip', 5.0, 1.0, 30.0),
        ];
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $name = $part->part->choice('end') === 'end' ? 'top' : 'bottom';

        return [$name => new Eye("{$instance}/{$name}", EyeKind::Openable, $part->part->mm('eye'), $part->wireMm(), 'hook’s eye', $part->mark('eye'))];
    }

    public function clasp(PartPlan $part): Clasp
    {
        return new Clasp('hook', 1.5 * $part->wireMm(), holdsMm: $part->part->mm('bend'));
    }

    public function along(): array
    {
        return ['hook', 'top', 'bottom'];
    }

    public function cuts(PartPlan $part): array
    {
        $half = M_PI * ($part->part->mm('bend') + $part->wireMm()) / 2;

        return [(new Stretch($part))
            ->loop($part->part->mm('eye'), $part->wireMm(), 'eye', 'eye')->bend('eye ends')
            ->given(SegmentKind::Straight, $part->part->mm('shank'), 'shank', 'shank', 'straight')->bend('hook starts')
            ->worked(SegmentKind::Arch, $half, 'hook', 'hook', 'π(D + d)/2', 'π × ('.Figures::trim($part->part->mm('bend')).' + '.Figures::trim($part->wireMm(), 3).')/2')->bend('hook ends')
            ->given(SegmentKind::Straight, $part->part->mm('tip'), 'tip', 'tip', 'turned out a little at its end')
            ->cut('Hook', $part->part->wire, $part->times)];
    }

    public function steps(PartPlan $part, string $event): array
    {
        if (! in_array($event, ['work hook', 'form top', 'form bottom'], true)) {
            return [];
        }
        $profile = $part->profile;
        [$eye, $bend] = [Forming::loop($part->wire, $part->part->mm('eye'), $profile), Forming::arch($part->wire, $part->part->mm('bend'), $profile)];
        if ($event === 'work hook') {
            return [
                new Step($event, '', 'Round the tip', 'File the end that will catch cloth and skin until it is round and smooth, and turn its last millimetre out.', [$part->mark('tip')], tool: 'needle file', cautions: [Caution::Filing]),
                new Step($event, '', 'Bend the hook', 'Leave '.$profile->length($part->part->mm('tip')).' and bend half a turn round '.$bend->where('mandrel', $profile).'; close it until the tip almost meets the shank.'.$bend->opens($profile), [$part->mark('hook')], tool: 'mandrel'),
                new Step($event, '', 'Hammer the hook', 'A few light taps on the bend, one face, then the other: it stiffens.', [$part->mark('hook')], tool: 'hammer, bench block', cautions: [Caution::Hammering]),
            ];
        }

        return [new Step($event, '', 'Turn the eye', 'Roll the eye at the other end round '.$eye->where('mark of the round-nose pliers', $profile).', at right angles to the hook.', [$part->mark('eye')], tool: 'round-nose pliers')];
    }

    public function draw(PartPlan $part, Placement $place, Sketch $sketch): array
    {
        [$d, $metal, $r] = [$part->wireMm(), $part->wire->metal, ($part->part->mm('bend') + $part->wireMm()) / 2];
        [$shank, $tip, $eye] = [$part->part->mm('shank'), $part->part->mm('tip'), $part->part->mm('eye')];
        if ($part->part->choice('end') === 'end') {
            $from = $place->yMm + $eye + $d / 2;
            $sketch->eye($place->yMm, $eye, $d, $place->facing, $metal, $part->mark('eye'));
            $sketch->through([[0, $from], [0, $from + $shank]], $d, $metal, $part->mark('shank'));
            $sketch->bow($r, $from + $shank, $r, 0.5, 0.0, $d, $metal, $part->mark('hook'));
            $sketch->through([[2 * $r, $from + $shank], [2 * $r - $r * 0.3, $from + $shank - $tip * 0.8], [2 * $r + $r * 0.1, $from + $shank - $tip]], $d, $metal, $part->mark('tip'));

            return [];
        }
        $top = $place->yMm + $d / 2 + $r;
        $sketch->bow($r, $top, $r, 0.5, 1.0, $d, $metal, $part->mark('hook'));
        $sketch->through([[2 * $r, $top], [2 * $r - $r * 0.3, $top + $tip * 0.8], [2 * $r + $r * 0.1, $top + $tip]], $d, $metal, $part->mark('tip'));
        $sketch->through([[0, $top], [0, $top + $shank]], $d, $metal, $part->mark('shank'));
        $sketch->eye($top + $shank + $d / 2, $eye, $d, true, $metal, $part->mark('eye'));

        return ['bottom' => new Placement($top + $shank + $d / 2 + $eye, false)];
    }

    public function tools(PartPlan $part): array
    {
        return ['flush cutter', 'needle file', 'round-nose pliers', 'hammer', 'bench block'];
    }
}
