<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Bead\Bead;
use Hebra\Core\Course\BoundRow;
use Hebra\Core\Course\Host;
use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Course\Threaded;
use Hebra\Core\Course\Vector;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Name;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\Thing;
use Hebra\Core\Technique\Written\WrittenMove;

/**
 * Beads bound to a wire one by one, with wraps between them, or strung along it: see BoundRow. Length: that of its
 * curve (geometry).
 */
final readonly class Bind implements WrittenMove
{
    use HoldsNothing;

    private function __construct(
        private int $count, private ?int $run, private string $on, private string $at, private bool $isBack,
        private string $side, private int $between,
    ) {
    }

    public static function form(): Form
    {
        return new Form(
            'bind',
            Form::beads('beads', 'of').' on '.Form::name('on').'(?: at '.Form::place('at').')?(?<back> back)?'
            .'(?: '.Form::side('side').')?(?: with '.Form::number('between').' between|(?<close> close))?',
            'bind 7 B on frame at left', 'beads on a wire one by one, with wraps between, or close to each other',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self(
            (int) $reading->number('beads', 1.0, 500.0), $reading->run('of'), $reading->word('on'),
            $reading->word('at'),
            $reading->has('back'), $reading->word('side'),
            $reading->has('close') ? 0 : (int) $reading->number('between', 1.0, 20.0, 1.0),
        );
    }

    public function lay(Laying $wire): void
    {
        $thing = $wire->construction->thing($this->on);
        $all = $thing->curve()->lengthMm();
        $mm = $this->at === '' ? $thing->nearest($wire->frame->at) : $thing->place($this->at);
        $taken = $wire->construction->takes($this->count, $this->run);
        $beads = array_map(fn (array $one): Strung => $one[1], $taken);
        $mm = $this->isBack ? $all - $mm : $mm;
        $row = new BoundRow($this->host($thing, $mm), $thing->wireMm, 0.0, $wire->wireMm, 'beads');
        $start = $row->wraps($mm, 0)->start();
        $wire->goTo($start->at, $start->ahead);
        $single = self::single($beads);
        [$laid, $threaded] = $this->between === 0
            ? $row->strung($mm, $single)
            : $row->laid($mm, $single, $this->between, false);
        $lying = $this->lying($single, $mm, $wire->wireMm);
        $thing->bind(
            $this->overMm($thing, $single, $wire->wireMm),
            $this->isBack
                ? array_map(fn (array $one): array => [$all - $one[1], $all - $one[0]], $lying)
                : $lying,
        );
        $wire->construction->strings($taken);
        $wire->laid(
            SegmentKind::Binding, Figures::counted($this->count, 'bead').' bound', $laid->laid($start)[0],
            'the length of its curve', Figures::trim($laid->lengthMm()),
            array_map(
                fn (Threaded $one): Threaded => $wire->construction->threaded(
                    self::strung($beads, $one), $one->atMm, true,
                ),
                $threaded,
            ), $beads,
        );
    }

    /**
     * How thick it is for what goes down between its beads: with the wraps between them, or, where beads lie against
     * each other, as far out as they part by a wire.
     *
     * @param  list<Bead>  $beads
     */
    private function overMm(Thing $thing, array $beads, float $wireMm): float
    {
        if ($this->between > 0) {
            return $thing->wireMm + 2 * $wireMm;
        }
        $over = 0.0;
        foreach ($beads as $bead) {
            $part = 1 - min(1.0, $wireMm / $bead->lengthMm);
            $over = max($over, $thing->wireMm + $bead->widthMm * (1 + sqrt(1 - $part ** 2)) - $wireMm);
        }

        return $over;
    }

    /**
     * @param  list<Bead>  $beads
     * @return list<array{float, float}> from where to where along it each lies
     */
    private function lying(array $beads, float $fromMm, float $wireMm): array
    {
        $lying = [];
        foreach ($beads as $bead) {
            $to = $fromMm + $bead->lengthMm;
            $lying[] = [$fromMm, $to];
            $fromMm = $to + $this->between * $wireMm;
        }

        return $lying;
    }

    /** @param  list<Strung>  $beads */
    private static function strung(array $beads, Threaded $one): Strung
    {
        foreach ($beads as $run) {
            if ($run->bead === $one->bead) {
                return $run->times(1);
            }
        }

        return new Strung('', $one->bead, 1);
    }

    private function host(Thing $thing, float $mm): Host
    {
        $at = $thing->host($this->isBack)->at($mm)->at;
        $side = Form::SIDES[$this->side] ?? null;

        return $side === null
            ? $thing->host($this->isBack)
            : $thing->facing($this->isBack, $mm, $at->plus(new Vector(...$side)));
    }

    /**
     * @param  list<Strung>  $beads
     * @return list<Bead>
     */
    private static function single(array $beads): array
    {
        $each = fn (Strung $run): array => array_fill(0, max(0, $run->count), $run->bead);

        return array_merge(...array_map($each, $beads));
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $on = Name::words($this->on);
        $how = $this->between === 0
            ? "Along {$on}, one bead against the other"
            : "One bead at a time on {$on}, with ".Figures::counted($this->between, 'wrap').' pulled tight between';

        return new Handwork(
            $moment, 'Bind the beads on',
            "{$how}: ".Stringing::words($put->beads).'.',
            Operation::Bind, 'fingers, chain-nose pliers', $this->count, 'beads',
        );
    }
}
