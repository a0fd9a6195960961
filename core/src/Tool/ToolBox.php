<?php

declare(strict_types=1);

namespace Hebra\Core\Tool;

/** The maker's tools, and which of them comes nearest to a diameter. */
final readonly class ToolBox
{
    /** @param  list<Tool>  $tools */
    public function __construct(public array $tools = [])
    {
    }

    /** The mark nearest to a diameter among tools of these kinds; of two as near, the thinner. Null without any. */
    public function nearest(float $mm, ToolKind ...$kinds): ?Mark
    {
        $best = null;
        foreach ($this->tools as $tool) {
            if (! in_array($tool->kind, $kinds, true)) {
                continue;
            }
            foreach ($tool->marksMm as $at => $markMm) {
                if ($best === null || abs($markMm - $mm) < abs($best->mm - $mm) - 1e-9) {
                    $best = new Mark($tool, $at, $markMm);
                }
            }
        }

        return $best;
    }
}
