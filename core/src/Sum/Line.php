<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Quantity\Unreadable;

/**
 * A sum asked in one line, as it comes to mind: `coil 24ga on 2.5mm, 3cm`; `bind 17 beads of 3 mm with 28ga on 18ga`;
 * `ring-size us 7`. First the word that names the sum; then what is written as key=value; then values with a word
 * before or after them that says what they are; what is left is dealt out by kind, in the order the sum asks for it.
 */
final class Line
{
    private const NUMBER = '(?:\d+\s+\d+\/\d+|\d+-\d+\/\d+|\d+\/\d+|\d+[.,]\d+|[.,]\d+|\d+)';

    private const GAUGE = '(?:#\s*\d+|\d+\s*(?:awg|swg|gauge|ga)(?!\w))';

    private const FILLER = '/\b(?:how much|how many|how long|how big|do i need|do i cut|does it take|would i need|'
        .'i need|i want|please|what is|what|my|the|an?|some|to make|wire for|there|is|are|will|take|takes|for me|to|'
        .'and|of wire)\b|\?/u';

    private string $rest;

    /** @var array<string, string> */
    private array $given = [];

    private function __construct(private readonly Sum $sum, string $rest)
    {
        $this->rest = $rest;
    }

    /**
     * @return array{Sum, array<string, string>} the sum and its inputs as text
     *
     * @throws \Hebra\Core\Problem if no sum is named, or something is left that no input takes
     */
    public static function read(string $line): array
    {
        if (mb_strlen($line) > 240) {
            throw Unreadable::tooLong('ask', mb_strlen($line), 240);
        }
        $plain = self::plain($line);
        if ($plain === '') {
            throw Unreadable::empty('ask', 'a sum, such as coil 24ga on 2.5mm, 3cm');
        }
        [$sum, $rest] = self::named($plain) ?? throw UnknownSum::line(
            $line, ['coil', 'bind', 'link', 'weave', 'hoop', 'ring us 7'],
        );
        $reader = new self($sum, $rest);
        $reader->readNamed();
        $reader->readChoices();
        $reader->readWorded();
        $reader->readInOrder();
        if (preg_match('/\S*\d\S*/u', $reader->rest, $match) === 1) {
            throw UnknownSum::leftOver($sum->name, $match[0]);
        }

        return [$sum, $reader->given];
    }

    private static function plain(string $line): string
    {
        $plain = strtr(
            mb_strtolower(mb_scrub($line)),
            [
                '½' => ' 1/2', '¼' => ' 1/4', '¾' => ' 3/4', '″' => '"', '”' => '"', '“' => '"', '×' => 'x',
                '−' => '-', "\u{00A0}" => ' ', ';' => ' ',
            ],
        );
        // A comma between two things is a pause; between digits it is decimal, and a list of wires keeps it.
        $plain = preg_replace('/,(?!\d)/u', ' ', $plain) ?? '';

        return trim(preg_replace('/\s+/u', ' ', $plain) ?? '');
    }

    /** @return array{Sum, string}|null the sum that is named first, and the line without its name */
    private static function named(string $plain): ?array
    {
        $best = null;
        foreach (Sums::all() as $sum) {
            foreach ([$sum->name, $sum->words(), ...$sum->called] as $word) {
                if (preg_match(
                    '/(?<![\w=-])'.preg_quote($word, '/').'(?:ing|s)?(?![\w=-])/u', $plain, $match, PREG_OFFSET_CAPTURE,
                ) !== 1) {
                    continue;
                }
                $at = (int) $match[0][1];
                // What stands first says most, and of that the longest word.
                $found = [
                    -$at,
                    strlen($word),
                    $sum,
                    trim(substr($plain, 0, $at).' '.substr($plain, $at + strlen($match[0][0]))),
                ];
                if ($best === null || [$found[0], $found[1]] > [$best[0], $best[1]]) {
                    $best = $found;
                }
            }
        }

        return $best === null
            ? null
            : [$best[2], trim(preg_replace('/\s+/u', ' ', preg_replace(self::FILLER, ' ', $best[3]) ?? '') ?? '')];
    }

