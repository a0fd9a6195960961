<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Hebra\Core\Plan\Plan;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** The whole plan of one exported piece. */
final class PlanCommand extends Command
{
    use OrdersSteps;
    use ReadsPiece;

    protected $signature = 'hebra:plan {file : a piece that Hebra exported} {--json : print JSON}
        {--curve : with every wire’s middle line as points}
        {--operations : steps by operation over all alike parts, as is usual from thirteen parts on}
        {--parts : steps part by part}';

    protected $description = 'Plans one exported piece: cuts, bends, counts, steps, checks, size, metal';

    public function handle(): int
    {
        try {
            $plan = $this->inOrder($this->plan());
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        if ($this->option('json')) {
            $this->output->writeln(
                (string) json_encode(
                    $plan->toArray((bool) $this->option('curve')),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->printed($plan);
        }

        return self::SUCCESS;
    }

    private function printed(Plan $plan): void
    {
        $profile = $plan->profile;
        $this->line(
            $plan->piece->name.', '.$plan->piece->makes->words().': hangs '.$profile->length($plan->hangsMm()).', each '
                .Figures::grams($plan->gramsEach),
        );
        $rows = [];
        foreach ($plan->strips() as $cut) {
            $rows[] = [
                $cut->label, $cut->count, $profile->length($profile->ruler->upMm($cut->lengthMm())),
                $cut->wire->words(),
                implode(' · ', array_map(fn ($bend): string => Figures::trim($bend->atMm, 1), $cut->bends)),
            ];
        }
        $this->table(['Cut', 'Count', 'Length', 'Wire', 'Bends at, mm'], $rows);
        $this->table(
            ['Bead', 'Each', 'All', 'Spares'],
            array_map(
                fn ($count): array => [$count->bead->words(), $count->each, $count->all, $count->spares],
                $plan->beads,
            ),
        );
        $this->table(
            ['Metal', 'Gross', 'Net', 'Scrap'],
            array_map(fn ($metal): array => [$metal->wire->words(), ...array_values($metal->shown())], $plan->metal),
        );
        foreach ($plan->checks as $check) {
            $this->line(str_pad($check->level->value, 5).' '.$check->text);
        }
        foreach ([...$plan->prepare(), ...$plan->steps()] as $number => $step) {
            $this->line(sprintf('%3d. %s. %s', $number + 1, $step->title, $step->text));
        }
    }
}
