<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Figure\BeadMark;
use Hebra\Core\Figure\Clearing;
use Hebra\Core\Figure\Pose;
use Hebra\Core\Figure\View;
use Hebra\Core\Piece\EyeRef;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Parameter;
use Hebra\Core\Piece\Part;
use Hebra\Core\Piece\Piece as Document;
use Hebra\Core\Plan\Check;
use Hebra\Core\Plan\Cut;
use Hebra\Core\Plan\Level;
use Hebra\Core\Plan\Plan;
use Hebra\Core\Plan\Planner;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Construction;

/** Lay out as a board: what is chosen and where it lies in the drawing, what the tray has, the figures that follow. */
final class Board
{
    /** Of what it is worn on so much is free inside it at least. */
    private const ROOM_FOR = 0.6;

    /** The room that the piece has on it, and its ruler's, in pixels. */
    public const WIDE = 560.0;

    public const HIGH = 520.0;

    public const RULER = 50.0;

    /** Where its height is told, and what is wrong with it, in pixels. */
    public const DIMENSION = 64.0;

    public const FLAG = 136.0;

    /** Free about it: what is said at its edges lies there. */
    public const EDGE = 38.0;

    /** How far about a bead its ring is drawn, in pixels. */
    private const AROUND = 5.0;

    private ?Measures $measures = null;

    /** @var array<string, list<array{BeadMark, Pose}>>|null by mark */
    private ?array $beads = null;

    /** @var list<array{string, float, \Closure(float): string}>|null */
    private ?array $told = null;

    public function __construct(private readonly Desk $desk)
    {
    }

    public function measures(): Measures
    {
        return $this->measures ??= new Measures($this->desk->drawing, $this->desk->plan->seen($this->desk->side));
    }

    /**
     * What stands beside the drawing of the chosen part, from the top down as it lies there: its settings that are
     * seen, and the chosen beads, told by null.
     *
     * @return list<array{Parameter|null, array{float, float, 2?: string}|null}>
     */
    public function beside(Part $part): array
    {
        $beside = [];
        foreach ($part->technique()->parameters() as $parameter) {
            $at = $part->technique()->shows($parameter->key, $part) ? $this->measures()->of($part, $parameter) : null;
            $beside = $at === null ? $beside : [...$beside, [$parameter, $at]];
        }
        if ($part->technique()->takesBeads() && isset($part->beads[$this->desk->run()])) {
            $beside[] = [null, $this->measures()->at($this->markOf($part, (int) $this->desk->run()))];
        }
        usort($beside, fn (array $one, array $other): int => ($one[1][1] ?? 0.0) <=> ($other[1][1] ?? 0.0));

        return $beside;
    }

    /** The first thing that stops it now, and did not before; empty where nothing does. */
    public function newStop(Document $before): string
    {
        $stops = fn (Plan $plan): array => array_map(
            fn (Check $check): string => $check->text,
            array_filter($plan->checks, fn (Check $check): bool => $check->level === Level::Stop),
        );
        $now = $stops($this->desk->plan);

        return $now === []
            ? ''
            : array_values(array_diff($now, $stops(Planner::plan($before, $this->desk->profile))))[0] ?? '';
    }

    /**
     * What is wrong, with where it is in the drawing: null where that is not seen.
     *
     * @return list<array{Check, array{float, float}|null}>
     */
    public function flags(): array
    {
        return array_map(
            fn (Check $check): array => [$check, $this->placeOf($check)],
            $this->desk->checks(Level::Stop, Level::Warn),
        );
    }

    /** @return array{float, float}|null */
    private function placeOf(Check $check): ?array
    {
        if ($check->part === null) {
            return null;
        }
        if (preg_match('/:bead-(\d+)$/', $check->mark, $match) === 1) {
            $mark = $this->markOf($this->desk->document->part($check->part), (int) $match[1]);
        }

        return $this->measures()->at($mark ?? $check->mark) ?? $this->measures()->ofPart($check->part);
    }

    /** @return array<string, string> where what each setting of the chosen part measures is, `x y` by its key */
    public function places(): array
    {
        $open = $this->desk->open();
        $places = [];
        foreach ($open === null ? [] : $this->beside($open) as [$parameter, $at]) {
            if ($parameter !== null && $at !== null) {
                $places[$parameter->key] = "{$at[0]} {$at[1]}";
            }
        }

        return $places;
    }

