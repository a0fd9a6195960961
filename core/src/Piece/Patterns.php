<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\School\Schools;
use Hebra\Core\Wire\Metal;

/** Where a new piece starts: complete from the first moment, to be changed. */
final class Patterns
{
    /** The beads that patterns draw on. */
    private const BEADS = [
        'moss' => '8mm round, hole 1, moss', 'sand' => '4mm bicone, hole 0.9, sand',
        'slate' => '8 x 13mm drop, hole 0.9, slate', 'sky' => '6mm bicone, hole 1, sky',
        'foam' => '4mm round, hole 1, milk', 'rust' => '8 x 5mm rondelle, hole 1.2, rust',
        'plum' => '6mm round, hole 1, plum', 'tide' => '18 x 18mm coin, hole 1.8, sea, ceramic',
        'mist' => '3mm round, hole 1, clear', 'rose' => '5 x 8mm oval, hole 1, rose',
        'ink' => '4 x 12mm tube, hole 1, ink',
        'lantern' => '8mm round, hole 2.6, sky', 'cinder' => '6 x 5mm rondelle, hole 2.6, rust',
        'pip' => '5mm round, hole 2.6, milk',
        'rose-bud' => '5mm round, hole 1, rose',
        'bell' => '7 x 11mm cone, hole 1.2, slate',
        'spring' => '3.29 x 7mm coil, hole 2, sand',
        'rung' => '18 x 7mm tile, three holes, hole 1.1, slate, metal',
        'glint' => '2 x 2.6mm cup, link 0.6, plum',
        'dusk' => '20 x 20mm coin, hole 1.8, plum, ceramic', 'reed' => '6 x 4mm rondelle, hole 1.6, amber',
        'orchard' => '14mm round, hole 2.6, moss', 'ember' => '16 x 22mm oval, hole 1.8, rust, ceramic',
        'lake' => '9mm round, hole 2.2, sky', 'berry' => '8mm round, hole 1.5, plum',
        'speck' => '4mm round, hole 1.2, milk',
        'rain' => '9 x 15mm drop, top-drilled, hole 0.9, sky',
        'shingle' => '13 x 4mm tile, two holes, hole 1.8, rust, ceramic',
        'slab' => '10 x 8mm tile, two holes, hole 1.1, sand, ceramic',
    ];

