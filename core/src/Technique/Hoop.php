<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Corner;
use Hebra\Core\Course\Shape\Eye as EyeShape;
use Hebra\Core\Course\Shape\Sheared;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Together;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Piece\Sizing;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Forming;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Wants;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A hoop that locks on itself: a small eye at one end, a hook at the other in line with it. Cut = π·diameter (to the
 * wire's middle) + π(eye + d) + hook. Beads are strung on it or bound to it. Millimetres. Common practice: 20 AWG, half
 * hard.
 */
final class Hoop implements Technique
{
    use Usual;

    /** So far off a hoop still is the size meant, mm [common practice]. */
    private const TOLERANCE_MM = 1.0;

    /** Room that the hook wants in its eye, mm [memory]. */
    private const LOCK_MM = 0.1;

    /** How far the hook is bent out of the round [common practice]. */
    private const HOOK_DEGREES = 18.0;

    public function name(): string
    {
        return 'hoop';
    }

    public function label(): string
    {
        return 'hoop';
    }

    public function role(): string
    {
        return 'hoop';
    }

    public function family(): Family
    {
        return Family::Finding;
    }

    public function usualWire(): Wire
    {
        return self::awg(20, Temper::HalfHard);
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
        return new Wants(holds: 0.8, effort: 1.5);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('diameter', 'diameter, to the middle', 30.0, 8.0, 150.0),
            Parameter::length('eye', 'eye, inside', 1.6, 0.8, 10.0)->bentOn(ToolKind::LOOPS),
            Parameter::length('hook', 'hook', 6.0, 2.0, 40.0),
            ...BoundBeads::parameters('strung'),
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
        return 9;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        return [
            'bottom' => new Eye(
                "{$instance}/bottom",
                EyeKind::Openable,
                $part->part->mm('diameter') - $part->wireMm(),
                $part->wireMm(),
                'hoop',
                $part->mark('round'),
                true,
            ),
        ];
    }

    public function sizing(Piece $piece, Part $part): ?Sizing
    {
        return $piece->fit->kind === FitKind::Hoop ? new Sizing('diameter', $piece->fit->mm, self::TOLERANCE_MM) : null;
    }

    public function along(PartPlan $part): array
    {
        return ['eye', 'beads', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return $part->profile->size($part->part->mm('diameter'));
    }

    public function courses(PartPlan $part): array
    {
        [$d, $diameter, $hook] = [$part->wireMm(), $part->part->mm('diameter'), $part->part->mm('hook')];
        $eye = new Together(new Corner(-90.0), new EyeShape($part->part->mm('eye'), $d));
        // Out a little and into the eye.
        $caught = new Together(new Corner(-self::HOOK_DEGREES), new Straight($hook));

        $locking = fn (): Handwork => $this->locking($part);
        $hoop = (new Stretch($part))
            ->loop($part->part->mm('eye'), $d, 'eye', 'eye', $eye)->bend('eye ends')
            ->by(fn (): Handwork => $this->turning($part), $locking)->anchored()
            ->worked(
                SegmentKind::Round,
                M_PI * $diameter,
                'round',
                'round',
                'π·diameter',
                'π × '.Figures::trim($diameter),
                beads: (new BoundBeads($part))->onWire(),
                shape: new Sheared(new Arc($diameter / 2, 2 * M_PI), $d),
            )->threading((new BoundBeads($part))->threaded(M_PI * $diameter))->bend('hook starts')
            ->by(fn (): Handwork => $this->rounding($part), ...(new BoundBeads($part))->stringing())
            ->given(SegmentKind::Straight, $hook, 'hook', 'hook', 'bent out a little, to catch in the eye', $caught)
            ->by(self::filing(...), $locking)
            ->course('Hoop', $part->part->wire, $part->times, Frame::right(0.0, $this->topMm($part)));

        return [$hoop, ...(new BoundBeads($part))->courses(
            fn (): Host => $hoop->host($part->mark('round')), M_PI * $diameter,
        )];
    }

    /** How low the middle of its wire is at its top. */
    private function topMm(PartPlan $part): float
    {
        return $part->wireMm() / 2 + $part->part->mm('eye');
    }

    public function drillings(): array
    {
        return BoundBeads::drillings();
    }

    private static function filing(): Handwork
    {
        return new Handwork(
            Moment::work('eye'), 'Round the ear end',
            'File the end that goes through the ear until it is smooth and round to the fingertip.', Operation::File,
            'needle file', cautions: [Caution::Filing, Caution::Piercing], turn: -1,
        );
    }

    private function turning(PartPlan $part): Handwork
    {
        $eye = Forming::loop($part->wire, $part->part->mm('eye'), $part->profile);

        return new Handwork(
            Moment::work('eye'), 'Turn the eye', 'At the other end roll a small eye round '
                .$eye->where('mark of the round-nose pliers', $part->profile).'.'.$eye->opens($part->profile),
            Operation::Eye, 'round-nose pliers',
        );
    }

    private function rounding(PartPlan $part): Handwork
    {
        $round = Forming::arch($part->wire, $part->part->mm('diameter') - $part->wireMm(), $part->profile);

        return new Handwork(
            Moment::work('eye'), 'Bend it round', 'Bend the rest round '.$round->where('mandrel', $part->profile)
                .', the eye in the plane of the hoop.'.$round->opens($part->profile), Operation::Bend, 'mandrel',
        );
    }

    private function locking(PartPlan $part): Handwork
    {
        return new Handwork(
            Moment::work('eye'), 'Try the lock', 'Bend the last '.$part->profile->length($part->part->mm('hook'))
                .' out a little and hook it into the eye: it must hold by itself before any bead goes on.',
            Operation::Try, 'chain-nose pliers', turn: 1,
        );
    }

    public function checks(PartPlan $part): array
    {
        $beads = new BoundBeads($part);
        $checks = [...$beads->checks(), ...array_filter([$beads->fits(
            'hoop', M_PI * $part->part->mm('diameter'),
            new Way(
                'Make the hoop larger',
                new SetSetting($part->part->id, 'diameter', ceil($beads->coveredMm() / M_PI + 1).' mm'),
            ),
        )])];
        // The hook goes through the eye and must catch behind it, in line with it.
        [$d, $eye, $hook] = [$part->wireMm(), $part->part->mm('eye'), $part->part->mm('hook')];
        if ($eye < $d + self::LOCK_MM) {
            $checks[] = new Check(
                Level::Stop, 'lock',
                'The hook of '.Figures::mm($d).' wire does not pass the eye, '.$part->profile->size($eye).' inside.',
                $part->part->id, [
                    new Way(
                        'Turn a larger eye',
                        new SetSetting(
                            $part->part->id, 'eye', Figures::trim(ceil(10 * ($d + 2 * self::LOCK_MM)) / 10, 1).' mm',
                        ),
                    ),
                ],
            );
        } elseif ($hook < $eye + 2 * $d) {
            $checks[] = new Check(
                Level::Warn, 'lock',
                'A hook of '.$part->profile->size($hook).' hardly catches behind an eye '
                    .$part->profile->size($eye + 2 * $d).' across: the hoop opens by itself.',
                $part->part->id, [
                    new Way(
                        'A longer hook',
                        new SetSetting($part->part->id, 'hook', ceil($eye + 3 * $d).' mm'),
                    ),
                ],
            );
        } else {
            $checks[] = new Check(
                Level::Ok,
                'lock',
                'Hook and eye stand in line, and the hook catches behind the eye.',
                $part->part->id,
            );
        }
        if ($part->part->choice('beads_sit') === 'strung') {
            // What stops at the eye stops all behind it.
            foreach (array_slice($part->strung, 0, 1) as $strung) {
                if ($part->part->mm('eye') + 2 * $part->wireMm() <= $strung->bead->holeMm) {
                    $checks[] = new Check(
                        Level::Warn, 'eye',
                        'The eye is narrower than the hole of the '.$strung->bead->words().', which slips over it.',
                        $part->part->id, [
                            new Way(
                                'Turn a larger eye',
                                new SetSetting($part->part->id, 'eye', round($strung->bead->holeMm + 0.3, 1).' mm'),
                            ),
                        ],
                    );
                }
            }
        }

        return $checks;
    }

    public function hung(PartPlan $part): array
    {
        $below = $this->topMm($part) + $part->part->mm('diameter') - $part->wireMm() / 2;

        return ['bottom' => new Placement($below, false)];
    }
}