    /**
     * What it is worn on, as it stands in the drawing: a wrist, a neck or a finger at true scale; null of what hangs.
     *
     * @return array{x: float, y: float, r: float, words: string}|null
     */
    public function worn(): ?array
    {
        [$plan, $fit] = [$this->desk->plan, $this->desk->document->fit];
        $wearerMm = match ($fit->kind) {
            FitKind::Finger => $fit->mm,
            FitKind::Wrist, FitKind::Neck => $fit->mm / M_PI,
            default => 0.0,
        };
        $free = $wearerMm === 0.0 || $this->desk->side !== View::Front
            ? null
            : Clearing::in($plan->assembly()->flat());
        // What is drawn from aside has no room for it.
        if ($free === null || 2 * $free->radiusMm < self::ROOM_FOR * $wearerMm) {
            return null;
        }

        return [
            'x' => $this->desk->drawing->x($free->xMm), 'y' => $this->desk->drawing->y($free->yMm),
            'r' => $this->desk->drawing->px($wearerMm / 2),
            'words' => $fit->kind->value.' '.$this->desk->profile->length($fit->mm),
        ];
    }

    /**
     * Rings about the beads that are chosen.
     *
     * @return list<array{float, float, float, float, float}> middle, half sizes, turn
     */
    public function ringed(): array
    {
        $open = $this->desk->open();
        $run = $this->desk->run();
        $mark = $open === null || $run === null ? '' : $this->markOf($open, $run);
        $rings = [];
        foreach ($mark === '' ? [] : $this->beads($mark) as [$bead, $pose]) {
            [$x, $y] = $pose->at($bead->xMm, $bead->topMm + $bead->bead->lengthMm / 2);
            $drawing = $this->desk->drawing;
            $rings[] = [
                $drawing->x($x), $drawing->y($y),
                $drawing->px($bead->bead->widthMm * $bead->wide / 2) + self::AROUND,
                $drawing->px($bead->bead->lengthMm * $bead->long / 2) + self::AROUND,
                round($bead->turn + $pose->degrees, 1),
            ];
        }

        return $rings;
    }

    /** What the drawing calls the beads of a run: by their place, by their letter in a free wire, or all alike. */
    private function markOf(Part $part, int $run): string
    {
        $letter = strtolower(Construction::letter($run));
        $marks = array_map($part->id->mark(...), ['bead-'.$run, 'beads-'.$letter, 'beads']);

        return array_values(array_filter($marks, fn (string $mark): bool => $this->beads($mark) !== []))[0] ?? '';
    }

    /** @return list<array{BeadMark, Pose}> */
    private function beads(string $mark): array
    {
        if ($this->beads === null) {
            $this->beads = [];
            foreach ($this->desk->plan->seen($this->desk->side)->placed as [$figure, $pose]) {
                foreach ($figure->beads as $bead) {
                    $this->beads[$bead->mark][] = [$bead, $pose];
                }
            }
        }

        return $this->beads[$mark] ?? [];
    }

    /**
     * Where a bead can be put between others, or before and after them: on what part, at which place of its line, and
     * where that is in the drawing, with the turn of what lies there.
     *
     * @return list<array{string, int, float, float, float}>
     */
    public function gaps(): array
    {
        $gaps = [];
        foreach ($this->desk->document->parts as $part) {
            array_push($gaps, ...($part->technique()->takesBeads() ? $this->gapsOf($part) : []));
        }

        return $gaps;
    }

    /**
     * Where parts could hang: a part in any eye of those before it. Told once for all, since most have most of them.
     *
     * @return array{parts: list<string>, eyes: list<array{int, string, float, float, string}>} parts from above; each
     *     eye with the place of its part among them, as a document says it, where it is drawn, and in words
     */
    public function hangs(): array
    {
        $parts = array_map(fn (Part $part): string => $part->id->text, $this->desk->document->parts);
        $eyes = [];
        foreach ($this->desk->plan->eyesAbove() as $ref => $words) {
            $eye = EyeRef::read($ref);
            $at = $this->placeOfEye($eye);
            if ($eye !== null && $at !== null) {
                $eyes[] = [(int) array_search($eye->part->text, $parts, true), $ref, $at[0], $at[1], $words];
            }
        }

        return ['parts' => $parts, 'eyes' => $eyes];
    }

    /** @return array{float, float}|null */
    private function placeOfEye(?EyeRef $ref): ?array
    {
        $part = $ref === null ? null : $this->desk->plan->parts()[$ref->part->text] ?? null;
        if ($ref === null || $part === null) {
            return null;
        }
        $eye = $part->technique->eyes($part, $part->part->id->text)[$ref->eye] ?? null;

        return $eye === null ? null : $this->measures()->at($eye->mark);
    }

