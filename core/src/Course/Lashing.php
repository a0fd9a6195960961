<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Course\Shape\Wound;

/**
 * A wire over what is bound to a host: down between its beads, straight across before the host in each gap and slanting
 * behind it to the next. It begins and ends on the host's outside and its inside. Millimetres. Length: that of its
 * curve (geometry).
 */
final readonly class Lashing
{
    /** @param  non-empty-list<float>  $gapsMm  where along the host it crosses, one after the other */
    public function __construct(private Host $host, private array $gapsMm, private float $radiusMm)
    {
    }

    /** @return non-empty-list<Span> */
    public function spans(): array
    {
        $spans = [];
        foreach ($this->gapsMm as $at => $mm) {
            $spans[] = $this->half($mm, $mm, true);
            if (isset($this->gapsMm[$at + 1])) {
                $spans[] = $this->half($mm, $this->gapsMm[$at + 1], false);
            }
        }

        return $spans;
    }

    /** Half a turn, before the host from its outside to its inside, or back behind it. */
    private function half(float $fromMm, float $toMm, bool $isBefore): Span
    {
        [$from, $to, $side] = [$this->host->at($fromMm), $this->host->at($toMm), $isBefore ? 1.0 : -1.0];
        $start = $from->at->plus($from->towards->times($side * $this->radiusMm));
        $end = $to->at->minus($to->towards->times($side * $this->radiusMm));
        $pull = Wound::HALF_PULL * $this->radiusMm * hypot(1.0, ($toMm - $fromMm) / (M_PI * $this->radiusMm));
        $leaves = $from->beside()->times(-$side)->plus($from->ahead->times($this->slant()))->unit();
        $comes = $to->beside()->times($side)->plus($to->ahead->times($this->slant()))->unit();

        return new Span($start, $start->plus($leaves->times($pull)), $end->minus($comes->times($pull)), $end);
    }

    /** How far it goes along the host a millimetre of its way, where it passes from before it to behind it. */
    private function slant(): float
    {
        $gaps = count($this->gapsMm) - 1;
        $pitch = $gaps === 0 ? 0.0 : ($this->gapsMm[$gaps] - $this->gapsMm[0]) / $gaps;

        return $pitch / (2 * M_PI * $this->radiusMm);
    }
}