    private function readNamed(): void
    {
        foreach ($this->sum->inputs as $input) {
            // A value of its kind, else all to the next key or the end.
            $key = '/(?<![\w-])'.preg_quote($input->key, '/').'\s*=\s*';
            if (
                preg_match($key.'('.self::valueOf($input).')(?!\S)/u', $this->rest, $match) === 1
                || preg_match($key.'(.+?)(?=\s+[a-z_]+\s*=|$)/u', $this->rest, $match) === 1
            ) {
                $this->take($input, $match[1], $match[0]);
            }
        }
    }

    /** Metals, tempers, sections and the like are known by their own names. */
    private function readChoices(): void
    {
        foreach ($this->open() as $input) {
            $words = match ($input->kind) {
                InputKind::Metal => Quantities::metals(),
                InputKind::Temper => Quantities::tempers(),
                InputKind::Choice => array_combine($input->choices, $input->choices),
                InputKind::Section => [
                    'half round' => 'half-round',
                    'half-round' => 'half-round',
                    'square' => 'square',
                    'twisted pair' => 'twisted-pair',
                    'twisted-pair' => 'twisted-pair',
                ],
                default => [],
            };
            uksort($words, fn (string $a, string $b): int => strlen($b) <=> strlen($a));
            foreach ($words as $word => $value) {
                // "on" is more often a cue than a seat.
                if (
                    $word !== 'on'
                    && preg_match('/(?<![\w-])'.preg_quote($word, '/').'(?![\w-])/u', $this->rest, $match) === 1
                ) {
                    $this->take($input, $value, $match[0]);
                    break;
                }
            }
        }
    }

    /** Values with a word after them (`17 beads`), then with one before them (`on 2.5mm`). */
    private function readWorded(): void
    {
        foreach ($this->open() as $input) {
            foreach ($input->units as $unit) {
                if (preg_match(
                    '/(?<![\w.\/])('.self::NUMBER.')\s*'.preg_quote($unit, '/').'(?!\w)/u', $this->rest, $match,
                ) === 1) {
                    // The word may be wanted again by the next: beads of 3 mm.
                    $this->take($input, $match[1], $match[0], $unit.' ');
                    break;
                }
            }
        }
        foreach ($this->open() as $input) {
            foreach ($input->cues as $cue) {
                if (preg_match(
                    '/(?<!\w)'.preg_quote($cue, '/').'\s+('.self::valueOf($input).')/u', $this->rest, $match,
                ) === 1) {
                    $this->take($input, $match[1], $match[0]);
                    break;
                }
                if (
                    $input->kind->isLength()
                    && preg_match(
                        '/(?<![\w.\/])('.self::valueOf($input).')\s*'.preg_quote($cue, '/').'(?!\w)/u', $this->rest,
                        $match,
                    ) === 1
                    && in_array($cue, ['wide', 'long', 'hole', 'thick'], true)
                ) {
                    $this->take($input, $match[1], $match[0]);
                    break;
                }
            }
        }
    }

