<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bead\BeadShape;
use Hebra\Core\Bead\Material;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Unreadable;

/**
 * A question in a maker's own words: `I have 60 cm of 26 gauge left, how many 4 mm beads can I bind on an 18 gauge
 * hoop?` First which sum it asks for, then what each of its figures is: by its unit (a gauge is wire, millimetres of
 * bead are bead), by the words beside it (on a core, left over), and last by what the sum still wants. What is not said
 * stands with a sensible value, and is named.
 */
final class Question
{
    private const MOST = 240;

    /** How many sums are tried, the likeliest first, and how much a figure that is missing speaks against one. */
    private const TRIED = 4;

    private const A_GAP = 2;

    /** As thick as wire is that is worked by hand. */
    private const THICK_MM = 3.3;

    private const BEADS = 'beads?|pearls?|stones?|crystals?|rounds?|rondelles?|bicones?|chips?|discs?|disks?|coins?|'
        .'tubes?|drops?|briolettes?';

    private const STONES = 'agate|amethyst|aventurine|jade|jasper|labradorite|lapis|malachite|obsidian|onyx|quartz|'
        .'turquoise|hematite';

    /** Words right after a figure, and words before it, that say what it is: by input. */
    private const ROLES = [
        'core' => [
            '(?:wire )?(?:frame|hoop|core|bangle|ring|form)s?|cores?',
            'on|onto|on to|along|around|round|over|frame|frame of|hoop|hoop of|core|cores|cores of|cores are|core is|'
                .'to',
        ],
        'wire' => ['(?:\w+ )?wire|weaving|binding|thread', 'with|in|using|with only|wire|wire is|from|out of|of|for'],
        'stem' => ['stem|core', 'on|around|round|over|stem'],
        'have' => [
            '(?:of )?(?:\w+ ){0,3}(?:left|remaining|to spare|spare|on hand|in hand|scrap)|piece',
            'have|have got|i have|got|only have|left|left with|have only|with only|from|out of|remaining|scrap of|'
                .'piece of|use up',
        ],
        'length' => [
            'long|in length|(?:of )?coil|length|bracelet|band|chain|strand|necklace|woven|of weave|weave|cuff',
            'length|long|length of|for|reach|make|measures?|strand|necklace|of',
        ],
        'mandrel' => [
            'mandrel|dowel|rod|needle|knitting needle|pen|bit|form|core',
            'on|onto|around|round|over|mandrel|mandrel of|on to|inside',
        ],
        'first_mandrel' => ['first mandrel|inner mandrel', 'first on|first mandrel'],
        'inside' => [
            'hole in the middle|middle|inside|inner|id|inside diameter|'
                .'(?:plain |simple |wrapped |open )?(?:loops?|eyes?)|(?:jump )?rings?|diameter|across',
            'inside|inner diameter|inside diameter|inside of|loops?|eyes?|rings?|id|for|of|at|on|round|around',
        ],
        'beads' => [self::BEADS, 'beads'],
        'bead_length' => [self::BEADS, 'beads|beads of|each bead|beads are|bead|long'],
        'bead_width' => ['wide|across', 'bead width|wide'],
        'bead' => [self::BEADS.'|thick', 'beads|beads of|bead|beads are|with'],
        'body' => [self::BEADS.'|bead', 'bead|beads|bead is|beads are|body'],
        'stack' => [self::BEADS.'|of beads|stack', 'beads|stack|stack of|bead'],
        'wraps' => ['wraps?|times', 'wraps'],
        'wraps_between' => ['wraps? between|turns between|wraps', 'wraps between'],
        'end_coil' => [
            '(?:turns? |wraps? |coils? )?(?:at|on) (?:each|both|either) ends?|end coils?|turns? of coil',
            'end coil|end coils of|ends',
        ],
        'turns' => ['turns?|wraps?|rounds?|times around|revolutions?|coils?', 'turns'],
        'repeats' => ['repeats?|times', 'repeats'],
        'other' => [' ', 'than|or|as|thicker than|thinner than|same as'],
        'count' => ['(?:jump ?|soldered )?rings?|links?|(?:\w+ )?(?:'.self::BEADS.')', 'rings'],
        'cores' => ['(?:\w+ )?cores?|frames?|base wires?', 'cores'],
        'passes' => ['passes|pass|rows', 'passes'],
        'loops' => ['loops?|coils?|times around', 'loops'],
        'hole' => ['(?:\w+ )?holes?|deep|through', 'hole|hole of|holes of|hole is|holes are|through|in'],
        'hole_length' => ['holes?|deep|long hole|bead', 'hole|through|bead'],
        'rim' => [
            '(?:a)?round|rim|in circumference|circumference|frame|hoop|ring',
            'rim|rim of|round|around|frame|inside|in',
        ],
        'bail' => ['bail', 'bail|bail of'],
        'diameter' => [
            '(?:\w+ )?hoops?|across|diameter|wide|in diameter',
            'diameter|hoops? of|hoop|diameter of|across',
        ],
        'hook' => ['hook|catch', 'hook|hook of'],
        'eye' => ['eye|loop', 'eye|eye of|loop of|loop'],
        'ends' => ['(?:for|at|on|off) (?:the |both |each )?ends?|ends|overlap', 'ends|ends of|overlap of'],
        'end' => ['(?:for|at|on) (?:each |both )?ends?|ends?', 'ends?|ends of'],
        'tail' => ['tails?', 'tails?|tail of|tails of'],
        'pin' => ['(?:long )?(?:head ?|ball ?|eye ?)?pins?|headpins?', 'pin|pins|headpin|pin is|head pin'],
        'grip' => ['grip|to grip|to hold', 'grip'],
        'kerf' => ['kerf|saw|blade', 'kerf|blade|saw'],
        'wrist' => ['wrist', 'wrist|wrist is|wrist of'],
        'girth' => ['wrist|girth|around', 'wrist|wrist is|girth|for'],
        'gap' => ['gap|opening', 'gap|gap of|opening of'],
        'ease' => ['ease|slack|loose', 'ease|ease of'],
        'thickness' => ['thick|(?:\w+ )?(?:wire|sheet|band)', 'to|thickness|thick|in|of|from|with'],
        'hammered_to' => [
            'thick',
            '(?:hammer|flatten|planish|plannish)(?:ed)?(?: it| them)?(?: flat| down)? to|down to|hammered',
        ],
        'thinned_to' => ['thick', 'to|down to'],
        'thinned_from' => ['thick', 'from'],
        'width' => ['wide', 'width|wide'],
        'coil' => ['(?:diameter )?coils?|diameter|across', 'coil|coil of|diameter'],
        'size' => [
            '(?:\w+ )?(?:square|triangle|drop|circle|frame|side|sides|across|wide)',
            'side|sides|size|square|triangle|frame',
        ],
        'gaps' => ['gaps?', 'gaps'],
        'turn_back' => ['turned back|(?:for|at) (?:each|both) ends?|crimps?', 'turn back'],
        'overlap' => ['overlap', 'overlap|overlap of'],
        'neck' => ['neck', 'neck|neck is'],
        'head' => ['head', 'head|head is'],
        'spacing' => ['apart', 'spaced|apart'],
        'pitch' => ['apart|pitch', 'pitch|every'],
        'clearance' => ['clearance|to spare', 'clearance'],
        'straightened' => ['times(?: straightened)?|straightenings?|passes', 'straightened'],
        'numbers_hard' => ['numbers?', 'drawn'],
        'first' => [' ', 'first pass took|first pass'],
    ];

