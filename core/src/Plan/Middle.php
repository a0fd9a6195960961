<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\ClosePart;
use Hebra\Core\Piece\Change\HangPart;
use Hebra\Core\Piece\Change\MovePart;
use Hebra\Core\Piece\Change\RepeatPart;
use Hebra\Core\Piece\Change\SetGroup;
use Hebra\Core\Piece\Change\SetLinks;
use Hebra\Core\Piece\Change\SetSetting;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/**
 * Whether what hangs from a necklace hangs in its middle: as many links stand on one side as on the other. The middle
 * of a chain is found by count. An even number of links has a ring there; an odd one a link, which is bridged by a
 * short
 * chain from whose own middle it hangs; or there is one more, or one fewer. Common practice.
 */
final readonly class Middle
{
    private const CHAIN = 'chain';

    /** So much longer than what it bridges a bridge is, that it hangs below it. */
    private const BRIDGE = 1.5;

    private const BRIDGE_LINK_MM = 2.5;

    /**
     * @param  list<Instance>  $path  from one end to the other, past what it hangs in
     * @param  array{list<Instance>, list<Instance>}  $sides  what is counted of it before and after
     * @param  array{int, int}  $own  links of the chain that it hangs in, on either side
     */
    private function __construct(
        private Piece $piece, private Layout $layout, private Instance $drop, private array $path, private array $sides,
        private array $own, private bool $isBridged,
    ) {
    }

    /** @return list<Check> */
    public static function checks(Piece $piece, Layout $layout): array
    {
        $middle = $piece->fit->kind === FitKind::Neck && $layout->isLine() ? self::of($piece, $layout) : null;

        return $middle === null ? [] : [$middle->check()];
    }

    /** Null where not one thing alone hangs from its line, or from a strand beside it. */
    private static function of(Piece $piece, Layout $layout): ?self
    {
        $drops = self::drops($layout);
        if (count($drops) !== 1) {
            return null;
        }
        $on = (string) array_key_first($drops);
        $strand = self::strandOf($layout, $on);
        $path = self::path($layout, $strand);
        $at = array_search($on, array_map(fn (Instance $one): string => $one->name, $path), true);
        if (! is_int($at)) {
            return null;
        }
        $counted = fn (Instance $one): bool => self::counts($one) > 0;
        $own = self::ownSides($path[$at], $drops[$on]->eye);
        $sides = [
            array_values(array_filter(array_slice($path, 0, $at + ($own === null ? 1 : 0)), $counted)),
            array_values(array_filter(array_slice($path, $at + 1), $counted)),
        ];
        $isBridged = $strand !== null && $own !== null && $sides[0] !== [];
        // From the middle of a bridge, links of the line alone are counted.
        $isAmid = $own === null || ($isBridged && $own[0] === $own[1]);

        return new self($piece, $layout, $drops[$on], $path, $sides, $isAmid ? [0, 0] : $own, $isBridged);
    }

    /**
     * What hangs from the line or from a strand beside it, by rings or at once: the first part of each, by what it
     * hangs
     * in.
     *
     * @return array<string, Instance>
     */
    private static function drops(Layout $layout): array
    {
        $named = [];
        foreach ($layout->instances() as $one) {
            $named[$one->name] = $one;
        }
        $drops = [];
        foreach ($named as $one) {
            $technique = $one->part->technique;
            if (isset($technique->eyes($one->part, $one->name)['bottom']) || $technique->clasp($one->part) !== null) {
                continue;
            }
            while ($one->part->part->on === null && $one->above !== null) {
                $one = $named[$one->above];
            }
            if ($one->above !== null) {
                $drops[$one->above] ??= $one;
            }
        }

        return $drops;
    }

    private static function strandOf(Layout $layout, string $on): ?Strand
    {
        foreach ($layout->strands as $strand) {
            $names = array_map(fn (Instance $one): string => $one->name, $strand->members);
            if (! $strand->isRing() && in_array($on, $names, true)) {
                return $strand;
            }
        }

        return null;
    }

    /** @return list<Instance> the line, with a strand in place of what lies beside it */
    private static function path(Layout $layout, ?Strand $strand): array
    {
        $line = array_values(array_filter($layout->instances(), $layout->isOnLine(...)));
        $beside = $strand === null ? [] : $layout->beside($strand);
        $from = $beside === [] ? false : array_search($beside[0], $line, true);

        return $strand === null || ! is_int($from) ? $line : [
            ...array_slice($line, 0, $from), ...$strand->members, ...array_slice($line, $from + count($beside)),
        ];
    }

    /**
     * @return array{int, int}|null links on either side of the one of a chain that it hangs in; null where it is none
     */
    private static function ownSides(Instance $on, string $eye): ?array
    {
        if ($on->part->part->technique !== self::CHAIN || preg_match('/^(link|between)-(\d+)$/', $eye, $match) !== 1) {
            return null;
        }
        $links = $on->part->part->count('links');

        return [(int) $match[2] - ($match[1] === 'link' ? 1 : 0), $links - (int) $match[2]];
    }

    /** What is counted to find the middle: links with beads, and links of chain. */
    private static function counts(Instance $one): int
    {
        return match (true) {
            $one->part->part->technique === self::CHAIN => $one->part->part->count('links'),
            $one->part->strung === [] => 0,
            default => 1,
        };
    }

    private function check(): Check
    {
        [$left, $right] = array_map(
            fn (array $side, int $own): int => $own + array_sum(array_map(self::counts(...), $side)),
            $this->sides, $this->own,
        );
        [$label, $id] = [$this->drop->part->label(), $this->drop->part->part->id];
        if ($left !== $right) {
            return new Check(
                Level::Note, 'middle',
                "The {$label} hangs with {$left} links on one side and {$right} on the other. One more or one fewer "
                    .'on a '
                    .'side, or a short chain across the middle link, brings it to the middle.',
                $id, $this->ways($left, $right),
            );
        }
        $across = $this->isBridged ? ' from a chain across it' : '';

        return new Check(
            $this->isMirror() ? Level::Ok : Level::Note, 'middle',
            "The {$label} hangs in the middle{$across}, {$left} links on either side; "
                .($this->isMirror() ? 'the halves are mirror images.' : 'but the halves are no mirror images.'),
            $id,
        );
    }

    private function isMirror(): bool
    {
        $looks = fn (Instance $one, bool $isBack): string => json_encode(
            [
                $one->part->part->technique,
                array_map(
                    fn (Strung $strung): array => [$strung->bead->key(), $strung->count],
                    $isBack ? array_reverse($one->part->strung) : $one->part->strung,
                ),
            ],
            JSON_THROW_ON_ERROR,
        );

        return array_map(fn (Instance $one): string => $looks($one, false), $this->sides[0])
            === array_map(fn (Instance $one): string => $looks($one, true), array_reverse($this->sides[1]));
    }

    /** @return list<Way> */
    private function ways(int $left, int $right): array
    {
        [$more, $fewer] = $left > $right ? [0, 1] : [1, 0];
        $by = abs($left - $right);
        $ways = [];
        foreach ([[$more, -$by], [$fewer, $by]] as [$side, $change]) {
            $changed = $this->counted($this->sides[$side], $change);
            $words = Figures::counted($by, 'link').($change < 0 ? ' fewer' : ' more').' on its '
                .($side === 0 ? 'one' : 'other').' side';
            $ways[] = $changed === null ? null : new Way($words, $changed);
        }

        return array_values(array_filter([...$ways, $by === 1 ? $this->bridged($more) : null]));
    }

    /**
     * So many links more or fewer on a side, where something on it can be counted otherwise.
     *
     * @param  list<Instance>  $side
     */
    private function counted(array $side, int $by): ?Change
    {
        foreach ($side as $one) {
            $part = $one->part->part;
            $change = $part->group === ''
                ? self::ofPart($part, $by)
                : $this->ofGroup($part->group, $by, $this->eachTime($side, $part->group));
            if ($change !== null) {
                return $change;
            }
        }

        return null;
    }

    /** Links of a chain, or as often as a link is made. */
    private static function ofPart(Part $part, int $by): ?Change
    {
        $isChain = $part->technique === self::CHAIN;
        $count = $by + ($isChain ? $part->count('links') : $part->repeat);

        return match (true) {
            $count < 1 || (! $isChain && $part->repeat === 1) => null,
            $isChain => new SetLinks([$part->id->text => (string) $count]),
            default => new RepeatPart($part->id, $count),
        };
    }

    private function ofGroup(string $group, int $by, int $each): ?Change
    {
        $repeat = ($this->piece->groups[$group]->repeat ?? 1) + intdiv($by, $each);

        return $by % $each === 0 && $repeat >= 1 ? new SetGroup($group, $repeat) : null;
    }

    /**
     * How many of a side’s links come with each repeat of a group.
     *
     * @param  list<Instance>  $side
     */
    private function eachTime(array $side, string $group): int
    {
        $all = array_filter($side, fn (Instance $one): bool => $group !== '' && $one->part->part->group === $group);
        $links = array_sum(array_map(self::counts(...), $all));

        return max(1, intdiv($links, max(1, $this->piece->groups[$group]->repeat ?? 1)));
    }

    /** A short chain across the last link of a side, where that link is a part of its own between two others. */
    private function bridged(int $side): ?Way
    {
        $near = $side === 0 ? $this->sides[0][count($this->sides[0]) - 1] ?? null : $this->sides[1][0] ?? null;
        $at = array_search($near, $this->path, true);
        if ($near === null || ! is_int($at)) {
            return null;
        }
        [$before, $after] = [$this->path[$at - 1] ?? null, $this->path[$at + 1] ?? null];
        $own = fn (?Instance $one): bool => $one !== null && $one->part->part->repeat === 1
            && ($this->piece->groups[$one->part->part->group]->repeat ?? 1) === 1;
        $isChain = $near->part->part->technique === self::CHAIN;
        if ($isChain || $before === null || $after === null || ! $own($near) || ! $own($after)) {
            return null;
        }
        $links = (int) ceil(self::BRIDGE * $this->layout->sumMm([$near]) / self::BRIDGE_LINK_MM);
        $links += 1 - $links % 2;
        $chain = $this->piece->nextPartId();
        $drop = $this->drop->part->part->id;

        return Way::all("A chain of {$links} links across the middle", [
            new AddPart(self::CHAIN, count($this->piece->parts)),
            new SetSetting($chain, 'inside', Figures::trim(self::BRIDGE_LINK_MM).' mm'),
            new SetLinks([$chain->text => (string) $links]),
            new HangPart($chain, new EyeRef($before->part->part->id)),
            new ClosePart($chain, new EyeRef($after->part->part->id, 'top')),
            new MovePart($drop, count($this->piece->parts) - $this->piece->indexOf($drop)),
            new HangPart($drop, new EyeRef($chain, 'link-'.intdiv($links + 1, 2))),
        ]);
    }
}
