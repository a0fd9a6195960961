<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Bead\WirePacking;
use Hebra\Core\Copy;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Mass;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Text;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/**
 * One value a sum asks for: how it is read, its range and the reason for it, what stands when nothing is given. A
 * default that begins with `=` takes the value of another input. `cues` are words that stand before the value in a
 * typed line, `units` words that stand after it.
 *
 * @phpstan-type EndCoil array{turns: float}|array{mm: float}
 * @phpstan-type Value float|int|string|Metal|Temper|RingSize|WireSize|non-empty-list<float>|EndCoil
 */
final readonly class Input
{
    private const INSIDES = ['inside', 'mandrel', 'diameter', 'coil'];

    /**
     * @param  list<string>  $choices
     * @param  list<string>  $cues
     * @param  list<string>  $units
     */
    public function __construct(
        public string $key,
        public InputKind $kind,
        public string $words,
        public string $example,
        public ?string $default,
        public float $least = 0.0,
        public float $most = 0.0,
        public array $choices = [],
        public bool $isOptional = false,
        public array $cues = [],
        public array $units = [],
    ) {
    }

    /** A length that may be nothing. */
    public static function length(
        string $key, string $words, string $example, ?string $default = null, float $mostMm = 100_000,
    ): self {
        return new self($key, InputKind::Length, $words, $example, $default, 0, $mostMm);
    }

    /** A length that must be more than nothing. */
    public static function size(
        string $key, string $words, string $example, ?string $default = null, float $mostMm = 300,
    ): self {
        return new self($key, InputKind::Size, $words, $example, $default, 0, $mostMm);
    }

    /** Something round that is named by a gauge or a length: a mandrel, a thickness. */
    public static function across(
        string $key, string $words, string $example, ?string $default = null, float $mostMm = 300,
    ): self {
        return new self($key, InputKind::Across, $words, $example, $default, 0, $mostMm);
    }

    public static function wire(
        string $key = 'wire',
        string $words = 'wire size',
        string $example = '22 awg',
        ?string $default = null,
    ): self {
        return new self($key, InputKind::Wire, $words, $example, $default, WireSize::LEAST_MM, WireSize::MOST_MM);
    }

    public static function count(
        string $key, string $words, string $example, int $least, int $most, ?string $default = null,
    ): self {
        return new self($key, InputKind::Count, $words, $example, $default, $least, $most);
    }

    public static function number(
        string $key, string $words, string $example, float $least, float $most, ?string $default = null,
    ): self {
        return new self($key, InputKind::Number, $words, $example, $default, $least, $most);
    }

    public static function mass(string $key, string $words, string $example): self
    {
        return new self($key, InputKind::Mass, $words, $example, null, 0, 100_000);
    }

    public static function metal(): self
    {
        return new self(
            'metal',
            InputKind::Metal,
            'metal',
            'sterling',
            null,
            choices: array_column(Metal::cases(), 'value'),
        );
    }

    public static function temper(string $words = 'temper'): self
    {
        return new self(
            'temper',
            InputKind::Temper,
            $words,
            'half-hard',
            null,
            choices: array_column(Temper::cases(), 'value'),
        );
    }

    public static function section(): self
    {
        return new self('section', InputKind::Section, 'section', 'round', 'round');
    }

    public static function wires(): self
    {
        return new self('wires', InputKind::Wires, 'wires through the hole', '2x24awg', null);
    }

    public static function ring(): self
    {
        return new self('size', InputKind::Ring, 'ring size', 'us 7', null);
    }

    /** @param  non-empty-list<string>  $choices */
    public static function choice(string $key, string $words, array $choices, ?string $default = null): self
    {
        return new self($key, InputKind::Choice, $words, $choices[0], $default, choices: $choices);
    }

    public static function pattern(string $key, string $words, string $example): self
    {
        return new self($key, InputKind::Pattern, $words, $example, null);
    }

    /** Bare it is turns, with a unit a length. */
    public static function endCoil(): self
    {
        return new self('end_coil', InputKind::EndCoil, 'coil at each end, turns or a length', '4', '0', 0, 500);
    }

    /** A wire that is there, from which the rest is worked back. */
    public static function have(): self
    {
        return (new self('have', InputKind::Size, 'or: the wire you have', '30 cm', null, 0, 100_000))->after(
            'have',
            'from',
            'with only',
        );
    }

    public function optional(): self
    {
        return $this->with(['isOptional' => true]);
    }

    public function after(string ...$cues): self
    {
        return $this->with(['cues' => array_values($cues)]);
    }

    public function before(string ...$units): self
    {
        return $this->with(['units' => array_values($units)]);
    }

    /** @param  array<string, mixed>  $changed */
    private function with(array $changed): self
    {
        return Copy::of(self::class, get_object_vars($this), $changed);
    }

    /** The range with its reason, for the page and the docs; empty where the value is a choice. */
    public function range(): string
    {
        $most = Figures::trim($this->most, 3);

        return match ($this->kind) {
            InputKind::Wire => Figures::trim($this->least).' to '.Figures::mm($this->most)
                .': thinner is not drawn, thicker is not bent by hand',
            InputKind::Length => $this->most >= 100_000
                ? '0 to 100 m, more than a spool holds'
                : "0 to {$most} mm, more than any piece of this kind takes",
            InputKind::Size, InputKind::Across => $this->most >= 100_000
                ? 'more than 0, up to 100 m, more than a spool holds'
                : "more than 0, up to {$most} mm, larger than anything worn",
            InputKind::Count,
            InputKind::Number => Figures::trim($this->least, 3)." to {$most}, more than hands make in one go",
            InputKind::Mass => 'more than 0, up to 100 kg',
            InputKind::Ring => 'inside diameter '.Figures::trim(RingSize::LEAST_MM).' to '
                .Figures::trim(RingSize::MOST_MM).' mm, the sizes that scales name',
            InputKind::Wires => '1 to '.WirePacking::MOST_WIRES.' wires, as many as the packing is solved for',
            InputKind::EndCoil => '0 to 500 turns',
            InputKind::Metal, InputKind::Temper, InputKind::Choice => implode(', ', $this->choices),
            InputKind::Section => 'round, half-round, square, twisted-pair, or WxT such as 3x0.5',
            InputKind::Pattern => '',
        };
    }

    /**
     * @return Value
     *
     * @throws \Hebra\Core\Problem if it is unreadable or out of range
     */
    public function read(string $text, LengthUnit $bare): float|int|string|Metal|Temper|RingSize|WireSize|array
    {
        return match ($this->kind) {
            InputKind::Length => Length::parse($text, $this->key, $bare)->within(
                $this->key,
                0.0,
                $this->most,
            )->millimetres(),
            InputKind::Size => $this->ringMm($text) ?? Length::parse(
                $text,
                $this->key,
                $bare,
            )->asSize($this->key, $this->most)->millimetres(),
            InputKind::Across => $this->acrossMm($text, $bare),
            InputKind::Wire => WireSize::parse($text, $this->key),
            InputKind::Count => Count::parse($text, $this->key, (int) $this->least, (int) $this->most),
            InputKind::Number => $this->numeric($text),
            InputKind::Mass => Mass::parse($text, $this->key)->asAmount($this->key, $this->most)->grams(),
            InputKind::Metal => Metal::read($text, $this->key),
            InputKind::Temper => Temper::read($text, $this->key),
            InputKind::Ring => RingSize::parse($text, $this->key),
            InputKind::Section => $this->plain($text, 'round, half-round, square, twisted-pair or WxT'),
            InputKind::Pattern => $this->plain($text, $this->example),
            InputKind::Choice => in_array($choice = mb_strtolower(trim($text)), $this->choices, true)
                ? $choice
                : throw Unreadable::choice($this->key, $text, $this->choices),
            InputKind::Wires => $this->wireList($text),
            InputKind::EndCoil => $this->endCoilOf($text, $bare),
        };
    }

    private function plain(string $text, string $example): string
    {
        return trim($text) === '' ? throw Unreadable::empty($this->key, $example) : $text;
    }

    /** An inside may be said as a ring size: the inside diameter that it stands for. */
    private function ringMm(string $text): ?float
    {
        return in_array($this->key, self::INSIDES, true)
            && preg_match('/^\s*(us|uk|iso|jp)\b/iu', mb_scrub($text)) === 1
            ? RingSize::parse($text, $this->key)->insideMm()
            : null;
    }

    private function acrossMm(string $text, LengthUnit $bare): float
    {
        return $this->ringMm($text) ?? $this->gaugeOrLengthMm($text, $bare);
    }

    private function gaugeOrLengthMm(string $text, LengthUnit $bare): float
    {
        return preg_match('/(awg|swg|ga|ga\.|gauge|b&s)\s*$|^\s*#/iu', mb_scrub($text)) === 1
            ? WireSize::parse($text, $this->key)->diameterMm()
            : Length::parse($text, $this->key, $bare)->asSize($this->key, $this->most)->millimetres();
    }

    private function numeric(string $text): float
    {
        $number = Text::number(
            Text::plain($text, $this->key, $this->example),
        ) ?? throw Unreadable::number($this->key, $text);
        if ($number < $this->least || $number > $this->most) {
            throw OutOfRange::between(
                $this->key,
                Figures::trim($number, 6),
                Figures::trim($this->least, 6),
                Figures::trim($this->most, 6),
            );
        }

        return $number;
    }

    /** @return array{turns: float}|array{mm: float} */
    private function endCoilOf(string $text, LengthUnit $bare): array
    {
        $plain = preg_replace('/\s*turns?$/u', '', mb_strtolower(trim(mb_scrub($text)))) ?? '';

        return Text::number(Text::plain($plain, $this->key, $this->example)) !== null
            ? ['turns' => $this->numeric($plain)]
            : ['mm' => Length::parse($plain, $this->key, $bare)->within($this->key, 0, 500)->millimetres()];
    }

    /**
     * `3x28awg`, `2x20awg,1x24awg`: split only at a comma followed by count×, so that a decimal comma may stand in a
     * size.
     *
     * @return non-empty-list<float>
     */
    private function wireList(string $text): array
    {
        if (mb_strlen($text) > 200) {
            throw Unreadable::tooLong($this->key, mb_strlen($text), 200);
        }
        $wires = [];
        foreach (preg_split('/,\s*(?=\d+\s*[x×])/u', trim(mb_strtolower(mb_scrub($text)))) ?: [] as $term) {
            if (preg_match('/^(\d{1,4})\s*[x×]\s*(.+)$/u', trim($term), $match) !== 1) {
                throw Unreadable::wires($this->key, $text);
            }
            $count = Count::within((int) $match[1], $this->key.' count', 1, WirePacking::MOST_WIRES);
            array_push($wires, ...array_fill(0, $count, WireSize::parse($match[2], $this->key)->diameterMm()));
        }
        if ($wires === []) {
            throw Unreadable::wires($this->key, $text);
        }
        if (count($wires) > WirePacking::MOST_WIRES) {
            throw OutOfRange::between($this->key, count($wires).' in all', '1', (string) WirePacking::MOST_WIRES);
        }

        return $wires;
    }
}
