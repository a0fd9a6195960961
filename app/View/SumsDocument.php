<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Working;

/** The page of docs/ on sums, written from the registry: `php artisan hebra:docs`. */
final class SumsDocument
{
    public static function text(): string
    {
        $text = "# Sums and sources\n\nWritten from the registry by `php artisan hebra:docs`; a test keeps it fresh. Lengths are in millimetres, masses in grams.\n";
        foreach (Sums::all() as $name => $sum) {
            $examples = [];
            foreach ($sum->inputs() as $input) {
                $examples[$input->key] = $input->default === null ? $input->example : '';
            }
            $given = array_filter($examples, fn (string $example): bool => $example !== '');
            $answer = $sum->work(Given::read($sum, $given));
            $inputs = implode(', ', array_map(fn (Input $input): string => "`{$input->key}` ({$input->words}".($input->default === null ? '' : ', else '.ltrim($input->default, '=')).')', $sum->inputs()));
            $call = implode(' ', array_map(fn (string $key, string $value): string => str_contains($value, ' ') ? "{$key}='{$value}'" : "{$key}={$value}", array_keys($given), $given));
            $text .= "\n## {$name}\n\n{$sum->question()}\n\nGiven: {$inputs}.\n\n    php artisan hebra:sum {$name} {$call}\n\n"
                .implode("\n", array_map(fn (Working $line): string => '- '.$line->text(), $answer->working))."\n\nSource: {$sum->source()}.\n";
        }

        return $text;
    }
}
