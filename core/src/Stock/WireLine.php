<?php

declare(strict_types=1);

namespace Hebra\Core\Stock;

use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\SizeSystem;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/**
 * Wire as a maker says it in one line: `5 m 22 awg copper soft 6.20` comes in, `22 sterling` is looked for. Each word
 * stands anywhere; what is no size, metal, temper, amount or price is left as words that a name may hold.
 */
final readonly class WireLine
{
    private const FIELD = 'line';

    private const MOST_LETTERS = 80;

    /** Above it a bare length in millimetres is how long the wire is, not how thick. */
    private const THICKEST_MM = 3.5;

    /** Bare numbers that are sizes of wire a jewelry maker has [common practice]. */
    private const THICKEST_NUMBER = 8;

    private const THINNEST_NUMBER = 40;

    /** @var array<string, Temper> as makers say it, the longer words first */
    private const TEMPERS = [
        'dead[- ]soft' => Temper::DeadSoft, 'quarter[- ]hard' => Temper::QuarterHard,
        'half[- ]hard' => Temper::HalfHard, 'full[- ]hard' => Temper::Hard, 'spring(?:[- ]hard)?' => Temper::Spring,
        'soft' => Temper::DeadSoft, 'hard' => Temper::Hard,
    ];

    private const NUMBER = '(?:\d+[ -]\d+\/\d+|\d+\/\d+|\d*[.,]?\d+)';

    private function __construct(
        /** as written: a length or a weight; empty where it is looked for */
        public string $amount,
        public string $size,
        public ?Metal $metal,
        public ?Temper $temper,
        public string $price,
        /** how many pins, and which: `pins` or `eye-pins` */
        public string $pins,
        public string $kind,
        /** @var list<string> $words what else was said */
        public array $words,
    ) {
    }

    /**
     * @param  SizeSystem  $bare  which a bare whole number is a size of
     *
     * @throws Unreadable if the line is empty, longer than 80 letters, or names two metals or sizes
     */
    public static function read(string $text, SizeSystem $bare): self
    {
        mb_strlen($text) <= self::MOST_LETTERS
            || throw Unreadable::tooLong(self::FIELD, mb_strlen($text), self::MOST_LETTERS);
        $example = 'what came in, such as 5 m 22 awg copper';
        $rest = Text::plain(Text::visible($text, self::FIELD), self::FIELD, $example);
        $metal = self::metal($rest);
        $temper = self::temper($rest);
        [$kind, $pins] = self::pins($rest);
        $section = self::section($rest);
        $size = self::size($rest);
        $mass = self::taken($rest, self::NUMBER.'\s*(?:mg|g|grams?|kg|oz|ozt|dwt)');
        $lengths = self::lengths($rest);
        if ($size === '') {
            $size = self::thickness($lengths, $mass !== '' || $pins !== '');
        }
        $numbers = self::numbers($rest);
        if ($size === '') {
            $size = self::bareSize($numbers, $bare);
        }
        // Looked for, a number is part of a name: `coil 3`.
        $price = $mass.$pins === '' && $lengths === [] ? '' : array_shift($numbers) ?? '';
        $words = preg_split('/[\s,;]+/', implode(' ', [...$numbers, $rest]), flags: PREG_SPLIT_NO_EMPTY) ?: [];

        return new self(
            $mass !== '' ? $mass : implode(' ', $lengths), trim("{$size} {$section}"), $metal, $temper,
            $price, $pins, $kind,
            array_values(array_diff($words, ['wire', 'of', 'for', 'at', 'coil', 'a'])),
        );
    }

    /** Whether nothing comes in by it: it looks for what is there. */
    public function finds(): bool
    {
        return $this->amount === '' && $this->pins === '';
    }

    /**
     * As the fields of what comes in.
     *
     * @return array<string, string>
     *
     * @throws Unreadable if it does not say of which metal or size
     */
    public function fields(): array
    {
        $this->metal !== null || throw Unreadable::line(self::FIELD, $this->said(), 'the metal with it, such as '
            .trim("{$this->said()} copper"));
        $this->size !== '' || throw Unreadable::line(self::FIELD, $this->said(), 'the size with it, such as '
            .trim("{$this->said()} 22 awg"));

        return [
            'kind' => $this->kind, 'metal' => $this->metal->value, 'size' => $this->size,
            'temper' => ($this->temper ?? Temper::DeadSoft)->value, 'amount' => $this->pins === '' ? $this->amount : '',
            'pins' => $this->pins, 'pin_length' => $this->pins === '' ? '' : $this->amount, 'price' => $this->price,
            'name' => mb_strtoupper(mb_substr(implode(' ', $this->words), 0, 1))
                .mb_substr(implode(' ', $this->words), 1), 'measured' => '',
        ];
    }

    private function said(): string
    {
        return trim("{$this->pins} {$this->amount} {$this->size} {$this->metal?->words()}");
    }

    private static function metal(string &$rest): ?Metal
    {
        $names = [];
        foreach (Metal::cases() as $metal) {
            foreach ([$metal->value, $metal->words()] as $name) {
                $names[str_replace(['-', '’'], [' ', "'"], mb_strtolower($name))] = $metal;
            }
        }
        uksort($names, fn (string $one, string $other): int => strlen($other) <=> strlen($one));
        $found = null;
        foreach ($names as $name => $metal) {
            $pattern = str_replace(' ', '[- ]', preg_quote($name, '/'));
            if (self::taken($rest, $pattern) !== '') {
                $found === null || $found === $metal || throw Unreadable::line(
                    self::FIELD, "{$found->words()} {$metal->words()}", 'one metal',
                );
                $found = $metal;
            }
        }

        return $found;
    }

    private static function temper(string &$rest): ?Temper
    {
        foreach (self::TEMPERS as $words => $temper) {
            if (self::taken($rest, $words) !== '') {
                return $temper;
            }
        }

        return null;
    }

    /** @return array{string, string} the kind of lot, and how many pins */
    private static function pins(string &$rest): array
    {
        if (preg_match('/(?<!\S)(\d+)\s+(eye[- ]?|head[- ]?)?pins?(?!\S)/', $rest, $match) === 1) {
            $rest = str_replace($match[0], ' ', $rest);

            return [str_starts_with($match[2] ?? '', 'eye') ? 'eye-pins' : 'pins', $match[1]];
        }

        return [self::taken($rest, 'off-?cut') === '' ? 'coil' : 'offcut', ''];
    }

    private static function size(string &$rest): string
    {
        $strip = self::taken($rest, '[\d.,]+\s*(?:mm)?\s*x\s*[\d.,]+\s*(?:mm)?(?:\s+flat)?');
        $size = $strip !== ''
            ? $strip
            : self::taken($rest, '(?:#\s*\d{1,2}|\d{1,2}[ -]?(?:awg|ga\.?|gauge|swg|b&s))');
        $again = self::taken($rest, '\d{1,2}[ -]?(?:awg|ga\.?|gauge|swg|b&s)');
        $again === '' || throw Unreadable::line(self::FIELD, "{$size} {$again}", 'one size');

        return $size;
    }

    private static function section(string &$rest): string
    {
        return self::taken($rest, 'half[- ]?round|square|twisted(?:[- ]pair)?');
    }

    /** @return list<string> */
    private static function lengths(string &$rest): array
    {
        $lengths = [];
        $units = 'mm|cm|m|metres?|meters?|in|inch|inches|ft|feet|foot|yd|yards?|"';
        while (($length = self::taken($rest, self::NUMBER."\s*(?:{$units})")) !== '') {
            $lengths[] = $length;
        }

        return $lengths;
    }

    /**
     * Of lengths without another size, the thinnest that wire can be.
     *
     * @param  list<string>  $lengths
     */
    private static function thickness(array &$lengths, bool $isWeighed): string
    {
        $thin = null;
        foreach ($lengths as $at => $length) {
            $mm = Length::parse($length, self::FIELD)->millimetres();
            if ($mm <= self::THICKEST_MM && ($thin === null || $mm < Length::parse($lengths[$thin])->millimetres())) {
                $thin = $at;
            }
        }
        if ($thin === null) {
            return '';
        }

        return array_splice($lengths, $thin, 1)[0];
    }

    /** @return list<string> */
    private static function numbers(string &$rest): array
    {
        $numbers = [];
        while (($number = self::taken($rest, '[€$£]?\s*\d+(?:[.,]\d+)?')) !== '') {
            $numbers[] = ltrim($number, '€$£ ');
        }

        return $numbers;
    }

    /** @param  list<string>  $numbers */
    private static function bareSize(array &$numbers, SizeSystem $bare): string
    {
        foreach ($numbers as $at => $number) {
            $isNumbered = preg_match('/^\d{1,2}$/', $number) === 1 && (int) $number >= self::THICKEST_NUMBER;
            if ($isNumbered && $bare !== SizeSystem::Metric && (int) $number <= self::THINNEST_NUMBER) {
                array_splice($numbers, $at, 1);

                return "{$number} {$bare->value}";
            }
        }

        return '';
    }

    /** What of the line is so written, taken out of it; empty where nothing is. */
    private static function taken(string &$rest, string $pattern): string
    {
        if (preg_match("/(?<!\S)(?:{$pattern})(?![^\s,;])/u", $rest, $match) !== 1) {
            return '';
        }
        $rest = preg_replace('/'.preg_quote($match[0], '/').'/u', ' ', $rest, 1) ?? '';

        return trim($match[0]);
    }

    /** Its size as wire; null where none is said or none is drawn so. */
    public function wireSize(): ?WireSize
    {
        try {
            return $this->size === '' ? null : WireSize::parseDrawn($this->size, 'size');
        } catch (\Hebra\Core\Problem) {
            return null;
        }
    }
}
