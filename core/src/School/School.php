<?php

declare(strict_types=1);

namespace Hebra\Core\School;

use Hebra\Core\Quantity\Unreadable;

/**
 * Where makers differ, and both are right [common practice]. Each choice is explained in two lines and changes what is
 * planned: defaults, steps, cuts or corrections.
 */
enum School: string
{
    case Wraps = 'wraps';
    case Eye = 'eye';
    case EyeTrim = 'eye-trim';
    case Threading = 'threading';
    case RingOpening = 'ring-opening';
    case Straightening = 'straightening';
    case Hammering = 'hammering';
    case RingCutting = 'ring-cutting';
    case RingWinding = 'ring-winding';
    case RingMeasure = 'ring-measure';
    case Hand = 'hand';

    public function question(): string
    {
        return match ($this) {
            self::Wraps => 'How many wraps close a loop?',
            self::Eye => 'How do you turn a plain eye?',
            self::EyeTrim => 'When is a plain eye trimmed?',
            self::Threading => 'How do beads go on?',
            self::RingOpening => 'How do you open and close a ring or an eye?',
            self::Straightening => 'How do you straighten wire?',
            self::Hammering => 'When do you hammer an ear wire?',
            self::RingCutting => 'How do you cut jump rings apart?',
            self::RingWinding => 'What do you wind jump rings on?',
            self::RingMeasure => 'What do you measure a finger with?',
            self::Hand => 'Which hand leads?',
        };
    }

    /**
     * @return non-empty-array<string, array{string, string}> choice => its words, and why; the first is what stands
     *     until another is chosen
     */
    public function choices(): array
    {
        return match ($this) {
            self::Wraps => [
                'by-part' => [
                    'Three on a link, two on a drop',
                    'A link is pulled from both ends and takes one wrap more. New parts begin with it.',
                ],
                'two' => [
                    'Two', 'Neat and quick in heavier wire; two turns hold a loop shut. New parts begin with two.',
                ],
                'three' => [
                    'Three',
                    'The usual look in 22 to 24 AWG, and a little to spare if one springs. New parts begin with three.',
                ],
                'fill' => [
                    'Fill the neck',
                    'A neck of about 2.5 mm whatever the wire, wrapped from loop to bead. Thin wire takes more turns.',
                ],
            ],
            self::Eye => [
                'right-angle' => [
                    'Bend square first, then roll',
                    'The bend marks where the eye begins, so that every one comes out alike. It takes one more move.',
                ],
                'roll' => [
                    'Roll from the tip',
                    'One move from the end of the wire. The eye sits to one side until it is nudged.',
                ],
                'roll-kick' => [
                    'Roll, then kick back',
                    'Rolled from the tip, then bent back at its foot, so that it stands over the middle of the wire.',
                ],
            ],
            self::EyeTrim => [
                'trim-first' => [
                    'Trim, then turn',
                    'The end is cut to the length of the eye before it is turned: nothing is left over.',
                ],
                'turn-first' => [
                    'Turn, then trim',
                    'There is wire to hold while turning, about 6 mm, which is cut off and goes to the scrap jar.',
                ],
                'looping-pliers' => ['Looping pliers do both',
                    'One squeeze trims the wire and turns the eye beside the bead. Its size is the tool’s; about 6 '
                        .'mm are cut off.'],
            ],
            self::Threading => [
                'all-first' => ['All beads first', 'The order is seen whole before anything is bent.'],
                'one-by-one' => [
                    'One at a time',
                    'Each bead is pushed home before the next: tight holes are found early, and nothing rolls off.',
                ],
            ],
            self::RingOpening => [
                'two-pliers' => ['Two pliers', 'Flat jaws on both sides of the gap; the ends meet square and click.'],
                'one-and-fingers' => [
                    'One pair and fingers',
                    'Quicker in thin wire; hold the ring flat so that it does not twist out of round.',
                ],
            ],
            self::Straightening => [
                'fingers' => [
                    'Through the fingers',
                    'Gentlest: adds least hardness, about 0.1 number a pass. Enough for soft wire.',
                ],
                'jaws' => [
                    'Smooth jaws',
                    'Straighter in fewer passes, about 0.2 number each. Nylon or smooth jaws leave no marks.',
                ],
                'rollers' => ['Rollers', 'Dead straight lengths for pins and links, about 0.3 number a pass.'],
            ],
            self::Hammering => [
                'never' => [
                    'Never',
                    'The temper of the coil has to hold the shape: choose half hard for what goes through an ear.',
                ],
                'finish' => [
                    'At the finish', 'A few light taps on the arch once it is bent: it stiffens, and barely shows.',
                ],
                'ends' => [
                    'Ends only',
                    'The back leg is flattened a little at its end, for looks; the arch keeps the temper of the coil.',
                ],
                'before-and-after' => ['Before and after forming', 'Straight wire is stiffened first, the arch again '
                    .'when it is bent. Strongest, and most easily overdone.'],
            ],
            self::RingCutting => [
                'cutter' => ['With a flush cutter', 'Nothing is lost, but every ring is trimmed on its rough end; the '
                    .'flush side is kept to the same hand.'],
                'saw' => ['With a saw', 'Both ends meet square. The blade takes about 0.3 mm of each ring, so that it '
                    .'closes a little smaller.'],
            ],
            self::RingWinding => [
                'rod' => ['A rod, by hand', 'Wire is used from its very end. The rod is held with the first turn.'],
                'winder' => [
                    'A winder',
                    'Faster, and closer turns; what its chuck grips is lost at each start, as your tools say.',
                ],
            ],
            self::RingMeasure => [
                'mandrel' => ['A mandrel', 'The mark read off a ring that fits. Taken as it is.'],
                'sizer' => ['A sizer', 'A hoop of known size slid over the knuckle. Taken as it is.'],
                'string' => ['A string', 'Runs large, by about 4 mm of circumference: that much is taken off.'],
            ],
            self::Hand => [
                'right' => [
                    'Right', 'Pictures at the bench and the words for hands are as a right-handed maker sees them.',
                ],
                'left' => [
                    'Left', 'Pictures at the bench and the words for hands are mirrored; the piece itself never is.',
                ],
            ],
        };
    }

