<?php

declare(strict_types=1);

namespace Hebra\Core\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Change\RunsDeed;
use Hebra\Core\Quantity\Count;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\LengthUnit;
use Hebra\Core\Quantity\OneOf;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\School\School;
use Hebra\Core\School\Schools;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;

/**
 * Reads a change from what a page or a script sends: `do` names it, the rest are its words, all text. `do` may carry
 * its `by`: `bead.count +1`.
 */
final readonly class ChangeReader
{
    private const KNOWN = [
        'all', 'name', 'note', 'makes', 'fit', 'part.add', 'part.remove', 'part.move', 'part.copy', 'part.free',
        'part.repeat',
        'part.set', 'part.hang', 'part.close', 'group.join', 'group.grade', 'group.unfold', 'chain.set',
        'group.leave', 'group.set', 'wire', 'metal',
        'bead.add', 'bead.swap', 'bead.remove', 'bead.move', 'bead.count', 'bead.mirror', 'bead.reverse',
        'bead.repeat', 'bead.edit', 'bead.carry', 'bead.exchange', 'beads.remove', 'beads.swap', 'beads.colour',
        'beads.count', 'beads.move', 'beads.copy', 'beads.mirror', 'beads.reverse',
    ];

    private const MOST_TOGETHER = 400;

    private const MOST_LINE = 2000;

    /** What a course or another setting may have. */
    private const MOST_LETTERS = 60_000;

    /** @param  array<mixed>  $input */
    private function __construct(private array $input, private LengthUnit $bare, private Schools $schools)
    {
    }

    /**
     * @param  array<string, mixed>  $input
     *
     * @throws \Hebra\Core\Problem if it is no change
     */
    public static function read(
        array $input,
        LengthUnit $bare = LengthUnit::Millimetre,
        Schools $schools = new Schools,
    ): Change {
        if (is_string($input['do'] ?? null) && preg_match('/^([a-z.]+) ([+-]\d{1,4})$/', $input['do'], $match) === 1) {
            $input = ['do' => $match[1], 'by' => ltrim($match[2], '+')] + $input;
        }

        return (new self($input, $bare, $schools))->change();
    }

    private function change(): Change
    {
        $do = $this->text('do');

        return match ($do) {
            'all' => $this->all(),
            'name' => new Change\Rename($this->text('name')),
            'note' => new Change\SetNote($this->text('note', '')),
            'makes' => new Change\SetMakes(
                Makes::of(
                    $this->text('kind'),
                    $this->text('kind') === 'batch' ? $this->count('count', 1, Makes::MOST) : 1,
                ),
            ),
            'fit' => new Change\SetFit($this->fit()),
            'part.add' => new Change\AddPart(
                $this->text('technique'),
                $this->maybe('at') === null ? null : $this->count('at', 0, Piece::MOST_PARTS),
                $this->schools,
                EyeRef::read($this->text('on', '')),
            ),
            'part.remove' => new Change\RemovePart($this->part()),
            'part.move' => new Change\MovePart(
                $this->part(),
                $this->count('by', -Piece::MOST_PARTS, Piece::MOST_PARTS),
            ),
            'part.wire' => new Change\OwnWire($this->part(), $this->text('own') === '1'),
            'part.free' => new Change\TellFreely($this->part(), $this->text('course', most: self::MOST_LETTERS)),
            'part.copy' => new Change\CopyPart($this->part()),
            'part.repeat' => new Change\RepeatPart($this->part(), ...$this->countOrBy(1, Piece::MOST_PARTS)),
            'part.hang' => new Change\HangPart($this->part(), EyeRef::read($this->text('on', ''))),
            'part.close' => new Change\ClosePart($this->part(), EyeRef::read($this->text('to', ''))),
            'group.join' => new Change\JoinGroup($this->part()),
            'group.leave' => new Change\LeaveGroup($this->part()),
            'group.grade' => new Change\GradeGroup(
                $this->text('group'),
                Length::parse($this->text('step'), 'step', $this->bare)->within('step', 0.05, 10)->millimetres(),
                $this->text('way', 'rising') === 'falling',
            ),
            'group.unfold' => new Change\GradeGroup($this->text('group'), 0.0, false),
            'chain.set' => new Change\SetLinks($this->links()),
            'group.set' => $this->groups(),
            'part.set' => new Change\SetSetting(
                $this->part(),
                $this->text('key'),
                $this->text('value', most: self::MOST_LETTERS),
                $this->bare,
            ),
            'wire' => $this->wire(),
            'metal' => new Change\SetMetal(Metal::read($this->text('metal'))),
            'bead.add' => $this->added(),
            'bead.swap' => $this->maybe('all') === '1'
                ? new Change\ReplaceBead($this->part(), $this->place(), $this->bead())
                : new Change\SwapBead($this->part(), $this->place(), $this->bead()),
            'bead.remove' => new Change\RemoveBead($this->part(), $this->place()),
            'bead.move' => new Change\MoveBead($this->part(), $this->place(), $this->count('by', -1, 1)),
            'bead.count' => new Change\CountBead(
                $this->part(),
                $this->place(),
                ...$this->countOrBy(1, BeadRun::MOST),
            ),
            'bead.carry' => new Change\CarryBead(
                $this->part(), $this->place(), PartId::of($this->text('to')),
                $this->count('place', 0, Piece::MOST_BEADS),
            ),
            'bead.exchange' => new Change\ExchangeBeads(
                $this->part(), $this->place(), PartId::of($this->text('to')),
                $this->count('place', 0, Piece::MOST_BEADS),
            ),
            'bead.mirror' => new Change\MirrorBeads($this->part()),
            'bead.reverse' => new Change\ReverseBeads($this->part()),
            'bead.repeat' => new Change\RepeatBeads(
                $this->part(),
                $this->maybe('runs') === null ? null : $this->count('runs', 1, Piece::MOST_BEADS),
                $this->count('count', 1, Piece::MOST_BEADS),
            ),
            'bead.edit' => new Change\EditBead(
                $this->text('bead'),
                $this->maybe('hole') === null
                    ? null
                    : Length::parse($this->text('hole'), 'hole', $this->bare)->asSize('hole', 50)->millimetres(),
                $this->maybe('colour'),
                $this->maybe('size'),
            ),
            RunsDeed::REMOVE, RunsDeed::COPY, RunsDeed::MIRROR, RunsDeed::REVERSE => $this->onRuns(new RunsDeed($do)),
            RunsDeed::SWAP => $this->onRuns(new RunsDeed($do, bead: $this->bead())),
            RunsDeed::COLOUR => $this->onRuns(new RunsDeed($do, colour: $this->text('colour'))),
            RunsDeed::COUNT => $this->onRuns(new RunsDeed($do, by: $this->count('by', -BeadRun::MOST, BeadRun::MOST))),
            RunsDeed::MOVE => $this->onRuns(new RunsDeed($do, by: $this->count('by', -1, 1))),
            default => throw InvalidPiece::unknownChange($do, implode(', ', self::KNOWN)),
        };
    }

    private function onRuns(RunsDeed $deed): Change\OnRuns
    {
        return Change\OnRuns::read($this->text('chosen'), $deed);
    }

    /** Several changes that belong together, as a list of them in JSON. */
    private function all(): Change
    {
        $of = json_decode($this->text('of'), true, 4);
        if (! is_array($of) || ! array_is_list($of) || $of === [] || count($of) > self::MOST_TOGETHER) {
            throw InvalidPiece::notList('of', $of);
        }
        $changes = array_map(
            fn (mixed $one): Change => is_array($one) && ($one['do'] ?? '') !== 'all'
                ? (new self($one, $this->bare, $this->schools))->change()
                : throw InvalidPiece::notObject('of', $one),
            $of,
        );

        return new Change\Several($changes, $this->maybe('words') ?? 'Several changes');
    }

    /** One group, or several that change together, `g1 g2`. */
    private function groups(): Change
    {
        $names = preg_split('/ +/', trim($this->text('group'))) ?: [];
        [$count, $by] = [
            $this->maybe('count') === null ? null : $this->count('count', 1, Piece::MOST_PARTS),
            $this->maybe('by') === null ? 0 : $this->count('by', -Piece::MOST_PARTS, Piece::MOST_PARTS),
        ];
        $isMirrored = $this->maybe('mirrored') === null ? null : $this->text('mirrored') === '1';
        $changes = array_map(
            fn (string $name): Change => new Change\SetGroup($name, $count, $by, $isMirrored),
            array_slice($names, 0, 100),
        );

        return count($changes) === 1 ? $changes[0] : new Change\Several($changes, 'Groups changed');
    }

    /** @return array<string, string> `p3 9, p7 11` */
    private function links(): array
    {
        $links = [];
        foreach (array_slice(explode(',', $this->text('links')), 0, Piece::MOST_PARTS) as $one) {
            preg_match('/^([A-Za-z][A-Za-z0-9-]{0,23}) (\S+)$/', trim($one), $match) === 1
                || throw Unreadable::line('links', $one, 'part and number of links, such as p2 40, p5 44');
            $links[$match[1]] = $match[2];
        }

        return $links;
    }

    /** Another kind without a size begins with the usual one. */
    private function fit(): Fit
    {
        $kind = OneOf::read(FitKind::class, $this->text('kind'), 'kind');
        $was = $this->maybe('was');
        $size = $was !== null && $was !== $kind->value ? null : $this->maybe('fit');

        return $size === null
            ? Fit::usual($kind)
            : Fit::parse($kind, $size, $this->bare, $this->schools->is(School::RingMeasure, 'string'));
    }

    /** Size and temper may come together as one choice, `22 awg/half-hard`. */
    private function wire(): Change\SetWire
    {
        $size = $this->maybe('size');
        $choice = $this->maybe('choice');
        if ($choice !== null) {
            [$chosenSize, $chosenTemper] = explode('/', $choice, 2) + [1 => ''];

            return new Change\SetWire(
                $this->text('role'),
                null,
                WireSize::parseDrawn($chosenSize, 'size'),
                Temper::read($chosenTemper),
            );
        }

        return new Change\SetWire($this->text('role'),
            $this->maybe('metal') === null ? null : Metal::read($this->text('metal')),
            $size === null ? null : WireSize::parseDrawn($size, 'size'),
            $this->maybe('temper') === null ? null : Temper::read($this->text('temper')));
    }

    /** A bead in one line may begin with how many: `15 × 5mm chip`. */
    private function added(): Change\AddBead
    {
        [$count, $text] = Bead::counted($this->text('bead'));
        $at = $this->maybe('at') === null ? null : $this->count('at', 0, Piece::MOST_BEADS);

        return new Change\AddBead(
            $this->part(),
            $at,
            $this->beadOf($text),
            Count::within($count, 'count', 1, BeadRun::MOST),
        );
    }

    /** A bead of the piece by key, or a new one by its line. */
    private function bead(): Bead|string
    {
        return $this->beadOf($this->text('bead'));
    }

    private function beadOf(string $text): Bead|string
    {
        return preg_match('/^b\d{1,9}$/', $text) === 1 ? $text : Bead::parse($text);
    }

    private function place(): int
    {
        return $this->count('at', 0, Piece::MOST_BEADS);
    }

    /** @return array{int, bool} the count, and whether it is added to what is there */
    private function countOrBy(int $least, int $most): array
    {
        return $this->maybe('by') === null
            ? [$this->count('count', $least, $most), false]
            : [$this->count('by', -$most, $most), true];
    }

    private function count(string $key, int $least, int $most): int
    {
        return Count::parse($this->text($key), $key, $least, $most);
    }

    private function maybe(string $key): ?string
    {
        $value = $this->input[$key] ?? null;

        return $value === null || $value === '' ? null : $this->text($key);
    }

    private function part(): PartId
    {
        return PartId::of($this->text('part'));
    }

    private function text(string $key, ?string $default = null, int $most = self::MOST_LINE): string
    {
        $value = $this->input[$key] ?? $default;
        if (is_int($value) || is_float($value)) {
            $value = (string) $value;
        }
        if (! is_string($value)) {
            throw InvalidPiece::notText($key, $value);
        }
        if (mb_strlen($value) > $most) {
            throw Unreadable::tooLong($key, mb_strlen($value), $most);
        }

        return $value;
    }
}
