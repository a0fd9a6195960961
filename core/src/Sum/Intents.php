<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

/**
 * Which sum a sentence asks for: words that speak for each, with their weight. The heaviest sum wins; of two as heavy
 * the one that stands first here. Common practice for how makers put it.
 */
final class Intents
{
    private const WORDS = [
        'multi-pass' => ['passes' => 6, 'there and back' => 6, 'rows? of beads' => 2],
        'coiled-coil' => ['coiled coil|coil of a coil|coil(?:ed)? twice|double coil|coil(?:ed)? around itself' => 9],
        'beaded-coil' => ['beaded coil|coil of beads|beads? coiled|coil of \w+ beads' => 12],
        'basket-weave' => ['basket' => 9],
        'weave' => ['weav\w*|wov\w+' => 6, 'cores?' => 2],
        'jump-rings' => ['jump ?rings?' => 7, 'rings' => 1],
        'ring-through' => [
            'ring.{0,40}(?:pass|through|thread|fit).{0,30}(?:hole|bead|thick)|'
                .'(?:pass|fit|thread|go).{0,20}ring.{0,20}through' => 9,
        ],
        'ring-chain' => [
            'chain of .{0,12}(?:rings|links)|rings? chain|chain (?:from|out of|made)|rings?.{0,50} linked|'
                .'chain.{0,30}rings' => 10,
        ],
        'hole-fit' => [
            '(?:fit|pass|go|goes|thread|squeeze|run)\w* (?:\w+ ){0,6}through|holes?' => 5,
            'wires?.{0,20}(?:hole|bead)' => 1,
        ],
        'bead-count' => [
            'how many (?:\w+ |~+ ?|\S+ ?){0,4}(?:beads|rounds|rondelles|bicones|tubes|coins|pearls|'
                .'chips)(?! (?:\w+ ){0,3}(?:bind|wrap|sew|lash|attach)).{0,30}'
                .'(?:for|in|to (?:make|fill|reach)|make|need|fill|fit)' => 6,
            'bracelet|strand|necklace|row|long' => 1,
        ],
        'bead-mass' => [
            'weigh\w*|weight|heavy' => 3,
            'beads?|rounds|rondelles?|bicones?|chips?|tubes?|coins?|pearls?' => 4,
        ],
        'pin-fit' => ['head ?pins?|headpins?|ball ?pins?' => 7, 'long enough' => 2],
        'wrapped-link' => [
            'wrapped links?|bead(?:ed)? links?|wrapped (?:bead )?connectors?' => 8,
            'wrapped loops? (?:at|on) (?:both|each|either) ends?|wrapped loops? (?:at|on) 2' => 9,
            'links?' => 3,
            'links? (?:with|of|from)' => 4,
            'link (?:an?|the|my|2|together)' => 6,
        ],
        'wrapped-loop' => ['wrapped loops?|wrapped eyes?|wrap(?:ped)? a loop' => 7],
        'loop-strength' => [
            'pull\w* (?:\w+ )?open|bend\w* open|opens|force|to open' => 8,
            'hold\w*|strength|strong|load' => 4,
            'loop|eye|ring' => 1,
        ],
        'simple-loop' => [
            '(?:plain|simple|open|basic) (?:loops?|eyes?)' => 7,
            'eyes?' => 3,
            'loops?' => 2,
            'eye ?pins?' => 4,
        ],
        'spring-back' => [
            'springy|spring(?:s|ing)? ?back|springs? open' => 8,
            '(?:what|which|size) (?:\w+ ){0,3}mandrel|mandrel (?:\w+ ){0,4}(?:form|use|need)|'
                .'what (?:size )?(?:do i |to |should i )?(?:form|bend|shape)' => 7,
            'mandrel' => 4,
        ],
        'ring-blank' => [
            'cut.{0,40}(?:us|uk|iso|jp|size)' => 4,
            '(?:cut|wire|long|length|much).{0,50}(?:ring|band|shank)|ring (?:blank|band|shank)|shank' => 5,
            'ring' => 1,
        ],
        'ring-size' => [
            '(?:us|uk|iso|jp)(?: size)? [a-z0-9]+' => 4,
            '(?:what|which) .{0,30}size|in (?:us|uk|iso|jp)|ring size|diameter of|circumference of|'
                .'inside (?:diameter|of)' => 4,
            'ring' => 1,
            'finger' => 5,
        ],
        'memory-wire' => ['memory wire' => 8],
        'cuff' => ['cuff' => 8],
        'bangle' => ['bangle' => 8],
        'bracelet' => ['bracelet' => 5, 'wrist' => 3],
        'strand-closure' => [
            'inside of.{0,40}(?:bracelet|strand|strung)' => 7,
            '(?:room|inside|round).{0,30}(?:strand|closed|loop of beads)|closed strand|'
                .'strand.{0,40}(?:inside|room|fit round)' => 7,
        ],
        'necklace' => ['over .{0,20}head' => 7, 'necklace|neck' => 6, 'where .{0,20}(?:lie|sit|hang|fall)' => 3],
        'strand' => [
            'beading wire|bead(?:ing)? (?:cable|thread)' => 4,
            'beading wire|string(?:ing)? wire|bead(?:ing)? (?:cable|thread)|crimp\w*|strand|strung|string' => 6,
        ],
        'surround' => ['surround|round (?:the|its) rim|rim' => 6, 'bail' => 3],
        'fill-beads' => ['fill\w*' => 7, 'along each half|each side of|half of' => 9],
        'bead-wrap' => [
            'beads (?:\w+ ){0,4}(?:wrap|bind|lash|sew|bound|wrapped)' => 6,
            'bind\w*|bound|lash\w*|sew\w*|wrap\w* (?:\w+ ){0,5}beads|wire[- ]?wrap\w* beads|attach\w*|fasten\w*' => 6,
            'end coils?' => 6,
            'beads? (?:\w+ ){0,3}(?:on|onto|along|around|to) (?:an? |the |my )?' => 2,
            'on(?:to)? (?:an? |the |my )?(?:~+ )?.{0,24}(?:hoop|frame|core)' => 3,
        ],
        'spiral' => ['spiral\w*|swirl\w*|scroll' => 7],
        'hoop' => ['hoops?' => 5, 'hoop earrings?' => 2],
        'frame' => [
            'triangles?|squares?|teardrops?' => 3,
            '(?:square|triangle|triangular|teardrop|drop[- ]?shape\w*|drop|round) (?:shaped )?frames?|frames?' => 4,
        ],
        'hammer' => ['hammer\w*|flatten\w*|plannish\w*|planish\w*' => 7],
        'hardening' => ['work[- ]?harden\w*|how hard (?:is|has|will)|crack\w*|anneal\w*|brittle' => 8],
        'temper' => ['yield\w*|drawn|numbers? hard' => 10],
        'coil' => [
            'wraps? of .{0,24}(?:round|around|on|over)' => 9,
            'coil\w*' => 7,
            'turns' => 2,
            'wind\w*|wound' => 2,
        ],
        'wire-length' => [
            'how (?:long|many (?:feet|ft|met\w+|m|inches|cm|yards)|much length|far)|what length' => 3,
            'in ~* ?(?:of )?|ounces?|grams?|spool' => 0,
        ],
        'wire-mass' => [
            'how much (?:\w+ )?(?:silver|copper|brass|gold|metal) is in' => 6,
            'weigh\w*|weight|heavy|how many (?:grams|g|ounces)|mass' => 4,
        ],
        'wire-size' => [
            '(?:thicker|thinner|finer|bigger|smaller) than|(?:is|are) (?:the )?(?:thicker|thinner|finer)|'
                .'same (?:thickness|size) as' => 6,
            '(?:what|which|in) (?:awg|swg)|how thick|thickness|what (?:is|are|size|gauge)|'
                .'in (?:mm|millimet\w+|swg|awg|inches)|same as|equivalent|convert|gauge' => 2,
        ],
    ];

