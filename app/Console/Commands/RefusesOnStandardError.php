<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** A refusal is one line on standard error, nothing on standard output, and exit code 1. */
trait RefusesOnStandardError
{
    protected function refused(string $sentence): int
    {
        $output = $this->output->getOutput();
        $error = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;
        $error->writeln(trim((string) preg_replace('/\s+/u', ' ', $sentence)), OutputInterface::OUTPUT_RAW);

        return self::FAILURE;
    }
}
