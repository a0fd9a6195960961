<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Hand;

use Hebra\Core\Hand\Symptom;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** From what was measured to what the hands did [common practice]. */
final class SymptomTest extends TestCase
{
    /** @return array<string, array{'loops'|'pairs'|'wraps'|'bend'|'coil'|'spiral'|'weave', list<float>, Symptom|null}> */
    public static function practices(): array
    {
        return [
            'on the mark' => ['loops', [0.02, -0.03, 0.04, 0.0, -0.02], null],
            'large' => ['loops', [0.2, 0.24, 0.19, 0.22, 0.21], Symptom::Large],
            'small' => ['loops', [-0.2, -0.24, -0.19, -0.22, -0.21], Symptom::Small],
            'wider' => ['loops', [-0.2, -0.1, 0.0, 0.1, 0.2, 0.3], Symptom::Wider],
            'tighter' => ['loops', [0.3, 0.2, 0.1, 0.0, -0.1, -0.2], Symptom::Tighter],
            'uneven' => ['loops', [0.3, -0.3, 0.25, -0.3, 0.28, -0.24], Symptom::Uneven],
            'too few' => ['loops', [0.5, 0.5], null],
            'pairs apart' => ['pairs', [0.3, -0.2, 0.25, -0.3], Symptom::Unalike],
            'pairs alike, large' => ['pairs', [0.3, 0.28, 0.25, 0.27], Symptom::Large],
            'wraps touch' => ['wraps', [0.05], null],
            'wraps gape' => ['wraps', [0.6, 0.4], Symptom::Gaping],
            'a bend that stays' => ['bend', [-0.4, 0.1], null],
            'a bend that opens' => ['bend', [0.4], Symptom::Opened],
            'a coil that gapes' => ['coil', [0.7], Symptom::Gaping],
            'spirals alike' => ['spiral', [0.05, 0.02], null],
            'spirals apart' => ['spiral', [0.5, -0.1], Symptom::Unalike],
            'spirals that gape' => ['spiral', [0.4, 0.42], Symptom::Gaping],
            'a weave that is packed' => ['weave', [-0.1], null],
            'nothing measured' => ['wraps', [], null],
        ];
    }

    /**
     * @param  'loops'|'pairs'|'wraps'|'bend'|'coil'|'spiral'|'weave'  $kind
     * @param  list<float>  $offs
     */
    #[DataProvider('practices')]
    public function test_a_practice_is_explained(string $kind, array $offs, ?Symptom $symptom): void
    {
        self::assertSame($symptom, Symptom::of($kind, $offs));
    }

    public function test_each_says_what_is_seen_and_what_to_do(): void
    {
        $said = array_map(fn (Symptom $one): string => $one->cause(), Symptom::cases());
        self::assertSame(count($said), count(array_unique($said)));
        foreach ($said as $sentence) {
            self::assertGreaterThanOrEqual(1, substr_count($sentence, ': '), $sentence);
        }
    }
}
