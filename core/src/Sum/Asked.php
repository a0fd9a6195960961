<?php

declare(strict_types=1);

namespace Hebra\Core\Sum;

use Hebra\Core\Problem;
use Hebra\Core\Quantity\Unreadable;

/**
 * A question that was understood: the sum, what it gives, and what it leaves out, which stands with a sensible value
 * until it is said.
 */
final readonly class Asked
{
    /**
     * @param  array<string, string>  $inputs  what was said, and the sensible values of what was not
     * @param  list<string>  $missing
     */
    private function __construct(public Sum $sum, public array $inputs, public array $missing = [])
    {
    }

    /**
     * One line as it comes to mind, terse or in whole sentences. What writes key=value is read as a terse line first,
     * all else as a question; the reading that leaves nothing open and can be worked is taken.
     *
     * @throws Problem if neither reading understands it: what the first has to say
     */
    public static function read(string $line): self
    {
        if (trim($line) === '') {
            throw Unreadable::empty('ask', 'a sum, such as coil 24ga on 2.5mm, 3cm');
        }
        $readers = [Question::read(...), self::terse(...)];
        $found = $first = null;
        foreach (self::isTerse($line) ? array_reverse($readers) : $readers as $reader) {
            try {
                $asked = $reader($line);
                $agrees = $found === null || $found->isSaidBy($asked);
                $found ??= $asked;
                if ($agrees && $asked->isWhole()) {
                    return $asked;
                }
            } catch (Problem $problem) {
                $first ??= $problem;
            }
        }

        return $found ?? throw $first;
    }

    /** @param  array<string, string>  $given */
    public static function filled(Sum $sum, array $given): self
    {
        $missing = [];
        foreach ($sum->inputs as $input) {
            if (! isset($given[$input->key]) && self::isWanted($sum, $input, $given)) {
                $missing[$input->key] = $input->example;
            }
        }

        return new self($sum, $given + $missing, array_keys($missing));
    }

    private static function terse(string $line): self
    {
        return self::filled(...Line::read($line));
    }

    private static function isTerse(string $line): bool
    {
        return preg_match('/\w\s*=\s*\S/', $line) === 1;
    }

    /** Whether another reading has a place for all that was said: one that has not gave a figure to the wrong input. */
    private function isSaidBy(self $other): bool
    {
        $said = array_diff_key($this->inputs, array_flip($this->missing));

        return $this->sum->name !== $other->sum->name || array_diff_key($said, $other->inputs) === [];
    }

    /** Nothing is left open, and it can be worked. */
    private function isWhole(): bool
    {
        try {
            return $this->missing === [] && $this->sum->work(Given::read($this->sum, $this->inputs))->results !== [];
        } catch (Problem) {
            return false;
        }
    }

    /**
     * Whether the sum cannot do without it: of several that answer for each other, the first.
     *
     * @param  array<string, string>  $given
     */
    private static function isWanted(Sum $sum, Input $input, array $given): bool
    {
        foreach ($sum->oneOf as $group) {
            if (in_array($input->key, $group, true)) {
                return $group[0] === $input->key && ! $sum->isAnswered($input->key, $given);
            }
        }

        return $input->default === null && ! $input->isOptional;
    }
}
