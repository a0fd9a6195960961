<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Quantity\OutOfRange;

/** How beads in a row are put together to groups: each kind by itself, or so many at a time, over and over. */
final readonly class Groups
{
    private const MOST = 2000;

    /** @param  list<positive-int>  $sizes  none where each run is a group of its own */
    private function __construct(private array $sizes)
    {
    }

    /**
     * `3 1 3`: three, one, three, and again from the first. Nothing: each kind by itself.
     *
     * @throws OutOfRange if something in it is no count from 1 to 2000
     */
    public static function read(string $text, string $field): self
    {
        $sizes = [];
        foreach (preg_split('/[\s,;·+]+/u', trim(mb_scrub($text)), -1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            $size = preg_match('/^\d{1,4}$/', $one) === 1 ? (int) $one : 0;
            $sizes[] = $size >= 1 && $size <= self::MOST ? $size : throw OutOfRange::because(
                $field, "“{$one}”", 'is no number of beads', 'counts from 1 to '.self::MOST.', such as 3 1 3',
            );
        }

        return new self($sizes);
    }

    /** @param  list<int>  $runs  how many of each kind follow each other */
    public function count(array $runs): int
    {
        $groups = 0;
        for ($left = $this->sizes === [] ? 0 : array_sum($runs); $left > 0; $groups++) {
            $left -= $this->sizes[$groups % count($this->sizes)];
        }

        return $this->sizes === [] ? count($runs) : $groups;
    }

    /**
     * @param  list<Strung>  $strung
     * @return list<non-empty-list<Strung>>
     */
    public function of(array $strung): array
    {
        if ($this->sizes === []) {
            return array_map(fn (Strung $run): array => [$run], $strung);
        }
        $groups = [];
        $room = 0;
        foreach ($strung as $run) {
            for ($left = $run->count; $left > 0; $left -= $taken) {
                if ($room === 0) {
                    $room = $this->sizes[count($groups) % count($this->sizes)];
                    $groups[] = [];
                }
                $taken = min($left, $room);
                $room -= $taken;
                $groups[count($groups) - 1][] = $run->times($taken);
            }
        }

        /** @var list<non-empty-list<Strung>> $groups */
        return $groups;
    }
}
