<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Construction;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\Refused;
use Hebra\Core\Technique\Written\Start;
use Hebra\Core\Technique\Written\WrittenMove;

/** In one sweep to a place, to go on from there as told. Length: that of its curve (geometry). */
final readonly class To implements WrittenMove
{
    use HoldsNothing;

    /** @param  list<array{int, int}>  $beads  how many of which run stand on it, evenly */
    private function __construct(
        private string $field, private string $written, private Start $place, private ?float $takesMm,
        private array $beads,
    ) {
    }

    public static function form(): Form
    {
        return new Form(
            'to',
            '(?<place>.+?)(?: taking '.Form::length('takes')
                .')?(?: with (?<with>\\d+ [a-z]{1,2}(?: and \\d+ [a-z]{1,2})*))?',
            'to 4 0 heading up, or to 4 0 taking 6 with 3 A',
            'in one sweep to a place, millimetres right and down, and towards you; bowed so that it takes so much '
                .'wire; '
                .'with beads on it',
        );
    }

    public static function read(Reading $reading): self
    {
        $beads = [];
        foreach ($reading->has('with') ? explode(' and ', $reading->word('with')) : [] as $one) {
            [$count, $letter] = explode(' ', $one);
            $beads[] = [
                (int) Refused::outside($reading->field, $reading->written, 'beads', (float) $count, 1, 500),
                Construction::ofLetter($letter),
            ];
        }

        return new self(
            $reading->field, $reading->written, Start::read('to '.$reading->word('place'), $reading->field),
            $reading->has('takes') ? $reading->number('takes', 0.001, 50_000.0) : null, $beads,
        );
    }

    public function lay(Laying $wire): void
    {
        $ahead = $this->place->isHeaded ? $this->place->ahead : $wire->frame->ahead;
        if ($this->beads === [] && $this->takesMm === null) {
            $wire->goTo($this->place->at, $ahead);

            return;
        }
        $far = $this->place->at->minus($wire->frame->at)->lengthMm();
        $this->takesMm === null || $this->takesMm > $far - Laying::THERE_MM || throw Refused::because(
            $this->field, $this->written, 'is less wire than the way there', 'taking '.Figures::trim(ceil($far), 0)
                .' or more',
        );
        $taken = [];
        foreach ($this->beads as [$count, $run]) {
            array_push($taken, ...$wire->construction->takes($count, $run));
        }
        $wire->construction->strings($taken);
        $wire->goWith(
            $this->place->at, $ahead, array_map(fn (array $one): Strung => $one[1], $taken), $this->takesMm,
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        $curve = 'Curve it in one sweep to where it goes on';

        return $put->beads === []
            ? new Handwork($moment, 'Curve it over', $curve.'.', Operation::Bend, 'fingers')
            : new Handwork(
                $moment, 'Curve it over with its beads', $curve.', with '.Stringing::words($put->beads).' on it.',
                Operation::Thread,
                'fingers', $put->count(), 'beads',
            );
    }
}