    /** @var array<string, string> */
    private array $given = [];

    /** @var array<int, true> figures that are taken */
    private array $taken = [];

    private function __construct(private readonly Sum $sum, private readonly Quantities $said)
    {
    }

    /** @throws Problem if no sum is asked for, or a figure finds no place */
    public static function read(string $sentence): Asked
    {
        if (mb_strlen($sentence) > self::MOST) {
            throw Unreadable::tooLong('ask', mb_strlen($sentence), self::MOST);
        }
        $said = Quantities::in($sentence);
        $best = $first = null;
        $most = PHP_INT_MIN;
        foreach (array_slice(Intents::of($said), 0, self::TRIED) as $name => $weight) {
            try {
                $asked = (new self(Sums::named($name), $said))->dealt();
                $speaks = $weight - self::A_GAP * count($asked->missing);
                [$best, $most] = $speaks > $most ? [$asked, $speaks] : [$best, $most];
            } catch (Problem $problem) {
                $first ??= $problem;
            }
        }

        return $best ?? throw $first ?? UnknownSum::line(
            $sentence,
            ['coil', 'bind', 'link', 'weave', 'hoop', 'ring us 7'],
        );
    }

    /** @throws Problem if a figure finds no place */
    private function dealt(): Asked
    {
        $this->readByName();
        $this->readWires();
        $this->readByRole();
        $this->readByKind();
        $this->readWhole();

        return $this->asked();
    }

