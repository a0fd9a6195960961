<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Support\Deadline;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Length;
use Hebra\Core\Quantity\OutOfRange;
use Hebra\Core\Quantity\Unreadable;
use Hebra\Core\Stock\CutCsv;
use Hebra\Core\Stock\CuttingPlan;
use Hebra\Core\Stock\CuttingPlanner;
use Hebra\Core\Stock\CuttingTerms;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** Which cut comes from which piece of stock. */
final class CutCommand extends Command
{
    use RefusesOnStandardError;

    protected $signature = 'hebra:cut {cuts : label,length,count}
        {stock : label,length,count; 0 for as many as needed, to be bought}
        {--keep=60mm : shortest length kept} {--coil=1000mm : so much of a length counts as offcut}
        {--offcut-worth=0.6} {--scrap-worth=0}
        {--lot=18mm : what keeping a length costs} {--handling=2mm : what touching a piece costs}
        {--buy=20mm : what a piece still to be bought costs} {--trim=1mm : lost at each cut}
        {--seconds=5 : time to search} {--json : print JSON}';

    protected $description = 'Plans which cut comes from which piece of stock, so that the least value is lost';

    public function handle(): int
    {
        try {
            $plan = CuttingPlanner::plan(
                CutCsv::cuts($this->read('cuts')),
                CutCsv::stock($this->read('stock')),
                $this->terms(),
                new Deadline($this->number('seconds', 0.01, 600)),
            );
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        if ($this->option('json')) {
            $this->output->writeln(
                (string) json_encode(
                    $plan->toArray(),
                    JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
                ),
                OutputInterface::OUTPUT_RAW,
            );
        } else {
            $this->printed($plan);
        }

        return self::SUCCESS;
    }

    private function read(string $argument): string
    {
        $file = self::said($this->argument($argument));
        is_file($file) && is_readable($file)
            || throw Unreadable::line($argument, $file, 'the path of a list of '.$argument.' that can be read');

        return (string) file_get_contents($file, length: CutCsv::MOST_BYTES + 1);
    }

    private function terms(): CuttingTerms
    {
        return new CuttingTerms(
            $this->length('keep'),
            $this->length('coil'),
            $this->number('offcut-worth', 0, 1),
            $this->number('scrap-worth', 0, 1),
            $this->length('lot'),
            $this->length('handling'),
            $this->length('buy'),
            $this->length('trim'),
        );
    }

    /** @param  array<mixed>|bool|float|int|string|null  $given  an option or argument, of which there is one each */
    private static function said(array|bool|float|int|string|null $given): string
    {
        return is_string($given) ? $given : '';
    }

    private function length(string $option): float
    {
        return Length::parse(self::said($this->option($option)), $option)->within($option, 0, 100_000)->millimetres();
    }

    private function number(string $option, float $least, float $most): float
    {
        $text = trim(self::said($this->option($option)));
        is_numeric($text) || throw Unreadable::number($option, $text);
        $number = (float) $text;

        return $number >= $least && $number <= $most
            ? $number
            : throw OutOfRange::between($option, $text, Figures::trim($least), Figures::trim($most));
    }

    private function printed(CuttingPlan $plan): void
    {
        $rows = [];
        foreach ($plan->pieces as $piece) {
            $rows[] = [
                $piece->row->label,
                Figures::mm($piece->row->lengthMm),
                implode(
                    ', ',
                    array_map(
                        fn (string|int $label, int $count): string => "{$count} × {$label}",
                        array_keys($piece->cuts),
                        $piece->cuts,
                    ),
                ),
                Figures::mm($piece->remainderMm),
            ];
        }
        $this->table(['Stock', 'Length', 'Cuts', 'Left'], $rows);
        $proof = $plan->isOptimal
            ? 'proven the least'
            : 'at most '.Figures::trim(100 * $plan->gap(), 2).' % above the least';
        $this->line(
            'Value lost '.Figures::mm($plan->valueLostMm).", {$proof}; scrap ".Figures::mm($plan->scrapMm()).'.',
        );
    }
}