    /** @return list<array{string, int, float, float, float}> */
    private function gapsOf(Part $part): array
    {
        $gaps = [];
        $drawing = $this->desk->drawing;
        foreach (array_keys($part->beads) as $run) {
            $beads = $this->beads($part->id->mark('bead-'.$run));
            if ($beads === []) {
                return [];
            }
            // Of what is made often the first is enough: they change together.
            $beads = array_values(array_filter($beads, fn (array $one): bool => $one[1] === $beads[0][1]));
            foreach ([[$beads[0], 0.0, 0], [$beads[count($beads) - 1], 1.0, 1]] as [[$bead, $pose], $share, $after]) {
                [$x, $y] = $pose->at(...self::end($bead, $share));
                $gaps["{$part->id}/".($run + $after)] = [
                    $part->id->text, $run + $after, $drawing->x($x), $drawing->y($y),
                    round($bead->turn + $pose->degrees, 1),
                ];
            }
        }

        return array_values($gaps);
    }

    /** @return array{float, float} the upper end of a bead, or, at a share of 1, its lower one */
    private static function end(BeadMark $bead, float $share): array
    {
        $half = ($share - 0.5) * $bead->bead->lengthMm;
        $turn = deg2rad($bead->turn);

        return [
            $bead->xMm - $half * sin($turn), $bead->topMm + $bead->bead->lengthMm / 2 + $half * cos($turn),
        ];
    }

    /** What is cut for one of a part, all its wires together; empty where it is bought. */
    public function cutOf(Part $part): string
    {
        $times = $this->desk->document->times($part) * $this->desk->document->makes->count;
        $own = array_filter(
            $this->desk->plan->cuts, fn (Cut $cut): bool => $cut->part === $part->id && $cut->rings === null,
        );
        $mm = $this->cutMm($own) / $times;

        return $mm === 0.0 ? '' : $this->desk->profile->length($mm);
    }

    /** @return array<string, array{string, string}> each figure that follows: what it was, where it changed, and is */
    public function figures(): array
    {
        $figures = [];
        $was = $this->desk->was;
        foreach ($this->told() as $place => [$words, $now, $say]) {
            $before = isset($was[$place]) ? $say($was[$place]) : '';
            $figures[$words] = [$before === $say($now) ? '' : $before, $say($now)];
        }

        return $figures;
    }

    public function tape(): ?Tape
    {
        return Tape::of($this->desk);
    }

    /** What they are now, for the next page to tell what changed. */
    public function shown(): string
    {
        return implode(' ', array_map(fn (array $one): string => (string) round($one[1], 3), $this->told()));
    }

    /** @return list<array{string, float, \Closure(float): string}> once, though every form of the page asks */
    private function told(): array
    {
        return $this->told ??= $this->counted();
    }

    /** @return list<array{string, float, \Closure(float): string}> */
    private function counted(): array
    {
        [$plan, $profile, $makes] = [$this->desk->plan, $this->desk->profile, $this->desk->document->makes];
        $round = $plan->roundMm();
        $length = match (true) {
            $round !== null => 'round',
            $plan->isLaidRound() => 'end to end',
            default => trim($this->desk->document->fit->kind->high('')),
        };
        $cut = $this->cutMm($plan->cuts);

        return [
            [$length, $round ?? $plan->hangsMm(), $profile->length(...)],
            [$makes->count > 1 ? 'wire for all '.$makes->count : 'wire', $cut, $profile->length(...)],
            [$makes->count > 1 ? 'each weighs' : 'weighs', $plan->gramsEach, Figures::grams(...)],
        ];
    }

    /** @param  array<Cut>  $cuts  as they are cut, counted */
    private function cutMm(array $cuts): float
    {
        $ruler = $this->desk->profile->ruler;

        return array_sum(array_map(fn (Cut $cut): float => $cut->count * $cut->printedMm($ruler), $cuts));
    }

    /** @return array{int, int} how many of a bead are owned, and how many are left when the piece is made */
    public function ownedAndLeft(Bead $bead): array
    {
        $owned = $this->desk->onHand->ownedBeads($bead);
        $taken = 0;
        foreach ($this->desk->plan->beads as $count) {
            $taken += $count->bead->key() === $bead->key() ? $count->all : 0;
        }

        return [$owned, $owned - $taken];
    }

    /** @return list<Well> the tray for a part */
    public function wells(Part $part): array
    {
        $planned = $this->desk->plan->parts()[$part->id->text];

        $least = $planned->leastHoleMm() ?? 0.0;

        return array_map(function (Bead $bead) use ($planned, $least): Well {
            $why = match (true) {
                ! in_array($bead->drilling, $planned->technique->drillings(), true) => $bead->drilling->words(),
                $bead->holeMm < $least - 1e-6 => 'hole too small',
                default => '',
            };

            return new Well($bead, ...[...$this->ownedAndLeft($bead), $why]);
        }, $this->desk->tray());
    }
}
