<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\InputKind;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;

/** What stands beside an answer: the same with one thing otherwise, and the questions next to it, drawn. */
final readonly class SumNeighbours
{
    /** So many results are set beside each other. */
    private const RESULTS = 3;

    private const QUESTIONS = 5;

    /** Gauges are told apart by every second. */
    private const GAUGES = 2;

    public function __construct(private SumDesk $desk)
    {
    }

    /** The input that is tried otherwise: what is counted, more than one of it, else the wire. */
    public function varied(): ?Input
    {
        $counted = array_filter($this->desk->sum->inputs, fn (Input $input): bool => $input->kind === InputKind::Count);
        usort($counted, fn (Input $one, Input $other): int => $this->isGiven($other) <=> $this->isGiven($one));
        foreach ($counted as $input) {
            if ((int) $this->now($input) > 1 && count($this->values($input)) > 1) {
                return $input;
            }
        }
        foreach ($this->desk->sum->inputs as $input) {
            if ($input->kind === InputKind::Wire && count($this->values($input)) > 1) {
                return $input;
            }
        }

        return null;
    }

    private function isGiven(Input $input): bool
    {
        return trim($this->desk->text($input)) !== '';
    }

    /** @return list<array{value: string, address: string, isHere: bool, results: list<string>}> */
    public function rows(Input $varied): array
    {
        $rows = [];
        foreach ($this->values($varied) as $value) {
            $desk = $this->desk->with($varied->key, $value);
            if ($desk->problem === null) {
                $rows[] = [
                    'value' => $value, 'address' => $desk->address(), 'isHere' => $value === $this->now($varied),
                    'results' => array_slice(array_column($desk->results(), 'text'), 0, self::RESULTS),
                ];
            }
        }

        return count($rows) > 1 ? $rows : [];
    }

    /** @return list<string> the names of those results */
    public function heads(): array
    {
        return array_slice(array_column($this->desk->results(), 'name'), 0, self::RESULTS);
    }

    /** What is said, or what it stands for while nothing is. */
    private function now(Input $input): string
    {
        $said = trim($this->desk->text($input));
        $isOpen = $this->desk->sum->isAlternative($input->key) || str_starts_with((string) $input->default, '=');

        return $said !== '' || $isOpen ? $said : (string) $input->default;
    }

    /** @return list<string> one less, as it is, one more */
    private function values(Input $input): array
    {
        $now = $this->now($input);
        if ($input->kind === InputKind::Count && preg_match('/^\d{1,4}$/', $now) === 1) {
            $counts = array_filter(
                [(int) $now - 1, (int) $now, (int) $now + 1],
                fn (int $count): bool => $count >= max(1, $input->least) && $count <= $input->most,
            );

            return array_map(fn (int $count): string => (string) $count, array_values($counts));
        }
        if ($input->kind !== InputKind::Wire || preg_match('/^(\d{1,2})( ?)(awg|ga|gauge|swg)$/i', $now, $read) !== 1) {
            return [];
        }
        $gauges = [(int) $read[1] - self::GAUGES, (int) $read[1], (int) $read[1] + self::GAUGES];

        return array_map(
            fn (int $gauge): string => $gauge.$read[2].$read[3],
            array_values(array_filter($gauges, fn (int $gauge): bool => $gauge > 0)),
        );
    }

    /** @return list<DrawnSum> questions about the same */
    public function questions(): array
    {
        $beside = array_filter(
            Sums::groups()[$this->desk->sum->group], fn (Sum $sum): bool => $sum->name !== $this->desk->sum->name,
        );

        return array_map(
            fn (Sum $sum): DrawnSum => new DrawnSum($sum), array_slice(array_values($beside), 0, self::QUESTIONS),
        );
    }
}
