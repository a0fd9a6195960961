<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Bead\HoleFit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/** What is judged on a piece before anything is cut. */
final class Checks
{
    /** An earring is comfortable to about 7 g, with caution from 10 [common practice]. */
    public const COMFORTABLE_GRAMS = 7.0;

    public const HEAVY_GRAMS = 10.0;

    /** Room a hooked wire wants in an eye so that it swings, mm [memory]. */
    private const SWING_MM = 0.15;

    /**
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    public static function of(Piece $piece, array $parts, Profile $profile, float $gramsEach, float $hangsMm): array
    {
        $checks = self::whole($parts, $gramsEach);
        if ($piece->fit->kind === FitKind::Ear && $hangsMm > $piece->fit->mm + 0.25) {
            $checks[] = new Check(Level::Note, 'fit', 'It hangs '.$profile->length($hangsMm).', '.$profile->length($hangsMm - $piece->fit->mm).' lower than the '.$profile->length($piece->fit->mm).' you want.', '', [
                new Way('Let it hang that low', ['do' => 'fit', 'kind' => 'ear', 'fit' => ceil($hangsMm).' mm']),
            ]);
        }
        $seen = [];
        foreach ($parts as $part) {
            array_push($checks, ...$part->technique->checks($part));
            foreach ($part->strung as $strung) {
                $once = $part->part->wire.' '.$strung->key;
                if (! isset($seen[$once])) {
                    $seen[$once] = true;
                    $checks[] = self::hole($piece, $part, $strung, $profile);
                }
                if (! in_array($strung->bead->drilling, $part->technique->drillings(), true)) {
                    $checks[] = new Check(Level::Stop, 'drilling', ucfirst($strung->bead->words()).' is '.$strung->bead->drilling->words().': a '.$part->technique->label().' takes beads drilled lengthwise.', $part->part->id);
                }
            }
        }

        return $checks;
    }

    /**
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    private static function whole(array $parts, float $gramsEach): array
    {
        if ($parts === []) {
            return [new Check(Level::Note, 'empty piece', 'Nothing is laid out yet: start with an ear wire.', '', [new Way('Add an ear wire', ['do' => 'part.add', 'technique' => 'ear-wire'])])];
        }
        $checks = [];
        if ($parts[0]->technique->name() !== 'ear-wire') {
            $checks[] = new Check(Level::Note, 'no ear wire', 'This drop has no ear wire on top.', $parts[0]->part->id, [new Way('Add an ear wire', ['do' => 'part.add', 'technique' => 'ear-wire', 'at' => '0'])]);
        }
        $grams = Figures::grams($gramsEach);
        $checks[] = match (true) {
            $gramsEach >= self::HEAVY_GRAMS => new Check(Level::Warn, 'weight', "Each weighs {$grams}: from about 10 g an earring pulls. Fewer or lighter beads, or a thinner wire."),
            $gramsEach > self::COMFORTABLE_GRAMS => new Check(Level::Note, 'weight', "Each weighs {$grams}: comfortable is up to about 7 g."),
            default => new Check(Level::Ok, 'weight', "Each weighs {$grams}, light enough to wear all day."),
        };

        return $checks;
    }

    private static function hole(Piece $piece, PartPlan $part, Strung $strung, Profile $profile): Check
    {
        $fit = new HoleFit($strung->bead->holeMm, [$part->wireMm()], $profile->clearanceMm);
        $bead = $strung->bead;
        $size = $part->wire->size->text();
        if ($fit->fits()) {
            return new Check(Level::Ok, 'hole', "{$size} passes the {$bead->words()}, ".Figures::mm($fit->marginMm()).' to spare.', $part->part->id);
        }
        $ways = [];
        $thinner = WireTable::thickestPassing($piece, $part->part->wire, $profile);
        if ($thinner !== null) {
            $ways[] = new Way('Use '.$thinner->text(), ['do' => 'wire', 'role' => $part->part->wire, 'size' => $thinner->code()]);
        }
        $roomy = round(ceil(($part->wireMm() + $profile->clearanceMm) * 20) / 20, 2);
        if ($roomy < $bead->widthMm * 0.95) {
            $ways[] = new Way('I tried it: the hole is '.Figures::mm($roomy), ['do' => 'bead.edit', 'bead' => $strung->key, 'hole' => $roomy.' mm']);
        }

        return new Check(Level::Stop, 'hole', "{$size} does not pass the {$bead->words()}: its hole is ".Figures::mm($bead->holeMm).', '.Figures::mm(-$fit->marginMm()).' too small with room to move.', $part->part->id, $ways);
    }

    /** @return list<Check> whether each of two hooked eyes lets the other's wire in */
    public static function joint(Joint $joint, Profile $profile): array
    {
        $checks = [];
        foreach ([[$joint->a, $joint->b], [$joint->b, $joint->a]] as [$eye, $other]) {
            $short = $other->wireMm + self::SWING_MM - $eye->insideMm;
            if ($short > 0) {
                $checks[] = new Check(Level::Stop, 'eye', ucfirst("the {$eye->words} is ").$profile->size($eye->insideMm)." inside: the {$other->words} of ".Figures::mm($other->wireMm).' wire needs '.Figures::mm($short).' more.', explode('.', explode('/', $eye->id)[0])[0]);
            }
        }

        return $checks;
    }

    /**
     * @param  list<Check>  $checks
     * @return list<Check>
     */
    public static function worstFirst(array $checks): array
    {
        $rank = [Level::Stop->value => 0, Level::Warn->value => 1, Level::Note->value => 2, Level::Ok->value => 3];
        usort($checks, fn (Check $a, Check $b): int => $rank[$a->level->value] <=> $rank[$b->level->value]);

        return $checks;
    }
}