    /** @return array{string, string} what is said before and after the choice */
    public function sentence(): array
    {
        return match ($this) {
            self::Wraps => ['A link closes with', '.'],
            self::Eye => ['A plain eye is', ','],
            self::EyeTrim => ['and trimmed', '.'],
            self::Threading => ['Beads go on', '.'],
            self::RingOpening => ['Rings and eyes open with', '.'],
            self::Straightening => ['Wire is straightened', '.'],
            self::Hammering => ['Ear wires are hammered', '.'],
            self::RingCutting => ['Jump rings are cut', ','],
            self::RingWinding => ['and wound on', '.'],
            self::RingMeasure => ['A finger is measured with', '.'],
            self::Hand => ['At the bench the', 'hand leads.'],
        };
    }

    /**
     * A choice as it stands in that sentence.
     *
     * @throws Unreadable if it is none
     */
    public function said(string $choice): string
    {
        $said = match ($this) {
            self::Wraps => [
                'by-part' => 'three wraps, a drop with two', 'two' => 'two wraps', 'three' => 'three wraps',
                'fill' => 'as many wraps as fill its neck',
            ],
            self::Eye => [
                'right-angle' => 'bent square first, then rolled', 'roll' => 'rolled from the tip',
                'roll-kick' => 'rolled, then kicked back',
            ],
            self::EyeTrim => [
                'trim-first' => 'before it is turned', 'turn-first' => 'after it is turned',
                'looping-pliers' => 'as it is turned, by looping pliers',
            ],
            self::Threading => [
                'all-first' => 'all at once, before anything is bent',
                'one-by-one' => 'one at a time, each pushed home',
            ],
            self::RingOpening => ['two-pliers' => 'two pliers', 'one-and-fingers' => 'one pair and fingers'],
            self::Straightening => [
                'fingers' => 'through the fingers', 'jaws' => 'in smooth jaws', 'rollers' => 'by rollers',
            ],
            self::Hammering => [
                'never' => 'never', 'finish' => 'at the finish', 'ends' => 'at their ends only',
                'before-and-after' => 'before and after forming',
            ],
            self::RingCutting => ['cutter' => 'with a flush cutter', 'saw' => 'with a saw'],
            self::RingWinding => ['rod' => 'a rod, by hand', 'winder' => 'a winder'],
            self::RingMeasure => ['mandrel' => 'a mandrel', 'sizer' => 'a sizer', 'string' => 'a string'],
            self::Hand => ['right' => 'right', 'left' => 'left'],
        };

        return $said[$choice] ?? throw Unreadable::choice($this->value, $choice, array_keys($said));
    }

    public function usual(): string
    {
        return array_key_first($this->choices());
    }
}
