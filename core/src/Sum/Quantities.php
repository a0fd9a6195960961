<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;

/**
 * What a sentence says in figures, each with the words beside it: gauges, lengths, ring sizes, weights, counts, beads,
 * metals, tempers.
 */
final class Quantities
{
    private const N = '(?:\d+\s+\d+\/\d+|\d+-\d+\/\d+|\d+\/\d+|\d+[.,]\d+|[.,]\d+|\d+)';

    private const UNIT = '(?:millimet(?:re|er)s?|centimet(?:re|er)s?|mm|cm|met(?:re|er)s?|m|inches|inch|in|foot|'
        .'feet|ft|yards?|yd|"|\')';

    private const MASS = '(?:grams?|g|kilos?|kg|troy ounces?|troy oz|ozt|ounces?|oz|pennyweights?|dwt)';

    private const NUMBERS = [
        'half a dozen' => '6', 'a dozen' => '12', 'two dozen' => '24', 'a couple of' => '2', 'a pair of' => '2',
        'half an' => '1/2', 'half a' => '1/2', 'one and a half' => '1 1/2', 'two and a half' => '2 1/2',
        'three' => '3', 'four' => '4', 'five' => '5', 'six' => '6', 'seven' => '7', 'eight' => '8', 'nine' => '9',
        'ten' => '10', 'eleven' => '11', 'twelve' => '12', 'fifteen' => '15', 'twenty' => '20', 'thirty' => '30',
        'forty' => '40', 'fifty' => '50', 'a hundred' => '100', 'two' => '2', 'one' => '1',
    ];

    /** Besides its own names and words, what a metal is called. */
    private const METALS = [
        'sterling silver' => 'sterling', '935 silver' => 'silver-935', 'silver' => 'sterling', 'brass' => 'brass',
        'jewellers bronze' => 'jewellers-bronze', 'bronze' => 'jewellers-bronze', 'german silver' => 'nickel-silver',
        'aluminum' => 'aluminium', 'stainless' => 'stainless', 'steel' => 'stainless', 'gold filled' => 'gold-filled',
        '18k gold' => 'gold-18k', '14k gold' => 'gold-14k', '24 carat gold' => 'gold-24k',
        '18 carat gold' => 'gold-18k',
        '14 carat gold' => 'gold-14k',
    ];

    private const TEMPERS = [
        'full hard' => 'hard', 'spring hard' => 'spring', 'spring temper' => 'spring', 'annealed' => 'dead-soft',
        'soft' => 'dead-soft',
    ];

    /** Their length in words: what is looked at before and after a figure. */
    private const NEAR = 42;

    /** @param  list<Quantity>  $all  in the order of the sentence */
    private function __construct(public readonly string $plain, public readonly array $all)
    {
    }

    public static function in(string $sentence): self
    {
        $plain = self::plain($sentence);
        /** @var array<int, array{string, string, int}> $found */
        $found = [];
        $rest = $plain;
        foreach (self::kinds() as $kind => $pattern) {
            $rest = preg_replace_callback($pattern, function (array $match) use (&$found, $kind): string {
                [$text, $at] = [(string) $match[0][0], (int) $match[0][1]];
                $found[$at] = [
                    $kind,
                    trim(preg_replace('/\s+/', ' ', (string) ($match[1][0] ?? $text)) ?? ''),
                    strlen($text),
                ];

                // Its place is kept, so that what is near stays near.
                return str_repeat('~', strlen($text));
            }, $rest, flags: PREG_OFFSET_CAPTURE) ?? $rest;
        }
        ksort($found);
        $all = [];
        foreach ($found as $at => [$kind, $text, $length]) {
            $before = trim(
                preg_replace('/.*~/', '', substr($rest, max(0, $at - self::NEAR), min($at, self::NEAR))) ?? '',
            );
            $after = trim(preg_replace('/~.*/', '', substr($rest, $at + $length, self::NEAR)) ?? '');
            $all[] = new Quantity($kind, self::value($kind, $text), $before, $after);
        }

        return new self($plain, $all);
    }

    /** @return array<string, string> every name a metal goes by, and the metal */
    public static function metals(): array
    {
        $names = [];
        foreach (Metal::cases() as $metal) {
            $names[str_replace('’', "'", $metal->words())] = $names[$metal->value] = $metal->value;
        }

        return self::METALS + $names;
    }

    /** @return array<string, string> every name a temper goes by, and the temper */
    public static function tempers(): array
    {
        $names = [];
        foreach (Temper::cases() as $temper) {
            $names[$temper->words()] = $names[$temper->value] = $temper->value;
        }

        return self::TEMPERS + $names;
    }

    private static function plain(string $sentence): string
    {
        $signs = [
            '½' => ' 1/2',
            '¼' => ' 1/4',
            '¾' => ' 3/4',
            '⅛' => ' 1/8',
            '⅜' => ' 3/8',
            '⅝' => ' 5/8',
            '⅞' => ' 7/8',
            '⅓' => ' 1/3',
            '⅔' => ' 2/3',
            '″' => '"',
            '”' => '"',
            '“' => '"',
            '’' => "'",
            '×' => 'x',
            '−' => '-',
            '–' => '-',
            "\u{00A0}" => ' ',
        ];
        $plain = ' '.strtr(mb_strtolower(mb_scrub($sentence)), $signs).' ';
        $plain = preg_replace('/[,;](?!\d)/u', ' , ', $plain) ?? '';
        foreach (self::NUMBERS as $word => $number) {
            $plain = preg_replace('/(?<![\w-])'.$word.'(?![\w-])/u', $number, $plain) ?? $plain;
        }
        $plain = preg_replace('/(?<![\w.,\/])(\d+) and a half(?!\w)/u', '$1 1/2', $plain) ?? $plain;

        $plain = preg_replace(
            '/(?<!\w)an? (?=(?:yard|met(?:re|er)|foot|inch|ounce|troy ounce|gram|kilo)s?(?!\w))/u',
            '1 ',
            $plain,
        ) ?? $plain;

        return preg_replace('/\s+/u', ' ', strtr($plain, ['?' => ' ', '!' => ' ', '. ' => ' '])) ?? '';
    }

