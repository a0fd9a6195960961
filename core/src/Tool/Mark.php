<?php

declare(strict_types=1);

namespace Hebra\Core\Tool;

use Hebra\Core\Fit\RingSize;
use Hebra\Core\Quantity\Figures;

/** One place on one tool: its diameter in millimetres, and how a maker says which. */
final readonly class Mark
{
    private const ORDINALS = [
        'first', 'second', 'third', 'fourth', 'fifth', 'sixth', 'seventh', 'eighth', 'ninth', 'tenth',
    ];

    public function __construct(public Tool $tool, public int $at, public float $mm)
    {
    }

    /** `mark 3`, `step 2`, `US 7 1/2`, `mandrel`: beside its size. */
    public function short(): string
    {
        return match ($this->tool->kind) {
            ToolKind::RoundNose => 'mark '.($this->at + 1),
            ToolKind::Stepped => 'step '.($this->at + 1),
            ToolKind::RingMandrel => RingSize::ofDiameter(min(25.0, max(11.6, $this->mm)))->usWords(),
            ToolKind::Mandrel, ToolKind::BangleMandrel, ToolKind::Winder => 'mandrel',
            ToolKind::Looping => 'looping pliers',
        };
    }

    /**
     * `the third mark (2.5 mm) of the fine round-nose pliers`, `the 5 mm step of …`, `US 7 1/2 on the ring mandrel`.
     */
    public function words(): string
    {
        $size = Figures::mm($this->mm);
        $name = lcfirst($this->tool->name);

        return match ($this->tool->kind) {
            ToolKind::RoundNose => 'the '.(self::ORDINALS[$this->at] ?? ($this->at + 1).'th')
                ." mark ({$size}) of the {$name}",
            ToolKind::Stepped => "the {$size} step of the {$name}",
            ToolKind::Mandrel => "the {$size} mandrel",
            ToolKind::RingMandrel => RingSize::ofDiameter(min(25.0, max(11.6, $this->mm)))->usWords()." on the {$name}",
            ToolKind::BangleMandrel => "{$size} on the {$name}",
            ToolKind::Winder => "the {$size} mandrel of the {$name}",
            ToolKind::Looping => "the {$name}, which turn {$size}",
        };
    }
}