    /**
     * First gauges, then what the sum cannot do without, then the rest; a bare number fills no gap that has a default.
     */
    private function readInOrder(): void
    {
        foreach ($this->open() as $input) {
            if (
                $input->kind === InputKind::Wire
                && preg_match('/(?<![\w.@\/-])'.self::GAUGE.'/u', $this->rest, $match) === 1
            ) {
                $this->take($input, $match[0], $match[0]);
            }
        }
        foreach ([true, false] as $isNeeded) {
            foreach ($this->open() as $input) {
                $needs = $input->default === null && ! $input->isOptional;
                $isBare = $input->kind === InputKind::Count || $input->kind === InputKind::Number
                    || $input->kind === InputKind::EndCoil;
                if (
                    $needs !== $isNeeded
                    || $input->key === 'have'
                    || ($isBare && ! $needs)
                    || $this->sum->isAnswered($input->key, $this->given)
                ) {
                    continue;
                }
                if (
                    preg_match('/(?<![\w.@\/-])('.self::valueOf($input).')(?![\w@])/u', $this->rest, $match) === 1
                    && trim($match[1]) !== ''
                ) {
                    $this->take($input, $match[1], $match[0]);
                }
            }
        }
        // A whole bare number is a wire size without its system: it is passed on to be asked about.
        foreach ($this->open() as $input) {
            if (
                $input->kind === InputKind::Wire
                && $input->default === null
                && preg_match('/(?<![\w.\/])\d{1,2}(?![\w.\/])/u', $this->rest, $match) === 1
            ) {
                $this->take($input, $match[0], $match[0]);
            }
        }
    }

    private static function valueOf(Input $input): string
    {
        $n = self::NUMBER;
        $gauge = self::GAUGE;
        $length = "{$n}\s*(?:mm|cm|m|inches|inch|in|ft|feet|yd|yards|\"|')(?!\w)";

        return match ($input->kind) {
            InputKind::Wire => "(?:{$gauge}|\d*[.,]\d+\s*(?:mm|in)?(?!\w)|\d+\s*mm(?!\w))",
            InputKind::Across => "(?:{$gauge}|{$length}|\d*[.,]\d+(?!\w))",
            InputKind::Length, InputKind::Size => "(?:{$length}|\d*[.,]\d+(?!\w))",
            InputKind::Count, InputKind::Number => "{$n}(?!\s*(?:mm|cm|in\b|awg|swg|ga|g\b|x|@|\"))",
            InputKind::EndCoil => "(?:{$length}|{$n}(?:\s*turns?)?)",
            InputKind::Mass => "{$n}\s*(?:kg|g|oz|ozt|dwt|troy oz)(?!\w)",
            InputKind::Wires => "\d+\s*x\s*(?:{$gauge}|{$length}|[\d.,]+)"
                ."(?:\s*,?\s*\d+\s*x\s*(?:{$gauge}|{$length}|[\d.,]+))*",
            InputKind::Ring => '(?:us|iso|jp)\s*\d+(?:\s+\d\/\d|[.,]\d+)?|uk\s*[a-z](?:\s*\+\s*\d)?(?:\s*1\/2)?|'
                ."(?:diameter|circumference)\s+{$length}",
            InputKind::Pattern => match ($input->key) {
                'passes' => '[fb]\d+(?:-\d+)?(?:\s+[fb]\d+(?:-\d+)?)+',
                'pattern' => '\d+@\d+(?:-\d+)?(?:\s+\d+@\d+(?:-\d+)?)*',
                default => '\S.*',
            },
            InputKind::Section => '\d+(?:[.,]\d+)?x\d+(?:[.,]\d+)?',
            InputKind::Metal, InputKind::Temper, InputKind::Choice => '(?!)',
        };
    }

    /** @return list<Input> what is not yet given */
    private function open(): array
    {
        return array_values(
            array_filter($this->sum->inputs, fn (Input $input): bool => ! isset($this->given[$input->key])),
        );
    }

    private function take(Input $input, string $value, string $found, string $leaves = ''): void
    {
        $value = trim($value);
        if ($input->kind === InputKind::Wires) {
            $value = preg_replace(
                '/(?<=[a-z\d])\s+(?=\d+\s*x)/u',
                ',',
                preg_replace('/\s*,\s*/', ',', $value) ?? '',
            ) ?? '';
        }
        $this->given[$input->key] = $value;
        $at = strpos($this->rest, $found);
        $this->rest = $at === false
            ? $this->rest
            : trim(
                preg_replace(
                    '/\s+/u',
                    ' ',
                    substr($this->rest, 0, $at).' '.$leaves.substr($this->rest, $at + strlen($found)),
                ) ?? '',
            );
    }
}
