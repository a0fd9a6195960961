<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Bend\Hammered;
use Hebra\Core\Bend\Loop;
use Hebra\Core\Course\Course;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Move;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Arc;
use Hebra\Core\Course\Shape\Eye;
use Hebra\Core\Course\Shape\Kicked;
use Hebra\Core\Course\Shape\Lump;
use Hebra\Core\Course\Shape\Rolled;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Change\SetWire;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\Way;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wire\Hardness;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Working;
use Hebra\Core\Wrap\Spiral;

/**
 * What keeps the beads on a pin cut from wire: a tight eye, π(D + d); a flat spiral, N·π(D + N·d); a ball drawn in the
 * flame, 2b³/(3d²), as its metal stays; or a paddle hammered to half the wire’s thickness or as set, which may be
 * pierced: what
 * is left beside the hole must not tear. Millimetres. Source: geometry; half as much beside a hole as it is wide, and
 * half a millimetre, is common practice.
 */
final readonly class PinFoot
{
    /** Metals that draw to a ball in a torch [common practice]: coated wire loses its coat, others scale or slump. */
    private const BALLS = [
        Metal::FineSilver, Metal::Sterling, Metal::Silver935, Metal::Copper, Metal::Gold14k, Metal::Gold18k,
        Metal::Gold24k,
    ];

    /** A bought pin's head: how thick and how wide it is, in thicknesses of its wire [common practice]. */
    private const HEAD = 0.7;

    private const HEAD_WIDE = 2.6;

    /** How far what is drawn wide runs on, of its width. */
    private const RUNS_ON = 0.37;

    /** So much stands beside a hole at least. */
    private const LEAST_EDGE_MM = 0.5;

    public function __construct(private PartPlan $part)
    {
    }

    /** @return list<Parameter> */
    public static function parameters(): array
    {
        return [
            Parameter::choice(
                'stop',
                'stop at its foot',
                'eye',
                ['eye' => 'tight eye', 'spiral' => 'flat spiral', 'ball' => 'ball', 'paddle' => 'hammered paddle'],
            ),
            Parameter::length('foot', 'foot, inside', 0.8, 0.0, 10.0)->bentOn(ToolKind::LOOPS),
            Parameter::count('foot_turns', 'turns of the spiral', 2, 1, 12),
            Parameter::length('ball', 'ball', 1.8, 0.6, 6.0),
            Parameter::length('paddle', 'wire for the paddle', 4.0, 1.5, 25.0),
            Parameter::length('paddle_thick', 'hammered to; 0 for half its thickness', 0.0, 0.0, 3.0),
            Parameter::length('pierced', 'a hole in it; 0 for none', 0.0, 0.0, 8.0),
        ];
    }

    public static function shows(string $key, string $kind): bool
    {
        return match ($key) {
            'foot' => $kind === 'eye' || $kind === 'spiral',
            'foot_turns' => $kind === 'spiral',
            'ball', 'paddle' => $kind === $key,
            'paddle_thick', 'pierced' => $kind === 'paddle',
            default => true,
        };
    }

    /** A spiral or a paddle has a face. */
    public static function isFlat(string $kind): bool
    {
        return $kind === 'spiral' || $kind === 'paddle';
    }

    private function kind(): string
    {
        return $this->part->part->choice('stop');
    }

    private function insideMm(): float
    {
        return $this->part->part->mm('foot');
    }

    private function spiral(): Spiral
    {
        return new Spiral($this->part->wireMm(), $this->insideMm(), $this->part->part->count('foot_turns'));
    }

    /** The hole in a paddle; 0 where there is none. */
    public function piercedMm(): float
    {
        return $this->kind() === 'paddle' ? $this->part->part->mm('pierced') : 0.0;
    }

    /** How much metal stands on either side of the hole. */
    public function besideHoleMm(): float
    {
        return ($this->paddle()->widthMm() - $this->piercedMm()) / 2;
    }

    /** How far above its lower end the hole’s lower edge is. */
    private function belowHoleMm(): float
    {
        return max(self::LEAST_EDGE_MM, $this->besideHoleMm());
    }

    public function holeThickMm(): float
    {
        return $this->paddle()->thicknessMm;
    }

    /** What would tear: the hole is too wide, or too near the edge; null where it holds. */
    public function tear(): ?Check
    {
        [$hole, $beside, $profile] = [$this->piercedMm(), $this->besideHoleMm(), $this->part->profile];
        if ($hole === 0.0 || $beside >= max(self::LEAST_EDGE_MM, $hole / 2) - 1e-9) {
            return null;
        }
        $wide = $this->paddle()->widthMm();
        $fits = floor(20 * max(0.0, min($wide - 2 * self::LEAST_EDGE_MM, $wide / 2))) / 20;
        $ways = $fits < 0.5
            ? [new Way('No hole', new SetSetting($this->part->part->id, 'pierced', '0 mm'))]
            : [new Way(
                'A hole of '.$profile->size($fits), new SetSetting($this->part->part->id, 'pierced', "{$fits} mm"),
            )];
        $left = $beside <= 0.0
            ? 'nothing of the paddle, '.$profile->size($wide).' wide'
            : 'only '.$profile->size($beside).' of the paddle on either side';

        return new Check(
            $beside < self::LEAST_EDGE_MM / 2 ? Level::Stop : Level::Warn, 'pierced',
            'A hole of '.$profile->size($hole)." leaves {$left}: it tears out. Thicker wire, or a smaller hole.",
            $this->part->part->id, $ways,
        );
    }

    private function paddle(): Hammered
    {
        [$wire, $thick] = [$this->part->wireMm(), $this->part->part->mm('paddle_thick')];

        return Hammered::of($wire, $thick > 0.0 ? min($thick, $wire) : $wire / 2);
    }

    private function segment(): Segment
    {
        $d = $this->part->wireMm();
        $mark = $this->part->mark('foot');
        $worked = fn (float $mm, string $words, string $rule, string $numbers): Segment => new Segment(
            SegmentKind::Foot,
            $mm,
            $words,
            $mark,
            new Working($words, $rule, $numbers, $mm, 'mm', 'geometry'),
        );

        return match ($this->kind()) {
            'spiral' => $worked(
                $this->spiral()->wireLengthMm(),
                'spiral',
                'N·π(D + N·d)',
                Figures::trim($this->spiral()->turns).' × π × ('.Figures::trim($this->insideMm()).' + '
                    .Figures::trim($this->spiral()->turns).' × '.Figures::trim($d, 3).')',
            ),
            'ball' => $worked(
                2 * $this->part->part->mm('ball') ** 3 / (3 * $d ** 2),
                'ball',
                '2b³/(3d²)',
                '2 × '.Figures::trim($this->part->part->mm('ball')).'³/(3 × '.Figures::trim($d, 3).'²)',
            ),
            'paddle' => Segment::given(
                SegmentKind::Foot, $this->part->part->mm('paddle'), 'paddle', $mark, 'hammered flat',
                'your setting',
            ),
            default => new Segment(
                SegmentKind::Foot,
                Loop::lengthMm($this->insideMm(), $d),
                'foot',
                $mark,
                Loop::working('foot', $this->insideMm(), $d),
            ),
        };
    }

    /** How wide it stands against a hole. */
    public function widthMm(): float
    {
        return match ($this->kind()) {
            'spiral' => $this->spiral()->widthMm(),
            'ball' => $this->part->part->mm('ball'),
            'paddle' => $this->paddle()->widthMm(),
            default => $this->insideMm() + 2 * $this->part->wireMm(),
        };
    }

    /**
     * @return array{string, float}|null what makes it wide enough to hold back a hole: a setting and its millimetres;
     *     null where none does
     */
    public function widened(float $holeMm): ?array
    {
        return match ($this->kind()) {
            'ball' => ['ball', round($holeMm + 0.4, 1)],
            'paddle' => null,
            default => ['foot', round($holeMm + 0.5, 1)],
        };
    }

    private function handwork(): Handwork
    {
        $profile = $this->part->profile;
        $must = ' It must not pass the first bead’s hole.';
        [$title, $text, $tool, $cautions] = match ($this->kind()) {
            'spiral' => [
                'Wind the foot',
                'Turn a tight eye at one end and wind the wire round it, flat, '
                    .Figures::counted($this->part->part->count('foot_turns'), 'turn')
                    .' in all, then kick the stem back over its middle.',
                'round-nose pliers, smooth-jaw pliers', [],
            ],
            'ball' => [
                'Draw the ball',
                'Hold the wire upright in tweezers and bring its lower end into the hottest part of the flame until a '
                    .'ball of '.$profile->size($this->part->part->mm('ball')).' runs up. Let it cool, then clean it.',
                'torch, tweezers, fire brick', [Caution::Flame],
            ],
            'paddle' => [
                'Hammer the foot'.($this->piercedMm() > 0 ? ' and pierce it' : ''),
                'Hammer the last '.$profile->length($this->part->part->mm('paddle')).' flat to about '
                    .$profile->size($this->paddle()->thicknessMm).', '.$profile->size($this->paddle()->widthMm())
                    .' wide, and file its edge smooth.'.$this->pierceText(),
                'hammer, bench block, needle file'
                    .($this->piercedMm() > 0 ? ', centre punch, drill or punching pliers' : ''),
                [Caution::Hammering, Caution::Filing],
            ],
            default => [
                'Turn the foot',
                'At one end turn a tight eye of '.$profile->size($this->insideMm())
                    .' inside at the very tip of the round-nose pliers.',
                'round-nose pliers',
                [],
            ],
        };

        return new Handwork(
            Moment::thread(), $title, $text.$must, $this->operation(), $tool, cautions: $cautions,
        );
    }

    private function pierceText(): string
    {
        $profile = $this->part->profile;

        return $this->piercedMm() === 0.0
            ? ''
            : ' Mark the middle of it '.$profile->size($this->belowHoleMm() + $this->piercedMm() / 2)
                .' from its end, dimple it, drill or punch '.$profile->size($this->piercedMm())
                .', and take the burr off both sides.';
    }

    private function operation(): Operation
    {
        return match ($this->kind()) {
            'spiral' => Operation::Spiral,
            'ball' => Operation::Flame,
            'paddle' => Operation::Hammer,
            default => Operation::Eye,
        };
    }

    /** Half as thick it is hammered: harder wire than bears that cracks. */
    public function crack(): ?Check
    {
        $wire = $this->part->wire;
        $thinnest = Hardness::of($wire->temper)->thinnestMm($wire->metal, $wire->diameterMm());
        if ($this->kind() !== 'paddle' || $thinnest <= $this->paddle()->thicknessMm) {
            return null;
        }

        return new Check(
            Level::Stop, 'hammering cracks',
            ucfirst($wire->words()).' cracks when its end is hammered to '.Figures::mm($this->paddle()->thicknessMm)
                .': it bears '.Figures::mm($thinnest).' before it must be annealed.',
            $this->part->part->id, [
                new Way(
                    'Start dead soft',
                    new SetWire($this->part->part->wire, temper: Temper::DeadSoft),
                ),
                new Way(
                    'A flat spiral for a foot',
                    new SetSetting($this->part->part->id, 'stop', 'spiral'),
                ),
            ],
        );
    }

    /** The reason why this wire makes no such foot, or null. */
    public function objection(): ?string
    {
        return $this->kind() === 'ball' && ! in_array($this->part->wire->metal, self::BALLS, true)
            ? ucfirst($this->part->wire->metal->words()).' does not draw to a clean ball in a flame.'
            : null;
    }

    /** Below the beads; its plane turned about the wire, degrees. */
    public function move(float $rolls): Move
    {
        return $this->shaped($rolls)->by($this->handwork(...));
    }

    private function shaped(float $rolls): Move
    {
        $d = $this->part->wireMm();

        return match ($this->kind()) {
            'spiral' => new Move($this->segment(), new Rolled(new Kicked($this->spiral()), $rolls)),
            'ball' => $this->melted($this->part->part->mm('ball')),
            'paddle' => new Move(
                $this->segment(), new Straight($this->plainMm()), wideMm: $this->paddle()->widthMm(),
                isRounded: $this->piercedMm() === 0.0,
            ),
            default => new Move($this->segment(), new Rolled(new Eye($this->insideMm(), $d), $rolls)),
        };
    }

    private function paddleMm(): float
    {
        return $this->part->part->mm('paddle') * $this->paddle()->lengthening();
    }

    /** How long it is seen above the ring that stands about its hole. */
    private function plainMm(): float
    {
        return $this->piercedMm() === 0.0
            ? $this->paddleMm()
            : max(0.1, $this->holeMm() - $this->piercedMm() - self::RUNS_ON * $this->paddle()->widthMm());
    }

    /** What stands about its hole, which hangs so far down: seen as a ring, no wire of its own. */
    public function rim(float $fromMm, bool $isAcross): Course
    {
        [$hole, $beside] = [$this->piercedMm(), $this->besideHoleMm()];
        $none = Segment::given(
            SegmentKind::Straight, 0.0, 'hole', $this->part->mark('foot'), 'pierced, not bent', 'the maker’s',
        );
        $at = new Vector(0.0, $fromMm + $this->holeMm() - $hole - $beside / 2);
        $right = Frame::right(0.0, $at->y);

        return (new Stretch($this->part))
            ->move(new Move($none, Arc::turns($hole, $beside, 1.0), wideMm: $beside))
            ->course('Hole', $this->part->part->wire, $this->part->times, $isAcross
                ? new Frame($at, new Vector(0.0, 0.0, 1.0), $right->towards)
                : $right)
            ->onlyDrawn();
    }

    /** How far below the beads the hole’s lower edge is, from which things hang. */
    public function holeMm(): float
    {
        return $this->paddleMm() - $this->belowHoleMm();
    }

    private function melted(float $ballMm): Move
    {
        return new Move($this->segment(), new Lump($ballMm), wideMm: $ballMm, isRounded: true);
    }

    /** The head that a bought pin comes with: it takes none of its length. */
    public static function head(PartPlan $part): Move
    {
        $d = $part->wireMm();

        return new Move(
            Segment::ready('head', $part->mark('foot')), new Straight(self::HEAD * $d), wideMm: self::HEAD_WIDE * $d,
        );
    }
}
