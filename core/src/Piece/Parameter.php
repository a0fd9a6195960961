<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Closure;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Tool\ToolKind;
use Hebra\Core\Wrap\BandWeave;

/** What a technique lets the maker set: a length in millimetres, a count, a number, a choice, or yes and no. */
final readonly class Parameter
{
    private const MOST_LETTERS = 80;

    /** @param  array<string, string>  $choices value => words, for a choice */
    private function __construct(
        public string $key,
        public ParameterKind $kind,
        public string $words,
        public float|int|string|bool $default,
        public float $least = 0.0,
        public float $most = 0.0,
        public array $choices = [],
        private ?Closure $read = null,
        /** the setting that one of them is as long as, of what may be told by its length too: links of a chain */
        public string $per = '',
        /** @var list<ToolKind> what it is bent on, whose marks are sizes that can be made */
        public array $tools = [],
    ) {
    }

    /** @param  list<ToolKind>  $tools */
    public function bentOn(array $tools): self
    {
        return new self(
            $this->key, $this->kind, $this->words, $this->default, $this->least, $this->most, $this->choices,
            $this->read,
            $this->per, $tools,
        );
    }

    public static function length(string $key, string $words, float $defaultMm, float $leastMm, float $mostMm): self
    {
        return new self($key, ParameterKind::Length, $words, $defaultMm, $leastMm, $mostMm);
    }

    public static function count(string $key, string $words, int $default, int $least, int $most): self
    {
        return new self($key, ParameterKind::Count, $words, $default, $least, $most);
    }

    /** The same count, or a length of so many one after the other, each as long as another setting says. */
    public static function countOrLength(
        string $key, string $words, int $default, int $least, int $most, string $per,
    ): self {
        return new self($key, ParameterKind::Count, $words, $default, $least, $most, per: $per);
    }

    public static function number(string $key, string $words, float $default, float $least, float $most): self
    {
        return new self($key, ParameterKind::Number, $words, $default, $least, $most);
    }

    /** @param  array<string, string>  $choices */
    public static function choice(string $key, string $words, string $default, array $choices): self
    {
        return new self($key, ParameterKind::Choice, $words, $default, choices: $choices);
    }

    public static function weave(string $key, string $words, string $default): self
    {
        return new self($key, ParameterKind::Weave, $words, $default);
    }

    /**
     * The way of a wire, move by move.
     *
     * @param  Closure(string, string): mixed  $read  throws what is wrong with a text, given its field
     */
    public static function course(string $key, string $words, string $default, Closure $read): self
    {
        return new self($key, ParameterKind::Course, $words, $default, read: $read);
    }

    /**
     * @param  Closure(string, string): mixed|null  $read throws what is wrong with a text, given its field; null for
     *     any words
     */
    public static function text(string $key, string $words, string $default, ?Closure $read = null): self
    {
        return new self($key, ParameterKind::Text, $words, $default, read: $read);
    }

    public static function flag(string $key, string $words, bool $default): self
    {
        return new self($key, ParameterKind::Flag, $words, $default);
    }

    /**
     * @param  float  $eachMm  how long one is of what is counted or told by its length
     *
     * @throws \Hebra\Core\Problem if the text is not such a value
     */
    public function fromText(string $text, LengthUnit $bare, float $eachMm = 0.0): float|int|string|bool
    {
        if ($eachMm > 0 && preg_match('/^\s*[-+]?\d+\s*$/', $text) !== 1) {
            return $this->counted($text, $eachMm);
        }

        return match ($this->kind) {
            ParameterKind::Length => Length::parse($text, $this->words, $bare)->within(
                $this->words,
                $this->least,
                $this->most,
            )->millimetres(),
            ParameterKind::Count => Count::parse($text, $this->words, (int) $this->least, (int) $this->most),
            ParameterKind::Number => Count::number($text, $this->words, $this->least, $this->most),
            ParameterKind::Choice => $this->chosen($text, $this->words),
            ParameterKind::Weave => $this->woven($text, $this->words),
            ParameterKind::Course, ParameterKind::Text => $this->written($text, $this->words),
            ParameterKind::Flag => $this->flagged($text),
        };
    }

    private function flagged(string $text): bool
    {
        return match ($text) {
            '1', 'true', 'yes', 'on' => true,
            '0', 'false', 'no', 'off' => false,
            default => throw Unreadable::choice($this->words, $text, ['yes', 'no']),
        };
    }

    /** `14 links`, or a length in whatever unit: the nearest whole number. */
    private function counted(string $text, float $eachMm): int
    {
        $bare = preg_replace('/\s*'.preg_quote($this->words, '/').'?\s*$/iu', '', $text) ?? $text;
        if (preg_match('/^\s*\d+$/', $bare) === 1) {
            return Count::parse($bare, $this->words, (int) $this->least, (int) $this->most);
        }
        $long = Length::parse($text, $this->words, LengthUnit::Millimetre)
            ->within($this->words, $this->least * $eachMm, $this->most * $eachMm);

        return (int) max($this->least, min($this->most, round($long->millimetres() / $eachMm)));
    }

    /** @throws \Hebra\Core\Problem if the value has another type or lies outside */
    public function fromJson(mixed $value, string $field): float|int|string|bool
    {
        return match ($this->kind) {
            ParameterKind::Length => is_int($value) || is_float($value)
                ? Length::fromMillimetres((float) $value)->within($field, $this->least, $this->most)->millimetres()
                : throw InvalidPiece::notNumber($field, $value),
            ParameterKind::Count => is_int($value)
                ? Count::within($value, $field, (int) $this->least, (int) $this->most)
                : throw InvalidPiece::notWhole($field, $value),
            ParameterKind::Number => is_int($value) || is_float($value)
                ? Count::numberWithin((float) $value, $field, $this->least, $this->most)
                : throw InvalidPiece::notNumber($field, $value),
            ParameterKind::Choice => is_string($value)
                ? $this->chosen($value, $field)
                : throw InvalidPiece::notText($field, $value),
            ParameterKind::Weave => is_string($value)
                ? $this->woven($value, $field)
                : throw InvalidPiece::notText($field, $value),
            ParameterKind::Course, ParameterKind::Text => is_string($value)
                ? $this->written($value, $field)
                : throw InvalidPiece::notText($field, $value),
            ParameterKind::Flag => is_bool($value) ? $value : throw InvalidPiece::notFlag($field, $value),
        };
    }

    /** A weave as it is written; whether its cores are there is for the part to judge, where their number is known. */
    private function woven(string $text, string $field): string
    {
        BandWeave::parse($text, 12, $field);

        return trim($text);
    }

    private function written(string $text, string $field): string
    {
        if ($this->read !== null) {
            ($this->read)($text, $field);
        } elseif (mb_strlen($text) > self::MOST_LETTERS) {
            throw OutOfRange::because(
                $field, mb_strlen($text).' letters', 'is too long', 'at most '.self::MOST_LETTERS,
            );
        }

        return trim(mb_scrub($text));
    }

    private function chosen(string $text, string $field): string
    {
        return isset($this->choices[$text])
            ? $text
            : throw Unreadable::choice($field, $text, array_map(strval(...), array_keys($this->choices)));
    }
}
