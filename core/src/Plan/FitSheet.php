<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Fit\Band;
use Hebra\Core\Fit\RingSize;
use Hebra\Core\Piece\FitKind;
use Hebra\Core\Quantity\Figures;
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
        $hangs = 'It hangs '.$profile->length($plan->hangsMm());
        $sentences = [match (true) {
            $over > 0.25 => 'It hangs '.$profile->length($over)
                .' lower than you want: take a bead or a link off, or turn smaller loops.',
            $over < -0.25 => "{$hangs}, ".$profile->length(-$over).' above the lowest you want.',
            default => "{$hangs}, as low as you want.",
        }];
        if ($plan->gramsEach > Checks::COMFORTABLE_GRAMS) {
            $sentences[] = Figures::grams($plan->gramsEach).' each pulls at an ear; about 7 g is comfortable.';
        }

        return new self(
            [new Working(
                'hangs', 'top of the arch to the lowest point', Figures::trim($plan->hangsMm()), $plan->hangsMm(), 'mm',
                'the drawing',
            )],
            $sentences,
        );
    }

    private static function finger(Plan $plan): self
    {
        $fit = $plan->piece->fit;
        $ring = RingSize::ofDiameter($fit->mm);
        $lines = [
            new Working(
                'inside diameter',
                $fit->isByString() ? '(string − 4)/π' : 'as measured',
                $fit->said === '' ? Figures::trim($fit->mm, 3) : $fit->said,
                $ring->insideMm(),
                'mm',
                RingSize::SOURCE,
            ),
        ];
        $sentences = [$ring->words().'.'];
        if (preg_match('/^(string|round) (.+)$/', $fit->said, $match) === 1) {
            $sentences[] = "{$match[2]} is a length round"
                .($match[1] === 'string' ? '; a string runs large, so 4 mm of it are taken off' : '').': '
                .$plan->profile->size($ring->insideMm()).' across.';
        }
        foreach ($plan->sized() as [$part, $sizing]) {
            $insideMm = $part->part->mm($sizing->key);
            $lines[] = new Working(
                'one turn of '.$part->wire->words(),
                'π(ID + d)',
                'π × ('.Figures::trim($insideMm, 3).' + '.Figures::trim($part->wireMm(), 3).')',
                Band::ringBlankMm($insideMm, $part->wireMm() / 2),
                'mm',
                'geometry of the neutral axis',
            );
            $sentences[] = self::formed(
                $plan,
                $part,
                Forming::band($part->wire, $insideMm, $plan->profile),
                'ring mandrel',
            );
            if ($sizing->wantedMm > $fit->mm) {
                $sentences[] = 'Wide as it is, it is made '
                    .($sizing->wantedMm - $fit->mm > RingSize::US_STEP_MM * 0.4 ? 'half a size' : 'a quarter size')
                    .' larger.';
            }
        }
        $sentences[] = 'Never form a ring on the finger.';

        return new self([...$lines, ...self::turns($plan, $ring->insideMm())], $sentences);
    }

    /** @return list<Working> where nothing of it has a size yet, one turn of each of its wires */
    private static function turns(Plan $plan, float $insideMm): array
    {
        $turns = [];
        foreach ($plan->sized() === [] ? $plan->piece->rolesToChoose() : [] as $role) {
            $wire = $plan->piece->wires[$role];
            $turns[$wire->words()] = new Working(
                'one turn of '.$wire->words(),
                'π(D + d)',
                'π × ('.Figures::trim($insideMm, 3).' + '.Figures::trim($wire->diameterMm(), 3).')',
                M_PI * ($insideMm + $wire->diameterMm()),
                'mm',
                'geometry of the neutral axis',
            );
        }

        return array_values($turns);
    }

    private static function formed(Plan $plan, PartPlan $part, Forming $forming, string $otherwise): string
    {
        return ucfirst($part->label()).', '.$part->wire->words().': form it on '
            .$forming->where($otherwise, $plan->profile).'.'.$forming->opens($plan->profile);
    }

    private static function wrist(Plan $plan): self
    {
        $bead = self::thickest($plan);
        $girth = $plan->piece->fit->mm;
        $reach = $plan->reach();
        if ($reach === null) {
            return self::bangle($plan);
        }

        return new self([
            new Working(
                'length, clasp included',
                'wrist + ease + π·B',
                Figures::trim($girth).' + '.Figures::trim(self::EASE_MM).' + π × '.Figures::trim($bead),
                $reach->wantsMm,
                'mm',
                'common practice; beads’ thickness by geometry',
            ),
            self::straight($plan),
        ], [
            $reach->check($plan->profile)->text,
            ...($bead === 0.0 ? [] : [
                'Beads '.Figures::mm($bead).' thick take '.$plan->profile->length(M_PI * $bead).' of the inside.',
            ]),
        ]);
    }

    private static function bangle(Plan $plan): self
    {
        $girth = $plan->piece->fit->mm;
        $lines = $sentences = [];
        foreach ($plan->sized() as [$part, $sizing]) {
            $mm = $part->part->mm($sizing->key);
            $lines[] = new Working(
                $part->label().', '.$sizing->key,
                $sizing->key === 'coil' ? 'wrist/π + bead' : 'wrist/π + ease',
                Figures::trim($girth).'/π + '.Figures::trim($sizing->wantedMm - $girth / M_PI),
                $sizing->wantedMm,
                'mm',
                'common practice; a closed bangle must pass over the hand',
            );
            $sentences[] = $sizing->key === 'coil'
                ? 'Its coil is '.$plan->profile->size($mm).' to the wire’s middle, '
                    .$plan->profile->size($mm - $plan->piece->thickestMm($part->part)).' inside its beads.'
                : self::formed(
                    $plan,
                    $part,
                    Forming::bangle(
                        $part->wire,
                        $mm,
                        $plan->profile,
                        $part->technique->hammered($part),
                        ($part->part->settings['annealed'] ?? false) === true,
                    ),
                    'bangle mandrel',
                );
        }
        if ($lines === []) {
            $inside = ($girth + self::EASE_MM) / M_PI;
            $lines[] = new Working(
                'inside diameter that fits',
                '(wrist + ease)/π',
                '('.Figures::trim($girth).' + '.Figures::trim(self::EASE_MM).')/π',
                $inside,
                'mm',
                'common practice; a closed bangle must pass over the hand',
            );
            $sentences[] = 'An open bangle of '.$plan->profile->size($inside).' inside sits well on this wrist.';
        }
        $sentences[] = 'What is closed must pass over the widest part of the hand, thumb folded in.';

        return new self($lines, $sentences);
    }

    private static function neck(Plan $plan): self
    {
        $bead = self::thickest($plan);
        $inside = Band::strandInsideMm($plan->piece->fit->mm, $bead);
        $reach = $plan->reach();
        $lines = [
            new Working(
                'inside, closed',
                'L − πB',
                Figures::trim($plan->piece->fit->mm).' − π × '.Figures::trim($bead),
                $inside,
                'mm',
                'geometry',
            ),
            self::straight($plan),
        ];

        return new self($lines, [
            $reach?->check($plan->profile)->text ?? 'It hangs '.$plan->profile->length($plan->hangsMm())
                .' low as a pendant, on a chain of '.$plan->profile->length($plan->piece->fit->mm).'.',
            ($plan->roundMm() ?? $inside) >= StrandChecks::HEAD_MM
                ? 'It goes over the head without a clasp.'
                : 'The chain needs a clasp: a head is about 58 cm round.',
        ]);
    }

    private static function straight(Plan $plan): Working
    {
        return new Working(
            'this piece, laid straight', 'end to end', Figures::trim($plan->hangsMm()), $plan->hangsMm(), 'mm',
            'the drawing',
        );
    }

    private static function hoop(Plan $plan): self
    {
        $lines = $sentences = [];
        foreach ($plan->sized() as [$part, $sizing]) {
            $mm = $part->part->mm($sizing->key);
            $lines[] = new Working(
                'a hoop of '.$part->wire->words(),
                'π·diameter',
                'π × '.Figures::trim($mm),
                M_PI * $mm,
                'mm',
                'geometry; eye and hook are extra',
            );
            $sentences[] = self::formed(
                $plan,
                $part,
                Forming::arch($part->wire, $mm - $part->wireMm(), $plan->profile),
                'mandrel',
            );
        }

        if ($lines === []) {
            $lines[] = new Working(
                'a hoop',
                'π·diameter',
                'π × '.Figures::trim($plan->piece->fit->mm),
                M_PI * $plan->piece->fit->mm,
                'mm',
                'geometry; eye and hook are extra',
            );
        }

        return new self(
            $lines,
            [...$sentences, 'The diameter is taken to the wire’s middle. Try the lock before beads go on.'],
        );
    }

    private static function thickest(Plan $plan): float
    {
        return array_reduce(
            $plan->beads,
            fn (float $most, BeadCount $count): float => max($most, $count->bead->widthMm),
            0.0,
        );
    }
}
