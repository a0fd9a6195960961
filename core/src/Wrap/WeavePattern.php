<?php

declare(strict_types=1);

namespace Hebra\Core\Wrap;

use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;

/**
 * A figure weave as it is written: `4@2 3@1-2` is four turns round core 2, then three round cores 1 to 2. Invariants: 1
 * to 60 figures of 1 to 500 turns each; every core from 1 to the number of cores.
 */
final readonly class WeavePattern
{
    /** @param  non-empty-list<array{turns: int, from: int, to: int}>  $figures */
    private function __construct(public int $cores, public array $figures)
    {
    }

    /** @throws Unreadable|OutOfRange if it is not written so, or names a core that is not there */
    public static function parse(string $text, int $cores, string $field = 'pattern'): self
    {
        $figures = [];
        if (mb_strlen($text) > 400) {
            throw Unreadable::tooLong($field, mb_strlen($text), 400);
        }
        foreach (
            preg_split('/[\s,;]+/', trim(strtr(mb_scrub($text), ['–' => '-', '−' => '-'])), -1, PREG_SPLIT_NO_EMPTY)
            ?: [] as $figure
        ) {
            if (preg_match('/^(\d{1,4})@(\d{1,3})(?:-(\d{1,3}))?$/', $figure, $match) !== 1) {
                throw Unreadable::pattern($field, $text);
            }
            [$turns, $from, $to] = [(int) $match[1], (int) $match[2], (int) ($match[3] ?? $match[2])];
            if ($turns < 1 || $turns > 500) {
                throw OutOfRange::between($field, "{$turns} turns in “{$figure}”", '1', '500');
            }
            foreach ([$from, $to] as $core) {
                if ($core < 1 || $core > $cores) {
                    throw OutOfRange::because(
                        $field,
                        "“{$figure}”",
                        "names core {$core} of {$cores}",
                        $cores === 1 ? 'core 1 alone' : "cores 1 to {$cores}",
                    );
                }
            }
            $figures[] = ['turns' => $turns, 'from' => min($from, $to), 'to' => max($from, $to)];
        }
        if ($figures === []) {
            throw Unreadable::empty($field, 'a weave, such as 4@2 3@1-2');
        }
        if (count($figures) > 60) {
            throw OutOfRange::between($field, count($figures).' figures', '1', '60');
        }

        return new self($cores, $figures);
    }

    public function turns(): int
    {
        return array_sum(array_column($this->figures, 'turns'));
    }

    /** Whether some figure leaves a core out beside it, so that the wire must pass between cores. */
    public function passesBetween(): bool
    {
        foreach ($this->figures as $figure) {
            if ($figure['from'] > 1 || $figure['to'] < $this->cores) {
                return true;
            }
        }

        return false;
    }

    /**
     * Cores that no figure takes: they would fall out.
     *
     * @return list<int>
     */
    public function freeCores(): array
    {
        return array_values(
            array_filter(
                range(1, $this->cores),
                fn (int $core): bool => array_filter(
                    $this->figures,
                    fn (array $figure): bool => $core >= $figure['from'] && $core <= $figure['to'],
                ) === [],
            ),
        );
    }
}