    /** Figures that speak for a sum: kinds that it needs and others do not. */
    private const FIGURES = [
        'wire-mass' => ['metal' => 1, 'length' => 1, 'mass' => -4],
        'wire-length' => ['mass' => 6],
        'hole-fit' => ['wires' => 6],
        'weave' => ['pattern' => 6],
        'basket-weave' => ['passes' => 9],
        'ring-size' => ['ring' => 2, 'gauge' => -4],
        'ring-blank' => ['ring' => 3, 'gauge' => 1],
        'spring-back' => ['temper' => 2],
        'loop-strength' => ['temper' => 1],
        'hardening' => ['temper' => 1],
        'temper' => ['temper' => 1],
        'bead-count' => ['gauge' => -4, 'metal' => -3, 'count' => -1],
        'bead-mass' => ['gauge' => -4, 'metal' => -3],
    ];

    /** @return array<string, int> the sums that anything speaks for, the heaviest first */
    public static function of(Quantities $said): array
    {
        $weights = [];
        foreach (array_keys(self::WORDS) as $name) {
            $weights[$name] = self::weight($name, $said);
        }
        arsort($weights);

        return array_filter($weights, fn (int $weight): bool => $weight > 0);
    }

    private static function weight(string $name, Quantities $said): int
    {
        $weight = 0;
        foreach (self::WORDS[$name] as $pattern => $speaks) {
            $weight += preg_match('/(?<![\w])(?:'.$pattern.')(?![\w])/u', $said->plain) === 1 ? $speaks : 0;
        }
        foreach ($weight > 0 ? self::FIGURES[$name] ?? [] : [] as $kind => $speaks) {
            $weight += in_array($kind, array_column($said->all, 'kind'), true) ? $speaks : 0;
        }

        return $weight;
    }
}