    private function asked(): Asked
    {
        foreach ($this->said->all as $at => $quantity) {
            // A count may be a manner of speaking; anything with a unit was meant.
            if (! isset($this->taken[$at]) && ! in_array($quantity->kind, ['count', 'metal', 'temper'], true)) {
                throw UnknownSum::leftOver($this->sum->name, $quantity->text);
            }
        }

        return Asked::filled($this->sum, $this->given);
    }

    /** Metals, tempers, ring sizes, weaves, shapes: known by what they are. */
    private function readByName(): void
    {
        $kinds = [
            'metal' => InputKind::Metal,
            'temper' => InputKind::Temper,
            'ring' => InputKind::Ring,
            'wires' => InputKind::Wires,
            'mass' => InputKind::Mass,
        ];
        foreach ($this->sum->inputs as $input) {
            foreach ($this->said->all as $at => $quantity) {
                $isPattern = $input->kind === InputKind::Pattern
                    && $quantity->kind === ($input->key === 'passes' ? 'passes' : 'pattern');
                if (
                    ! isset($this->given[$input->key])
                    && (($kinds[$quantity->kind] ?? null) === $input->kind || $isPattern)
                ) {
                    $this->take($input, $at, $quantity->text);
                }
            }
            $choice = $input->kind === InputKind::Choice ? $this->chosen($input) : null;
            if ($choice !== null) {
                $this->given[$input->key] = $choice;
            }
        }
        if (
            preg_match('/half[- ]round|square wire|twisted/', $this->said->plain, $match) === 1
            && $this->sum->input('section') !== null
        ) {
            $this->given['section'] = [
                'half' => 'half-round',
                'squa' => 'square',
                'twis' => 'twisted-pair',
            ][substr($match[0], 0, 4)];
        }
    }

    private function chosen(Input $input): ?string
    {
        $words = [
            'centred' => 'centred|centered|astride|straddl\w*', 'square' => 'square', 'triangle' => 'triang\w+',
            'drop' => 'tear ?drop|drop', 'hoop' => 'round|circle|circular|hoop', 'string' => 'string|paper|thread',
            'sizer' => 'sizer',
        ];
        foreach ($input->choices as $choice) {
            if (
                isset($words[$choice])
                && preg_match('/(?<!\w)(?:'.$words[$choice].')(?!\w)/u', $this->said->plain) === 1
            ) {
                return $choice;
            }
        }

        return null;
    }

