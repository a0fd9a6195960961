<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Straight;
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
use Hebra\Core\Plan\Eye;
use Hebra\Core\Plan\EyeKind;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\ReadyMade;
use Hebra\Core\Plan\Technique;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\Wire;

/**
 * A piece of ball chain, by its balls: hollow balls on rods, n balls a pitch apart. The rod between two is cut, and no
 * ball is lost; a connector at either end takes the last ball in and carries a ring. It can be unsnapped, so that what
 * slides on the chain goes on whole. Millimetres. Common practice; how heavy hollow balls are: from memory.
 */
final class BallChain implements Technique
{
    use LiesAsTold, Usual {
        LiesAsTold::settled insteadof Usual;
    }

    /** So many balls are told one by one. */
    private const COUNTED = 60;

    /** Of a full ball’s metal [memory]. */
    private const HOLLOW = 0.35;

    /** How far a connector reaches over the last ball, in balls. */
    private const CONNECTOR = 2.2;

    /** Long enough to be drawn at all, mm. */
    private const DOT_MM = 0.02;

    /** How thick the rod is, of a ball. */
    private const ROD = 0.3;

    /** What hangs about it slides: anything that reaches round a ball. */
    private const ROOM_MM = 100.0;

    public function name(): string
    {
        return 'ball-chain';
    }

    public function label(): string
    {
        return 'ball chain';
    }

    public function role(): string
    {
        return 'ball-chain';
    }

    public function family(): Family
    {
        return Family::Chain;
    }

    public function usualWire(): Wire
    {
        return self::awg(22, Temper::HalfHard);
    }

    public function heft(Part $part): int
    {
        return 2 * $part->count('balls');
    }

    public function parameters(): array
    {
        return [
            Parameter::countOrLength('balls', 'balls', 40, 1, 1000, 'pitch'),
            Parameter::length('ball', 'ball', 2.4, 0.8, 12.0),
            Parameter::length('pitch', 'from ball to ball', 3.3, 0.9, 20.0),
            Parameter::length('inside', 'rings of the connectors, inside', 2.5, 1.0, 12.0),
        ];
    }

    public function isBought(Part $part): bool
    {
        return true;
    }

    private function end(PartPlan $part): EndCap
    {
        return new EndCap(
            $part, $part->part->mm('inside'), self::CONNECTOR * $part->part->mm('ball'), 'connector’s ring',
        );
    }

    /** Between the connectors: what they take in of the first and the last ball is theirs. */
    private function betweenMm(Part $part): float
    {
        return ($part->count('balls') + 1) * $part->mm('pitch');
    }

    public function eyes(PartPlan $part, string $instance): array
    {
        $end = $this->end($part);
        $about = [];
        foreach ($this->about($part->part) as $name => [, $words]) {
            $about[$name] = new Eye(
                "{$instance}/{$name}", EyeKind::Closed, self::ROOM_MM, $part->part->mm('ball'), "ball chain {$words}",
                $part->mark('balls'),
            );
        }

        return [
            'top' => $end->eye($instance, 'top', EyeKind::Closed), ...$about,
            'bottom' => $end->eye($instance, 'bottom', EyeKind::Closed),
        ];
    }

    /**
     * @return array<string, array{float, string}> where something can hang about it: after how many pitches, in words
     */
    private function about(Part $part): array
    {
        $balls = $part->count('balls');
        $about = ['middle' => [($balls + 1) / 2, 'in its middle']];
        for ($ball = 1; $ball < $balls && $balls <= self::COUNTED; $ball++) {
            $about["after-{$ball}"] = [$ball + 0.5, "after ball {$ball}"];
        }

        return $about;
    }

    public function along(PartPlan $part): array
    {
        return ['top', 'bottom'];
    }

    public function inShort(PartPlan $part): string
    {
        return Figures::counted($part->part->count('balls'), 'ball');
    }

    public function hung(PartPlan $part): array
    {
        $end = $this->end($part);
        $hung = ['bottom' => new Placement($end->hangsMm($this->betweenMm($part->part)), false)];
        foreach ($this->about($part->part) as $name => [$pitches]) {
            $hung[$name] = new Placement(
                $end->beginsMm() + $pitches * $part->part->mm('pitch') + $this->rodMm($part->part) / 2, false,
            );
        }

        return $hung;
    }

