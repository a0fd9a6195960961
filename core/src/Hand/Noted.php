<?php

declare(strict_types=1);

namespace Hebra\Core\Hand;

/**
 * Minutes a piece took, as noted, over those planned, learned so that few logs stay near the plan and one wild log
 * moves little: each log in its turn moves the estimate toward itself by its share, as if two makings had gone to plan
 * before, and never by more than a fifth [own rule, after running means with bounded influence].
 */
final readonly class Noted
{
    private const PRIOR = 2;

    /** Three fifths of the first log's way are open to it, so that its share of a third is a fifth at most. */
    private const MOST = 0.546964;

    /** Minutes of the same work spread by about so much, as a logarithm [memory]. */
    private const SPREAD = 0.3;

    private function __construct(public float $factor, private float $doubt, public int $logs)
    {
    }

    /** @param  list<float>  $ratios  noted over planned, the oldest first; each more than 0 */
    public static function from(array $ratios): self
    {
        $mean = 0.0;
        $squares = self::PRIOR * self::SPREAD ** 2;
        foreach ($ratios as $at => $ratio) {
            $off = max(-self::MOST, min(self::MOST, log($ratio) - $mean));
            $mean += $off / ($at + 1 + self::PRIOR);
            $squares += $off ** 2;
        }
        $count = count($ratios) + self::PRIOR;

        return new self(exp($mean), sqrt($squares / $count * (1 + 1 / $count)), count($ratios));
    }

    /** @return array{about: float, from: float, to: float} minutes, and between which they lie in four of five cases */
    public function foretell(float $planned): array
    {
        $about = $planned * $this->factor;

        return [
            'about' => $about,
            'from' => $about * exp(-Pace::WITHIN * $this->doubt),
            'to' => $about * exp(Pace::WITHIN * $this->doubt),
        ];
    }
}
