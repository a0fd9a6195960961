<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Problem;
use Hebra\Core\Technique\Written\Construction;
use Hebra\Core\Technique\Written\Moves;
use Hebra\Core\Technique\Written\Text;

/** What a free wire's way can go on with: its beads by their letters, moves with an example, what stands already. */
final readonly class CourseField
{
    /** Moves that need what stands already; they are offered with it. */
    private const WITH_THINGS = ['wrap', 'along', 'bind', 'fill', 'weave', 'round', 'through'];

    private const LEAST_ROWS = 2;

    private const MOST_ROWS = 14;

    /** @var array<string, string> by the key of a move what others find it by */
    private array $names;

    public function __construct(private Piece $piece, private Part $part, public string $text)
    {
        try {
            $this->names = Text::parse($text)->names();
        } catch (Problem) {
            $this->names = [];
        }
    }

    public function rows(): int
    {
        $rows = array_map(fn (string $line): int => 1 + intdiv(mb_strlen($line), 90), explode("\n", $this->text));

        return max(self::LEAST_ROWS, min(self::MOST_ROWS, array_sum($rows)));
    }

    /** @return list<array{letter: string, bead: Bead, move: string}> */
    public function beads(): array
    {
        $beads = [];
        foreach ($this->part->beads as $place => $run) {
            $letter = Construction::letter($place);
            $beads[] = ['letter' => $letter, 'bead' => $this->piece->beads[$run->bead], 'move' => "through {$letter}"];
        }

        return $beads;
    }

    /** @return array<string, string> a move's word and how it is written, for example */
    public function moves(): array
    {
        $moves = [];
        foreach (Moves::forms() as $form) {
            if (! in_array($form->word, self::WITH_THINGS, true)) {
                $moves[$form->word] = explode(', or ', $form->example)[0];
            }
        }

        return $moves;
    }

    /** @return array<string, string> how each move is written, and what its numbers are */
    public static function all(): array
    {
        return array_column(Moves::forms(), 'says', 'example');
    }

    /** @return array<string, string> what stands already and what wraps on it */
    public function things(): array
    {
        $things = array_values(array_unique($this->names));

        return array_combine($things, array_map(fn (string $name): string => "wrap 3 on {$name}", $things));
    }

    /** What a tap on the drawing says: on a bead, through it; on a wire with a name, wraps on it. */
    public function taps(): string
    {
        $taps = array_map(fn (string $name): string => "wrap 3 on {$name}", $this->names);
        foreach ($this->beads() as ['letter' => $letter, 'move' => $move]) {
            $taps['beads-'.strtolower($letter)] = $move;
        }

        return json_encode(['part' => $this->part->id, 'taps' => (object) $taps], JSON_THROW_ON_ERROR);
    }
}
