<?php

declare(strict_types=1);

namespace Hebra\Core\Technique;

use Hebra\Core\Course\Move;
use Hebra\Core\Course\PinKind;
use Hebra\Core\Course\Segment;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Shape\Straight;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\PartPlan;
use Hebra\Core\Plan\PinFit;
use Hebra\Core\Plan\Way;

/**
 * A pin that is bought: its head or its eye comes with it and takes none of its length; beads, and a loop at its other
 * end, must find room on it, and what is over is trimmed. Millimetres. Common practice: a length of pin is that of its
 * shaft.
 */
final readonly class BoughtPin
{
    /** Stocked lengths in millimetres [common practice]. */
    public const STOCKED_MM = [25.0, 38.0, 50.0, 63.0, 76.0];

    /** A pin whose head or ball is cut off is so much wire. */
    private const HEADLESS = 'headless';

    public PinFit $fit;

    public function __construct(private PartPlan $part, private WrappedEnd $end, float $stackMm)
    {
        $this->fit = new PinFit($part->part->mm('pin_length'), $stackMm, $end->loop);
    }

    /** @return list<Parameter> */
    public static function parameters(PinKind $kind): array
    {
        $words = $kind->words();

        return [
            $kind === PinKind::Head
                ? Parameter::choice('source', $words, 'cut', ['cut' => 'cut from wire', 'bought' => 'bought'])
                : Parameter::choice('source', 'made of', 'cut', [
                    'cut' => 'wire', 'bought' => "a bought {$words}", self::HEADLESS => 'a head pin, its head cut off',
                ]),
            Parameter::length('pin_length', 'length of the bought pin', 50.0, 10.0, 150.0),
        ];
    }

    public static function is(Part $part): bool
    {
        return $part->choice('source') === 'bought';
    }

    public static function isHeadless(Part $part): bool
    {
        return $part->choice('source') === self::HEADLESS;
    }

    /**
     * What is left over of a pin whose head is cut off, as its last stretch; none where nothing is.
     *
     * @param  list<Move>  $moves  all that is made of it
     * @return list<Move>
     */
    public static function rest(PartPlan $part, array $moves): array
    {
        $rest = $part->part->mm('pin_length')
            - array_sum(array_map(fn (Move $move): float => $move->segment->lengthMm, $moves));

        return $rest <= 0.0 ? [] : [new Move(
            Segment::given(
                SegmentKind::Trim, $rest, 'trimmed', $part->mark('bottom-tail'), 'pin − all that is made of it',
                'common practice',
            ),
            new Straight($rest),
        )];
    }

    /** @return list<Move> from what it comes with: the beads, the loop, and what is trimmed */
    public function moves(Move $seat): array
    {
        $kept = array_filter($this->end->moves(false), fn (Move $move): bool => $move->segment->kind->stays());
        $trimmed = $this->fit->trimmedMm();
        if ($trimmed <= 0.0) {
            return [$seat, ...array_values($kept)];
        }
        $rest = new Move(
            Segment::given(
                SegmentKind::Trim, $trimmed, 'trimmed', $this->part->mark('top-tail'),
                'pin − beads − neck − loop − wraps', 'common practice',
            ),
            new Straight($trimmed),
        );

        return [
            $seat, ...array_values($kept),
            $this->end->isPlain() ? $rest : $rest->by($this->end->trimming(...)),
        ];
    }

    /** Whether it is long enough; if not, the shortest stocked one that is. */
    public function check(): Check
    {
        [$fit, $profile, $id] = [$this->fit, $this->part->profile, $this->part->part->id];
        if ($fit->fits()) {
            return new Check(
                Level::Ok, 'pin length',
                'The '.$profile->length($fit->pinMm).' pin is long enough; '.$profile->length($fit->trimmedMm())
                    .' is trimmed.', $id,
            );
        }
        $ways = [new Way('Cut the pin from wire', new SetSetting($id, 'source', 'cut'))];
        foreach (self::STOCKED_MM as $stocked) {
            if ($stocked >= $fit->neededMm()) {
                array_unshift($ways, new Way(
                    'Use '.$profile->length($stocked).' pins', new SetSetting($id, 'pin_length', $stocked.' mm'),
                ));
                break;
            }
        }

        return new Check(
            Level::Stop, 'pin length',
            'The '.$profile->length($fit->pinMm).' pin is '.$profile->length($fit->neededMm() - $fit->pinMm)
                .' too short: beads, neck, loop, wraps and what the pliers hold come to '
                .$profile->length($fit->neededMm()).'.',
            $id, $ways,
        );
    }
}
