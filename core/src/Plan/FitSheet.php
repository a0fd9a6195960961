<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\School\School;
use Hebra\Core\Working;

/** What the fit of a piece means for its lengths: each consequence with its rule, its numbers, and a sentence. */
final readonly class FitSheet
{
    /** Ease of a bracelet between 12 and 25 mm [common practice]. */
    public const EASE_MM = 18.0;

    /**
     * @param  list<Working>  $lines
     * @param  list<string>  $sentences
     */
    private function __construct(public array $lines, public array $sentences)
    {
    }

    public static function of(Plan $plan): self
    {
        return match ($plan->piece->fit->kind) {
            FitKind::Ear => self::ear($plan),
            FitKind::Finger => self::finger($plan),
            FitKind::Wrist => self::wrist($plan),
            FitKind::Neck => self::neck($plan),
            FitKind::Hoop => self::hoop($plan),
        };
    }

    private static function ear(Plan $plan): self
    {
        $over = $plan->hangsMm() - $plan->piece->fit->mm;
        $profile = $plan->profile;
        $sentences = [$over > 0.25
            ? 'It hangs '.$profile->length($over).' lower than you want: take a bead or a link off, or turn smaller loops.'
            : 'It hangs '.$profile->length($plan->hangsMm()).($over < -0.25 ? ', '.$profile->length(-$over).' above the lowest you want.' : ', as low as you want.')];
        if ($plan->gramsEach > Checks::COMFORTABLE_GRAMS) {
            $sentences[] = Figures::grams($plan->gramsEach).' each pulls at an ear; about 7 g is comfortable.';
        }

        return new self([new Working('hangs', 'top of the arch to the lowest point', Figures::trim($plan->hangsMm()), $plan->hangsMm(), 'mm', 'the drawing')], $sentences);
    }

    private static function finger(Plan $plan): self
    {
        $isString = $plan->profile->schools->is(School::RingMeasure, 'string');
        $circumference = M_PI * $plan->piece->fit->mm - ($isString ? Band::STRING_RUNS_LARGE_MM : 0.0);
        $ring = RingSize::ofDiameter(max(RingSize::LEAST_MM, $circumference / M_PI));
        $lines = [new Working('inside diameter', $isString ? '(string − 4)/π' : 'as measured', Figures::trim($circumference), $ring->insideMm(), 'mm', RingSize::SOURCE)];
        foreach (self::wires($plan) as $words => [$d, $wire]) {
            $lines[] = new Working("one turn of {$words}", 'π(ID + d)', 'π × ('.Figures::trim($ring->insideMm()).' + '.Figures::trim($d, 3).')', Band::ringBlankMm($ring->insideMm(), $d / 2), 'mm', 'geometry of the neutral axis');
        }
        $sentences = [$ring->words().'.'];
        foreach (self::wires($plan) as $words => [$d, $wire]) {
            $forming = Forming::band($wire, $ring->insideMm(), $plan->profile);
            $sentences[] = ucfirst($words).': form it on '.$forming->where('ring mandrel', $plan->profile).'.'.$forming->opens($plan->profile);
        }
        if ($isString) {
            $sentences[] = 'A string runs large: 4 mm of circumference are taken off.';
        }
        $sentences[] = 'A band of 6 mm or wider wants a quarter to half a size more. Never form a ring on the finger.';

        return new self($lines, $sentences);
    }

    private static function wrist(Plan $plan): self
    {
        $bead = self::thickest($plan);
        $girth = $plan->piece->fit->mm;
        $reach = $plan->reach();
        if ($reach === null) {
            $inside = ($girth + self::EASE_MM) / M_PI;

            return new self([new Working('inside diameter that fits', '(wrist + ease)/π', '('.Figures::trim($girth).' + '.Figures::trim(self::EASE_MM).')/π', $inside, 'mm', 'common practice; a closed bangle must pass over the hand')],
                ['An open bangle of '.$plan->profile->length($inside).' inside sits well on this wrist; a closed one must pass over the widest part of the hand, thumb folded in.']);
        }

        return new self([
            new Working('length, clasp included', 'wrist + ease + π·B', Figures::trim($girth).' + '.Figures::trim(self::EASE_MM).' + π × '.Figures::trim($bead), $reach->wantsMm, 'mm', 'common practice; beads’ thickness by geometry'),
            self::straight($plan),
        ], [$reach->check($plan->profile)->text, 'Beads '.Figures::mm($bead).' thick take '.$plan->profile->length(M_PI * $bead).' of the inside.']);
    }

    private static function neck(Plan $plan): self
    {
        $bead = self::thickest($plan);
        $inside = Band::strandInsideMm($plan->piece->fit->mm, $bead);
        $reach = $plan->reach();
        $lines = [new Working('inside, closed', 'L − πB', Figures::trim($plan->piece->fit->mm).' − π × '.Figures::trim($bead), $inside, 'mm', 'geometry'), self::straight($plan)];

        return new self($lines, [
            $reach?->check($plan->profile)->text ?? 'It hangs '.$plan->profile->length($plan->hangsMm()).' low as a pendant, on a chain of '.$plan->profile->length($plan->piece->fit->mm).'.',
            $inside >= 580 ? 'It goes over the head without a clasp.' : 'The chain needs a clasp: a head is about 58 cm round.',
        ]);
    }

    private static function straight(Plan $plan): Working
    {
        return new Working('this piece, laid straight', 'end to end', Figures::trim($plan->hangsMm()), $plan->hangsMm(), 'mm', 'the drawing');
    }

    private static function hoop(Plan $plan): self
    {
        $lines = [];
        foreach (self::wires($plan) as $words => [$d, $wire]) {
            $lines[] = new Working("a hoop of {$words}", 'π·diameter', 'π × '.Figures::trim($plan->piece->fit->mm), M_PI * $plan->piece->fit->mm, 'mm', 'geometry; eye and hook are extra');
        }

        return new self($lines, ['The diameter is taken to the wire’s middle. Try the lock before beads go on.']);
    }

    private static function thickest(Plan $plan): float
    {
        return array_reduce($plan->beads, fn (float $most, BeadCount $count): float => max($most, $count->bead->widthMm), 0.0);
    }

    /** @return array<string, array{float, \Hebra\Core\Wire\Wire}> each wire of the piece once */
    private static function wires(Plan $plan): array
    {
        $wires = [];
        foreach ($plan->piece->roles() as $role) {
            $wire = $plan->piece->wires[$role];
            $wires[$wire->words()] = [$wire->diameterMm(), $wire];
        }

        return $wires;
    }
}
