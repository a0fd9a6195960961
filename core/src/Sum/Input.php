<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\Mass;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\WireSize;

/**
 * One value a sum asks for: how it is read, its range, what stands when nothing is given. A default that begins with `=`
 * takes the value of another input.
 */
final readonly class Input
{
    /** @param  'length'|'size'|'wire'|'count'|'mass'|'metal'|'section'|'wires'  $kind */
    private function __construct(
        public string $key,
        public string $kind,
        public string $words,
        public string $example,
        public ?string $default,
        public float $least = 0.0,
        public float $most = 0.0,
    ) {
    }

    /** A length that may be nothing. */
    public static function length(string $key, string $words, string $example, ?string $default = null, float $mostMm = 100_000): self
    {
        return new self($key, 'length', $words, $example, $default, 0, $mostMm);
    }

    /** A length that must be more than nothing. */
    public static function size(string $key, string $words, string $example, ?string $default = null, float $mostMm = 300): self
    {
        return new self($key, 'size', $words, $example, $default, 0, $mostMm);
    }

    public static function wire(string $key, string $words, string $example = '22 awg', ?string $default = null): self
    {
        return new self($key, 'wire', $words, $example, $default);
    }

    public static function count(string $key, string $words, string $example, int $least, int $most, ?string $default = null): self
    {
        return new self($key, 'count', $words, $example, $default, $least, $most);
    }

    public static function mass(string $key, string $words, string $example): self
    {
        return new self($key, 'mass', $words, $example, null, 0, 100_000);
    }

    public static function metal(): self
    {
        return new self('metal', 'metal', 'metal', 'sterling', null);
    }

    public static function section(): self
    {
        return new self('section', 'section', 'section', 'round', 'round');
    }

    public static function wires(): self
    {
        return new self('wires', 'wires', 'wires through the hole', '2x24awg', null);
    }

    /**
     * @return float|int|string|Metal|WireSize|non-empty-list<float>
     *
     * @throws \Hebra\Core\Problem if it is unreadable or out of range
     */
    public function read(string $text, LengthUnit $bare): float|int|string|Metal|WireSize|array
    {
        return match ($this->kind) {
            'length' => Length::parse($text, $this->key, $bare)->within($this->key, 0.0, $this->most)->millimetres(),
            'size' => Length::parse($text, $this->key, $bare)->asSize($this->key, $this->most)->millimetres(),
            'wire' => WireSize::parse($text, $this->key),
            'count' => Count::parse($text, $this->key, (int) $this->least, (int) $this->most),
            'mass' => Mass::parse($text, $this->key)->asAmount($this->key, $this->most)->grams(),
            'metal' => Metal::read($text, $this->key),
            'section' => trim($text) === '' ? throw Unreadable::empty($this->key, 'round, half-round, square, twisted-pair or WxT') : $text,
            'wires' => $this->wireList($text),
        };
    }

    /**
     * `3x28awg`, `2x20awg,1x24awg`: split only at a comma followed by count×, so that a decimal comma may stand in a size.
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
            $count = Count::within((int) $match[1], $this->key.' count', 1, \Hebra\Core\Bead\WirePacking::MOST_WIRES);
            array_push($wires, ...array_fill(0, $count, WireSize::parse($match[2], $this->key)->diameterMm()));
        }
        if ($wires === []) {
            throw Unreadable::wires($this->key, $text);
        }
        if (count($wires) > \Hebra\Core\Bead\WirePacking::MOST_WIRES) {
            throw OutOfRange::between($this->key, count($wires).' in all', '1', (string) \Hebra\Core\Bead\WirePacking::MOST_WIRES);
        }

        return $wires;
    }
}
