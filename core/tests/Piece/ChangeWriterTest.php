<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Piece;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Piece\Change;
use Hebra\Core\Piece\ChangeReader;
use Hebra\Core\Piece\ChangeWriter;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Makes;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Wire\Metal;
use Hebra\Core\Wire\Temper;
use Hebra\Core\Wire\WireSize;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;

/** What is written is read back as the same change. */
final class ChangeWriterTest extends TestCase
{
    /** @return array<string, array{Change}> */
    public static function changes(): array
    {
        $coin = Bead::parse('18 x 18mm coin, hole 1.8, sea, ceramic');
        $tile = Bead::parse('Slab: 10 x 8mm tile, one hole, hole 1.1, sand, ceramic');
        $changes = [
            new Change\Rename('Tide'), new Change\SetNote("two\nlines"), new Change\SetMakes(Makes::mirroredPair()),
            new Change\SetMakes(Makes::batch(7)), new Change\SetFit(Fit::of(FitKind::Ear, 42.5)),
            new Change\SetFit(Fit::of(FitKind::Wrist, 165.0)), new Change\AddPart('hoop'),
            new Change\AddPart('hoop', 0), new Change\AddPart('head-pin', on: EyeRef::read('p1/bottom')),
            new Change\RemovePart(PartId::of('p2')), new Change\MovePart(PartId::of('p2'), -1),
            new Change\CopyPart(PartId::of('p2')),
            new Change\TellFreely(PartId::of('p2'), 'straight 8 · eye 3 as top'),
            new Change\OwnWire(PartId::of('p2'), true), new Change\RepeatPart(PartId::of('p2'), 3),
            new Change\RepeatPart(PartId::of('p2'), -1, true),
            new Change\HangPart(PartId::of('p3'), new EyeRef(PartId::of('p2'), 'centre')),
            new Change\HangPart(PartId::of('p3'), null),
            new Change\ClosePart(PartId::of('p3'), new EyeRef(PartId::of('p1'), 'top')),
            new Change\ClosePart(PartId::of('p3'), null),
            new Change\JoinGroup(PartId::of('p2')), new Change\LeaveGroup(PartId::of('p2')),
            new Change\GradeGroup('g1', 0.5, true),
            new Change\GradeGroup('g1', 0.0, false), new Change\SetGroup('g1', 4), new Change\SetGroup('g1', null, -1),
            new Change\SetGroup('g1', null, 0, true), new Change\SetLinks(['p2' => '40', 'p5' => '44']),
            new Change\SetSetting(PartId::of('p2'), 'inside', '3 mm'), new Change\SetMetal(Metal::Copper),
            new Change\SetWire('link', Metal::Brass, WireSize::awg(22), Temper::HalfHard),
            new Change\SetWire('link', temper: Temper::DeadSoft), new Change\AddBead(PartId::of('p2'), 1, $coin),
            new Change\AddBead(PartId::of('p2'), null, 'b1'), new Change\SwapBead(PartId::of('p2'), 0, $tile),
            new Change\RemoveBead(PartId::of('p2'), 1), new Change\MoveBead(PartId::of('p2'), 1, -1),
            new Change\ReplaceBead(PartId::of('p2'), 0, $tile),
            new Change\CarryBead(PartId::of('p2'), 1, PartId::of('p3'), 0),
            new Change\ExchangeBeads(PartId::of('p2'), 1, PartId::of('p3'), 0),
            new Change\CountBead(PartId::of('p2'), 0, 9),
            new Change\CountBead(PartId::of('p2'), 0, -1, true), new Change\MirrorBeads(PartId::of('p2')),
            new Change\ReverseBeads(PartId::of('p2')),
            new Change\RepeatBeads(PartId::of('p2'), 3, 4), new Change\RepeatBeads(PartId::of('p2'), null, 4),
            Change\OnRuns::read('p2/0 p2/2 p3/1', new Change\RunsDeed('beads.remove')),
            Change\OnRuns::read('p2/0', new Change\RunsDeed('beads.swap', bead: $coin)),
            Change\OnRuns::read('p2/0 p3/0', new Change\RunsDeed('beads.swap', bead: 'b1')),
            Change\OnRuns::read('p2/1', new Change\RunsDeed('beads.colour', colour: 'plum')),
            Change\OnRuns::read('p2/1', new Change\RunsDeed('beads.count', by: -1)),
            Change\OnRuns::read('p2/1', new Change\RunsDeed('beads.move', by: 1)),
            new Change\EditBead('b1', 1.25, null), new Change\EditBead('b1', null, 'plum', '6 mm'),
        ];
        $changes[] = new Change\Several([$changes[0], $changes[6], $changes[28]], 'Three at once');
        $named = [];
        foreach ($changes as $at => $change) {
            $named[$at.' '.$change::class] = [$change];
        }

        return $named;
    }

    #[DataProvider('changes')]
    public function test_what_is_written_is_read_back(Change $change): void
    {
        self::assertEquals($change, ChangeReader::read(ChangeWriter::fields($change)));
    }

    public function test_every_kind_of_change_is_tried(): void
    {
        $tried = array_map(fn (array $one): string => $one[0]::class, self::changes());
        foreach (glob(dirname(__DIR__, 2).'/src/Piece/Change/*.php') ?: [] as $file) {
            $class = 'Hebra\\Core\\Piece\\Change\\'.basename($file, '.php');
            if (is_subclass_of($class, Change::class)) {
                self::assertContains($class, $tried);
            }
        }
    }

    #[Group('wide')]
    public function test_every_way_out_is_written_and_read_back(): void
    {
        $ways = 0;
        foreach (Everything::pieces(150) as $name => $piece) {
            foreach (Planner::plan($piece, new Profile)->checks as $check) {
                foreach ($check->ways as $way) {
                    $read = ChangeReader::read(ChangeWriter::fields($way->change));
                    self::assertEquals($way->change->apply($piece), $read->apply($piece), "{$name}: {$way->words}");
                    $ways++;
                }
            }
        }
        self::assertGreaterThan(100, $ways);
    }
}
