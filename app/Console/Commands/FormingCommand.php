<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\View\StepPicture;
use Hebra\Core\Plan\FormingStates;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Count;
use Illuminate\Console\Command;
use Symfony\Component\Console\Output\OutputInterface;

/** The picture of one step of an exported piece. */
final class FormingCommand extends Command
{
    use ChoosesSide;
    use OrdersSteps;
    use ReadsPiece;

    protected $signature = 'hebra:forming {file : a piece that Hebra exported}
        {--step=1 : which of its steps, as hebra:plan counts them, from 1}
        {--view=front : front, side, back or top}
        {--operations : steps by operation, as hebra:plan counts them}
        {--parts : steps part by part}';

    protected $description = 'Draws a step of one exported piece as SVG: the wire before it and after it';

    public function handle(): int
    {
        try {
            [$plan, $view] = [$this->inOrder($this->plan()), $this->side()];
            $states = new FormingStates($plan);
            $step = Count::parse((string) $this->option('step'), 'step', 1, max(1, $states->count()));
        } catch (Problem $problem) {
            return $this->refused($problem->getMessage());
        }
        $this->output->write(StepPicture::of($plan, $step - 1, $view, $states), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