    /** Each figure goes to the input whose words stand closest to it. */
    private function readByRole(): void
    {
        $pairs = [];
        foreach ($this->sum->inputs as $place => $input) {
            foreach ($this->said->all as $at => $quantity) {
                $speaks = $this->couldBe($input, $quantity, $at) ? $this->speaks($input, $quantity, $at) : 0;
                if ($speaks > 0) {
                    $pairs[] = [$speaks, $place, $at];
                }
            }
        }
        usort($pairs, fn (array $a, array $b): int => [$b[0], $a[1]] <=> [$a[0], $b[1]]);
        foreach ($pairs as [, $place, $at]) {
            $input = $this->sum->inputs[$place];
            if (
                ! isset($this->given[$input->key])
                && ! isset($this->taken[$at])
                && ! $this->sum->isAnswered($input->key, $this->given)
            ) {
                $this->take($input, $at, $this->textFor($input, $this->said->all[$at]));
            }
        }
    }

    private function speaks(Input $input, Quantity $quantity, int $at): int
    {
        [$before, $after] = self::ROLES[$input->key] ?? [$input->key, $input->key];
        // What it goes on is not what goes on it.
        if ($input->key === 'wire' && $quantity->isAfter('on|onto|around|round|over|along')) {
            return 0;
        }
        $next = $this->said->all[$at + 1] ?? null;
        if (
            $this->isSoMuchWire($quantity, $next)
            && in_array($input->key, ['have', 'length', 'mandrel', 'core'], true)
        ) {
            $key = $this->isAlong($quantity) ? 'length' : 'have';

            return $input->key === $key ? 12 : 0;
        }
        $speaks = ($quantity->isBefore($before) ? 6 : 0) + ($quantity->isAfter($after) ? 4 : 0);
        // `17 4 mm beads`: what the next figure counts, this one counts too.
        if (
            $quantity->kind === 'count'
            && $quantity->after === ''
            && $next !== null
            && $next->kind !== 'count'
            && $next->isBefore($before)
        ) {
            $speaks += 6;
        }
        if ($quantity->kind === 'gauge' && $input->kind === InputKind::Wire) {
            $speaks += $speaks > 0 ? 2 : 0;
        }
        if ($quantity->kind === 'box' && str_starts_with($input->key, 'bead_length')) {
            $speaks += 3;
        }

        return $speaks;
    }

    /** `50 cm of 20 gauge`: the wire that is there; `on 2 cm of 18 gauge`: how far along the other wire. */
    private function isSoMuchWire(Quantity $quantity, ?Quantity $next): bool
    {
        return $quantity->kind === 'length' && $quantity->after === 'of' && $next?->kind === 'gauge';
    }

    private function isAlong(Quantity $quantity): bool
    {
        return $quantity->isAfter('on|onto|along|over|around|round|cover|fill');
    }

    /** What is left goes to what the sum cannot do without, in the order of the sentence. */
    private function readByKind(): void
    {
        foreach ($this->sum->inputs as $input) {
            if (
                isset($this->given[$input->key])
                || $this->sum->isAnswered($input->key, $this->given)
                || ! (($input->default === null && ! $input->isOptional) || $this->sum->isAlternative($input->key))
                || $input->key === 'have'
            ) {
                continue;
            }
            foreach ($this->said->all as $at => $quantity) {
                $isBare = $quantity->kind === 'count'
                    && ! in_array($input->kind, [InputKind::Count, InputKind::Number], true);
                if (! isset($this->taken[$at]) && ! $isBare && $this->couldBe($input, $quantity, $at)) {
                    $this->take($input, $at, $this->textFor($input, $quantity));
                    break;
                }
            }
        }
        $this->readBareGauge();
        // One wire in hand, and nothing else to begin from.
        $have = $this->sum->input('have');
        if ($have === null || isset($this->given['have']) || $this->sum->isAnswered($have->key, $this->given)) {
            return;
        }
        foreach ($this->said->all as $at => $quantity) {
            if (! isset($this->taken[$at]) && $quantity->kind === 'length') {
                $this->take($have, $at, $quantity->text);
                break;
            }
        }
    }

