<?php

declare(strict_types=1);

namespace Hebra\Core\Plan;

use Hebra\Core\Copy;
use Hebra\Core\Course\Stringing;
use Hebra\Core\Course\Strung;
use Hebra\Core\Handwork\Caution;
use Hebra\Core\Handwork\EventKind;
use Hebra\Core\Handwork\Moment;
use Hebra\Core\Handwork\Operation;
use Hebra\Core\Piece\PartId;
use Hebra\Core\Wire\Wire;

/**
 * One thing to do at the bench. Invariant: what is put on comes over an end of a wire, in the order in which it is
 * pushed.
 */
final readonly class Step
{
    public Operation $operation;

    /**
     * @param  list<string>  $marks  the wire to light up in drawing and strip
     * @param  list<Caution>  $cautions
     * @param  list<Strung>  $putsOn  beads in the order in which they are pushed on
     * @param  list<string>  $parts  the made parts it works on, where they are several
     */
    public function __construct(
        public Moment $moment,
        public string $part,
        public string $title,
        public string $text,
        public array $marks = [],
        public int $count = 0,
        public string $counted = '',
        public string $asks = '',
        public string $tool = '',
        public array $cautions = [],
        ?Operation $operation = null,
        public array $putsOn = [],
        /** the end of the wire that they come over */
        public ?WireEnd $over = null,
        /** the cut it works on, by its key; empty for the first of its part */
        public string $cut = '',
        /** how many alike it does at once */
        public int $times = 1,
        public array $parts = [],
        /** the same done on one, where it is done on several alike */
        public ?self $each = null,
        /**
         * where it makes only some of a stretch: how much of what bears a mark is made after it, in wires, those of
         * one kind one after another
         *
         * @var array<string, float>
         */
        public array $shares = [],
    ) {
        $this->operation = $operation ?? self::usual($moment, $counted);
    }

    /** What is done at a moment where the step does not say otherwise. */
    private static function usual(Moment $moment, string $counted): Operation
    {
        return match ($moment->kind) {
            EventKind::Ready => Operation::Ready,
            EventKind::Cut => Operation::Cut,
            EventKind::Form => Operation::Eye,
            EventKind::Close => $counted === 'wraps' ? Operation::Wrap : Operation::Trim,
            EventKind::Thread => Operation::Thread,
            EventKind::Hook => Operation::Hook,
            EventKind::Inspect => Operation::Inspect,
            default => Operation::Bend,
        };
    }

    public function of(string $part, string $title): self
    {
        return $this->told($part, $title, $this->marks, $this->cut);
    }

    /** What is done on one part, done on another that is alike. */
    public function moved(PartId $from, PartId $to): self
    {
        $cut = $this->cut === '' ? '' : $to->text.substr($this->cut, strlen($from->text));

        $moved = $this->told($this->part, $this->title, array_map($to->markLike(...), $this->marks), $cut);
        $marks = array_map($to->markLike(...), array_keys($this->shares));

        return $marks === [] ? $moved : $moved->upTo(array_combine($marks, $this->shares));
    }

    /**
     * One step for the same work on several parts.
     *
     * @param  non-empty-list<self>  $steps
     */
    public static function onAll(array $steps, string $label): self
    {
        $count = count($steps);
        $parts = array_merge(...array_map(
            fn (self $step): array => $step->parts === [] ? [$step->part] : $step->parts, $steps,
        ));

        return $steps[0]->with([
            'title' => "{$count} × {$label}: ".lcfirst($steps[0]->title),
            'text' => "{$steps[0]->text} The same {$count} times.",
            'count' => $count,
            'counted' => $label.'s',
            'each' => $steps[0],
            'marks' => array_values(array_unique(array_merge(...array_column($steps, 'marks')))),
            'parts' => array_values(array_unique($parts)),
            'times' => array_sum(array_column($steps, 'times')),
        ]);
    }

    /** @return list<string> the made parts that it forms: not those that are only hung in them */
    public function works(): array
    {
        return $this->operation === Operation::Hook || $this->parts === [] ? [$this->part] : $this->parts;
    }

    /** @return list<mixed> all that is said, whichever part it is said of */
    public function said(): array
    {
        return [
            $this->title, $this->text, $this->count, $this->counted, $this->asks, $this->tool, $this->operation,
            array_column($this->cautions, 'value'),
            array_map(fn (Strung $run): array => [$run->bead->words(), $run->count], $this->putsOn),
        ];
    }

    /** The same, naming the wire that it works on by its cut. */
    public function ofCut(string $cut): self
    {
        return $this->with(['cut' => $cut]);
    }

    /**
     * The same, putting beads on a wire.
     *
     * @param  list<Strung>  $beads  in the order in which they are pushed on
     */
    public function putting(array $beads, string $cut, WireEnd $over = WireEnd::Last, int $times = 1): self
    {
        return $this->with(['putsOn' => Stringing::joined($beads), 'over' => $over, 'cut' => $cut, 'times' => $times]);
    }

    /**
     * One of several steps that make a stretch bit by bit.
     *
     * @param  array<string, float>  $shares  how much of what bears a mark is made after it, in wires
     */
    public function upTo(array $shares): self
    {
        return $this->with(['shares' => $shares]);
    }

    /** In wire that is too hard for cutters made for soft wire. */
    public function inHardWire(): self
    {
        if (! str_contains($this->tool, 'flush cutter')) {
            return $this;
        }
        $cautions = array_map(
            fn (Caution $caution): Caution => $caution === Caution::CutEnds ? Caution::HardWire : $caution,
            $this->cautions,
        );

        return $this->with(['tool' => str_replace('flush cutter', Wire::SHEARS, $this->tool), 'cautions' => $cautions]);
    }

    /**
     * Done for every step of every made part: field by field, which costs a third of `with()`.
     *
     * @param  list<string>  $marks
     */
    private function told(string $part, string $title, array $marks, string $cut): self
    {
        return new self(
            $this->moment, $part, $title, $this->text, $marks, $this->count, $this->counted, $this->asks, $this->tool,
            $this->cautions, $this->operation, $this->putsOn, $this->over, $cut, $this->times, $this->parts,
            $this->each, $this->shares,
        );
    }

    /** @param  array<string, mixed>  $changed */
    private function with(array $changed): self
    {
        return Copy::of(self::class, get_object_vars($this), $changed);
    }

    /** @return array<string, mixed> the JSON of `hebra:plan` */
    public function toArray(): array
    {
        $said = array_filter([
            'event' => $this->moment->text(), 'part' => $this->part, 'title' => $this->title, 'text' => $this->text,
            'count' => $this->count, 'counted' => $this->counted, 'asks' => $this->asks,
            'tool' => $this->tool,
            'cautions' => array_map(fn (Caution $caution): string => $caution->words(), $this->cautions),
        ], fn (array|string|int $value): bool => $value !== '' && $value !== 0 && $value !== []);

        return [
            ...$said, 'operation' => $this->operation->value, 'parts' => $this->part === '' || $this->parts !== []
                ? $this->parts
                : [$this->part], 'times' => $this->times,
            ...($this->putsOn === [] ? [] : ['puts_on' => array_map(
                fn (Strung $run): array => ['bead' => $run->bead->words(), 'count' => $run->count], $this->putsOn,
            ), 'over' => $this->over?->value]),
            ...($this->cut === '' ? [] : ['wire' => $this->cut]),
        ];
    }
}
