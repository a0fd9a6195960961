<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\SvgFile;
use Hebra\Core\Problem;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** One exported piece as it is drawn. */
final class DrawingCommand extends Command
{
    use ChoosesSide;
    use ReadsPiece;

    protected $signature = 'hebra:drawing {file : a piece that Hebra exported}
        {--view=front : front, side, back or top}';

    protected $description = 'Draws one exported piece as SVG, at true size';

    public function handle(): int
    {
        try {
            [$plan, $view] = [$this->plan(), $this->side()];
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        $this->output->write(
            SvgFile::figure($plan->seen($view), $plan->piece->name, "{$plan->piece->name}, from the {$view->value}"),
            false, OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }
}
