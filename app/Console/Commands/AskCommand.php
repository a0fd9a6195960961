<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Hebra\Core\Problem;
use Hebra\Core\Sum\Asked;
use Hebra\Core\Sum\Given;
use Illuminate\Console\Command;

/** The question line from the command line: a sentence in, the sum it asks for and its answer out. */
final class AskCommand extends Command
{
    use RefusesOnStandardError;
    use ShowsResults;

    protected $signature = 'hebra:ask {sentence* : such as "2 feet of 26 gauge copper weighs?"} {--json : print JSON}';

    protected $description = 'Answers a question in a maker\'s own words; says what it took for what was not said';

    public function handle(): int
    {
        try {
            $asked = Asked::read(implode(' ', array_map(strval(...), (array) $this->argument('sentence'))));
            $answer = $asked->sum->work(Given::read($asked->sum, $asked->inputs));
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        if ($this->option('json')) {
            return $this->printed(
                [
                    'sum' => $asked->sum->name, 'inputs' => (object) $asked->inputs, 'results' => $answer->results,
                    'missing' => $asked->missing,
                ],
            );
        }
        $this->line($asked->sum->question);
        foreach ($asked->inputs as $key => $text) {
            $this->line("  {$key} {$text}".(in_array($key, $asked->missing, true) ? ' (not said)' : ''));
        }
        $this->tabled($asked->sum->name, $answer->results);

        return self::SUCCESS;
    }
}
