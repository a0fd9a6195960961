<?php

declare(strict_types=1);

namespace App\Actions;

use App\Exceptions\Several;
use Closure;
use Hebra\Core\Problem;

/** The fields of a form, each read once and by itself: what is wrong with any of them is said at once. */
final class Fields
{
    /** @var list<Problem> */
    private array $problems = [];

    /**
     * @template T
     *
     * @param  Closure(): T  $reading
     * @return Field<T>
     */
    public function read(Closure $reading): Field
    {
        try {
            return new Field([$reading()]);
        } catch (Problem $problem) {
            array_push($this->problems, ...Several::in($problem));

            return new Field([]);
        }
    }

    /** @throws Problem the one that is wrong, or all of them */
    public function check(): void
    {
        $this->problems === [] || throw Several::of($this->problems);
    }

    /**
     * @template T
     *
     * @param  array<string, Closure(): T>  $reads
     * @return array<string, T> what was read, by the same names
     *
     * @throws Problem the one that is wrong, or all of them
     */
    public static function all(array $reads): array
    {
        $fields = new self;
        $read = array_map(fn (Closure $reading): Field => $fields->read($reading), $reads);
        $fields->check();

        return array_map(fn (Field $field): mixed => $field->value(), $read);
    }
}