    /** @return array<string, string> kinds and how each is written, the more telling first */
    private static function kinds(): array
    {
        [$n, $unit, $mass] = [self::N, self::UNIT, self::MASS];
        $names = function (array $words): string {
            $names = array_map(strval(...), array_keys($words));
            // The longest first: half-hard is not hard.
            usort($names, fn (string $a, string $b): int => strlen($b) <=> strlen($a));

            return implode('|', array_map(fn (string $name): string => preg_quote($name, '/'), $names));
        };

        return [
            'metal' => '/(?<![\w-])('.$names(self::metals()).')(?![\w-])/u',
            'temper' => '/(?<![\w-])(?<!how )('.$names(self::tempers()).')(?![\w-])/u',
            'ring' => '/(?<![\w-])((?:us|american)(?: size)? '.$n
                .'(?: 1\/2| 1\/4| 3\/4)?|(?:uk|british)(?: size)? [a-z](?: ?\+ ?\d)?(?: 1\/2)?(?![\w])|iso(?: size)? '
                .$n.'|(?:jp|japanese)(?: size)? '.$n.'|(?:ring )?size [a-z](?![\w])|(?:ring )?size '.$n
                .'(?! ?[mc]m\b)(?! ?(?:awg|swg|ga\b|gauge)))/u',
            'wires' => '/(?<![\w.])(\d+ ?x ?(?:#? ?\d+ ?(?:awg|swg|gauge|ga)|'.$n
                .' ?mm)(?: ?,? ?(?:and )?\d+ ?x ?(?:#? ?\d+ ?(?:awg|swg|gauge|ga)|'.$n.' ?mm))*)(?!\w)/u',
            'pattern' => '/(?<![\w@])(\d+@\d+(?:-\d+)?(?: \d+@\d+(?:-\d+)?)*)/u',
            'passes' => '/(?<!\w)([fb]\d+(?:-\d+)?(?: [fb]\d+(?:-\d+)?)+)(?!\w)/u',
            'gauge' => '/(?<![\w.\/])(# ?\d+|\d+ ?-? ?(?:awg|swg|gauge|ga\.?)(?: awg| swg)?(?![\w])|'
                .'\d{2}g(?= (?:wire|coil))|\d{2}g$)/u',
            'box' => '/(?<![\w.\/])('.$n.' ?(?:mm)? ?x ?'.$n.' ?mm)(?!\w)/u',
            'mass' => '/(?<![\w.\/])('.$n.' ?-?'.$mass.')(?![\w])/u',
            'length' => '/(?<![\w.\/])('.$n.' ?-?'.$unit.'(?:(?: and)? '.$n.' ?'.$unit.')?)(?![\w])/u',
            'count' => '/(?<![\w.\/@-])('.$n.')(?![\w@\/.])/u',
        ];
    }

    private static function value(string $kind, string $text): string
    {
        return match ($kind) {
            'metal' => self::metals()[$text] ?? $text,
            'temper' => self::tempers()[$text] ?? $text,
            'ring' => self::ring($text),
            'gauge' => (preg_match('/(\d+)/', $text, $match) === 1 ? $match[1] : '')
                .(str_contains($text, 'swg') ? ' swg' : ' awg'),
            'wires' => preg_replace(
                ['/ ?x ?/', '/ ?,? ?(?:and )?(?=\d+x)/', '/gauge|ga\b/'],
                ['x', ',', 'awg'],
                $text,
                -1,
            ) ?? $text,
            'length', 'mass' => self::units($text),
            default => $text,
        };
    }

    private static function ring(string $text): string
    {
        $plain = strtr(
            $text,
            ['american' => 'us', 'british' => 'uk', 'japanese' => 'jp', 'ring ' => '', ' size' => ''],
        );

        return match (1) {
            preg_match('/^size ([a-z])$/', $plain, $match) => "uk {$match[1]}",
            preg_match('/^size (.+)$/', $plain, $match) => "us {$match[1]}",
            default => $plain,
        };
    }

    private static function units(string $text): string
    {
        $plain = preg_replace('/(?<=\d)-(?=[a-z])/', '', $text) ?? $text;
        $long = [
            '/millimet(?:re|er)s?/' => 'mm',
            '/centimet(?:re|er)s?/' => 'cm',
            '/met(?:re|er)s?/' => 'm',
            '/inches|inch/' => 'in',
            '/foot|feet/' => 'ft',
            '/yards?/' => 'yd',
            '/troy ounces?/' => 'ozt',
            '/ounces?/' => 'oz',
            '/pennyweights?/' => 'dwt',
            '/kilos?(?!g)/' => 'kg',
            '/grams?/' => 'g',
            '/ and /' => ' ',
        ];

        return trim(preg_replace(array_keys($long), array_values($long), $plain) ?? $plain);
    }
}
