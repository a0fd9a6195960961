<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Crimped;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Groups;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Bulb;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Shape\Taken;
use Hebra\Core\Course\Spacings;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Figure\Placement;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;
use Hebra\Core\Wire\WireSize;
use Hebra\Core\Working;

/**
 * Beads strung on beading wire, each end turned back through a crimp: cut = beads + gaps + two turn-backs. Spaced, each
 * run of beads floats between two crimps of its own. The loop of a crimp is closed for good once it is pressed.
 * Millimetres. Common practice: 25 mm turned back; a crimp passes both strands.
 */
final class Strand implements Technique
{
    use LiesAsTold, Usual {
        LiesAsTold::settled insteadof Usual;
    }

    public function name(): string
    {
        return 'strand';
    }

    public function label(): string
    {
        return 'strand';
    }

    public function role(): string
    {
        return 'strand';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return new Wire(Metal::Stainless, WireSize::millimetres(0.4), Temper::DeadSoft);
    }

    public function parameters(): array
    {
        return [
            Parameter::length('inside', 'loops, inside', 3.0, 0.5, 20.0),
            Parameter::length('slack', 'slack, so that it flexes', 2.0, 0.0, 50.0),
            Parameter::length('turn_back', 'turned back, each end', 25.0, 5.0, 200.0),
            Parameter::choice(
                'set',
                'beads stand',
                'close',
                ['close' => 'close together', 'spaced' => 'in groups with gaps between'],
            ),
            Parameter::choice(
                'thread', 'thread', 'single', ['single' => 'single', 'doubled' => 'doubled, folded at its middle'],
            ),
            Parameter::text('groups', 'beads in each group', '', Groups::read(...)),
            Parameter::length('gap', 'gap beside each group', 20.0, 1.0, 300.0),
            Parameter::text('gaps', 'gaps, where they differ', '', Spacings::read(...)),
            Parameter::choice('crimps', 'crimps at the ends', 'bare', ['bare' => 'bare', 'covered' => 'under covers']),
        ];
    }

    public function takesBeads(): bool
    {
        return true;
    }

    public function usualBeads(): int
    {
        return 12;
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $eye = fn (string $name): Eye => new Eye(
            "{$instance}/{$name}", EyeKind::Permanent, $part->part->mm('inside'), $part->wireMm(),
            "strand’s {$name} loop", $part->mark($name.'-loop'), shut: Eye::CRIMPED,
        );

        return ['top' => $eye('top'), 'bottom' => $eye('bottom')];
    }

    public function isStrung(): bool
    {
        return true;
    }

    public function along(PartPlan $part): array
    {
        return ['top', 'thread', 'bottom'];
    }

    /** Length of a crimp, and what one and its cover weigh [memory]. */
    private const CRIMP_MM = 1.5;

    /** How wide a crimp is seen that holds one wire, one at an end, and a cover. */
    private const WIDE_MM = 1.9;

    private const END_WIDE_MM = 2.2;

    /** How wide it is before it is pressed. */
    private const ROUND_MM = 1.5;

    private const COVER_WIDE_MM = 3.0;

    private const CRIMP_G = 0.02;

    private const COVER_G = 0.05;

    public function shows(string $key, Part $part): bool
    {
        return match ($key) {
            'gap', 'gaps', 'groups' => $this->isSpaced($part),
            'slack', 'thread' => ! $this->isSpaced($part),
            default => true,
        };
    }

    private function isSpaced(Part $part): bool
    {
        return $part->choice('set') === 'spaced';
    }

    private function isDoubled(Part $part): bool
    {
        return ! $this->isSpaced($part) && $part->choice('thread') === 'doubled';
    }

    /**
     * Both the wire and its end, turned back, go through the beads next to the ends; doubled, both ends at the last.
     */
    public function through(PartPlan $part, int $run): array
    {
        if ($this->isDoubled($part->part)) {
            return array_fill(0, $run === count($part->strung) - 1 ? 4 : 2, $part->part->wire);
        }
        $isEnd = ! $this->isSpaced($part->part) && ($run === 0 || $run === count($part->strung) - 1);

        return array_fill(0, $isEnd ? 2 : 1, $part->part->wire);
    }

    public function readyMade(PartPlan $part): array
    {
        $groups = $this->isSpaced($part->part) ? 2 * count($this->inGroups($part)) : 0;

        return [
            new ReadyMade('crimp, for '.Figures::mm($part->wireMm()).' wire', 2 + $groups, self::CRIMP_G),
            ...($part->part->choice('crimps') === 'covered' ? [new ReadyMade('crimp cover', 2, self::COVER_G)] : []),
        ];
    }

