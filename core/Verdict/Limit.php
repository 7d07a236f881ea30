<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Normal;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** One quantity's limit as the schools set it, with the school that rules. */
final readonly class Limit
{
    /** @param array<string, Quantity> $schools limit by school; a limit on which the schools agree has one */
    private function __construct(
        public string $quantity,
        public string $title,
        public Side $side,
        public array $schools,
        public string $ruling,
        public Quantity $caution,
        public ?Quantity $noteAbove,
        public Quantity $span,
        public string $source,
        public string $mark,
    ) {
    }

    public static function fromNode(string $quantity, Node $node): self
    {
        $unit = $node->get('unit')->choice(Unit::class);
        $schools = array_map(static fn (Node $limit): Quantity => Quantity::of($limit->number(), $unit), $node->get('schools')->members());
        $noteAbove = $node->maybe('note_above');

        return new self(
            $quantity,
            $node->get('title')->word(),
            $node->get('side')->choice(Side::class),
            $schools,
            $node->get('default')->word(),
            Quantity::of($node->maybe('caution')?->number() ?? 0.0, $unit),
            $noteAbove === null ? null : Quantity::of($noteAbove->number(), $unit),
            Quantity::of($node->get('span')->number(), $unit),
            $node->get('source')->word(1000),
            $node->get('mark')->word(),
        );
    }

    /** The same limit ruled by another school; a limit that does not know the school keeps its own. */
    public function ruledBy(string $school): self
    {
        return isset($this->schools[$school]) ? $this->with($this->schools, $school) : $this;
    }

    /** Without a school that does not apply here; if it ruled, the next stricter one rules. */
    public function without(string $school): self
    {
        $schools = array_diff_key($this->schools, [$school => true]);

        return $schools === [] ? $this : $this->with($schools, $this->ruling === $school ? (string) array_key_first($schools) : $this->ruling);
    }

    public function value(): Quantity
    {
        return $this->schools[$this->ruling];
    }

    /** The least demanding limit of any school: where the running allowance of a static margin ends. */
    public function lowest(): Quantity
    {
        $lowest = $this->value();
        foreach ($this->schools as $limit) {
            $lowest = $limit->base < $lowest->base ? $limit : $lowest;
        }

        return $lowest;
    }

    /** Probability that the true value lies on the good side. */
    public function probabilityGood(Uncertain $value): float
    {
        $u = $value->standard();
        $limit = $this->value()->base;
        $below = static fn (float $bound): float => $u > 0.0 ? Normal::below(($bound - $value->base) / $u) : ($value->base <= $bound ? 1.0 : 0.0);

        return match ($this->side) {
            Side::AtLeast => $u > 0.0 ? Normal::below(($value->base - $limit) / $u) : ($value->base >= $limit ? 1.0 : 0.0),
            Side::AtMost => $below($limit),
            Side::Within => $u > 0.0 ? $below($limit) - $below(-$limit) : (abs($value->base) <= $limit ? 1.0 : 0.0),
        };
    }

    public function verdict(Uncertain $value): Verdict
    {
        return Verdict::of($this->probabilityGood($value), $this->distanceInside($value->base) < $this->caution->base);
    }

    /** How far a value lies on the good side of the limit, in the base unit; negative when it is outside. */
    public function distanceInside(float $base): float
    {
        return match ($this->side) {
            Side::AtLeast => $base - $this->value()->base,
            Side::AtMost => $this->value()->base - $base,
            Side::Within => $this->value()->base - abs($base),
        };
    }

    /** @param array<string, Quantity> $schools */
    private function with(array $schools, string $ruling): self
    {
        return new self($this->quantity, $this->title, $this->side, $schools, $ruling, $this->caution, $this->noteAbove, $this->span, $this->source, $this->mark);
    }
}
