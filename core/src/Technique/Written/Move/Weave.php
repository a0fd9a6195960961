<?php

declare(strict_types=1);

namespace Hebra\Core\Technique\Written\Move;

use Hebra\Core\Course\SegmentKind;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;
use Hebra\Core\Course\WovenWire;
use Hebra\Core\Handwork\Handwork;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Technique\Written\Form;
use Hebra\Core\Technique\Written\HoldsNothing;
use Hebra\Core\Technique\Written\Laying;
use Hebra\Core\Technique\Written\Put;
use Hebra\Core\Technique\Written\Reading;
use Hebra\Core\Technique\Written\WrittenMove;
use Hebra\Core\Wrap\BandLayout;
use Hebra\Core\Wrap\BandWeave;

/** A pattern woven over wires that run down side by side, from a height on: see WovenWire. As long as its curve. */
final readonly class Weave implements WrittenMove
{
    use HoldsNothing;

    private function __construct(
        private string $pattern, private float $lengthMm, private string $on, private float $atMm,
    ) {
    }

    public static function form(): Form
    {
        return new Form(
            'weave',
            '(?<pattern>[\dx@fb -]+?)(?: for '.Form::length('length').')? on (?<on>[a-z]{2,12}) at '.Form::number('at'),
            'weave 4@1-2 4@2-3 for 20 on core at 10', 'a pattern over wires side by side, from so far down',
        );
    }

    public static function read(Reading $reading): self
    {
        return new self(
            trim($reading->word('pattern')), $reading->number('length', 0.5, 2000.0), $reading->word('on'),
            (float) $reading->word('at'),
        );
    }

    public function lay(Laying $wire): void
    {
        [$across, $coreMm] = $wire->construction->across($this->on, $this->atMm);
        $cores = count($across);
        $spacing = ($across[$cores - 1] - $across[0]) / max(1, $cores - 1);
        $weave = BandWeave::parse($this->pattern, $cores, 'course');
        $sections = $weave->over($this->lengthMm, $coreMm, $wire->wireMm)->sections;
        $layout = new BandLayout($cores, $coreMm, $wire->wireMm, $spacing, $sections);
        $woven = new WovenWire($layout, $this->atMm);
        $on = new Vector(($across[0] + $across[$cores - 1]) / 2, 0.0);
        $spans = array_map(fn (Span $span): Span => $span->moved($on), array_merge(...$woven->sections()));
        $wire->goTo($spans[0]->from, $spans[0]->runs(0.0)->unit());
        $wire->laid(
            SegmentKind::Weave, "woven {$this->pattern}", $spans, 'the length of its curve',
            Figures::trim($layout->weavingWireMm()),
        );
    }

    public function handwork(Profile $profile, Put $put, Moment $moment): Handwork
    {
        return new Handwork(
            $moment, 'Weave', "Weave {$this->pattern} over the {$this->on}s, close under what is there.",
            Operation::Weave, 'fingers',
        );
    }
}
