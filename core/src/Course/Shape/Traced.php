<?php

declare(strict_types=1);

namespace Hebra\Core\Course\Shape;

use Closure;
use Hebra\Core\Course\Curve;
use Hebra\Core\Course\Frame;
use Hebra\Core\Course\Shape;
use Hebra\Core\Course\Span;
use Hebra\Core\Course\Vector;

/**
 * A curve told by its places from 0 to 1, cut into alike pieces: what winds closer or wider on its way. Millimetres.
 */
final class Traced implements Shape
{
    private const NEAR = 1e-5;

    /** @var non-empty-list<Span>|null asked for by its length and by how it lies */
    private ?array $spans = null;

    /**
     * @param  Closure(float): Vector  $place
     * @param  float  $turnMost  how far it may turn in a piece, radians
     * @param  Frame|null  $ends  how the wire stands at its end, where it does not bend to its left there
     */
    public function __construct(
        private readonly Closure $place, private readonly float $turns, private readonly float $turnMost = M_PI / 2,
        private readonly ?Frame $ends = null,
    ) {
    }

    public function lengthMm(): float
    {
        return (new Curve($this->spans()))->lengthMm();
    }

    public function laid(Frame $from): array
    {
        if ($this->ends !== null) {
            return [$this->spans(), $this->ends];
        }
        $runs = $this->runs(1.0)->unit();
        $beside = $runs->cross(new Vector(0.0, 0.0, 1.0))->unit();

        return [$this->spans(), new Frame(($this->place)(1.0), $runs, $beside)];
    }

    public function start(): Frame
    {
        $runs = $this->runs(0.0)->unit();

        return new Frame(($this->place)(0.0), $runs, $runs->cross(new Vector(0.0, 0.0, 1.0))->unit());
    }

    /** How fast it goes there. */
    private function runs(float $share): Vector
    {
        [$before, $after] = [max(0.0, $share - self::NEAR), min(1.0, $share + self::NEAR)];

        return ($this->place)($after)->minus(($this->place)($before))->times(1 / ($after - $before));
    }

    /** @return non-empty-list<Span> */
    private function spans(): array
    {
        return $this->spans ??= $this->traced();
    }

    /** @return non-empty-list<Span> */
    private function traced(): array
    {
        $pieces = max(1, (int) ceil(2 * M_PI * $this->turns / $this->turnMost - 1e-9));
        $angle = 2 * M_PI * $this->turns / $pieces;
        // As an arc of that angle is pulled, in shares of the whole.
        $pull = 4 / 3 * tan($angle / 4) / $angle / $pieces;
        $spans = [];
        for ($piece = 0; $piece < $pieces; $piece++) {
            [$one, $other] = [$piece / $pieces, ($piece + 1) / $pieces];
            [$from, $to] = [($this->place)($one), ($this->place)($other)];
            $spans[] = new Span(
                $from, $from->plus($this->runs($one)->times($pull)), $to->minus($this->runs($other)->times($pull)), $to,
            );
        }

        return $spans;
    }
}
