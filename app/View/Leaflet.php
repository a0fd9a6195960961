<?php

declare(strict_types=1);

namespace App\View;

use App\Models\Piece;
use App\Models\Workshop;
use Hebra\Core\Hand\Pace;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Plan\LayReady;
use Hebra\Core\Plan\Plan;
use Hebra\Core\School\School;

/**
 * A piece as an illustrated leaflet: its cover, what to lay ready for so many people, its cuts, and every step with its
 * picture. As a page it asks for its pictures, as a file it carries them all.
 */
final class Leaflet
{
    /** A page of paper is so wide within its margins: what is longer is drawn smaller, and says so. */
    private const PAPER_MM = 180.0;

    public const MEASURES = ['mm', 'inches'];

    private const ON_THE_COVER = [EventKind::Ready, EventKind::Cut];

    public readonly Desk $desk;

    public readonly LayReady $ready;

    private readonly Plan $plan;

    private readonly FormingStates $states;

    /** @param  bool  $isFile  whether its pictures go along */
    public function __construct(
        private readonly Piece $piece, Workshop $workshop, public readonly int $people, public readonly bool $isFile,
    ) {
        $this->desk = new Desk($piece, $workshop, 'make');
        $this->plan = $this->desk->plan->inOperations($this->desk->plan->isManyAlike());
        $this->states = new FormingStates($this->plan);
        $this->ready = LayReady::of(
            $this->desk->document, $this->desk->profile, min(200, $people * $this->desk->document->makes->count),
        );
    }

    /** @return list<array{number: int, place: int, title: string, text: string, count: string}> */
    public function steps(): array
    {
        return array_map(function (int $at, int $number): array {
            $step = $this->states->step($at);

            return [
                'number' => $number + 1, 'place' => $at + 1, 'title' => $step->title, 'text' => $step->text,
                'count' => $step->count > 1 ? "{$step->count} {$step->counted}" : '',
            ];
        }, $this->stepNumbers(), array_keys($this->stepNumbers()));
    }

    /** @return list<int> what is laid ready and cut stands on the cover */
    private function stepNumbers(): array
    {
        return array_values(array_filter(
            array_keys(array_fill(0, $this->states->count(), true)),
            fn (int $at): bool => ! in_array($this->states->step($at)->moment->kind, self::ON_THE_COVER, true),
        ));
    }

    /** Where a picture is: an address, or the picture itself. */
    public function picture(int $place): string
    {
        $asked = http_build_query([
            'operations' => (int) $this->plan->isManyAlike(), 'hand' => $this->hand(),
        ]);

        return $this->isFile
            ? self::data(StepPicture::of($this->plan, $place - 1, null, $this->states))
            : "/pieces/{$this->piece->ulid}/forming/{$place}.svg?{$asked}";
    }

    /** @return array{non-empty-list<SeenFrame>, list<string>} the same for paper */
    public function onPaper(int $place): array
    {
        return StepPicture::onPaper($this->plan, $place - 1, $this->states);
    }

    public function plan(): Plan
    {
        return $this->plan;
    }

    public function cover(): string
    {
        return self::data(SvgFile::drawing($this->desk));
    }

    /**
     * @return list<array{words: string, picture: string, isTrue: bool}> a cut and its strip, at true size where paper
     *     is wide enough
     */
    public function strips(): array
    {
        $strips = [];
        foreach ($this->desk->plan->strips() as $cut) {
            $strip = new Strip($cut, $this->desk->profile, 1.0);
            $strips[] = [
                'words' => ($cut->count * $this->people).' × '.$this->desk->profile->length($strip->cutMm())
                    .', '.mb_strtolower($cut->label).', '.$cut->wire->words(),
                'picture' => self::data(SvgFile::document(
                    $strip->width, $strip->height, $cut->label, view('svg.strip', ['strip' => $strip])->render(),
                )),
                'isTrue' => $strip->width / Drawing::PX_PER_MM <= self::PAPER_MM,
            ];
        }

        return $strips;
    }

    private static function data(string $svg): string
    {
        return 'data:image/svg+xml;base64,'.base64_encode($svg);
    }

    /** @return list<string> of all its steps, each once */
    public function cautions(): array
    {
        $cautions = [];
        foreach ($this->plan->steps() as $step) {
            foreach ($step->cautions as $caution) {
                $cautions[$caution->value] = $caution->words();
            }
        }

        return array_values($cautions + [Caution::SmallParts->value => Caution::SmallParts->words()]);
    }

    /** `A pair, hangs 53.5 mm; about 60 minutes for hands that know the moves`. */
    public function summary(): string
    {
        return ucfirst($this->desk->document->makes->words())
            .", {$this->desk->high()}; about {$this->minutes()} minutes for "
            .'hands that know the moves'.($this->people > 1 ? "; laid ready for {$this->people} people" : '');
    }

    /** How long it takes somebody who has not made it: as the usual maker, not this one. */
    private function minutes(): int
    {
        return 5 * (int) round(Pace::from([])->foretell($this->plan)['about'] / 5);
    }

    public function fileName(string $kind): string
    {
        return (trim((string) preg_replace('/[^a-z0-9]+/', '-', mb_strtolower($this->piece->name)), '-') ?: 'piece')
            .'.'.$kind;
    }

    /** @return list<string> those that may lead */
    public static function hands(): array
    {
        return array_map(strval(...), array_keys(School::Hand->choices()));
    }

    /** Which hand leads of who reads it. */
    public function hand(): string
    {
        return $this->desk->profile->schools->choice(School::Hand);
    }

    public function measures(): string
    {
        return $this->desk->profile->ruler->isMetric() ? 'mm' : 'inches';
    }

    /** The same leaflet, for the same reader, in another form. */
    public function address(string $form): string
    {
        return '?'.http_build_query([
            $form => 1, 'for' => $this->people, 'in' => $this->measures(), 'hand' => $this->hand(),
        ]);
    }

    /** The styles of a leaflet, for a file that stands alone. */
    public static function styles(): string
    {
        return (string) file_get_contents(resource_path('css/leaflet.css'));
    }
}
