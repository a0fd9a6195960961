<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Piece\Change\AddPart;
use Hebra\Core\Piece\Change\SetFit;
use Hebra\Core\Piece\Family;
use Hebra\Core\Piece\Fit;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Piece\Piece;
use Hebra\Core\Quantity\Figures;

/** What is judged on a piece before anything is cut. */
final readonly class Checks
{
    /** An earring is comfortable to about 7 g, with caution from 10 [common practice]. */
    public const COMFORTABLE_GRAMS = 7.0;

    public const HEAVY_GRAMS = 10.0;

    public function __construct(private Piece $piece, private Profile $profile, private Layout $layout)
    {
    }

    /**
     * What only covers its wire wears off where it is worked [common practice].
     *
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    private static function coatings(array $parts): array
    {
        $checks = [];
        foreach ($parts as $part) {
            $metal = $part->wire->metal;
            if ($metal->coating() === '' || $part->technique->isBought($part->part)) {
                continue;
            }
            $isBared = $part->technique->hammered($part) !== null;
            $checks[$metal->value] = new Check(
                $isBared ? Level::Warn : Level::Note, 'coating',
                ucfirst($metal->words())." has only a skin of {$metal->coating()}: nylon jaws or tape where tools "
                    .'bite, and ends turned in. '
                    .'Hammer, file and flame bare the copper'.($isBared ? ', and this part is hammered.' : '.'),
                $part->part->id,
            );
        }

        return array_values($checks);
    }

    /**
     * @param  list<PartPlan>  $parts
     * @param  list<list<Cut>>  $cuts  of these parts
     * @return list<Check>
     */
    public function of(array $parts, array $cuts, float $gramsEach): array
    {
        $reach = Reach::of($this->piece, $this->layout)?->check($this->profile);

        return [
            ...$this->whole($parts, $gramsEach),
            ...(new WireChecks($this->piece, $this->profile))->of($parts, $cuts),
            ...self::coatings($parts),
            ...LineChecks::of($this->piece, $this->profile, $this->layout),
            ...FitChecks::of($this->piece, $parts, $this->profile),
            ...array_filter([$reach, $this->low()]),
            ...(new PartChecks($this->piece, $this->profile))->of($parts),
        ];
    }

    /** An earring that hangs lower than is wanted. */
    private function low(): ?Check
    {
        [$hangs, $wanted] = [$this->layout->lengthMm, $this->piece->fit->mm];
        if ($this->piece->fit->kind !== FitKind::Ear || $hangs <= $wanted + 0.25) {
            return null;
        }
        $words = 'It hangs '.$this->profile->length($hangs).', '.$this->profile->length($hangs - $wanted)
            .' lower than the '.$this->profile->length($wanted).' you want.';

        return new Check(Level::Note, 'fit', $words, null, $hangs > FitKind::Ear->mostMm() - 1 ? [] : [
            new Way('Let it hang that low', new SetFit(Fit::of(FitKind::Ear, ceil($hangs)))),
        ]);
    }

    /**
     * @param  list<PartPlan>  $parts
     * @return list<Check>
     */
    private function whole(array $parts, float $gramsEach): array
    {
        if ($parts === []) {
            return [
                new Check(
                    Level::Note,
                    'empty piece',
                    'Nothing is laid out yet: start with an ear wire.',
                    null,
                    [new Way('Add an ear wire', new AddPart('ear-wire'))],
                ),
            ];
        }
        $checks = [];
        if ($this->piece->fit->kind !== FitKind::Ear) {
            return [new Check(Level::Ok, 'weight', 'It weighs '.Figures::grams($gramsEach).'.')];
        }
        if ($parts[0]->technique->family() !== Family::Finding) {
            $checks[] = new Check(
                Level::Note,
                'no ear wire',
                'This drop has no ear wire on top.',
                $parts[0]->part->id,
                [new Way('Add an ear wire', new AddPart('ear-wire', 0))],
            );
        }
        $grams = Figures::grams($gramsEach);
        $checks[] = match (true) {
            $gramsEach >= self::HEAVY_GRAMS => new Check(
                Level::Warn,
                'weight',
                "Each weighs {$grams}: from about 10 g an earring pulls. Fewer or lighter beads, or a thinner wire.",
            ),
            $gramsEach > self::COMFORTABLE_GRAMS => new Check(
                Level::Note,
                'weight',
                "Each weighs {$grams}: comfortable is up to about 7 g.",
            ),
            default => new Check(Level::Ok, 'weight', "Each weighs {$grams}, light enough to wear all day."),
        };

        return $checks;
    }

    /**
     * @param  list<Check>  $checks
     * @return list<Check>
     */
    public static function worstFirst(array $checks): array
    {
        usort($checks, fn (Check $a, Check $b): int => $b->level->weight() <=> $a->level->weight());

        return $checks;
    }
}
