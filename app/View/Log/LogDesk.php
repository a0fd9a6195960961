<?php

declare(strict_types=1);

namespace App\View\Log;

use App\Models\Making;
use App\Read\CutShare;
use App\View\BillDesk;
use App\View\Coins;
use App\View\Desk;
use App\View\Stock\OffcutRule;
use Hebra\Core\Plan\BeadCount;
use Hebra\Core\Quantity\Figures;

/** What is asked when a making is closed: what was left of each cut, on one ruler, what it weighs and comes to. */
final readonly class LogDesk
{
    public OffcutRule $rule;

    /** @var list<LeftRow> */
    public array $rows;

    public ScaleDial $dial;

    public function __construct(private Desk $desk)
    {
        $this->rows = array_map(
            fn (CutShare $share): LeftRow => new LeftRow($share, $desk->profile, $desk->onHand->lotOffered($share)),
            $desk->onHand->shares($desk->plan),
        );
        $this->rule = new OffcutRule(
            $desk->profile, max([1.0, ...array_map(fn (LeftRow $row): float => $row->cutMm, $this->rows)]),
        );
        $this->dial = new ScaleDial($this->metalGrams() + $this->beadGrams());
    }

    /** In all that is made. */
    public function metalGrams(): float
    {
        return array_sum(array_map(fn (LeftRow $row): int => $row->booked->netMg(), $this->rows)) / 1000;
    }

    /** Trimmed and left over, less what goes back to stock. */
    public function jarGrams(): float
    {
        return array_sum(array_map(fn (LeftRow $row): int => $row->booked->scrapMg(), $this->rows)) / 1000;
    }

    private function beadGrams(): float
    {
        return array_sum(array_map(
            fn (BeadCount $count): float => $count->all * $count->bead->grams(), $this->desk->plan->beads,
        ));
    }

    /** `foretold 3.26 g: metal 1.05 g, beads 2.21 g`. */
    public function foretold(): string
    {
        [$metal, $beads] = [$this->metalGrams(), $this->beadGrams()];

        return 'foretold '.Figures::grams($metal + $beads)
            .($beads > 0 ? ': metal '.Figures::grams($metal).', beads '.Figures::grams($beads) : '');
    }

    /** What it is in: `silver`, where it is one metal. */
    public function metal(): string
    {
        $metals = array_unique(array_map(fn (LeftRow $row): string => $row->cut->wire->metal->words(), $this->rows));

        return count($metals) === 1 ? array_values($metals)[0] : 'metal';
    }

    /** What all of it costs as it was planned. */
    public function costs(): string
    {
        return Coins::amount(
            (new BillDesk($this->desk->piece, $this->desk->workshop, $this->desk->plan))->bill->totalCents(),
        );
    }

    /** Minutes at the bench, as they were taken. */
    public function minutes(Making $making): string
    {
        return $this->desk->minutesTaken($making);
    }
}
