<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Bead\Drilling;
use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Course\Strung;
use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\EditBead;
use Hebra\Core\Piece\Change\RemovePart;
use Hebra\Core\Piece\Change\SetWire;
use Hebra\Core\Piece\Change\SwapBead;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/** What is judged of each part and of the beads on it: what passes which hole, how it is drilled, how alike it is. */
final readonly class PartChecks
{
    /** By how much one irregular bead differs from the next, of its length [common practice, from memory]. */
    private const UNLIKE = 0.3;

    public function __construct(private Piece $piece, private Profile $profile)
    {
    }

    /**
     * Each bead on the same wires is spoken of once.
     *
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    public function of(array $parts): array
    {
        $checks = $seen = [];
        foreach ($parts as $part) {
            array_push($checks, ...$part->technique->checks($part), ...CoilBeads::checks($part));
            foreach ($part->strung as $run => $strung) {
                $once = implode(' ', $part->through($run)).' '.$strung->key;
                array_push($checks, ...isset($seen[$once]) ? [] : $this->onWire($part, $run, $strung));
                $seen[$once] = true;
                array_push($checks, ...$this->drilled($part, $run, $strung));
            }
        }

        return $checks;
    }

    /** @return list<Check> */
    private function onWire(PartPlan $part, int $run, Strung $strung): array
    {
        $fit = $part->holeFit($run);

        return [...$fit === null ? [] : [$this->hole($part, $run, $fit)], ...$this->irregular($part, $strung)];
    }

    /** @return list<Check> */
    private function drilled(PartPlan $part, int $run, Strung $strung): array
    {
        $takes = $part->technique->drillings();
        if (in_array($strung->bead->drilling, $takes, true)) {
            return [];
        }
        $words = implode(' or ', array_map(fn (Drilling $drilling): string => $drilling->words(), $takes));

        return [new Check(
            Level::Stop, 'drilling',
            ucfirst($strung->bead->words())." is {$strung->bead->drilling->words()}: a {$part->label()} takes beads "
                ."{$words}.",
            $part->part->id, $this->redrilled($part, $run),
        )];
    }

    /** @return list<Check> how far a stack of beads that are not alike may be off */
    private function irregular(PartPlan $part, Strung $strung): array
    {
        if (! $strung->bead->shape->isIrregular() || $strung->count < 3) {
            return [];
        }
        $spread = self::UNLIKE * $strung->bead->lengthMm * sqrt($strung->count);

        return [new Check(
            Level::Note, 'irregular',
            "{$strung->count} × {$strung->bead->words()} take ".$this->profile->length($strung->lengthMm())
                .', give or take '.$this->profile->length($spread)
                .': sort out the largest, and measure your own stack before you cut.',
            $part->part->id,
        )];
    }

    private function hole(PartPlan $part, int $run, HoleFit $fit): Check
    {
        $strung = $part->strung[$run];
        $passes = array_count_values($part->through($run));
        $thickest = self::thickest($part, array_keys($passes));
        $bead = $strung->bead;
        $size = implode(' and ', array_map(
            fn (string $role, int $times): string => $part->wireOf($role)->size->text()
                .($times > 1 ? ", {$times} times," : ''),
            array_keys($passes), $passes,
        ));
        if ($fit->fits()) {
            return new Check(
                Level::Ok,
                'hole',
                "{$size} passes the {$bead->words()}, ".Figures::mm($fit->marginMm()).' to spare.',
                $part->part->id,
            );
        }
        $ways = [];
        $thinner = count($passes) > 1 ? null : WireTable::thickestPassing($this->piece, $thickest, $this->profile);
        if ($thinner !== null) {
            $ways[] = new Way('Use '.$thinner->text(), new SetWire($thickest, size: $thinner));
        }
        $roomy = round(ceil(($fit->neededMm() + $this->profile->clearanceMm) * 20) / 20, 2);
        if ($roomy < $bead->widthMm * 0.95) {
            $ways[] = new Way(
                'I tried it: the hole is '.Figures::mm($roomy),
                new EditBead($strung->key, $roomy, null),
            );
        }

        $stop = new Check(
            Level::Stop,
            'hole',
            "{$size} does not pass the {$bead->words()}: its hole is ".Figures::mm($bead->holeMm).', '
                .Figures::mm(-$fit->marginMm()).' too small with room to move.',
            $part->part->id,
            $ways,
        );

        return $stop->at($part->mark('bead-'.$run));
    }

    /** @param  list<string>  $roles */
    private static function thickest(PartPlan $part, array $roles): string
    {
        usort(
            $roles,
            fn (string $one, string $other): int => $part->wireOf($other)->diameterMm()
                <=> $part->wireOf($one)->diameterMm(),
        );

        return $roles[0] ?? $part->part->wire;
    }

    /** @return list<Way> the bead held by the hole it has, or the same bead drilled as the part takes it */
    private function redrilled(PartPlan $part, int $run): array
    {
        $bead = $part->strung[$run]->bead;
        $other = match (true) {
            in_array(Drilling::Lengthwise, $part->technique->drillings(), true) => ['lengthwise', 'one hole'],
            in_array(Drilling::Top, $part->technique->drillings(), true) => ['across the top', 'top-drilled'],
            default => null,
        };

        $ways = $bead->drilling === Drilling::Top && $part->beadCount() === 1 ? [$this->heldAcross($part)] : [];
        if ($other !== null) {
            [$how, $said] = $other;
            $line = "{$bead->widthMm} x {$bead->lengthMm}mm {$bead->shape->value}, hole {$bead->holeMm}, {$said}, "
                ."{$bead->material->value}, {$bead->colour}";
            $ways[] = new Way("One drilled {$how}", new SwapBead($part->part->id, $run, Bead::parse($line)));
        }

        return $ways;
    }

    /** A bead with its hole across its top, hung by that in place of the part it is on. */
    private function heldAcross(PartPlan $part): Way
    {
        return Way::all('Hang it by its hole', [
            new AddPart('briolette-wrap', $this->piece->indexOf($part->part->id) + 1),
            new SwapBead($this->piece->nextPartId(), 0, $part->strung[0]->bead),
            new RemovePart($part->part->id),
        ]);
    }
}
