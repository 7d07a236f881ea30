<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;

/** What would be if: values put in the place of others, or a part taken from another place, at some places. */
final readonly class Change
{
    /**
     * @param array<string, array{bool, Quantity}> $values whether it is added, and the quantity, by place, name and index
     * @param array<string, string> $parts place that the part is taken from, by place and part
     * @param array<string, Given> $measured what was read of it since, by place, name and index: it goes before everything tried
     */
    private function __construct(private array $values, private array $parts, private array $measured = [])
    {
    }

    public static function none(): self
    {
        return new self([], []);
    }

    /** @param list<string> $places */
    public function setting(array $places, string $name, Quantity $to, ?string $index = null): self
    {
        return $this->withValue($places, $name, $index, false, $to);
    }

    /** @param list<string> $places */
    public function adding(array $places, string $name, Quantity $by, ?string $index = null): self
    {
        return $this->withValue($places, $name, $index, true, $by);
    }

    /**
     * The part of another place, with all that is known of it and nothing that is not.
     *
     * @param list<string> $places
     */
    public function taking(array $places, string $part, string $from): self
    {
        $parts = $this->parts;
        foreach ($places as $place) {
            $parts[$place.'/'.$part] = $from;
        }

        return new self($this->values, $parts, $this->measured);
    }

    /** What was read after it was done: no matter what was meant, this is how it is. */
    public function measuring(string $place, string $name, ?string $index, Given $read): self
    {
        return new self($this->values, $this->parts, [self::key($place, $name, $index) => $read] + $this->measured);
    }

    /**
     * Reads the one shape in which a change is written: a list of `{places, name, index, to | by}` and `{places, part, from}`.
     *
     * @throws BadDocument
     */
    public static function fromNode(Node $node, Engine $engine, Sheets $sheets): self
    {
        $change = self::none();
        foreach ($node->items() as $one) {
            $places = $one->get('places')->words();
            foreach ($places as $i => $place) {
                if ($engine->placeLabel($place) === null) {
                    throw BadDocument::at($one->pointer.'/places/'.$i, sprintf('this engine has no place “%s”.', $place));
                }
            }
            if ($one->has('part')) {
                $change = $change->taking($places, $one->get('part')->word(), $one->get('from')->word());
                continue;
            }
            $name = $one->get('name')->word();
            $value = $sheets->values[$name] ?? throw BadDocument::at($one->pointer.'/name', sprintf('there is no value “%s”.', $name));
            $figure = $one->get($one->has('by') ? 'by' : 'to');
            $unit = $figure->get('unit')->choice(Unit::class);
            if ($unit->dimension() !== $value->dimension) {
                throw BadDocument::at($figure->pointer.'/unit', sprintf('“%s” is not a unit of the %s.', $unit->value, $value->title));
            }
            $number = $figure->get('number')->number();
            $index = $one->maybe('index')?->word();
            $change = $one->has('by')
                ? $change->adding($places, $name, Quantity::difference($number * $unit->baseFactor(), $value->dimension), $index)
                : $change->setting($places, $name, Quantity::of($number, $unit), $index);
        }

        return $change;
    }

    /** @return array{bool, Quantity}|null whether it is added, and the quantity */
    public function of(string $place, string $name, ?string $index): ?array
    {
        return $this->values === [] ? null : $this->values[self::key($place, $name, $index)] ?? null;
    }

    public function measured(string $place, string $name, ?string $index): ?Given
    {
        return $this->measured === [] ? null : $this->measured[self::key($place, $name, $index)] ?? null;
    }

    public function sourceOf(string $place, string $part): ?string
    {
        return $this->parts === [] ? null : $this->parts[$place.'/'.$part] ?? null;
    }

    /** @param list<string> $places */
    private function withValue(array $places, string $name, ?string $index, bool $isAdded, Quantity $quantity): self
    {
        $values = $this->values;
        foreach ($places as $place) {
            $values[self::key($place, $name, $index)] = [$isAdded, $quantity];
        }

        return new self($values, $this->parts, $this->measured);
    }

    private static function key(string $place, string $name, ?string $index): string
    {
        return $place.'/'.$name.'/'.($index ?? '');
    }
}
