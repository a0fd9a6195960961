<?php

declare(strict_types=1);

namespace Hebra\Core\Course;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\Shape\Laid;
use Hebra\Core\Course\Shape\Wound;
use Hebra\Core\Wrap\StoneRow;

/**
 * A wire that binds beads to a host: wraps round it, and from the host's outside up to the hole of a bead, through it,
 * and back down. Where the host bends, each bead stands on the tangent at its middle. Millimetres.
 */
final readonly class BoundRow
{
    private const TRIES = 4;

    private const NEAR_MM = 0.005;

    /** @param  float  $sideMm  how far apart the outer wires of the host lie, middle to middle */
    public function __construct(
        private Host $host, private float $hostMm, private float $sideMm, private float $wireMm, private string $mark,
    ) {
    }

    public function wraps(float $fromMm, int $turns, int $way = 1): Wound
    {
        return Wound::close($this->host, $fromMm, $turns, $this->hostMm, $this->wireMm, $this->sideMm, $way);
    }

    /** Where the wire is on the host's outside. */
    private function outside(float $mm): Vector
    {
        return $this->wraps($mm, 0)->start()->at;
    }

    /**
     * One row, with wraps between its beads.
     *
     * @param  list<Bead>  $beads  at least one
     * @return array{Laid, list<Threaded>}
     */
    public function laid(float $fromMm, array $beads, int $between, bool $isAstride): array
    {
        $spans = $threaded = [];
        [$mm, $at] = [0.0, $fromMm];
        foreach ($beads as $number => $bead) {
            if ($number > 0) {
                $wraps = $this->wraps($at, $between);
                array_push($spans, ...$wraps->laid($wraps->start())[0]);
                [$mm, $at] = [$mm + $wraps->lengthMm(), $at + $between * $this->wireMm];
            }
            [$start, $end] = $this->seated($at, $bead, $isAstride);
            $up = $this->up($at, $start);
            $at += $bead->lengthMm;
            $down = $this->down($end, $at, $isAstride);
            array_push($spans, ...$up, ...[Span::straight($start, $end)], ...$down);
            $mm += (new Curve($up))->lengthMm();
            $threaded[] = new Threaded($bead, 1, $this->mark, true, atMm: $mm);
            $mm += $bead->lengthMm + (new Curve($down))->lengthMm();
        }

        return [$this->ending($spans, $at), $threaded];
    }

    /**
     * One row, its beads strung one against the other: up to the first, through all, and down from the last.
     *
     * @param  list<Bead>  $beads  at least one
     * @return array{Laid, list<Threaded>}
     */
    public function strung(float $fromMm, array $beads): array
    {
        [$spans, $threaded, $at, $place] = [[], [], $fromMm, null];
        foreach ($beads as $bead) {
            [$start, $end] = $this->seated($at, $bead, false);
            array_push($spans, ...$place === null ? $this->up($at, $start) : [Span::straight($place, $start)]);
            $threaded[] = new Threaded($bead, 1, $this->mark, true, atMm: (new Curve($spans))->lengthMm());
            $spans[] = Span::straight($start, $end);
            [$at, $place] = [$at + $bead->lengthMm, $end];
        }
        array_push($spans, ...$place === null ? [] : $this->down($place, $at, false));

        return [$this->ending($spans, $at), $threaded];
    }

    /**
     * From a bead back to the host’s outside. From before it the wire comes down over where the next turn goes up: it
     * lands a wire earlier, and lies along the host for that.
     *
     * @return non-empty-list<Span>
     */
    private function down(Vector $from, float $atMm, bool $isAstride): array
    {
        $outside = $this->outside($atMm);
        if (! $isAstride) {
            return [Span::straight($from, $outside)];
        }
        $lands = $atMm - $this->wireMm;
        $back = array_map(fn (Span $span): Span => $span->reversed(), array_reverse($this->up($lands, $from)));

        return [...$back, Span::straight($this->outside($lands), $outside)];
    }

    /**
     * From the host’s outside to the hole of a bead: straight, or round the host where that is in the way.
     *
     * @return non-empty-list<Span>
     */
    private function up(float $atMm, Vector $to): array
    {
        $outside = $this->outside($atMm);
        $host = $this->host->at($atMm);
        $radius = ($this->hostMm + $this->wireMm) / 2;
        $before = $host->beside()->times(-1.0);
        $over = $to->minus($host->at);
        [$outwards, $forwards] = [$over->dot($host->towards), $over->dot($before)];
        $far = hypot($outwards, $forwards);
        // As far round as the wire lies on it, before it leaves for the hole.
        $round = $far > $radius ? atan2($forwards, $outwards) - acos($radius / $far) : 0.0;
        if ($round <= 1e-6 || $this->sideMm > 0.0) {
            return [Span::straight($outside, $to)];
        }
        $corner = $outside->plus($before->times($radius * tan($round / 2)));

        return [Span::straight($outside, $corner), Span::straight($corner, $to)];
    }

    /**
     * Stones set in a row, which have no hole: laid with their backs on the outside of the host or on its front, once
     * round behind each, and wraps over the links between them.
     *
     * @param  list<Bead>  $stones  at least one
     * @return array{Laid, list<Threaded>}
     */
    public function stones(float $fromMm, array $stones, int $between, bool $isInFront): array
    {
        $spans = $threaded = [];
        $place = $this->outside($fromMm);
        [$mm, $at] = [0.0, $fromMm];
        foreach ($stones as $number => $stone) {
            $row = new StoneRow($this->hostMm, $this->sideMm, $stone->holeMm, $this->wireMm);
            $wraps = $number > 0 ? $between : 0;
            $pitch = $stone->lengthMm - $wraps * $this->wireMm;
            $over = $this->turns($row, $at, $wraps, $this->wireMm);
            $behind = $this->turns($row, $at + $wraps * $this->wireMm, 1, $pitch);
            $before = [Span::straight($place, $over->start()->at), ...$over->laid($over->start())[0]];
            [$round, $ends] = $behind->laid($behind->start());
            $mm += (new Curve($before))->lengthMm();
            $threaded[] = $this->stone($stone, $behind->start()->at, $mm, $at + $stone->lengthMm / 2, $isInFront);
            $mm += (new Curve($round))->lengthMm();
            array_push($spans, ...$before, ...$round);
            $at += $stone->lengthMm;
            $place = $ends->at;
        }
        $spans[] = Span::straight($place, $this->outside($at));

        return [$this->ending($spans, $at), $threaded];
    }

    private function turns(StoneRow $row, float $fromMm, int $turns, float $pitchMm): Wound
    {
        $radius = ($row->evenCoreMm() + $this->wireMm) / 2;

        return new Wound($this->host, $fromMm, $radius, $turns, $pitchMm, $this->sideMm);
    }

    /** @param  Vector  $begins  where the wire, so far on, begins to go round behind it */
    private function stone(Bead $stone, Vector $begins, float $mm, float $middleMm, bool $isInFront): Threaded
    {
        $host = $this->host->at($middleMm);
        $face = $isInFront ? $host->beside()->times(-1.0) : $host->towards;
        $off = ($this->hostMm + $stone->widthMm * $stone->shape->thickness()) / 2;

        return new Threaded(
            $stone, 1, $this->mark, true, atMm: $mm - $stone->lengthMm / 2,
            aside: $host->at->plus($face->times($off))->minus($begins), ahead: $host->ahead, face: $face,
        );
    }

    /** @param  list<Span>  $spans */
    private function ending(array $spans, float $atMm): Laid
    {
        $end = $this->wraps($atMm, 0)->start();

        return new Laid($spans === [] ? [Span::straight($end->at, $end->at)] : $spans, $end);
    }

    /**
     * @return array{Vector, Vector} the ends of a bead's hole, as far from the host as the wire that is reckoned
     *     reaches
     */
    private function seated(float $atMm, Bead $bead, bool $isAstride): array
    {
        [$outwards, $before, $reach] = $this->seat($bead, $isAstride);
        $outside = $this->outside($atMm);
        $ends = [$outside, $outside];
        for ($try = 0; $try < self::TRIES; $try++) {
            $ends = $this->axis($atMm + $bead->lengthMm / 2, $bead->lengthMm, $outwards, $before);
            $up = $this->up($atMm, $ends[0]);
            $down = $isAstride ? $this->down($ends[1], $atMm + $bead->lengthMm, true) : $up;
            $over = (new Curve([...$down, ...$up]))->lengthMm() / 2 - $reach;
            if (abs($over) < self::NEAR_MM) {
                break;
            }
            // Round a bend the way up is slanted: the bead sits so much closer.
            if ($before > 0.0) {
                $before = max(0.0, $before - $over);
            } else {
                $outwards -= $over;
            }
        }

        return $ends;
    }

    /**
     * @return array{float, float, float} how far a bead's hole lies outside the host's middle, how far before it, and
     *     how long the way there is
     */
    private function seat(Bead $bead, bool $isAstride): array
    {
        $outside = ($this->hostMm + $this->wireMm) / 2;
        $jog = max(0.0, ($bead->widthMm - $this->wireMm) / 2);
        // Astride it lies before the middle of its host, as far as the wire that is reckoned for it reaches.
        $reach = hypot($jog, $bead->widthMm / 2);

        if (! $isAstride) {
            return [$outside + $jog, 0.0, $jog];
        }

        return $reach > $outside
            ? [0.0, sqrt($reach ** 2 - $outside ** 2), $reach]
            : [$outside + $jog, 0.0, $reach];
    }

    /** @return array{Vector, Vector} the ends of a stretch beside the host, square to it at its middle */
    private function axis(float $middleMm, float $lengthMm, float $outwardsMm, float $beforeMm): array
    {
        $host = $this->host->at($middleMm);
        $middle = $host->at->plus($host->towards->times($outwardsMm))->minus($host->beside()->times($beforeMm));
        $half = $host->ahead->times($lengthMm / 2);

        return [$middle->minus($half), $middle->plus($half)];
    }

    /**
     * Rows beside each other, there and back, turns round the host where one ends and beside them where the next
     * begins.
     *
     * @param  list<list<Bead>>  $rows  as many beads in each, but for the last
     * @return array{Laid, list<Threaded>, float} how it lies, what stands on it, and where the turns that end it begin
     */
    public function rows(float $fromMm, array $rows, int $turns): array
    {
        $wide = $turns * $this->wireMm;
        // The turns that end an even row lie beside those that begin it.
        $at = $fromMm + (count($rows) > 1 ? 2 * $wide + $this->wireMm : $wide);
        $place = $this->outside($fromMm + $wide);
        $spans = $threaded = [];
        foreach ($rows as $row => $beads) {
            $way = $row % 2 === 0 ? 1 : -1;
            foreach ($beads as $bead) {
                $outwards = ($this->hostMm + $bead->widthMm) / 2 + $row * $bead->widthMm;
                [$start, $end] = $this->axis($at + $way * $bead->lengthMm / 2, $way * $bead->lengthMm, $outwards, 0.0);
                $spans[] = Span::straight($place, $start);
                $threaded[] = new Threaded($bead, 1, $this->mark, true, atMm: (new Curve($spans))->lengthMm());
                $spans[] = Span::straight($start, $end);
                [$place, $at] = [$end, $at + $way * $bead->lengthMm];
            }
            if ($row < count($rows) - 1) {
                $turned = $this->wraps($way > 0 ? $at : $at - 2 * $wide, 2 * $turns);
                [$round, $stands] = $turned->laid($turned->start());
                array_push($spans, Span::straight($place, $turned->start()->at), ...$round);
                $place = $stands->at;
            }
        }
        $endsAt = count($rows) % 2 === 1 ? $at : $at - $wide;
        $spans[] = Span::straight($place, $this->outside($endsAt));

        return [$this->ending($spans, $endsAt), $threaded, $endsAt];
    }
}