    /**
     * A thin size, or a bare number, where only a wire is wanted; the number is passed on as it is, to be asked about.
     */
    private function readBareGauge(): void
    {
        foreach ($this->sum->inputs as $input) {
            foreach (
                $input->kind === InputKind::Wire
                && $input->default === null
                && ! isset($this->given[$input->key])
                ? $this->said->all
                : [] as $at => $quantity
            ) {
                $isThin = $quantity->kind === 'length' && $this->mm($quantity) <= self::THICK_MM;
                if (
                    ! isset($this->taken[$at])
                    && ($isThin || ($quantity->kind === 'count' && preg_match('/^\d{1,2}$/', $quantity->text) === 1))
                ) {
                    $this->take($input, $at, $quantity->text);
                    break;
                }
            }
        }
    }

    /** Wires that share a hole: `three 28 gauge wires`, `24 gauge twice`, `two of 24 gauge and one of 20`. */
    private function readWires(): void
    {
        if ($this->sum->input('wires') === null || isset($this->given['wires'])) {
            return;
        }
        $terms = [];
        foreach ($this->said->all as $at => $quantity) {
            $saysWire = $quantity->isBefore('(?:\w+ )?(?:wires?|thick|strands?)')
                || $quantity->isAfter('wires? of|strands? of');
            $isWire = $quantity->kind === 'gauge' || ($quantity->kind === 'length' && $saysWire);
            if (isset($this->taken[$at]) || ! $isWire) {
                continue;
            }
            $this->taken[$at] = true;
            $terms[] = $this->wiresOf($at).'x'.$quantity->text;
        }
        if ($terms !== []) {
            $this->given['wires'] = implode(',', $terms);
        }
    }

    /** How many of the wire at this place: the count before it, or how often it goes. */
    private function wiresOf(int $at): int
    {
        $count = $this->said->all[$at - 1] ?? null;
        if (
            $count !== null
            && $count->kind === 'count'
            && ctype_digit($count->text)
            && ! isset($this->taken[$at - 1])
            && preg_match(
                '/^(?:(?:wires?|strands?|pieces?|lengths?|passes|pass|of|x|times|a|the|cores?) ?)*$/', $count->after,
            ) === 1
        ) {
            $this->taken[$at - 1] = true;

            return (int) $count->text;
        }
        $often = preg_match(
            '/(?<!\w)(twice|double[ds]?|thrice|(\d+) (?:times|passes))(?!\w)/u',
            $this->said->plain,
            $match,
        ) === 1
            ? $match
            : [];

        return match (true) {
            $often === [] => 1,
            isset($often[2]) => (int) $often[2],
            $often[1] === 'thrice' => 3,
            default => 2,
        };
    }

    /** Things that are more than one figure: a bead in one line, a finger measured round. */
    private function readWhole(): void
    {
        $bead = $this->sum->input('bead');
        if ($bead !== null && $bead->kind === InputKind::Pattern && ! isset($this->given['bead'])) {
            $this->readBead($bead);
        }
        $ring = $this->sum->input('size');
        if ($ring === null || $ring->kind !== InputKind::Ring || isset($this->given['size'])) {
            return;
        }
        foreach ($this->said->all as $at => $quantity) {
            if (! isset($this->taken[$at]) && $quantity->kind === 'length') {
                $isRound = preg_match('/(?<!\w)(?:around|round|circumference|girth)(?!\w)/u', $this->said->plain) === 1
                    || $this->mm($quantity) > 25;
                $how = match (true) {
                    str_contains($this->said->plain, 'string') => 'string',
                    $isRound => 'circumference',
                    default => 'diameter',
                };
                $this->take($ring, $at, "{$how} {$quantity->text}");
                break;
            }
        }
    }

    private function mm(Quantity $quantity): float
    {
        try {
            return \Hebra\Core\Quantity\Length::parse($quantity->text, 'ask', LengthUnit::Millimetre)->millimetres();
        } catch (Problem) {
            return 0.0;
        }
    }

