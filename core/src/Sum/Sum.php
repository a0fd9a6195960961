<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Figure\Diagram;

/**
 * One rule of the trade on its own: what it asks, what it takes, how it is worked. Page, command and documentation are
 * views of it.
 */
final readonly class Sum
{
    /**
     * @param  non-empty-list<Input>  $inputs
     * @param  \Closure(Given): Answer  $rule
     * @param  \Closure(Given, Answer): Diagram  $figure  of what is given and what comes of it
     * @param  list<non-empty-list<string>>  $oneOf  groups of inputs of which exactly one is given
     * @param  list<string>  $called  words by which a typed line may begin, besides its name
     * @param  (\Closure(Given): array<string, array<string, string>>)|null  $settings technique => setting => value,
     *     for "use this in"
     */
    public function __construct(
        public string $name,
        public string $group,
        public string $question,
        public array $inputs,
        public string $source,
        private \Closure $rule,
        private \Closure $figure,
        public array $oneOf = [],
        public array $called = [],
        private ?\Closure $settings = null,
    ) {
    }

    public function work(Given $given): Answer
    {
        return ($this->rule)($given);
    }

    /** What is given and what comes of it, as a small drawing in millimetres. */
    public function figure(Given $given, Answer $answer): Diagram
    {
        return ($this->figure)($given, $answer);
    }

    /** @return array<string, array<string, string>> technique => setting => value that this sum speaks of */
    public function settings(Given $given): array
    {
        return $this->settings === null ? [] : ($this->settings)($given);
    }

    public function words(): string
    {
        return str_replace('-', ' ', $this->name);
    }

    /** Whether an input is one of several of which another may be given. */
    public function input(string $key): ?Input
    {
        foreach ($this->inputs as $input) {
            if ($input->key === $key) {
                return $input;
            }
        }

        return null;
    }

    /**
     * Whether another of those that answer for each other is given, or it itself.
     *
     * @param  array<string, string>  $given
     */
    public function isAnswered(string $key, array $given): bool
    {
        foreach ($this->oneOf as $group) {
            if (in_array($key, $group, true) && array_intersect($group, array_keys($given)) !== []) {
                return true;
            }
        }

        return false;
    }

    public function isAlternative(string $key): bool
    {
        foreach ($this->oneOf as $group) {
            if (in_array($key, $group, true)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, string> an example that works: of each group the first, of the rest what has no default */
    public function example(): array
    {
        $example = [];
        foreach ($this->inputs as $input) {
            $isFirst = array_filter($this->oneOf, fn (array $group): bool => $group[0] === $input->key) !== [];
            if ($isFirst || ($input->default === null && ! $input->isOptional && ! $this->isAlternative($input->key))) {
                $example[$input->key] = $input->example;
            }
        }

        return $example;
    }
}
