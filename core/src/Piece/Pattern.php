<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Change\Sized;
use Hebra\Core\School\Schools;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\WireSize;

/**
 * A starting pattern as it is written down: parts in order, each with its beads (a name, or a name and how many) and
 * what is set differently.
 */
final readonly class Pattern
{
    /**
     * @param  non-empty-list<array{
     *     0: string, 1?: list<string|array{string, int}>, 2?: array<string, float|int|string|bool>, repeat?: int,
     *     on?: string, to?: string, group?: string,
     * }>  $line
     * @param  array<string, int>  $groups  how often each repeats; less than nothing: mirrored
     */
    public function __construct(
        public string $words,
        public Family $family,
        public array $line,
        public FitKind $fit = FitKind::Ear,
        public Metal $metal = Metal::Sterling,
        public array $groups = [],
        /** @var array<string, string> by role, where a wire is not the usual one: `10 awg square` */
        public array $wires = [],
    ) {
    }

    /** What a piece is called that was given no name. */
    public function newName(): string
    {
        return $this->fit === FitKind::Ear ? 'New drops' : 'New '.$this->fit->noun();
    }

    /**
     * A piece as the pattern says, its beads looked up by name.
     *
     * @param  array<string, string>  $known  bead lines by name
     *
     * @throws \Hebra\Core\Problem if the name or a setting is out of range
     */
    public function piece(string $name, array $known, Schools $schools = new Schools): Piece
    {
        $beads = $keys = $parts = $wires = [];
        foreach ($this->line as $index => $item) {
            $part = Kinds::newPart(
                $item[0],
                PartId::of('p'.($index + 1)),
                $schools,
            )->repeated($item['repeat'] ?? 1)->hungOn(EyeRef::read($item['on'] ?? ''))
                ->inGroup($item['group'] ?? '')
                ->closedIn(EyeRef::read($item['to'] ?? ''));
            $runs = [];
            foreach ($item[1] ?? [] as $run) {
                [$bead, $count] = is_array($run) ? $run : [$run, 1];
                $keys[$bead] ??= 'b'.(count($keys) + 1);
                $beads[$keys[$bead]] = Bead::parse($known[$bead]);
                $runs[] = new BeadRun($keys[$bead], $count);
            }
            foreach ($item[2] ?? [] as $key => $value) {
                $part = $part->withSetting($key, $value);
            }
            $parts[] = $part->withBeads($runs);
            $usual = $part->technique()->usualWireOf($part);
            $wires[$part->wire] ??= $usual->withMetal(
                $usual->metal === Metal::Stainless ? Metal::Stainless : $this->metal,
            );
        }
        $groups = array_map(fn (int $repeat): Group => Group::of(abs($repeat), $repeat < 0), $this->groups);

        $piece = Piece::of(
            $name, '', $this->fit === FitKind::Ear ? Makes::pair() : Makes::one(), $wires, $beads, $parts,
            Fit::usual($this->fit), $groups,
        );
        foreach ($this->wires as $role => $told) {
            [$size, $metal] = explode(' in ', $told) + [1 => $piece->wires[$role]->metal->value];
            $wire = $piece->wires[$role]->withSize(WireSize::parseDrawn($size))->withMetal(Metal::read($metal));
            $piece = $piece->withWire($role, $wire);
        }

        return Sized::to($piece);
    }
}