    /** @return list<non-empty-list<Strung>> */
    private function inGroups(PartPlan $part): array
    {
        return Groups::read($part->part->choice('groups'), 'groups')->of($part->strung);
    }

    /** The gap before a group, by its place; after the last, by their number. */
    private function gapMm(PartPlan $part, int $place): float
    {
        $gaps = Spacings::read($part->part->choice('gaps'), 'gaps');

        return $gaps->isEmpty() ? $part->part->mm('gap') : $gaps->at($place);
    }

    /** @param  list<Strung>  $beads */
    private static function groupMm(array $beads): float
    {
        return Stringing::lengthMm($beads) + 2 * self::CRIMP_MM;
    }

    /** From crimp to crimp: beads, or in groups between crimps with gaps before, between and after. */
    private function betweenMm(PartPlan $part): float
    {
        if (! $this->isSpaced($part->part) || $part->strung === []) {
            return $part->stackMm();
        }
        $groups = $this->inGroups($part);
        $mm = $this->gapMm($part, count($groups));
        foreach ($groups as $at => $beads) {
            $mm += $this->gapMm($part, $at) + self::groupMm($beads);
        }

        return $mm;
    }

    public function courses(PartPlan $part): array
    {
        $turned = fn (string $place, string $why, float $neckMm): Move => $this->atTheEnd($part, $place, new Move(
            Segment::given(
                SegmentKind::Tail, $part->part->mm('turn_back'), 'turned back', $part->mark("{$place}-loop"), $why,
                $part->sourceOf($part->part->mm('turn_back')),
            ),
            new Bulb($part->part->mm('inside'), $part->wireMm(), $part->part->mm('turn_back'), $neckMm),
            staysSeen: true,
        ));
        $stretch = (new Stretch($part))->move(
            $turned('top', 'through the crimp and the first beads', $part->wireMm())
        )->anchored();
        $stretch->move($this->crimp($part, 'top'));
        if ($this->isSpaced($part->part)) {
            $this->groups($part, $stretch);
        } else {
            $stretch->move($this->seat($part));
            $stretch->given(
                SegmentKind::Straight, $part->part->mm('slack'), 'slack', 'seat', 'so that it flexes', new Taken,
            );
            $this->secondRun($part, $stretch);
        }
        $stretch->move($this->crimp($part, 'bottom'))
            ->move($turned('bottom', 'through the crimp and the last beads', 0.0));

        return [$stretch->course('Strand', $part->part->wire, $part->times, Frame::down($this->crimpMm($part)))];
    }

    /** A doubled thread goes through all its beads again, and round the loop it is folded at. */
    private function secondRun(PartPlan $part, Stretch $stretch): void
    {
        if (! $this->isDoubled($part->part)) {
            return;
        }
        [$beads, $slack] = [$part->stackMm(), $part->part->mm('slack')];
        [$inside, $d] = [$part->part->mm('inside'), $part->wireMm()];
        $stretch->worked(
            SegmentKind::Straight, $beads + $slack + M_PI * ($inside + $d), 'second run', 'seat',
            'beads + slack + π(D + d)', Figures::trim($beads).' + '.Figures::trim($slack).' + π × ('
                .Figures::trim($inside).' + '.Figures::trim($d, 3).')',
            shape: new Taken,
        );
    }

    private function seat(PartPlan $part): Move
    {
        $mm = $part->stackMm();
        $words = Figures::counted($part->beadCount(), 'bead');
        $working = new Working($words, 'sum of bead lengths', Figures::trim($mm), $mm, 'mm', 'geometry');
        $segment = new Segment(SegmentKind::Seat, $mm, $words, $part->mark('seat'), $working);

        $told = Threading::fromTop($part)->move();
        $seat = new Move($segment->carrying($part->strung), new Straight($mm), $told->threaded());

        return $seat->by(...$told->handwork);
    }

    /** A crimp lies on the wire and takes none of its length. */
    private function crimp(PartPlan $part, string $end): Move
    {
        $isCovered = $part->part->choice('crimps') === 'covered';
        $mark = $part->mark("{$end}-crimp");

        return $this->atTheEnd($part, $end, new Move(
            Segment::given(SegmentKind::Straight, 0.0, 'crimp', $mark, 'on the wire', 'common practice'),
            new Straight(self::CRIMP_MM),
            wideMm: $isCovered ? self::COVER_WIDE_MM : self::END_WIDE_MM,
            isRounded: $isCovered, roundMm: self::ROUND_MM,
        ));
    }

    /** What lies at an end is turned back, and crimped. */
    private function atTheEnd(PartPlan $part, string $place, Move $move): Move
    {
        return $move->by(
            fn (): Handwork => $this->turningBack($part, $place), fn (): Handwork => $this->crimping($part, $place),
        );
    }

