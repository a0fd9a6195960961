<?php

declare(strict_types=1);

namespace App\View;

use App\Models\User;
use Hebra\Core\Plan\Profile;
use Hebra\Core\Problem;
use Hebra\Core\Quantity\Figures;
use Hebra\Core\Quantity\Ruler;
use Hebra\Core\Quantity\WhichSystem;
use Hebra\Core\Sum\Answer;
use Hebra\Core\Sum\Given;
use Hebra\Core\Sum\Input;
use Hebra\Core\Sum\InputKind;
use Hebra\Core\Sum\Sum;

/** The sums page: what was asked, the answer or the refusal, what was asked before. */
final readonly class SumDesk
{
    public ?Answer $answer;

    public ?Problem $problem;

    public ?DiagramView $figure;

    /**
     * @param  array<string, string>  $texts  what stands in the fields, by input; an empty one is not given
     * @param  list<string>  $missing  inputs that the question did not say
     */
    public function __construct(
        public Sum $sum, public array $texts, public Profile $profile, private ?User $maker = null,
        public array $missing = [],
    ) {
        $answer = $figure = $problem = null;
        try {
            $given = Given::read($sum, $this->filled(), $profile->unit(), $profile->strengths, $profile->tools);
            $answer = $sum->work($given);
            $figure = new DiagramView($sum->figure($given, $answer));
        } catch (Problem $caught) {
            $problem = $caught;
        }
        [$this->answer, $this->figure, $this->problem] = [$answer, $figure, $problem];
    }

    /** The same with one thing otherwise. */
    public function with(string $key, string $value): self
    {
        return new self($this->sum, [...$this->texts, $key => $value], $this->profile);
    }

    public function neighbours(): SumNeighbours
    {
        return new SumNeighbours($this);
    }

    /** Whether an input is said, or stands for itself; the others answer for one that is. */
    public function isSaid(Input $input): bool
    {
        return isset($this->filled()[$input->key])
            || (! $input->isOptional && ! $this->sum->isAlternative($input->key));
    }

    /** @return array<string, string> */
    public function filled(): array
    {
        // In the order the sum asks for them, however they were typed.
        $filled = [];
        foreach ($this->sum->inputs as $input) {
            if (trim($this->texts[$input->key] ?? '') !== '') {
                $filled[$input->key] = $this->texts[$input->key];
            }
        }

        return $filled;
    }

    /** What was not said, and what is taken until it is. */
    public function unsaid(): string
    {
        $said = [];
        foreach ($this->sum->inputs as $input) {
            if (in_array($input->key, $this->missing, true)) {
                $said[] = lcfirst($input->words).' '.str_replace('-', ' ', $this->text($input));
            }
        }

        return implode(', ', $said);
    }

    /** The one thing to ask for next. */
    public function isAskedFor(Input $input): bool
    {
        return ($this->missing[0] ?? null) === $input->key;
    }

    public function text(Input $input): string
    {
        return mb_substr($this->texts[$input->key] ?? '', 0, 200);
    }

    /** What an empty field stands for. */
    public function placeholder(Input $input): string
    {
        return match (true) {
            $input->default === null => $this->sum->isAlternative($input->key) || $input->isOptional
                ? ''
                : $input->example,
            str_starts_with($input->default, '=') => 'as '.str_replace('_', ' ', substr($input->default, 1)),
            default => $this->withUnit($input),
        };
    }

    private function withUnit(Input $input): string
    {
        return $input->kind->isLength() && is_numeric($input->default)
            ? $input->default.' mm'
            : (string) $input->default;
    }

    /**
     * @return list<array{name: string, text: string, more: string}> results as they are read, the first the one asked
     *     for
     */
    public function results(): array
    {
        $rows = [];
        foreach ($this->inOrder($this->answer->results ?? []) as $name => $value) {
            $rows[] = ['name' => str_replace(
                '_', ' ', preg_replace('/_(mm|g|n|mpa)$/', '', $name) ?? $name,
            ), 'text' => $this->shown($name, $value),
                'more' => is_float($value) && str_ends_with($name, '_mm') ? $this->onTheRuler($name, $value) : ''];
        }

        return $rows;
    }

    /**
     * From a wire in hand the question is how many or how big: that stands first.
     *
     * @param  array<string, float|int|bool|string|list<float>|null>  $results
     * @return array<string, float|int|bool|string|list<float>|null>
     */
    private function inOrder(array $results): array
    {
        if (! isset($this->filled()['have'])) {
            return $results;
        }
        $asked = array_merge(
            ...array_values(array_filter($this->sum->oneOf, fn (array $group): bool => in_array('have', $group, true))),
        );
        $first = array_filter(
            $results,
            fn (string $name): bool => in_array(preg_replace('/_mm$/', '', $name), $asked, true),
            ARRAY_FILTER_USE_KEY,
        );

        return $first + $results;
    }

    /** The same in inches, or on the maker's ruler; what no ruler shows, in decimals. */
    private function onTheRuler(string $name, float $millimetres): string
    {
        $ruler = $this->profile->ruler->isMetric() ? Ruler::SixteenthInch : $this->profile->ruler;

        return match (true) {
            // What something is bent on, or comes out as, is told finer than a sixteenth.
            preg_match('/(mandrel|inside|diameter|outside|width|height|needed|margin|hole)/', $name) === 1,
            abs($millimetres) < 10 => Figures::trim($millimetres / 25.4, 3).' in',
            preg_match(
                '/(cut|wire_length|core_length|first_coil_length|total)_mm$/',
                $name,
            ) === 1 => $ruler->upText($millimetres),
            default => $ruler->text($millimetres),
        };
    }

    /** @param  float|int|bool|string|list<float>|null  $value */
    private function shown(string $name, float|int|bool|string|array|null $value): string
    {
        $unit = preg_match('/_(mm|g|n|mpa)$/', $name, $match) === 1
            ? ['mm' => ' mm', 'g' => ' g', 'n' => ' N', 'mpa' => ' MPa'][$match[1]]
            : '';

        return match (true) {
            $value === null => 'none',
            is_bool($value) => $value ? '✓ yes' : '✕ no',
            is_string($value) => str_replace('-', ' ', $value),
            is_array($value) => implode(
                ' · ',
                array_map(fn (float $one): string => number_format($one, 2), $value),
            ).$unit,
            $unit === ' mm' => number_format($value, 2, '.', '').$unit,
            is_float($value) => Figures::trim($value, 3).$unit,
            default => $value.$unit,
        };
    }

    /**
     * @return list<array{words: string, texts: array<string, string>}> where a bare number could be any system: the
     *     ways on
     */
    public function systems(): array
    {
        if (! $this->problem instanceof WhichSystem) {
            return [];
        }
        [$field, $number] = [$this->problem->field(), $this->problem->number];

        return array_map(
            fn (string $unit): array => [
                'words' => "{$number} {$unit}",
                'texts' => [$field => "{$number} {$unit}"] + $this->texts,
            ],
            ['AWG', 'SWG', 'mm'],
        );
    }

    /** @param  array<string, string>|null  $texts */
    public function address(?array $texts = null, string $after = ''): string
    {
        $texts = $texts === null
            ? $this->filled()
            : array_filter($texts, fn (string $text): bool => trim($text) !== '');

        return "/sums/{$this->sum->name}{$after}".($texts === [] ? '' : '?'.http_build_query($texts));
    }

    /** One line that says the sum and its answer, for a note. */
    public function line(): string
    {
        $given = implode(
            ', ',
            array_map(
                fn (string $key, string $text): string => str_replace('_', ' ', $key).' '.$text,
                array_keys($this->filled()),
                $this->filled(),
            ),
        );
        $results = implode(', ', array_map(fn (array $row): string => $row['name'].' '.$row['text'], $this->results()));

        return ucfirst($this->sum->words()).($given === '' ? '' : ", {$given}").": {$results}.";
    }

    /** @return list<array{words: string, address: string}> */
    public function recent(): array
    {
        return $this->maker?->recentSums() ?? [];
    }

    public function isSelect(Input $input): bool
    {
        return in_array($input->kind, [InputKind::Metal, InputKind::Temper, InputKind::Choice], true);
    }
}