    private function rodMm(Part $part): float
    {
        return self::ROD * $part->mm('ball');
    }

    public function courses(PartPlan $part): array
    {
        $end = $this->end($part);
        [$ball, $between] = [$part->part->mm('ball'), $this->betweenMm($part->part)];
        $cap = fn (string $name, float $atMm): Course => (new Stretch($part))->move($end->cap($name, $ball))
            ->by(self::snapping(...))->course('Connector', $part->part->wire, $part->times, Frame::down($atMm));

        return [
            $this->chain($part)->course('Ball chain', $part->part->wire, $part->times, Frame::down($end->beginsMm())),
            $cap('top', $end->beginsMm() - $end->capMm), $cap('bottom', $end->beginsMm() + $between),
            ...$end->rings($between),
        ];
    }

    private function chain(PartPlan $part): Stretch
    {
        [$ball, $pitch, $rod] = [$part->part->mm('ball'), $part->part->mm('pitch'), $this->rodMm($part->part)];
        $told = fn (string $mark, float $mm): Segment => Segment::given(
            SegmentKind::Straight, $mm, $mark, $part->mark($mark), 'it is bought', 'the maker’s',
        );
        // A ball lies about the rod, which goes on in it.
        $dot = (new Move($told('balls', 0.0), new Straight(self::DOT_MM), wideMm: $ball, isRounded: true))
            ->by(fn (): Handwork => self::cutting($part));
        $rods = fn (float $mm): Move => new Move($told('rods', $mm), new Straight($mm), wideMm: $rod);
        $chain = (new Stretch($part))->move($rods($pitch));
        for ($count = 1; $count <= $part->part->count('balls'); $count++) {
            $chain->move($dot)->move($rods($pitch - self::DOT_MM));
        }

        return $chain;
    }

    public function readyMade(PartPlan $part): array
    {
        $one = $part->part;
        $balls = $one->count('balls') + 2;
        $words = 'ball chain, '.Figures::mm($one->mm('ball')).' balls, '.$part->wire->metal->words();
        $each = self::HOLLOW * M_PI / 6 * $one->mm('ball') ** 3 / 1000 * $part->wire->metal->gramsPerCubicCentimetre();
        $takes = $balls * $one->mm('pitch');

        return [
            new ReadyMade(
                $words.': '.Figures::counted($balls, 'ball').' ('.$part->profile->length($takes).')', 1, $balls * $each,
                $words, $takes,
            ),
            new ReadyMade(
                'connector for '.Figures::mm($one->mm('ball')).' ball chain, '.$part->wire->metal->words(), 2,
                2 * $each,
            ),
        ];
    }

    private static function cutting(PartPlan $part): Handwork
    {
        $balls = $part->part->count('balls') + 2;

        return new Handwork(
            Moment::form('top'), 'Cut the ball chain', "Count {$balls} balls, one of them for each connector, and cut "
                .'the rod after the last: no ball is lost.', Operation::Cut, 'flush cutter', $balls, 'balls',
            [Caution::CutEnds],
        );
    }

    private static function snapping(): Handwork
    {
        return new Handwork(
            Moment::form('top'), 'Snap on the connectors', 'Put on what is to slide on it, then lay the last ball of '
                .'either end into its connector, press it until it snaps, and pull to test it.', Operation::Crimp,
            'fingers', 2, 'connectors',
        );
    }

    public function checks(PartPlan $part): array
    {
        [$ball, $pitch, $id] = [$part->part->mm('ball'), $part->part->mm('pitch'), $part->part->id];
        if ($pitch <= $ball) {
            return [new Check(
                Level::Stop, 'balls', 'Balls of '.$part->profile->size($ball).' cannot stand '
                    .$part->profile->size($pitch).' apart: they would lie in each other.', $id,
                [new Way('As they are made', new SetSetting($id, 'pitch', Figures::trim(1.4 * $ball, 1).' mm'))],
            )];
        }

        return [new Check(
            Level::Ok, 'chain', Figures::counted($part->part->count('balls'), 'ball').' between the connectors hang '
                .$part->profile->length($this->betweenMm($part->part)).'; each connector takes one more.', $id,
        )];
    }
}
