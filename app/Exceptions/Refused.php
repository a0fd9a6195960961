<?php

declare(strict_types=1);

namespace App\Exceptions;

use Hebra\Core\Problem;

/** What the workshop refuses: one sentence, the field it stands at, the HTTP status, and the ways out. */
final class Refused extends \RuntimeException implements Problem
{
    /** @param  list<WayOut>  $ways */
    private function __construct(
        private readonly string $field,
        string $sentence,
        public readonly int $status = 422,
        public readonly array $ways = [],
    ) {
        parent::__construct($sentence);
    }

    /** The same sentence at another place on the page. */
    public static function at(string $field, Problem $problem): self
    {
        return new self(
            $field, $problem->getMessage(), $problem instanceof self ? $problem->status : 422,
        );
    }

    public static function notText(string $field): self
    {
        return new self($field, ucfirst($field).' came as a list: give one value.');
    }

    public static function tooManyAttempts(string $field, int $minutes): self
    {
        return new self(
            $field,
            "That was tried too often: wait {$minutes} minutes, then try again. Where you are signed in already, you "
                .'stay so.',
            429,
        );
    }

    public static function invalid(string $field, string $sentence): self
    {
        return new self($field, $sentence);
    }

    public static function stale(int $seen, int $now): self
    {
        return new self(
            'revision',
            "This piece was changed elsewhere since you opened it here (you saw change {$seen}, it stands at {$now}). "
                .'Nothing was lost: below is the piece as it is now. Make your change again if you still want it.',
            409,
        );
    }

    public static function nothingToUndo(): self
    {
        return new self('revision', 'There is nothing left to undo: this is the piece as it began.', 409);
    }

    public static function nothingToRedo(): self
    {
        return new self('revision', 'There is nothing to redo: this is the latest change.', 409);
    }

    public static function cannotMake(string $why): self
    {
        return new self('making', "This cannot be made yet. {$why}");
    }

    public static function staleStep(): self
    {
        return new self(
            'step',
            'This making went on elsewhere. It is shown below where it stands now; nothing was counted twice.',
            409,
        );
    }

    public static function notHooked(string $question): self
    {
        return new self('hooked', "{$question} Hook it on first: once the loop is wrapped shut it cannot be joined.");
    }

    public static function uncounted(int $counted, int $wanted, string $what): self
    {
        return new self(
            'counted',
            "Counted {$counted} of {$wanted} {$what}: count the rest, or say that they are all done.",
        );
    }

    public static function closed(): self
    {
        return new self(
            'making',
            'This making is already closed: its lines are in the metal book, and only a reversal undoes them.',
            409,
        );
    }

    public static function notDone(int $left): self
    {
        return new self(
            'making',
            "There are {$left} steps to go: finish them in Make, or say that the making is done as it is.",
        );
    }

    /** @param  list<WayOut>  $ways */
    public static function lotShort(
        string $field, string $lot, string $holds, string $asked, string $short, array $ways,
    ): self {
        return new self($field, "{$lot} holds {$holds}, and this takes {$asked}: {$short} too little.", 422, $ways);
    }

    public static function alreadyReversed(): self
    {
        return new self(
            'entry',
            'This entry is already reversed, or is itself a reversal: look for its lines in the book.',
            409,
        );
    }

    public static function wouldHoldLess(string $lot): self
    {
        return new self(
            'entry',
            "Reversing this would leave {$lot} with less than nothing: reverse what was taken from it first.",
            409,
        );
    }

    public function field(): string
    {
        return $this->field;
    }

    public function sentences(): array
    {
        return [$this->getMessage()];
    }

    public function says(string $field): ?string
    {
        return $field === $this->field ? $this->getMessage() : null;
    }
}