    private function groups(PartPlan $part, Stretch $stretch): void
    {
        $groups = $this->inGroups($part);
        foreach ($groups as $at => $beads) {
            $stretch->given(SegmentKind::Straight, $this->gapMm($part, $at), 'gap', 'gap', 'as set')
                ->bend('group '.($at + 1).' starts')
                ->worked(
                    SegmentKind::Seat,
                    self::groupMm($beads),
                    'group '.($at + 1),
                    'bead-'.$at,
                    'beads + two crimps',
                    Figures::trim(self::groupMm($beads) - 2 * self::CRIMP_MM).' + 2 × '.self::CRIMP_MM,
                    beads: $beads,
                    shape: new Straight(self::groupMm($beads)),
                )
                ->threading($this->held($part, $at, $beads))
                ->by(fn (): Handwork => $this->grouping($part, $at, $beads))
                ->bend('group '.($at + 1).' ends');
        }
        $stretch->given(SegmentKind::Straight, $this->gapMm($part, count($groups)), 'gap', 'gap', 'as set');
    }

    /**
     * Between a crimp on either side.
     *
     * @param  list<Strung>  $beads
     * @return list<Threaded>
     */
    private function held(PartPlan $part, int $group, array $beads): array
    {
        return array_map(
            fn (int $at, Strung $strung): Threaded => new Threaded(
                $strung->bead, $strung->count, $part->mark('bead-'.$group),
                held: new Crimped(
                    self::CRIMP_MM, self::WIDE_MM, $part->mark('crimp'), $at === 0, $at === count($beads) - 1,
                ),
            ),
            array_keys($beads), $beads,
        );
    }

    /** How low the first crimp begins. */
    private function crimpMm(PartPlan $part): float
    {
        return $part->part->mm('inside') + 2 * $part->wireMm();
    }

    private function turningBack(PartPlan $part, string $place): Handwork
    {
        $back = $part->profile->length($part->part->mm('turn_back'));
        [$title, $text] = match (true) {
            ! $this->isDoubled($part->part) => ['Turn the wire back',
                "Leave {$back} and turn it back to a loop, the crimp still open."],
            $place === 'top' => ['Fold the thread',
                'Fold it at its middle, both ends alike, and put a crimp over both.'],
            default => ['Turn both ends back',
                "Leave {$back} of each and turn them back to a loop, the crimp still open."],
        };

        return new Handwork(Moment::form($place), $title, $text, Operation::Bend, 'fingers');
    }

    private function crimping(PartPlan $part, string $place): Handwork
    {
        $inside = $part->profile->size($part->part->mm('inside'));
        if ($place === 'top' && $this->isDoubled($part->part)) {
            return self::pressing($place, 'Crimp the fold', "Slide the crimp up until a loop of {$inside} is left, "
                .'and press it hard. Pull to test it. The beads go over both ends together.');
        }
        $turned = $this->isDoubled($part->part) ? 'both ends' : 'the wire';
        $end = match (true) {
            $part->part->choice('crimps') === 'covered' => 'Cut the end close and close a cover over the crimp.',
            $this->isSpaced($part->part) => 'Cut the end close.',
            default => 'Hide the end back through the beads.',
        };

        return self::pressing($place, "Crimp the {$place} loop", "Slide a crimp on, turn {$turned} back through it "
            ."round a loop of {$inside}, and press it hard. Pull to test it. {$end}");
    }

    private static function pressing(string $place, string $title, string $text): Handwork
    {
        return new Handwork(Moment::close($place), $title, $text, Operation::Crimp, 'crimping pliers');
    }

    /**
     * Groups are measured crimp to crimp; a lone crimp is pressed harder and pulled.
     *
     * @param  list<Strung>  $beads
     */
    private function grouping(PartPlan $part, int $at, array $beads): Handwork
    {
        [$gap, $count] = [$part->profile->length($this->gapMm($part, $at)), Stringing::count($beads)];
        [$from, $them] = [$at === 0 ? 'end' : 'last', $count === 1 ? 'it' : 'them'];

        return new Handwork(
            Moment::thread(), 'Group '.($at + 1), "Measure {$gap} from the {$from} crimp and press a crimp there, "
                .'harder than one that holds two wires. Thread '.Stringing::words($beads).", push {$them} against the "
                .'crimp, press the next crimp behind, and pull to test both.', Operation::Thread,
            'crimping pliers, ruler', $count, 'beads', puts: true,
        );
    }

    public function hung(PartPlan $part): array
    {
        $crimped = 2 * self::CRIMP_MM + $this->betweenMm($part);
        $loop = $part->wireMm() + $part->part->mm('inside');

        return ['bottom' => new Placement($this->crimpMm($part) + $crimped + $loop, false)];
    }
}
