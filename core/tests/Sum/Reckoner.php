<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

/** Works out what a working shows, as a reader would with a pocket calculator: `2 × √((π × (4 + 0.8))² + 0.8²)`. */
final class Reckoner
{
    private int $at = 0;

    /** @param  list<string>  $signs */
    private function __construct(private readonly array $signs)
    {
    }

    /** Null where it is no such expression. */
    public static function value(string $text): ?float
    {
        $plain = strtr($text, ['−' => '-', "\u{00A0}" => ' ', '·' => '×']);
        if (
            preg_match('/^[\d.\s+×\/()π√²³-]+$/u', $plain) !== 1
            || preg_match_all('/\d+(?:\.\d+)?|[+×\/()π√²³-]/u', $plain, $found) === 0
        ) {
            return null;
        }
        $reckoner = new self($found[0]);
        try {
            $value = $reckoner->sum();
        } catch (\DomainException) {
            return null;
        }

        return $reckoner->at === count($found[0]) ? $value : null;
    }

    private function next(): string
    {
        return $this->signs[$this->at] ?? '';
    }

    private function sum(): float
    {
        $value = $this->product();
        while (in_array($this->next(), ['+', '-'], true)) {
            $value = $this->signs[$this->at++] === '+' ? $value + $this->product() : $value - $this->product();
        }

        return $value;
    }

    private function product(): float
    {
        $value = $this->power();
        while (in_array($this->next(), ['×', '/'], true)) {
            $value = $this->signs[$this->at++] === '×' ? $value * $this->power() : $value / $this->power();
        }

        return $value;
    }

    private function power(): float
    {
        $value = $this->one();
        while (in_array($this->next(), ['²', '³'], true)) {
            $value **= $this->signs[$this->at++] === '²' ? 2 : 3;
        }

        return $value;
    }

    private function one(): float
    {
        $sign = $this->signs[$this->at++] ?? '';

        return match (true) {
            is_numeric($sign) => (float) $sign,
            $sign === 'π' => M_PI,
            $sign === '-' => -$this->one(),
            $sign === '√' => sqrt($this->one()),
            $sign === '(' => $this->bracketed(),
            default => throw new \DomainException($sign),
        };
    }

    private function bracketed(): float
    {
        $value = $this->sum();
        if (($this->signs[$this->at++] ?? '') !== ')') {
            throw new \DomainException('unclosed');
        }

        return $value;
    }
}