    private function readBead(Input $input): void
    {
        foreach ($this->said->all as $at => $quantity) {
            if (! isset($this->taken[$at]) && in_array($quantity->kind, ['length', 'box'], true)) {
                $shape = $this->saidOf(BeadShape::cases())[0] ?? 'round';
                $material = implode(' ', $this->saidOf(Material::cases())) ?: $this->material();
                $this->take($input, $at, trim("{$quantity->text} {$shape}, {$material}", ', '));
                break;
            }
        }
    }

    /**
     * @param  array<\BackedEnum>  $cases
     * @return list<string> those of them that were said
     */
    private function saidOf(array $cases): array
    {
        return array_values(array_filter(
            array_map(fn (\BackedEnum $case): string => (string) $case->value, $cases),
            fn (string $word): bool => preg_match(
                '/(?<!\w)'.preg_quote($word, '/').'s?(?!\w)/u', $this->said->plain,
            ) === 1,
        ));
    }

    /** Stones and glass that are known by names of their own. */
    private function material(): string
    {
        return match (true) {
            preg_match('/(?<!\w)(?:'.self::STONES.')(?!\w)/u', $this->said->plain) === 1 => 'stone',
            preg_match('/(?<!\w)(?:crystals?|lampwork|seed)(?!\w)/u', $this->said->plain) === 1 => 'glass',
            default => '',
        };
    }

    private function couldBe(Input $input, Quantity $quantity, int $at): bool
    {
        $isLength = $quantity->kind === 'length';
        $isRing = $quantity->kind === 'ring' && in_array($input->key, ['inside', 'mandrel', 'diameter'], true);

        return ! isset($this->taken[$at]) && match ($input->kind) {
            InputKind::Wire => $quantity->kind === 'gauge' || ($isLength && $this->isWireSize($quantity, $at)),
            InputKind::Across => $quantity->kind === 'gauge' || $isLength || $isRing,
            InputKind::Length,
            InputKind::Size => $isLength
                || $isRing
                || ($quantity->kind === 'box' && str_starts_with($input->key, 'bead'))
                || ($input->key === 'body' && $quantity->kind === 'box'),
            InputKind::Count => $quantity->kind === 'count',
            InputKind::Number,
            InputKind::EndCoil => $quantity->kind === 'count'
                || ($input->kind === InputKind::EndCoil && $isLength && $quantity->isAfter(
                    'end coils?|end coils? of|coils? at (?:each|both) ends? of'
                )),
            InputKind::Mass, InputKind::Metal, InputKind::Temper, InputKind::Ring, InputKind::Wires,
            InputKind::Pattern, InputKind::Section, InputKind::Choice => false,
        };
    }

    /**
     * A size in millimetres is a wire's if it says so, if metal or temper stand beside it, or if a wire's size is all
     * that is asked.
     */
    private function isWireSize(Quantity $quantity, int $at): bool
    {
        $next = $this->said->all[$at + 1] ?? null;

        return $this->sum->name === 'wire-size' || $quantity->isBefore('(?:\w+ ){0,2}wire|thick')
            || ($quantity->after === '' && $next !== null && in_array($next->kind, ['metal', 'temper'], true));
    }

    /** Two sizes of a bead are width and length; the sum may want both. */
    private function textFor(Input $input, Quantity $quantity): string
    {
        if ($quantity->kind !== 'box' || preg_match('/^(.+?) ?(?:mm)? ?x ?(.+)$/', $quantity->text, $match) !== 1) {
            return $quantity->text;
        }
        $width = $this->sum->input('bead_width');
        if ($width !== null) {
            $this->given['bead_width'] ??= $match[1].' mm';
        }

        return $match[2];
    }

    private function take(Input $input, int $at, string $text): void
    {
        $this->given[$input->key] = $text;
        $this->taken[$at] = true;
    }
}
