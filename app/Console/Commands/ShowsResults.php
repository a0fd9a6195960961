<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Symfony\Component\Console\Output\OutputInterface;

/** The results of a sum, as a table or as JSON. */
trait ShowsResults
{
    /** @param  array<string, mixed>  $answer */
    private function printed(array $answer): int
    {
        $this->output->writeln(
            json_encode(
                $answer,
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRESERVE_ZERO_FRACTION,
            ),
            OutputInterface::OUTPUT_RAW,
        );

        return self::SUCCESS;
    }

    /** @param  array<string, float|int|bool|string|list<float>|null>  $results */
    private function tabled(string $sum, array $results): void
    {
        $rows = [];
        foreach ($results as $name => $value) {
            $rows[] = [$name, self::shown($value)];
        }
        $this->table([$sum, ''], $rows);
    }

    /** @param  float|int|bool|string|list<float>|null  $value */
    private static function shown(float|int|bool|string|array|null $value): string
    {
        return match (true) {
            is_bool($value) => $value ? 'yes' : 'no',
            is_array($value) => implode(', ', array_map(self::shown(...), $value)),
            is_float($value) => (string) round($value, 4),
            default => (string) ($value ?? '–'),
        };
    }
}
