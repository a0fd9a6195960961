<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OutOfRange;

/** Gaps before, between and after groups: one for all, or one after the other, over and over. Millimetres. */
final readonly class Spacings
{
    private const MOST_MM = 1000.0;

    /** @param  list<float>  $gaps */
    private function __construct(private array $gaps)
    {
    }

    /**
     * `40 20 20 40`, `1 1/2 in, 1 in`: with commas where a length has a space in it. Nothing: none of its own.
     *
     * @throws \Hebra\Core\Problem if something in it is no length up to a metre
     */
    public static function read(string $text, string $field): self
    {
        $told = trim(mb_scrub($text));
        $split = preg_match('/[,;·]/u', $told) === 1 ? '/\s*[,;·]\s*/u' : '/(?<=\d|mm|cm|in|")\s+(?=\d)/u';
        $gaps = [];
        foreach (preg_split($split, $told, -1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            $mm = Length::parse($one, $field)->millimetres();
            $gaps[] = $mm >= 0.0 && $mm <= self::MOST_MM ? $mm : throw OutOfRange::because(
                $field, "“{$one}”", 'is no gap', 'lengths from 0 to 1 m, such as 40 20 20 40',
            );
        }

        return new self($gaps);
    }

    public function isEmpty(): bool
    {
        return $this->gaps === [];
    }

    public function at(int $place): float
    {
        return $this->gaps === [] ? 0.0 : $this->gaps[$place % count($this->gaps)];
    }
}
