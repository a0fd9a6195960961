<?php

declare(strict_types=1);

namespace Hebra\Core\Piece\Change;

use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Unreadable;

/** The same done to several runs of beads, on one part or on many; one undo takes it back. */
final readonly class OnRuns implements Change
{
    private const MOST = 500;

    /** @param  non-empty-list<array{PartId, int}>  $chosen */
    public function __construct(public array $chosen, public RunsDeed $deed)
    {
    }

    /**
     * `p2/0 p2/3 p4/1`: parts and places on them.
     *
     * @throws Unreadable if something in it is none
     */
    public static function read(string $chosen, RunsDeed $deed): self
    {
        $refused = fn (string $text): Unreadable => Unreadable::line(
            'chosen', $text, 'parts and places on them, such as p2/0 p2/3',
        );
        $runs = [];
        foreach (preg_split('/\s+/', trim($chosen), self::MOST + 1, PREG_SPLIT_NO_EMPTY) ?: [] as $one) {
            preg_match('~^([A-Za-z][A-Za-z0-9-]{0,23})/(\d{1,3})$~', $one, $match) === 1
                || throw $refused($one);
            $runs[$one] = [PartId::of($match[1]), (int) $match[2]];
        }

        return new self($runs === [] ? throw $refused($chosen) : array_values($runs), $deed);
    }

    public function text(): string
    {
        return implode(' ', array_map(fn (array $one): string => "{$one[0]->text}/{$one[1]}", $this->chosen));
    }

    public function apply(Piece $piece): Piece
    {
        foreach ($this->byPart() as [$id, $places]) {
            $part = $piece->part($id);
            foreach ($places as $place) {
                Runs::at($part, $place);
            }
            [$runs, $more] = $this->deed->done($piece, $part->beads, $places);
            $piece = $piece->withPart($part->withBeads(Runs::joined($runs)), $more);
        }

        return $piece;
    }

    /** @return array<string, array{PartId, non-empty-list<int>}> */
    private function byPart(): array
    {
        $parts = [];
        foreach ($this->chosen as [$id, $place]) {
            $places = [...($parts[$id->text][1] ?? []), $place];
            sort($places);
            $parts[$id->text] = [$id, $places];
        }

        return $parts;
    }

    public function words(Piece $before): string
    {
        return $this->deed->words();
    }
}
