<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;

/** A question with its example drawn: how questions stand beside each other. */
final readonly class DrawnSum
{
    public DiagramView $figure;

    public function __construct(public Sum $sum)
    {
        $given = Given::read($sum, $sum->example());
        $this->figure = new DiagramView($sum->figure($given, $sum->work($given)));
    }

    /** @return array<string, non-empty-list<self>> all of them by what they are about */
    public static function groups(): array
    {
        $drawn = fn (Sum $sum): self => new self($sum);

        return array_map(fn (array $sums): array => array_map($drawn, $sums), Sums::groups());
    }
}
