<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Closure;
use Hebra\Core\Figure\Glimpse;
use Hebra\Core\Figure\PieceFigure;

/** What is seen while a piece is formed, drawn as far as it is looked at. */
final class Look
{
    /** @var array<string, PieceFigure> */
    private array $known = [];

    /** @param  Closure(Glimpse): PieceFigure  $drawn */
    public function __construct(private readonly Closure $drawn)
    {
    }

    public function whole(): PieceFigure
    {
        return $this->taking(Glimpse::all());
    }

    public function taking(Glimpse $glimpse): PieceFigure
    {
        return $this->known[$glimpse->key] ??= ($this->drawn)($glimpse);
    }
}
