<?php

declare(strict_types=1);

namespace App\View;

use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\Sum;
use Hebra\Core\Sum\Sums;
use Hebra\Core\Working;

/** The page of docs/ on sums, written from the registry: `php artisan hebra:docs`. */
final class SumsDocument
{
    public static function text(): string
    {
        $text = "# Sums and sources\n\nWritten from the registry by `php artisan hebra:docs`; a test keeps it fresh. "
            ."Lengths are in millimetres, masses in grams, forces in newtons.\n";
        $group = '';
        foreach (Sums::all() as $sum) {
            if ($sum->group !== $group) {
                $group = $sum->group;
                $text .= "\n## {$group}\n";
            }
            $text .= self::section($sum);
        }

        return $text;
    }

    private static function section(Sum $sum): string
    {
        $given = $sum->example();
        $answer = $sum->work(Given::read($sum, $given));
        $call = implode(
            ' ',
            array_map(
                fn (string $key, string $value): string => preg_match('/[^\w.,@-]/', $value) === 1
                    ? "{$key}='{$value}'"
                    : "{$key}={$value}",
                array_keys($given),
                $given,
            ),
        );
        $groups = implode(
            '',
            array_map(
                fn (array $group): string => ' Exactly one of '.implode(
                    ', ',
                    array_map(fn (string $key): string => "`{$key}`", $group),
                ).'.',
                $sum->oneOf,
            ),
        );

        return "\n### {$sum->name}\n\n{$sum->question}\n\n"
            .implode("\n", array_map(self::input(...), $sum->inputs))."\n"
                .($groups === '' ? '' : "\n".trim($groups)."\n")
            ."\n    php artisan hebra:sum {$sum->name} {$call}\n\n"
            .'Gives '.implode(
                ', ',
                array_map(fn (string $name): string => "`{$name}`", array_keys($answer->results)),
            ).".\n\n"
            .implode(
                "\n",
                array_map(fn (Working $line): string => '- '.$line->text(), $answer->working),
            )."\n\nSource: {$sum->source}.\n";
    }

    private static function input(Input $input): string
    {
        $default = match (true) {
            $input->default !== null => ', else '
                .(str_starts_with($input->default, '=') ? 'as '.substr($input->default, 1) : $input->default),
            $input->isOptional => ', optional',
            default => '',
        };
        $range = $input->range();

        return "- `{$input->key}`: {$input->words}{$default}".($range === '' ? '' : ". {$range}");
    }
}
