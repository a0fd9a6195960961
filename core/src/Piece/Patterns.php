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
        'moss' => '8mm round, hole 1, moss', 'sand' => '4mm bicone, hole 0.9, sand', 'slate' => '8 x 13mm drop, hole 0.9, slate', 'sky' => '6mm bicone, hole 1, sky',
        'foam' => '4mm round, hole 1, milk', 'rust' => '8 x 5mm rondelle, hole 1.2, rust', 'plum' => '6mm round, hole 1, plum', 'tide' => '18 x 18mm coin, hole 1.8, sea, ceramic',
        'mist' => '3mm round, hole 1, clear', 'rose' => '5 x 8mm oval, hole 1, rose', 'ink' => '4 x 12mm tube, hole 1, ink',
    ];

    /** @return array<string, Pattern> */
    public static function all(): array
    {
        $ear = ['ear-wire'];

        return [
            'single-drop' => new Pattern('A single drop: beads on a head pin under an ear wire', Family::Earring, [$ear, ['head-pin', ['moss', 'sand']]]),
            'link-and-drop' => new Pattern('A link and a drop: one wrapped link between ear wire and head pin', Family::Earring, [$ear, ['wrapped-link', ['moss', 'sand']], ['head-pin', ['slate']]]),
            'two-links' => new Pattern('Two links and a drop: it sways', Family::Earring, [$ear, ['wrapped-link', ['sand']], ['wrapped-link', ['moss']], ['head-pin', ['slate']]]),
            'straight-line' => new Pattern('Three small links in a row, without a drop', Family::Earring, [$ear, ['wrapped-link', ['sand', 'moss', 'sand'], 'repeat' => 3]]),
            'cluster' => new Pattern('A cluster: three drops of unlike length on one ring', Family::Earring, [$ear, ['jump-ring', [], ['inside' => 5.0]], ['head-pin', ['rust', 'foam']], ['head-pin', ['plum', 'foam', 'foam'], 'on' => 'p2/bottom'], ['head-pin', ['sky'], 'on' => 'p2/bottom']]),
            'coil-drop' => new Pattern('A coil bead and a drop, in two wires', Family::Earring, [$ear, ['coil-link'], ['head-pin', ['rose', 'foam']]]),
            'coiled-drop' => new Pattern('A coil of a coil, and a small drop', Family::Earring, [$ear, ['coil-link', [], ['coiled' => 'twice', 'length' => 14.0]], ['head-pin', ['ink', 'sand']]]),
            'hoop' => new Pattern('Hoops that lock on themselves, nine beads strung below', Family::Earring, [['hoop', [['mist', 4], 'plum', ['mist', 4]], ['diameter' => 32.0]]]),
            'bound-hoop' => new Pattern('Hoops with beads bound astride in fine wire', Family::Earring, [['hoop', [['rose', 5]], ['diameter' => 36.0, 'beads_sit' => 'astride', 'between' => 3]]]),
            'framed-drop' => new Pattern('A round frame bound with beads, a drop hanging in it', Family::Pendant, [['jump-ring', [], ['inside' => 6.0]], ['frame', [['foam', 9]], ['size' => 34.0]], ['head-pin', ['rose', 'sky'], 'on' => 'p2/centre']], FitKind::Neck),
            'disc' => new Pattern('A disc in a surround, under its bail', Family::Pendant, [['jump-ring', [], ['inside' => 6.0]], ['surround', ['tide']]], FitKind::Neck),
            'wound-ring' => new Pattern('A ring wound from one wire, a bead on top', Family::Ring, [['wound-ring', ['rust'], ['turns' => 3]]], FitKind::Finger),
            'open-ring' => new Pattern('An open ring, both ends wound to spirals', Family::Ring, [['open-ring']], FitKind::Finger, Metal::Brass),
            'doubled-bangle' => new Pattern('A bangle of doubled wire, its fold the loop, its ends the hook', Family::Bangle, [['bangle', [], ['style' => 'doubled', 'inside' => 60.0, 'ends' => 26.0]]], FitKind::Wrist),
            'curled-bangle' => new Pattern('A bangle of heavy wire with curled ends', Family::Bangle, [['bangle', [], ['style' => 'curled', 'ends' => 60.0]]], FitKind::Wrist, Metal::Copper),
            'hammered-cuff' => new Pattern('A hammered cuff, open at the wrist', Family::Bangle, [['bangle', [], ['style' => 'cuff', 'inside' => 58.0, 'hammered' => 1.5]]], FitKind::Wrist, Metal::Brass),
            'memory-bracelet' => new Pattern('A memory-wire bracelet of three loops', Family::Bangle, [['memory-wire', [['plum', 40], ['foam', 70]]]], FitKind::Wrist, Metal::Stainless),
            'linked-bracelet' => new Pattern('A bracelet of wrapped links and rings, hook and ring', Family::Chain, [['hook'], ['wrapped-link', ['foam', 'moss', 'foam'], 'group' => 'g1'], ['jump-ring', [], ['inside' => 3.0], 'group' => 'g1'], ['jump-ring', [], ['inside' => 7.0]]], FitKind::Wrist, groups: ['g1' => 6]),
            'mirrored-necklace' => new Pattern('A necklace of two mirrored halves about one drop', Family::Chain, [
                ['hook'], ['plain-link', ['ink', 'rust'], 'group' => 'g1'], ['jump-ring', [], ['inside' => 3.0], 'group' => 'g1'],
                ['head-pin', ['slate'], 'on' => 'p3/bottom'],
                ['plain-link', ['rust', 'ink'], 'on' => 'p3/bottom', 'group' => 'g2'], ['jump-ring', [], ['inside' => 3.0], 'group' => 'g2'], ['jump-ring', [], ['inside' => 7.0]],
            ], FitKind::Neck, groups: ['g1' => 8, 'g2' => 8]),
            'toggle-bracelet' => new Pattern('A bracelet of long links, closed by bar and ring', Family::Chain, [['toggle-bar'], ['jump-ring', [], ['inside' => 3.5], 'repeat' => 3], ['wrapped-link', ['rose', 'sand', 'rose'], 'group' => 'g1'], ['jump-ring', [], ['inside' => 3.5], 'group' => 'g1'], ['jump-ring', [], ['inside' => 12.0, 'closed' => true]]], FitKind::Wrist, groups: ['g1' => 5]),
            'ring-chain' => new Pattern('Chain of plain rings, each in the next', Family::Chain, [['hook'], ['jump-ring', [], ['inside' => 4.5], 'repeat' => 37]], FitKind::Wrist),
            'strand' => new Pattern('A crimped strand between hook and ring', Family::Chain, [['hook'], ['strand', [['mist', 6], 'sky', ['mist', 6], 'plum', ['mist', 7], 'sky', ['mist', 6], 'plum', ['mist', 7], 'sky', ['mist', 6], 'plum', ['mist', 6]]], ['jump-ring', [], ['inside' => 7.0]]], FitKind::Wrist),
            'woven-bracelet' => new Pattern('A band woven over three cores, hook and ring', Family::Woven, [['hook'], ['woven-band', [], ['length' => 147.0, 'pattern' => '6@1-2 6@2-3']], ['jump-ring', [], ['inside' => 7.0]]], FitKind::Wrist, Metal::Copper),
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