    /** @return array<string, Pattern> */
    public static function all(): array
    {
        $ear = ['ear-wire'];

        return [
            'single-drop' => new Pattern(
                'A single drop: beads on a head pin under an ear wire',
                Family::Earring,
                [$ear, ['head-pin', ['moss', 'sand']]],
            ),
            'post-drop' => new Pattern(
                'A drop under a post with a wound pad',
                Family::Earring,
                [['ear-wire', [], ['style' => 'post']], ['head-pin', ['sky', 'foam', 'mist']]],
            ),
            'spiral-drop' => new Pattern(
                'A drop that ends in a flat spiral',
                Family::Earring,
                [$ear, ['head-pin', ['plum', 'foam'], ['stop' => 'spiral', 'foot_turns' => 3]]],
            ),
            'bought-pins' => new Pattern(
                'A link on a bought eye pin, a drop on a bought head pin',
                Family::Earring,
                [
                    $ear, [
                        'plain-link', ['foam', 'rust', 'foam'],
                        ['source' => 'bought', 'pin_length' => 38.0, 'bottom_inside' => 2.0],
                    ],
                    ['head-pin', ['ink', 'mist'], ['source' => 'bought', 'pin_length' => 50.0]],
                ],
                wires: ['eye-link' => '22 awg', 'pin' => '22 awg'],
            ),
            'coned-cluster' => new Pattern(
                'Three drops from an eye that a cone hides',
                Family::Earring,
                [
                    $ear, ['wrapped-link', ['mist', 'bell'], ['bottom_inside' => 3.0, 'bottom_wraps' => 2]],
                    ['head-pin', ['sky', 'mist'], ['inside' => 2.0], 'on' => 'p2/bottom'],
                    ['head-pin', ['mist', 'ink', 'plum'], ['inside' => 2.0], 'on' => 'p2/bottom'],
                    ['head-pin', ['sky', 'mist'], ['inside' => 2.0], 'on' => 'p2/bottom'],
                ],
            ),
            'pierced-paddle' => new Pattern(
                'A bead on a hammered pin, its paddle pierced for what hangs below',
                Family::Earring,
                [
                    $ear,
                    ['head-pin', ['pip'], [
                        'stop' => 'paddle', 'paddle' => 14.0, 'paddle_thick' => 0.6, 'pierced' => 1.1, 'wraps' => 0,
                        'inside' => 2.5,
                    ]],
                    ['jump-ring', [], ['inside' => 2.8], 'on' => 'p2/foot'],
                    ['bought-part', [], [
                        'what' => 'charm', 'shape' => 'lozenge', 'length' => 15.0, 'width' => 9.0, 'thick' => 2.0,
                        'holes' => 'top 1.4 mm', 'made_of' => 'wood', 'colour' => 'sand',
                    ]],
                ],
                FitKind::Ear, Metal::Copper, wires: ['pin' => '14 awg', 'ring' => '20 awg'],
            ),
            'link-and-drop' => new Pattern(
                'A link and a drop: one wrapped link between ear wire and head pin',
                Family::Earring,
                [$ear, ['wrapped-link', ['moss', 'sand']], ['head-pin', ['slate']]],
            ),
            'tip-drop' => new Pattern(
                'A drop hung by the hole across its tip, under a wrapped link',
                Family::Earring,
                [$ear, ['wrapped-link', ['foam', 'plum']], ['briolette-wrap', ['rain']]],
            ),
            'second-hole' => new Pattern(
                'A two-hole bar hung by one hole, a ring with three drops in the other',
                Family::Earring,
                [
                    $ear, ['briolette-wrap', ['shingle'], ['turned' => true]], ['jump-ring', [], ['inside' => 8.5]],
                    ['head-pin', ['foam', 'rust'], 'on' => 'p3/bottom'],
                    ['head-pin', ['plum', 'foam'], 'on' => 'p3/bottom'],
                    ['head-pin', ['foam', 'rust'], 'on' => 'p3/bottom'],
                ],
            ),
            'two-links' => new Pattern(
                'Two links and a drop: it sways',
                Family::Earring,
                [$ear, ['wrapped-link', ['sand']], ['wrapped-link', ['moss']], ['head-pin', ['slate']]],
            ),
            'straight-line' => new Pattern(
                'Three small links in a row, without a drop',
                Family::Earring,
                [$ear, ['wrapped-link', ['sand', 'moss', 'sand'], 'repeat' => 3]],
            ),
            'cluster' => new Pattern(
                'A cluster: three drops of unlike length on one ring',
                Family::Earring,
                [
                    $ear, ['jump-ring', [], ['inside' => 5.0]], ['head-pin', ['rust', 'foam']],
                    ['head-pin', ['plum', 'foam', 'foam'], 'on' => 'p2/bottom'],
                    ['head-pin', ['sky'], 'on' => 'p2/bottom'],
                ],
            ),
            'wound-bead-drop' => new Pattern(
                'A link and a drop with beads wound of wire',
                Family::Earring,
                [$ear, ['wrapped-link', ['foam', 'spring', 'foam']], ['head-pin', ['spring', 'plum', 'mist']]],
                metal: Metal::Brass,
            ),
            'coil-drop' => new Pattern(
                'A coil bead and a drop, in two wires',
                Family::Earring,
                [$ear, ['coil-link'], ['head-pin', ['rose', 'foam']]],
            ),
            'meander' => new Pattern(
                'A wire that wanders: four beads in its bends, and a drop',
                Family::Earring,
                [
                    $ear,
                    ['free-wire', [['mist', 2], ['sky', 2]], ['course' => 'straight 3 · arc 5 -90 · arc 5 180 · '
                        .'through 2 · arc 5 -180 · through 2 · arc 5 180 · arc 5 -90 · straight 3']],
                    ['head-pin', ['plum', 'foam']],
                ],
            ),
            'bar-and-arc' => new Pattern(
                'A bar of beads whose own wire arcs below it and carries drops',
                Family::Earring,
                [
                    $ear,
                    ['free-wire', [['mist', 4], ['mist', 4]], ['course' => 'bend -90 · through 4 · arc 3 90 · arc '
                        .'28 180 · arc 3 90 · through 4 · bend 90']],
                    ['head-pin', ['foam']], ['head-pin', ['sky', 'foam'], 'on' => 'p2/move-3'],
                ],
            ),
            'pin-and-bow' => new Pattern(
                'A folded pin and a curved one through the same bead, clusters at their ends',
                Family::Earring,
                [$ear, ['free-wire', ['orchard', ['foam', 6], ['mist', 4]], ['course' => <<<'WIRES'
                    pin (20): from -0.4 10 heading down · through A · bend -30 · straight 2.5 · through 3 B · spiral 1.5
                    | straight 0.5 · turn 90 · arc 6 40 · arc 3 -262 as top · through A · bend 30 · straight 2.5
                    through 3 B · spiral 1.5
                    bow (20): from 9 5 4 heading 20 · through 2 C · spiral 1.5
                    | through A · turn 90 · arc 14 60 · straight 1 · through 2 C · spiral 1.5
                    WIRES]]],
            ),
            'sewn-disc' => new Pattern(
                'A disc with small beads all round, sewn into a round frame',
                Family::Pendant,
                [['jump-ring', [], ['inside' => 6.0]], ['free-wire', ['tide', ['foam', 2], ['mist', 20]], [
                    'course' => <<<'WIRES'
                    frame (18): from 0 10 heading right · bend 90 · straight 3 as neck · turn 90 · eye 3 as top
                    | arc 38 357 · wrap 2 on neck · tail 8
                    tie (26): from -18.2 29.4 heading left · wrap 3 on frame at left · to -17 29.5 heading right
                    through 1 B
                    straight 3.5 · through A · round A above with 10 C · through A · round A below with 10 C · through A
                    straight 3.5 · through 1 B · wrap 3 on frame at right · tail 8 | tail 8
                    WIRES,
                ]]],
                FitKind::Neck,
            ),
            'tied-drop' => new Pattern(
                'A drop tied into a round frame, above and below',
                Family::Pendant,
                [['jump-ring', [], ['inside' => 6.0]], ['free-wire', ['slate'], ['course' => <<<'WIRES'
                    frame (18): from 0 10 heading right · bend 90 · straight 3 as neck · turn 90 · eye 3 as top
                    | arc 30 356 as hoop · wrap 2 on neck · tail 8
                    tie (26): from 1.8 9.2 0.7 heading right · wrap 4 on hoop at 98.8%
                    to 0 17 heading down · through A · wrap 4 on hoop at bottom · tail 8 | tail 8
                    WIRES]]],
                FitKind::Neck,
                Metal::Copper,
            ),
            'own-core' => new Pattern(
                'A wire that is core and binder: two rows of beads on its short end, bound over with the long one',
                Family::Earring,
                [$ear, ['free-wire', [['mist', 14]], ['course' => <<<'WIRES'
                    from 0 10 heading down · straight 30 as stem · straight 2 · spiral 2
                    | turn 90 · arc 6 40 · arc 3 -262 as top · to 0 11 0.9 heading down
                    bind 7 A on stem at 4 right close
                    wrap 1 on stem at 26 · bind 7 A on stem at 25 back left close · fill stem until 460 · tail 8
                    WIRES]]],
            ),
            'loose-leg' => new Pattern(
                'A surround begun with its bail, a row bound on before its second leg is wrapped',
                Family::Pendant,
                [['jump-ring', [], ['inside' => 6.0]], ['free-wire', ['ember', ['mist', 8]], ['course' => <<<'WIRES'
                    surround (20): from -0.4 10 heading down · straight 5 as left-leg
                    | straight 0.5 · turn 90 · arc 6 40 · arc 3 -262 as top · to 0.4 10 heading down
                    straight 5 as right-leg
                    surround: through A · round A left · wrap 2 on left-leg and right-leg at 4 · tail 8
                    | through A · round A right as rim
                    row (28): from 2.6 37.8 heading right · wrap 2 on rim at 8% · bind 8 B on rim at 10% right
                    wrap 2 on rim · tail 8 | tail 8
                    surround: wrap 3 on left-leg and right-leg at 1.4 · tail 8
                    WIRES]]],
                FitKind::Neck,
            ),
            'haloed-ring' => new Pattern(
                'A bead on a ring, a ring of wire and a folded wire about it',
                Family::Ring,
                [['free-wire', ['lake'], ['turned' => false, 'course' => <<<'WIRES'
                    shank (20): from -4.5 -13.2 heading right · through A · to 9.1 -1 0.4 heading down as shoulder
                    arc 17.4 -180 as band · to -4.6 -12.6 heading right · through A · to 9.1 -1 -0.5 heading down
                    arc 17.4 -120 · wrap 3 on band at 85% · tail 8 | to -9.1 -1 -1.3 heading down as wing
                    arc 17.4 40 · wrap 2 on band at 70% · tail 8
                    halo (22): from 4.9 -11.8 heading out · coil 2 on 9.2 · wrap 3 on shoulder at 40%
                    tail 8 | wrap 2 on shoulder at 25% · tail 8
                    crescent (22): from -6.9 -11.2 heading out · arc 13.2 -160 · arc 0.7 -180 · arc 10.5 150
                    wrap 2 on wing at 40% · tail 8
                    | wrap 2 on wing at 55% · tail 8
                    WIRES]]],
                FitKind::Finger,
            ),
            'bound-bangle' => new Pattern(
                'A doubled bangle bound from its middle bead outwards, one end its hook',
                Family::Bangle,
                [['free-wire', ['plum', ['foam', 10]], ['turned' => false, 'course' => <<<'WIRES'
                    bangle (16): from 0 61.6 heading left · arc 60 -150 as left-half · arc 4 200 as hook · spiral 0.5
                    | arc 60 145 as right-half · arc 3 -250 as eyelet · to 20.5 6.5 heading 40
                    arc 62.6 -275 as outer-half · bend -40 · wrap 3 on left-half · tail 6
                    tie (24): from -3 67 heading left · wrap 6 on outer-half and left-half
                    bind 5 B on outer-half at 54% below · wrap 6 on outer-half and left-half · tail 8
                    | through A · wrap 6 on outer-half and right-half · bind 5 B on outer-half at 47.8% back below
                    wrap 6 on outer-half and right-half · tail 8
                    WIRES]]],
                FitKind::Wrist,
                Metal::Brass,
            ),
            'parted-band' => new Pattern(
                'A band of five cores woven as one, then as two pairs that cross over each other',
                Family::Woven,
                [['jump-ring', [], ['inside' => 6.0]], ['free-wire', ['berry', 'speck'], ['course' => <<<'WIRES'
                    core 3 (18): from 0 30 heading down · straight 9 · to 0.6 45 2.2 heading down · through B · spiral 2
                    | straight 12 · through A · straight 1 · turn 90 · eye 3 as top
                    core 1: from -2.7 30 heading down · straight 9 · to 3.2 46 1 heading 80
                    to -0.6 58 1 heading 130 · spiral 2
                    | straight 9 · to -6 11 heading up · arc 3 -100 · spiral 1.5
                    core 2: from -1.35 30 heading down · straight 9 · to 4.5 46 1 heading 80
                    to 0.8 60 1 heading 120 · eye 2.5 as left
                    | straight 9 · to -4.6 13 heading up · to -1.4 4.6 heading 310
                    core 4: from 1.35 30 heading down · straight 9 · to -4.5 46 -1 heading 100
                    to -0.8 60 -1 heading 60 · eye 2.5 as right
                    | straight 9 · to 4.6 13 heading up · to 1.4 4.6 heading 230
                    core 5: from 2.7 30 heading down · straight 9 · to -3.2 46 -1 heading 100
                    to 0.6 58 -1 heading 50 · spiral 2
                    | straight 9 · to 6 11 heading up · arc 3 100 · spiral 1.5
                    weaver (28): from -4 22 heading right · weave 2@1-2 2@2-3 2@3-4 2@4-5 for 15 on core at 22
                    to 2 44 1.6 heading right · wrap 8 on core 1 and core 2 · tail 8 | tail 8
                    second (28): from -3.4 48 -2 heading up · wrap 8 on core 4 and core 5 · tail 8 | tail 8
                    WIRES]]],
                FitKind::Neck,
                Metal::Copper,
            ),
            'coiled-drop' => new Pattern(
                'A coil of a coil, and a small drop',
                Family::Earring,
                [$ear, ['coil-link', [], ['coiled' => 'twice', 'length' => 14.0]], ['head-pin', ['ink', 'sand']]],
            ),
            'beaded-coil' => new Pattern(
                'A coil strung with small beads, and a drop',
                Family::Earring,
                [$ear, ['beaded-coil', [['mist', 20]]], ['head-pin', ['sky']]],
            ),
            'chain-loop' => new Pattern(
                'A loop of rings that closes in itself, a drop swinging in it',
                Family::Earring,
                [
                    $ear, ['jump-ring', [], ['inside' => 4.5]],
                    ['jump-ring', [], ['inside' => 3.2], 'repeat' => 13, 'to' => 'p2/bottom'],
                    ['head-pin', ['rose'], 'on' => 'p2/bottom'],
                ],
            ),
            'hoop' => new Pattern(
                'Hoops that lock on themselves, nine beads strung below',
                Family::Earring,
                [['hoop', [['mist', 4], 'plum', ['mist', 4]], ['diameter' => 32.0]]],
            ),
            'twisted-hoop' => new Pattern(
                'Hoops of twisted wire, five beads on each',
                Family::Earring,
                [['hoop', ['speck', 'reed', 'berry', 'reed', 'speck'], ['diameter' => 36.0]]],
                metal: Metal::Copper, wires: ['hoop' => '24 awg twisted pair'],
            ),
            'stone-row-hoop' => new Pattern(
                'Hoops with a row of set stones bound along the front',
                Family::Earring,
                [[
                    'hoop', [['glint', 15]],
                    ['diameter' => 30.0, 'beads_sit' => 'astride', 'between' => 1, 'end_coil' => 6],
                ]],
                metal: Metal::GoldFilled,
            ),
            'bound-hoop' => new Pattern(
                'Hoops with beads bound astride in fine wire',
                Family::Earring,
                [['hoop', [['rose', 5]], ['diameter' => 36.0, 'beads_sit' => 'astride', 'between' => 3]]],
            ),
            'framed-drop' => new Pattern(
                'A round frame bound with beads, a drop hanging in it',
                Family::Pendant,
                [
                    ['jump-ring', [], ['inside' => 6.0]], ['frame', [['foam', 9]], ['size' => 34.0]],
                    ['head-pin', ['rose', 'sky'], 'on' => 'p2/centre'],
                ],
                FitKind::Neck,
            ),
            'disc' => new Pattern(
                'A disc in a surround, under its bail',
                Family::Pendant,
                [['jump-ring', [], ['inside' => 6.0]], ['surround', ['tide']]],
                FitKind::Neck,
            ),
            'rimmed-disc' => new Pattern(
                'A disc with small beads all round its rim',
                Family::Pendant,
                [['jump-ring', [], ['inside' => 6.0]], ['surround', ['dusk', ['foam', 18]]]],
                FitKind::Neck,
            ),
            'bound-disc' => new Pattern(
                'A disc in a rim with a row bound on it',
                Family::Pendant,
                [['jump-ring', [], ['inside' => 6.0]], ['surround', ['tide', ['mist', 15]], ['beads_sit' => 'on']]],
                FitKind::Neck,
                Metal::Copper,
            ),
            'two-row-frame' => new Pattern(
                'A triangle with two rows of beads, bound there and back',
                Family::Pendant,
                [
                    ['jump-ring', [], ['inside' => 6.0]],
                    ['frame', [['mist', 16]], ['shape' => 'triangle', 'size' => 38.0, 'rows' => 2]],
                ],
                FitKind::Neck,
            ),
            'woven-pendant' => new Pattern(
                'A woven pendant, one core leaving to a curl',
                Family::Woven,
                [['jump-ring', [], ['inside' => 6.0]], [
                    'woven-band', [],
                    ['pattern' => '5@1-2 5@2-3 x3 | 6@1-2 x2', 'length' => 20.0, 'ends' => 60.0, 'turned' => true],
                ], ['head-pin', ['slate']]],
                FitKind::Neck,
                Metal::Copper,
            ),
            'wound-ring' => new Pattern(
                'A ring wound from one wire, a bead on top',
                Family::Ring,
                [['wound-ring', ['rust'], ['turns' => 3]]],
                FitKind::Finger,
            ),
            'three-bead-ring' => new Pattern(
                'A wound ring, two turns of its wire laid round three beads',
                Family::Ring,
                [['wound-ring', ['mist', 'rose-bud', 'mist'], ['turns' => 3, 'halo' => 2]]],
                FitKind::Finger, Metal::Copper,
            ),
            'open-ring' => new Pattern(
                'An open ring, both ends wound to spirals',
                Family::Ring,
                [['open-ring']],
                FitKind::Finger,
                Metal::Brass,
            ),
            'tendril-ring' => new Pattern(
                'An open ring with beads on its tendrils',
                Family::Ring,
                [['open-ring', ['reed', 'reed'], ['gap' => 5.0]]],
                FitKind::Finger,
            ),
            'half-round-ring' => new Pattern(
                'A half-round shank, open on top between two beads',
                Family::Ring,
                [['open-ring', ['lake', 'lake'], ['gap' => 5.0]]],
                FitKind::Finger, Metal::Brass, wires: ['shank' => '2.1 mm half-round'],
            ),
            'tendril-ring-four' => new Pattern(
                'A half-round ring, its ends slit to tendrils that curl about four unlike beads',
                Family::Ring,
                [['tendril-ring', ['lantern', 'cinder', 'cinder', 'pip'], ['gap' => 7.0, 'slit' => 20.0]]],
                FitKind::Finger,
            ),
            'wide-ring' => new Pattern(
                'A wide ring of four wires, its ends split and curled',
                Family::Ring,
                [['split-ring']],
                FitKind::Finger,
                Metal::Copper,
            ),
            'doubled-bangle' => new Pattern(
                'A bangle of doubled wire, its fold the loop, its ends the hook',
                Family::Bangle,
                [['bangle', [], ['style' => 'doubled', 'inside' => 60.0, 'ends' => 26.0]]],
                FitKind::Wrist,
            ),
            'curled-bangle' => new Pattern(
                'A bangle of heavy wire with curled ends',
                Family::Bangle,
                [['bangle', [], ['style' => 'curled', 'ends' => 60.0]]],
                FitKind::Wrist,
                Metal::Copper,
            ),
            'hammered-cuff' => new Pattern(
                'A hammered cuff, open at the wrist',
                Family::Bangle,
                [['bangle', [], ['style' => 'cuff', 'inside' => 58.0, 'hammered' => 1.5]]],
                FitKind::Wrist,
                Metal::Brass,
            ),
            'square-cuff' => new Pattern(
                'A cuff of three square wires, bound with half-round',
                Family::Bangle,
                [['bangle', [], ['style' => 'overlap', 'ends' => 14.0, 'stack' => 3, 'binding_turns' => 6]]],
                FitKind::Wrist, Metal::Copper, wires: ['bangle' => '14 awg square', 'binding' => '1.6 mm half-round'],
            ),
            'tied-bangle' => new Pattern(
                'A bangle tied through its curls, beads bound about the middle',
                Family::Bangle,
                [['bangle', ['foam', 'rose', 'foam', 'sky', 'foam', 'rose', 'foam'], ['tied' => 6, 'between' => 3]]],
                FitKind::Wrist,
                Metal::Brass,
            ),
            'bangle-stack' => new Pattern(
                'Three thin bangles bound to a stack',
                Family::Bangle,
                [['bangle', [], ['style' => 'overlap', 'ends' => 16.0, 'stack' => 3, 'binding_turns' => 12]]],
                FitKind::Wrist,
                Metal::Brass,
            ),
            'oval-memory' => new Pattern(
                'Memory wire in an oval coil, two and a quarter loops, a drop at either end',
                Family::Bangle,
                [
                    ['memory-wire', [
                        ...array_merge(...array_fill(0, 7, [['reed', 3], ['ink', 1], ['reed', 3], ['foam', 5]])),
                        ['reed', 5],
                    ], ['coil' => 62.0, 'narrow' => 50.0, 'loops' => 2.25]],
                    ['head-pin', ['speck', 'mist'], ['inside' => 2.5], 'on' => 'p1/stop'],
                    ['head-pin', ['speck', 'mist'], ['inside' => 2.5], 'on' => 'p1/stop-2'],
                ],
                FitKind::Wrist,
            ),
            'memory-bracelet' => new Pattern(
                'A memory-wire bracelet of three loops',
                Family::Bangle,
                [['memory-wire', [['plum', 40], ['foam', 77]]]],
                FitKind::Wrist,
                Metal::Stainless,
            ),
            'tile-bracelet' => new Pattern(
                'Two memory wires through two-hole tiles',
                Family::Bangle,
                [['memory-wire', [
                    ['slab', 4], ['foam', 12], ['slab', 4], ['foam', 12], ['slab', 4], ['foam', 12], ['slab', 4],
                    ['foam', 12], ['slab', 4], ['foam', 12], ['slab', 4], ['foam', 24],
                ], ['loops' => 2.0, 'strands' => 'two']]],
                FitKind::Wrist,
                Metal::Stainless,
            ),
            'three-wire-bracelet' => new Pattern(
                'Three memory wires of unlike beads, a bar over all three between them',
                Family::Bangle,
                [[
                    'memory-wire',
                    array_merge(...[...array_fill(0, 4, ['rung', ['foam', 12], ['reed', 12], ['foam', 12]]), ['rung']]),
                    ['loops' => 1.25, 'strands' => 'three', 'shared' => 'in-turn'],
                ]],
                FitKind::Wrist,
                Metal::Stainless,
            ),
            'connector-drop' => new Pattern('A bought connector between rings, two beads below it', Family::Earring, [
                $ear, ['jump-ring', [], ['inside' => 3.5]],
                ['bought-part', [], [
                    'what' => 'connector', 'shape' => 'lozenge', 'length' => 17.0, 'width' => 10.0,
                    'holes' => 'top 1.5 mm · bottom 1.5 mm', 'made_of' => 'brass', 'thick' => 0.8,
                ]],
                ['jump-ring', [], ['inside' => 3.5]], ['head-pin', ['rust', 'sky']],
            ]),
            'lever-drop' => new Pattern('A bought ear finding, a link and a bought drop', Family::Earring, [
                ['bought-part', [], [
                    'what' => 'ear-finding', 'shape' => 'lever', 'length' => 17.0, 'width' => 10.0, 'rim' => 0.9,
                    'holes' => 'ring bottom 2 mm',
                ]],
                ['wrapped-link', ['speck', 'berry', 'speck']],
                ['bought-part', [], [
                    'what' => 'charm', 'shape' => 'leaf', 'length' => 22.0, 'width' => 12.0, 'holes' => 'ring top 2 mm',
                    'made_of' => 'copper', 'thick' => 0.8,
                ]],
            ], metal: Metal::Copper),
            'charm-bracelet' => new Pattern('Three bought charms on a chain, each on a ring in a link of '
                .'its own', Family::Chain, [
                    ['hook'], ['chain', [], ['links' => 46]], ['jump-ring', [], ['inside' => 7.0]],
                    ['jump-ring', [], ['inside' => 4.5], 'on' => 'p2/link-12'],
                    ['bought-part', [], [
                        'what' => 'charm', 'shape' => 'star', 'length' => 13.0, 'width' => 13.0,
                        'holes' => 'ring top 2 mm across', 'thick' => 1.2,
                    ], 'on' => 'p4/bottom'],
                    ['jump-ring', [], ['inside' => 4.5], 'on' => 'p2/link-24'],
                    ['bought-part', [], [
                        'what' => 'charm', 'shape' => 'drop', 'length' => 18.0, 'width' => 11.0,
                        'holes' => 'ring top 2 mm across', 'made_of' => 'wood', 'colour' => 'sand', 'thick' => 2.5,
                    ], 'on' => 'p6/bottom'],
                    ['jump-ring', [], ['inside' => 4.5], 'on' => 'p2/link-36'],
                    ['bought-part', [], [
                        'what' => 'charm', 'shape' => 'round', 'length' => 12.0, 'holes' => 'ring top 2 mm across',
                        'made_of' => 'copper',
                    ], 'on' => 'p8/bottom'],
                ], FitKind::Wrist),
            'centre-necklace' => new Pattern('Chain to either side of a bought centre, a drop from its '
                .'lowest hole', Family::Chain, [
                    ['hook', [], ['style' => 's']], ['chain', [], ['links' => 58]],
                    ['jump-ring', [], ['inside' => 4.0]],
                    ['bought-part', [], [
                        'what' => 'centre', 'shape' => 'shield', 'length' => 22.0, 'width' => 26.0,
                        'holes' => 'left 1.6 mm at -10.5 -8.5 · right 1.6 mm at 10.5 -8.5 · drop 1.6 mm at 0 8.5',
                        'made_of' => 'copper', 'thick' => 0.9,
                    ]],
                    ['head-pin', ['plum', 'foam'], ['inside' => 4.0], 'on' => 'p4/drop'],
                    ['jump-ring', [], ['inside' => 4.0], 'on' => 'p4/bottom'], ['chain', [], ['links' => 58]],
                    ['jump-ring', [], ['inside' => 6.0]],
                ], FitKind::Neck, Metal::Copper),
            'linked-bracelet' => new Pattern(
                'A bracelet of wrapped links and rings, hook and ring',
                Family::Chain,
                [
                    ['hook'], ['wrapped-link', ['foam', 'moss', 'foam'], 'group' => 'g1'],
                    ['jump-ring', [], ['inside' => 3.0], 'group' => 'g1'], ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist,
                groups: ['g1' => 6],
            ),
            'mirrored-necklace' => new Pattern('A necklace of two mirrored halves about one drop', Family::Chain, [
                ['hook'], ['plain-link', ['ink', 'rust'], 'group' => 'g1'],
                ['jump-ring', [], ['inside' => 3.0], 'group' => 'g1'],
                ['head-pin', ['slate'], 'on' => 'p3/bottom'],
                ['plain-link', ['rust', 'ink'], 'on' => 'p3/bottom', 'group' => 'g2'],
                ['jump-ring', [], ['inside' => 3.0], 'group' => 'g2'], ['jump-ring', [], ['inside' => 7.0]],
            ], FitKind::Neck, groups: ['g1' => 8, 'g2' => 8]),
            'bridged-necklace' => new Pattern('An odd number of links, a drop from a short chain across the '
                .'middle one', Family::Chain, [
                    ['hook', [], ['style' => 's']], ['plain-link', ['plum', 'mist'], 'group' => 'g1'],
                    ['jump-ring', [], ['inside' => 4.6], 'group' => 'g1'],
                    ['plain-link', ['mist', 'ink', 'mist']], ['jump-ring', [], ['inside' => 4.6]],
                    ['plain-link', ['mist', 'plum'], 'group' => 'g2'],
                    ['jump-ring', [], ['inside' => 4.6], 'group' => 'g2'], ['jump-ring', [], ['inside' => 7.0]],
                    ['chain', [], ['links' => 15, 'inside' => 2.5], 'on' => 'p3/bottom', 'to' => 'p5/top'],
                    ['head-pin', ['slate', 'mist'], 'on' => 'p9/link-8'],
                ], FitKind::Neck, Metal::FineSilver, groups: ['g1' => 10, 'g2' => 10]),
            'corded-pendant' => new Pattern('Beads that slide on a cord with glued ends', Family::Chain, [
                ['hook', [], ['style' => 's']], ['jump-ring', [], ['inside' => 4.0]],
                ['cord', [['lantern', 1], ['cinder', 1], ['lantern', 1]], ['long' => 404.0, 'colour' => 'ink']],
                ['jump-ring', [], ['inside' => 4.0]], ['jump-ring', [], ['inside' => 7.0]],
            ], FitKind::Neck),
            'ball-chain-pendant' => new Pattern('A drop that slides on ball chain', Family::Chain, [
                ['hook', [], ['style' => 's']], ['jump-ring', [], ['inside' => 3.5]],
                ['ball-chain', [], ['balls' => 124]],
                ['jump-ring', [], ['inside' => 3.5]], ['jump-ring', [], ['inside' => 7.0]],
                ['jump-ring', [], ['inside' => 5.0], 'on' => 'p3/middle'], ['wrapped-link', ['reed', 'plum', 'reed']],
                ['head-pin', ['slate']],
            ], FitKind::Neck, Metal::Brass),
            'toggle-bracelet' => new Pattern(
                'A bracelet of long links, closed by bar and ring',
                Family::Chain,
                [
                    ['toggle-bar'], ['jump-ring', [], ['inside' => 3.5], 'repeat' => 3],
                    ['wrapped-link', ['rose', 'sand', 'rose'], 'group' => 'g1'],
                    ['jump-ring', [], ['inside' => 3.5], 'group' => 'g1'],
                    ['jump-ring', [], ['inside' => 12.0, 'closed' => true]],
                ],
                FitKind::Wrist,
                groups: ['g1' => 5],
            ),
            'two-strand-bracelet' => new Pattern('Two strands of links between the same two rings', Family::Chain, [
                ['hook'], ['jump-ring', [], ['inside' => 7.0]],
                ['wrapped-link', ['foam', 'moss', 'foam'], 'group' => 'g1'],
                ['jump-ring', [], ['inside' => 3.0], 'group' => 'g1'], ['jump-ring', [], ['inside' => 7.0]],
                ['jump-ring', [], ['inside' => 7.0]],
                ['wrapped-link', ['rust', 'plum', 'rust'], 'on' => 'p2/bottom', 'group' => 'g2'],
                ['jump-ring', [], ['inside' => 3.0], 'group' => 'g2', 'to' => 'p5/top'],
            ], FitKind::Wrist, groups: ['g1' => 6, 'g2' => 6]),
            'offset-strands' => new Pattern('Two strands of chain, the beads of one between those of the '
                .'other', Family::Chain, [
                    ['hook', [], ['style' => 's']], ['jump-ring', [], ['inside' => 6.0]],
                    ['chain', [], ['links' => 9]], ['plain-link', ['rose']], ['chain', [], ['links' => 10]],
                    ['plain-link', ['rose']], ['chain', [], ['links' => 10]], ['plain-link', ['rose']],
                    ['chain', [], ['links' => 9]],
                    ['jump-ring', [], ['inside' => 6.0]], ['jump-ring', [], ['inside' => 6.0]],
                    ['chain', [], ['links' => 15], 'on' => 'p2/bottom'], ['plain-link', ['rust', 'foam', 'rust']],
                    ['chain', [], ['links' => 9]], ['plain-link', ['rust', 'foam', 'rust']],
                    ['chain', [], ['links' => 15], 'to' => 'p10/top'],
                ], FitKind::Wrist),
            'tiered-necklace' => new Pattern('Three tiers of chain, the lowest with a drop', Family::Chain, [
                ['hook', [], ['style' => 's']], ['jump-ring', [], ['inside' => 6.0]], ['chain', [], ['links' => 121]],
                ['jump-ring', [], ['inside' => 6.0]], ['jump-ring', [], ['inside' => 6.0]],
                ['chain', [], ['links' => 136], 'on' => 'p2/bottom', 'to' => 'p4/top'],
                ['chain', [], ['links' => 75], 'on' => 'p2/bottom'], ['jump-ring', [], ['inside' => 3.5]],
                ['head-pin', ['slate', 'foam'], 'on' => 'p8/bottom'],
                ['chain', [], ['links' => 75], 'on' => 'p8/bottom', 'to' => 'p4/top'],
            ], FitKind::Neck),
            'chain-stations' => new Pattern('Short pieces of chain with beads between, and chain to '
                .'lengthen it', Family::Chain, [
                    ['hook', [], ['style' => 'crook']], ['chain', [], ['links' => 9], 'group' => 'g1'],
                    ['plain-link', ['rose'], 'group' => 'g1'], ['chain', [], ['links' => 9]],
                    ['jump-ring', [], ['inside' => 5.0]],
                    ['chain', [], ['links' => 10, 'inside' => 4.0, 'wide' => 2.6, 'joined' => 'open']],
                    ['head-pin', ['foam'], ['inside' => 2.0]],
                ], FitKind::Neck, Metal::Copper, groups: ['g1' => 8]),
            'rope' => new Pattern('A rope without a clasp, long enough to go over the head', Family::Chain, [
                ['plain-link', ['plum'], 'group' => 'g1'], ['jump-ring', [], ['inside' => 3.5], 'group' => 'g1'],
                ['plain-link', ['foam', 'sky', 'foam'], 'group' => 'g1'],
                ['jump-ring', [], ['inside' => 3.5], 'group' => 'g1', 'to' => 'p1/top'],
            ], FitKind::Neck, Metal::Brass, groups: ['g1' => 16]),
            'loop-and-tail' => new Pattern('A loop of chain over the head, a tail of links from its '
                .'lowest ring', Family::Chain, [
                    ['jump-ring', [], ['inside' => 6.0]], ['chain', [], ['links' => 172], 'to' => 'p1/top'],
                    ['wrapped-link', ['berry'], 'on' => 'p1/bottom', 'group' => 'g1'],
                    ['jump-ring', [], ['inside' => 3.5], 'group' => 'g1'], ['head-pin', ['ink', 'speck']],
                ], FitKind::Neck, groups: ['g1' => 3]),
            'ring-chain' => new Pattern(
                'Chain of plain rings, each in the next',
                Family::Chain,
                [['hook'], ['jump-ring', [], ['inside' => 4.5], 'repeat' => 37]],
                FitKind::Wrist,
            ),
            'strand' => new Pattern(
                'A crimped strand between hook and ring',
                Family::Chain,
                [
                    ['hook'],
                    ['strand', [
                        ['mist', 6], 'sky', ['mist', 6], 'plum', ['mist', 7], 'sky', ['mist', 6], 'plum', ['mist', 7],
                        'sky', ['mist', 6], 'plum', ['mist', 6],
                    ]],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist,
            ),
            'floating-strand' => new Pattern(
                'Beads that float in groups along a bare strand',
                Family::Chain,
                [
                    ['hook'],
                    [
                        'strand',
                        [
                            ['mist', 3], 'sky', ['mist', 3], 'sky', ['mist', 3], 'sky', ['mist', 3], 'sky', ['mist', 3],
                            'sky', ['mist', 3],
                        ],
                        ['set' => 'spaced', 'gap' => 25.5, 'crimps' => 'covered'],
                    ],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Neck,
            ),
            'station-strand' => new Pattern(
                'Groups of unlike beads held by crimps, wide apart at the sides and close in the middle',
                Family::Chain,
                [
                    ['hook'],
                    [
                        'strand',
                        [
                            ['mist', 1], ['plum', 1], ['mist', 1], ['foam', 1], ['mist', 1], ['plum', 1], ['mist', 1],
                            ['rose', 3], ['mist', 1], ['plum', 1], ['mist', 1], ['foam', 1], ['mist', 1], ['plum', 1],
                            ['mist', 1],
                        ],
                        [
                            'set' => 'spaced', 'groups' => '3 1 3 3 3 1 3', 'gaps' => '89, 40, 20, 12, 12, 20, 40, 89',
                            'crimps' => 'covered',
                        ],
                    ],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Neck,
            ),
            'mixed-bracelet' => new Pattern(
                'An arched bar with a drop on it, strung sides, a hook wrapped shut',
                Family::Chain,
                [
                    ['hook', [], ['wraps' => 3]],
                    ['strand', [['foam', 2], ['plum', 7], ['foam', 2]], ['crimps' => 'covered']],
                    [
                        'free-wire', [],
                        ['course' => 'bend 50 · arc 36 -100 · bend 50', 'top_wraps' => 2, 'bottom_wraps' => 2],
                    ],
                    ['head-pin', ['mist', 'rose'], ['inside' => 3.0], 'on' => 'p3/move-1'],
                    ['strand', [['foam', 2], ['plum', 7], ['foam', 2]], ['crimps' => 'covered'], 'on' => 'p3/bottom'],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist,
            ),
            'woven-bracelet' => new Pattern(
                'A band woven over three cores, hook and ring',
                Family::Woven,
                [
                    ['hook'], ['woven-band', [], ['length' => 147.0, 'pattern' => '6@1-2 6@2-3']],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist,
                Metal::Copper,
            ),
            'two-colour-band' => new Pattern(
                'A band of copper cores woven in blue, hook and ring',
                Family::Woven,
                [
                    ['hook'], ['woven-band', [], ['length' => 151.5, 'cores' => 4, 'pattern' => '3@1-2 3@2-3 3@3-4']],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist,
                Metal::Copper, wires: ['weave' => '28 awg in enamelled-blue'],
            ),
            'beaded-band' => new Pattern(
                'A narrow band with small beads woven in along its front',
                Family::Woven,
                [['jump-ring', [], ['inside' => 6.0]], ['woven-band', [['foam', 7]], [
                    'cores' => 5, 'length' => 48.0, 'pattern' => '2@1-2 2@2-3 2@3-4 2@4-5 2@1-5', 'bead_every' => 2,
                    'turned' => true,
                ]]],
                FitKind::Neck, Metal::Brass,
            ),
            'crossing-band' => new Pattern(
                'A band of two pairs that curve over each other, two eyes at either end and the outer cores wound',
                Family::Woven,
                [
                    ['hook'],
                    ['woven-band', [], [
                        'cores' => 4, 'length' => 140.05,
                        'pattern' => '3@1-4 x6 | 4@1-2 4@3-4 x4 | cross 1-2 over 3-4 for 18 | 4@1-2 4@3-4',
                        'mirrored' => true, 'eyes' => '2 3', 'eye' => 2.5, 'curls' => 2.0,
                    ]],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist, Metal::Copper,
            ),
            'sectioned-band' => new Pattern(
                'A band in sections, figures, basket and a cross, mirrored about its middle',
                Family::Woven,
                [
                    ['hook'],
                    ['woven-band', [], [
                        'cores' => 4, 'length' => 147.0,
                        'pattern' => '6@1-2 6@2-3 6@3-4 x2 | f1 b2 f3 b4 f4 b3 f2 b1 x30 | cross 2-3 | 3@1-4',
                        'mirrored' => true,
                    ]],
                    ['jump-ring', [], ['inside' => 7.0]],
                ],
                FitKind::Wrist,
            ),
        ];
    }

    /** @return array<string, array<string, Pattern>> by the words of their family */
    public static function byFamily(): array
    {
        $by = [];
        foreach (self::all() as $name => $pattern) {
            $by[$pattern->family->words()][$name] = $pattern;
        }

        return $by;
    }

    /** @throws \Hebra\Core\Problem if the pattern is unknown */
    public static function named(string $pattern): Pattern
    {
        return self::all()[$pattern] ?? throw Unreadable::choice('pattern', $pattern, array_keys(self::all()));
    }

    /** @throws \Hebra\Core\Problem if the pattern is unknown */
    public static function start(string $pattern, string $name, Schools $schools = new Schools): Piece
    {
        return self::named($pattern)->piece($name, self::BEADS, $schools);
    }
}
