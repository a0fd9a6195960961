<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Hebra\Core\Problem;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Sum\UnknownSum;
use Hebra\Core\Working;
use Illuminate\Console\Command;

/** One sum of the trade from the command line: human text in, a table or JSON out. */
final class SumCommand extends Command
{
    use RefusesOnStandardError;
    use ShowsResults;

    protected $signature = 'hebra:sum {name : such as wrapped-loop} {input?* : key=value, such as wire=22awg}
        {--json : print JSON}';

    protected $description = 'Works out one sum of the trade, with its working and source';

    public function handle(): int
    {
        try {
            $sum = Sums::named((string) $this->argument('name'));
            $given = Given::read($sum, $this->pairs());
            $answer = $sum->work($given);
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        if ($this->option('json')) {
            $working = array_map(fn (Working $line): string => $line->text(), $answer->working);

            return $this->printed(
                [
                    'sum' => $sum->name, 'inputs' => $given->texts, 'results' => $answer->results,
                    'working' => $working, 'source' => $sum->source,
                ],
            );
        }
        $this->tabled($sum->name, $answer->results);
        foreach ($answer->working as $line) {
            $this->line('  '.$line->text());
        }
        $this->line('  Source: '.$sum->source);

        return self::SUCCESS;
    }

    /** @return array<string, string> */
    private function pairs(): array
    {
        $pairs = [];
        foreach ((array) $this->argument('input') as $argument) {
            $argument = (string) $argument;
            $at = strpos($argument, '=');
            if ($at === false || $at === 0) {
                throw UnknownSum::notAPair($argument);
            }
            $key = substr($argument, 0, $at);
            ! isset($pairs[$key]) || throw UnknownSum::twice($key);
            $pairs[$key] = substr($argument, $at + 1);
        }

        return $pairs;
    }
}
