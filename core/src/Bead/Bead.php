<?php

declare(strict_types=1);

namespace Hebra\Core\Bead;

use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;

/**
 * A bead. Lengths in millimetres: length along the hole, width across it, hole. Invariant: each more than 0; length
 * and width at most 100; the hole smaller than the width.
 */
final readonly class Bead
{
    /** What other names of colours come nearest to. */
    private const NEAREST = [
        'sea' => 'teal|turquoise|aqua', 'moss' => 'green|olive|lime|jade', 'amber' => 'yellow|gold|golden|honey',
        'rust' => 'red|orange|copper|brick', 'rose' => 'pink|coral', 'plum' => 'purple|violet|lilac|mauve',
        'slate' => 'gr[ae]y|silver|steel', 'sky' => 'blue|azure', 'ink' => 'black|navy|indigo',
        'milk' => 'white|cream|ivory', 'sand' => 'brown|beige|tan|bronze', 'clear' => 'transparent|crystal',
    ];

    public const COLOURS = [
        'sea', 'moss', 'amber', 'rust', 'rose', 'plum', 'slate', 'sky', 'ink', 'milk', 'sand', 'clear',
    ];

    private const MOST_MM = 100.0;

    /** So much larger or smaller a bead is about as large [memory]. */
    private const NEAR_MM = 0.5;

    /** What stands above a hole across the top, of the length; how slim a drop is there beside an ellipse [memory]. */
    private const TIP = 0.1;

    private const DROP_TIP = 0.4;

    private function __construct(
        public string $name,
        public BeadShape $shape,
        public float $lengthMm,
        public float $widthMm,
        public float $holeMm,
        public Drilling $drilling,
        public Material $material,
        public string $colour,
    ) {
    }

    /** @throws \Hebra\Core\Problem if a size is out of range or the colour unknown */
    public static function of(
        BeadShape $shape,
        float $lengthMm,
        float $widthMm,
        float $holeMm,
        Drilling $drilling = Drilling::Lengthwise,
        Material $material = Material::Glass,
        string $colour = 'sea',
        string $name = '',
        string $field = 'bead',
    ): self {
        Length::fromMillimetres($lengthMm)->asSize($field.' length', self::MOST_MM);
        Length::fromMillimetres($widthMm)->asSize($field.' width', self::MOST_MM);
        Length::fromMillimetres($holeMm)->asSize($field.' hole', $widthMm * 0.95);
        if (! in_array($colour, self::COLOURS, true)) {
            throw Unreadable::choice($field.' colour', $colour, self::COLOURS);
        }
        if (mb_strlen($name) > 60) {
            throw Unreadable::tooLong($field.' name', mb_strlen($name), 60);
        }
        $isRow = $shape->usualDrilling() === Drilling::Row;
        if ($drilling === Drilling::Row && ! $isRow) {
            throw Unreadable::choice($field.' drilling', $drilling->value, Drilling::ofHoles());
        }

        return new self(
            $name, $shape, $lengthMm, $widthMm, $holeMm, $isRow ? Drilling::Row : $drilling, $material, $colour,
        );
    }

    /**
     * Reads one line: `6mm round, hole 1`, `8 x 5mm rondelle hole 1.2 amber`, `4x12 tube, hole 0.8, stone`. Two sizes
     * are width x length; `11/0 seed` is a size too, and `2 x 2.5mm cup, link 0.6` a
     * stone set in a row. Without a hole 1 mm is taken, and
     * of a row of set stones a link of a third of their width; `top-drilled` and a material or
     * colour word may stand anywhere. A name may stand before a colon: `Harbour pebble: 8mm round, hole 1`.
     *
     * @throws \Hebra\Core\Problem if no size or no shape is found, or a size is out of range
     */
    public static function parse(string $text, string $field = 'bead'): self
    {
        if (mb_strlen($text) > 160) {
            throw Unreadable::tooLong($field, mb_strlen($text), 160);
        }
        $colon = strpos($text, ':');
        $name = $colon === false
            ? ''
            : trim(preg_replace('/[\p{C}\s]+/u', ' ', mb_scrub(substr($text, 0, $colon))) ?? '');
        $plain = Text::plain(
            $colon === false ? $text : substr($text, $colon + 1),
            $field,
            'a bead, such as “6mm round, hole 1”',
        );
        $line = preg_replace(['/(\d),(\d)/', '/\bset stones?\b/'], ['$1.$2', 'cup'], $plain) ?? '';
        // Two holes are a drilling; a hole of a size is the hole.
        $isTwoHole = preg_match('/\b(two|2)[ -]holes?\b/', $line) === 1;
        $isThreeHole = preg_match('/\b(three|3)[ -]holes?\b/', $line) === 1;
        $isOneHole = preg_match('/\b(one|1)[ -]hole\b/', $line) === 1;
        $line = preg_replace('/\b(three|3|two|2|one|1)[ -]holes?\b/', ' ', self::seedSize($line)) ?? '';
        [$line, $hole] = self::takeHole($line, $field);
        [$line, $eachMm] = self::takeStack($line, $field);
        $shape = self::word($line, BeadShape::cases());
        if ($shape !== null && $eachMm !== null && preg_match('/\d/', $line) !== 1) {
            $line .= ' '.round($eachMm / $shape->usualLengthMm(1.0), 3).'mm';
        }
        if (
            $shape === null
            || preg_match(
                '/(?<![\w.-])(-?[\d.\/]+)\s*(mm|cm|in|")?(?:\s*x\s*([\d.\/]+)\s*(mm|cm|in|")?)?/', $line, $match,
            ) !== 1
        ) {
            throw Unreadable::bead($field, $text, array_column(BeadShape::cases(), 'value'), self::COLOURS);
        }
        $unit = $match[4] ?? ($match[2] ?? '');
        $width = Length::parse($match[1].($match[2] ?? '' ?: $unit), $field.' width')->millimetres();
        $length = isset($match[3])
            ? Length::parse($match[3].$unit, $field.' length')->millimetres()
            : $eachMm ?? $shape->usualLengthMm($width);

        return self::of($shape, $length, $width, $hole ?? $shape->usualHoleMm($width),
            match (true) {
                preg_match('/top[ -]?(drilled)?/', $line) === 1 => Drilling::Top,
                $isTwoHole => Drilling::TwoHole,
                $isThreeHole => Drilling::ThreeHole,
                $isOneHole => Drilling::Lengthwise,
                default => $shape->usualDrilling(),
            },
            self::word($line, Material::cases()) ?? $shape->usualMaterial(),
            self::colourIn($line), $name, $field);
    }

    /** `11/0 seed` as its width, length and hole [memory]. */
    private static function seedSize(string $line): string
    {
        foreach ([
            '15/0' => '1.5 x 1.1mm seed, hole 0.6', '11/0' => '2.1 x 1.5mm seed, hole 0.8',
            '8/0' => '3.1 x 2.1mm seed, hole 1.1', '6/0' => '4 x 3mm seed, hole 1.4',
        ] as $size => $is) {
            if (preg_match('~(?<![\d/])'.preg_quote($size, '~').'(?!\d)~', $line) === 1) {
                return preg_replace(
                    '/\s+seeds?\b(?=.*seed)/',
                    ' ',
                    str_replace($size, preg_match('/\bhole/', $line) === 1 ? explode(',', $is)[0] : $is, $line),
                ) ?? $line;
            }
        }

        return $line;
    }

    /** @return array{string, float|null} the line without its hole, and the hole in millimetres where one is said */
    private static function takeHole(string $line, string $field): array
    {
        if (preg_match('/\b(?:hole|link)s?\s*(?:of\s*)?(-?[\d.\/]+\s*(?:mm|in|")?)/', $line, $match) !== 1) {
            return [$line, null];
        }

        return [str_replace($match[0], ' ', $line), Length::parse($match[1], $field.' hole')->millimetres()];
    }

    /**
     * A stack that was measured, `15 take 38 mm`: how long one is, of beads that are not alike.
     *
     * @return array{string, float|null} the line without it, and millimetres for one
     */
    private static function takeStack(string $line, string $field): array
    {
        if (preg_match(
            '/(?<![\w.])(\d{1,4})\s+(?:of them\s+)?take\s+([\d.\/ ]+\s*(?:mm|cm|in|"))/', $line, $match,
        ) !== 1) {
            return [$line, null];
        }
        $count = Count::parse($match[1], $field.' count', 1, 2000);

        return [str_replace($match[0], ' ', $line), Length::parse($match[2], $field.' length')->millimetres() / $count];
    }

    /**
     * @template T of BeadShape|Material
     *
     * @param  list<T>  $cases
     * @return T|null
     */
    private static function word(string $line, array $cases): BeadShape|Material|null
    {
        foreach ($cases as $case) {
            if (preg_match('/(?<!\w)'.$case->value.'s?(?!\w)/', $line) === 1) {
                return $case;
            }
        }

        return null;
    }

    private static function colourIn(string $line): string
    {
        foreach (self::COLOURS as $colour) {
            if (preg_match('/(?<!\w)'.$colour.'(?!\w)/', $line) === 1) {
                return $colour;
            }
        }

        foreach (self::NEAREST as $colour => $others) {
            if (preg_match('/(?<!\w)(?:'.$others.')(?!\w)/', $line) === 1) {
                return $colour;
            }
        }

        return 'sea';
    }

    /**
     * How many, and the bead's own line: `15 × 5mm chip`, `22 x 4mm bicone`, `12 x 6x4mm rondelle`, `30 × 11/0`. A
     * length of them, `7 cm of 2 x 2.6mm cup`, is as many as lie in it. A whole number without a unit before the sign
     * counts where the rest is a bead of its own, and as a width would make a bead that is not made so [common
     * practice].
     *
     * @return array{int, string}
     */
    public static function counted(string $text): array
    {
        if (preg_match('/^\s*(\d{1,4})\s+(?:of them\s+)?take\s/iu', $text, $match) === 1) {
            return [(int) $match[1], $text];
        }
        if (preg_match('~^\s*([\d.,/ ]+(?:mm|cm|in|"))\s+of\s+(.+)$~iu', mb_scrub($text), $match) === 1) {
            return [self::inLength($match[1], $match[2]), $match[2]];
        }
        if (preg_match('/^\s*(\d{1,4})\s*(?:[x×]\s*|\s)(?=(\d)|[a-z])(.+)$/iu', mb_scrub($text), $match) !== 1) {
            return [1, $text];
        }
        try {
            $bead = self::parse($match[3]);
        } catch (\Hebra\Core\Problem) {
            return [1, $text];
        }
        $isWhole = preg_match('~^\d+/0|^[a-z]|^[\d.]+\s*(?:mm)?\s*[x×]\s*[\d.]~u', $match[3]) === 1;

        return $isWhole || $match[1] >= $bead->shape->mostWidths() * $bead->widthMm
            ? [(int) $match[1], $match[3]]
            : [1, $text];
    }

    /**
     * How many lie in a length, whole ones: `7 cm of 2 x 2.6mm cup`, as a row is sold.
     *
     * @throws \Hebra\Core\Problem if it is no length, or no bead
     */
    private static function inLength(string $length, string $bead): int
    {
        $mm = Length::parse($length, 'length')->millimetres();

        return (int) floor($mm / self::parse($bead)->lengthMm + 1e-9);
    }

    /**
     * Of another size, `6 x 4mm` as width and length or one of them alone, its shape and hole the same.
     *
     * @throws \Hebra\Core\Problem if that is no size
     */
    public function resized(string $size): self
    {
        $other = self::parse("{$size} {$this->shape->value}, hole {$this->holeMm}", 'size');

        return self::of(
            $this->shape, $other->lengthMm, $other->widthMm, $this->holeMm, $this->drilling, $this->material,
            $this->colour, '', 'size',
        );
    }

    public function named(string $name): self
    {
        return self::of(
            $this->shape, $this->lengthMm, $this->widthMm, $this->holeMm, $this->drilling, $this->material,
            $this->colour, $name,
        );
    }

    /**
     * Longer and wider by so much, its hole the same. A name would no longer say what it is.
     *
     * @throws \Hebra\Core\Problem if that is no bead
     */
    public function larger(float $byMm): self
    {
        return $byMm === 0.0
            ? $this
            : self::of(
                $this->shape, round($this->lengthMm + $byMm, 4), round($this->widthMm + $byMm, 4), $this->holeMm,
                $this->drilling, $this->material, $this->colour, '',
            );
    }

    /**
     * As wide as said, its length and hole the same. A name would no longer say what it is.
     *
     * @throws \Hebra\Core\Problem if that is no bead
     */
    public function wide(float $widthMm): self
    {
        return self::of(
            $this->shape, $this->lengthMm, $widthMm, $this->holeMm, $this->drilling, $this->material, $this->colour,
        );
    }

    public function coloured(string $colour): self
    {
        return self::of(
            $this->shape, $this->lengthMm, $this->widthMm, $this->holeMm, $this->drilling, $this->material, $colour,
            $this->name,
        );
    }

    public function withHole(float $holeMm): self
    {
        return self::of(
            $this->shape, $this->lengthMm, $this->widthMm, $holeMm, $this->drilling, $this->material, $this->colour,
            $this->name,
        );
    }

    /** `8 mm round`, `5 × 8 mm rondelle`: width, then length where it differs. */
    public function sizeWords(): string
    {
        $size = abs($this->widthMm - $this->lengthMm) < 0.005
            ? Figures::mm($this->widthMm)
            : Figures::trim($this->widthMm).' × '.Figures::mm($this->lengthMm);

        return $size.' '.$this->shape->words();
    }

    /** Its name, else its colour and size. */
    public function words(): string
    {
        return $this->name !== '' ? $this->name : $this->colour.' '.$this->sizeWords();
    }

    /** `hole`, or of a stone in a row the `link` that joins it to the next: what its hole is called. */
    public function holeWord(): string
    {
        return $this->drilling === Drilling::Row ? 'link' : 'hole';
    }

    /**
     * How far below its upper end the middle of a hole across it lies: of two, the upper. A drop's tip holds a tenth of
     * its length above the hole [common practice, from memory]; two holes stand at the quarters of the width.
     */
    public function holeDepthMm(): float
    {
        return $this->drilling === Drilling::TwoHole
            ? $this->widthMm / 4
            : $this->holeMm / 2 + self::TIP * $this->lengthMm;
    }

    /** How long its hole is: its length, or, across its upper end, as wide as it is there, as an ellipse or slimmer. */
    public function holeLengthMm(): float
    {
        if ($this->drilling !== Drilling::Top) {
            return $this->lengthMm;
        }
        // How far off its middle, of half its length.
        $off = 1 - 2 * $this->holeDepthMm() / $this->lengthMm;
        $round = $this->widthMm * sqrt(max(0.01, 1 - $off ** 2));

        return match ($this->shape) {
            BeadShape::Tube, BeadShape::Tile => $this->widthMm,
            BeadShape::Drop => self::DROP_TIP * $round,
            default => $round,
        };
    }

    /** Volume · density, less the hole; nothing of what is wound of wire, which is weighed as wire. */
    public function grams(): float
    {
        if ($this->shape->isWound()) {
            return 0.0;
        }
        $volume = $this->shape->fill() * $this->lengthMm * $this->widthMm ** 2
            - M_PI / 4 * $this->holeMm ** 2 * $this->holeLengthMm();

        return max(0.0, $volume) * $this->material->gramsPerCubicCentimetre() / 1000;
    }

    /** In one line, as parse() reads it back. */
    public function line(): string
    {
        return ($this->name === '' ? '' : $this->name.': ')
            ."{$this->widthMm}mm x {$this->lengthMm}mm {$this->shape->value}, hole {$this->holeMm}, "
            ."{$this->material->value}, {$this->colour}".match ($this->drilling) {
                $this->shape->usualDrilling() => '',
                Drilling::Top => ', top-drilled',
                Drilling::TwoHole => ', two holes',
                Drilling::ThreeHole => ', three holes',
                Drilling::Lengthwise => ', one hole',
                Drilling::Row => '',
            };
    }

    /** Whether it would do in another’s place: the same, or of its shape, about as large and its hole no smaller. */
    public function standsInFor(self $planned): bool
    {
        $isNear = fn (float $one, float $other): bool => abs($one - $other) <= self::NEAR_MM;

        return $planned->key() === $this->key() || (
            $planned->shape === $this->shape && $isNear($planned->widthMm, $this->widthMm)
            && $isNear($planned->lengthMm, $this->lengthMm) && $this->holeMm >= $planned->holeMm
        );
    }

    /** Two beads a maker would take for the same: all but the name. */
    public function key(): string
    {
        return implode(
            '/',
            [
                $this->shape->value, $this->lengthMm, $this->widthMm, $this->holeMm, $this->drilling->value,
                $this->material->value, $this->colour,
            ],
        );
    }
}
