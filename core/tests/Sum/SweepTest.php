<?php

declare(strict_types=1);

namespace Hebra\Core\Tests\Sum;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\InputKind;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Tests\Kept;
use Hebra\Core\Working;
use PHPUnit\Framework\Attributes\Group;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/**
 * Every sum over inputs far from its example, at the ends of their ranges and beyond: its answer, or the sentence that
 * refuses.
 */
final class SweepTest extends TestCase
{
    private const EACH = 40;

    #[Group('wide')]
    public function test_every_sum_answers_as_it_was_last_looked_at(): void
    {
        $now = [];
        foreach (Sums::all() as $name => $sum) {
            $random = new Randomizer(new Mt19937(crc32($name)));
            for ($one = 0; $one < self::EACH; $one++) {
                $now["{$name} {$one}"] = self::answered($sum, self::changed($sum, $random));
            }
        }
        Kept::assertSame(__DIR__.'/fixtures/sweep.json', $now);
    }

    /**
     * @param  array<string, string>  $inputs
     * @return array<string, mixed>
     */
    private static function answered(Sum $sum, array $inputs): array
    {
        try {
            $given = Given::read($sum, $inputs);
            $answer = $sum->work($given);
            $figure = $sum->figure($given, $answer);

            return [
                'inputs' => $inputs,
                'results' => Kept::figures($answer->results),
                'notes' => $answer->notes,
                'shown' => crc32(
                    implode("\n", array_map(fn (Working $line): string => $line->text(), $answer->working)).json_encode(
                        Kept::figures([$figure->circles(), $figure->lines()]),
                    ),
                ),
            ];
        } catch (Problem $problem) {
            return ['inputs' => $inputs, 'refused' => $problem->getMessage()];
        }
    }

    /** @return array<string, string> its example with some inputs moved, and some that were left out given */
    private static function changed(Sum $sum, Randomizer $random): array
    {
        $inputs = $sum->example();
        foreach ($sum->inputs as $input) {
            $isThere = isset($inputs[$input->key]);
            if ($random->getInt(0, $isThere ? 1 : 3) === 0 && ($isThere || ! $sum->isAlternative($input->key))) {
                $inputs[$input->key] = self::moved($input, $random);
            }
        }

        return $inputs;
    }

    private static function moved(Input $input, Randomizer $random): string
    {
        if ($input->choices !== []) {
            return $input->choices[$random->getInt(0, count($input->choices) - 1)];
        }
        $times = [0.5, 0.8, 1.25, 1.6, 2.0, 3.0][$random->getInt(0, 5)];
        $edge = [$input->least, $input->most, $input->least - 1, $input->most + 1][$random->getInt(0, 3)];

        return match ($input->kind) {
            InputKind::Wire => $random->getInt(12, 30).' awg',
            InputKind::Ring => 'us '.$random->getInt(2, 14),
            InputKind::Section => ['round', 'half-round', 'square', 'twisted-pair', '3x0.5'][$random->getInt(0, 4)],
            InputKind::Wires => $random->getInt(1, 5).'x'.$random->getInt(20, 28).'awg,1x18awg',
            InputKind::Pattern => $input->example,
            InputKind::EndCoil => $random->getInt(0, 1) === 0
                ? (string) $random->getInt(0, 9)
                : $random->getInt(1, 20).' mm',
            InputKind::Count => (string) ($random->getInt(0, 4) === 0 ? (int) $edge : max(
                (int) $input->least, min((int) $input->most, (int) round((float) $input->example * $times)),
            )),
            InputKind::Number => $random->getInt(0, 4) === 0
                ? Figures::trim($edge, 6)
                : Figures::trim((float) $input->example * $times, 4),
            default => preg_replace_callback(
                '/\d+(\.\d+)?/',
                fn (array $match): string => Figures::trim((float) $match[0] * $times, 3),
                $input->example,
                1,
            ) ?? $input->example,
        };
    }
}
