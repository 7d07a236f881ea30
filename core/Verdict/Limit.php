<?php

declare(strict_types=1);

namespace MuteTapper\Core\Verdict;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** One quantity's limit as the schools set it, with the school that rules. */
final readonly class Limit
{
    /** The maker's own figure goes before every school. */
    public const MAKER = 'maker';
    /** A limit that follows from other values of the case. */
    public const COMPUTED = 'computed';
    /** No school: nothing decides until a figure is stated. */
    public const UNSET = 'unset';

    /**
     * @param array<string, Bound> $schools limit by school; a limit on which the schools agree has one
     * @param string|null $awaits whose figure decides, where there is no usual one
     * @param array<string, array<string, Bound>> $byKind the same for intakes or exhausts alone, by kind of valve
     */
    private function __construct(
        public string $quantity,
        public string $title,
        public Side $side,
        public array $schools,
        private array $byKind,
        public string $ruling,
        public Quantity $caution,
        public ?Quantity $noteAbove,
        public string $note,
        public Quantity $span,
        public string $source,
        public string $mark,
        public ?string $awaits,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(string $quantity, Node $node): self
    {
        $unit = $node->get('unit')->choice(Unit::class);
        $side = $node->get('side')->choice(Side::class);
        $schools = static fn (Node $schools): array => array_map(
            static fn (Node $limit): Bound => self::bound($limit, $side, $unit), $schools->members(),
        );
        $byKind = [];
        foreach ($node->maybe('by_kind')?->members() ?? [] as $kind => $own) {
            $byKind[ValveKind::from($kind)->value] = $schools($own);
        }
        $noteAbove = $node->maybe('note_above');
        $limit = new self(
            $quantity,
            $node->get('title')->word(),
            $side,
            $schools($node->get('schools')),
            $byKind,
            $node->get('default')->word(),
            Quantity::of($node->maybe('caution')?->number() ?? 0.0, $unit),
            $noteAbove === null ? null : Quantity::of($noteAbove->number(), $unit),
            $node->maybe('note')?->word(1000) ?? '',
            Quantity::of($node->get('span')->number(), $unit),
            $node->get('source')->word(1000),
            $node->get('mark')->word(),
            $node->maybe('awaits')?->word(),
        );
        foreach ([$limit->schools, ...array_values($byKind)] as $known) {
            if (!isset($known[$limit->ruling])) {
                throw BadDocument::at($node->pointer.'/default', sprintf('no school “%s” sets this limit.', $limit->ruling));
            }
        }

        return $limit;
    }

    private static function bound(Node $node, Side $side, Unit $unit): Bound
    {
        if ($side === Side::Between) {
            return new Bound(Quantity::of($node->get('least')->number(), $unit), Quantity::of($node->get('most')->number(), $unit));
        }
        $end = Quantity::of($node->number(), $unit);

        return match ($side) {
            Side::AtLeast => new Bound($end, null),
            Side::AtMost => new Bound(null, $end),
            Side::Within => new Bound(Quantity::of(-$node->number(), $unit), $end),
        };
    }

    /** A window around what is planned: two ends that nobody published, for one place. */
    public static function window(string $quantity, string $title, Quantity $least, Quantity $most): self
    {
        $width = Quantity::difference($most->base - $least->base, $most->dimension);

        return new self(
            $quantity, $title, Side::Between, [self::COMPUTED => new Bound($least, $most)], [], self::COMPUTED,
            Quantity::difference(0.0, $most->dimension), null, '', $width, 'around what is planned', 'practice', null,
        );
    }

    /** Whether the figure that decides was stated by nobody yet, neither in the case nor by the shop. */
    public function isOpen(): bool
    {
        return $this->awaits !== null && $this->ruling === self::UNSET && $this->value()->base === 0.0;
    }

    /** Whether a school sets it, for all valves or for those of one kind alone. */
    public function isSetBy(string $school): bool
    {
        foreach ([$this->schools, ...array_values($this->byKind)] as $schools) {
            if (isset($schools[$school])) {
                return true;
            }
        }

        return false;
    }

    /** The same limit ruled by another school; a limit that does not know the school keeps its own. */
    public function ruledBy(?string $school): self
    {
        return $school !== null && isset($this->schools[$school]) ? $this->with($this->schools, $school) : $this;
    }

    /** The limit for valves of one kind, where it differs by kind. */
    public function ofKind(?ValveKind $kind): self
    {
        $own = $kind === null ? null : $this->byKind[$kind->value] ?? null;

        return $own === null ? $this : $this->with($own, isset($own[$this->ruling]) ? $this->ruling : (string) array_key_first($own));
    }

    /** Without a school that does not apply here; if it ruled, the next stricter one rules. */
    public function without(string $school): self
    {
        $schools = array_diff_key($this->schools, [$school => true]);
        if ($schools === [] || $this->ruling !== $school) {
            return $schools === [] ? $this : $this->with($schools, $this->ruling);
        }
        $strictness = static fn (Bound $bound): float => $bound->least !== null ? $bound->least->base : -($bound->most->base ?? 0.0);
        $removed = $strictness($this->schools[$school]);
        uasort($schools, static fn (Bound $a, Bound $b): int => $strictness($a) <=> $strictness($b));
        foreach ($schools as $code => $bound) {
            if ($strictness($bound) >= $removed) {
                return $this->with($schools, $code);
            }
        }

        return $this->with($schools, (string) array_key_last($schools));
    }

    /** Ruled by a single bound that is not a school's: the maker's own figure, or one that follows from other values. */
    public function ruledAt(Bound $bound, string $by): self
    {
        return $this->with([$by => $bound], $by);
    }

    /** A bound of this limit's kind from one figure. */
    public function boundAt(Quantity $end): Bound
    {
        return match ($this->side) {
            Side::AtLeast => new Bound($end, null),
            Side::AtMost => new Bound(null, $end),
            Side::Within, Side::Between => new Bound(Quantity::difference(-$end->base, $end->dimension), $end),
        };
    }

    public function bounds(): Bound
    {
        return $this->schools[$this->ruling];
    }

    /** The figure that a limit with one end is known by; of an interval its least. */
    public function value(): Quantity
    {
        $bound = $this->bounds();
        $end = $this->side === Side::AtLeast || $this->side === Side::Between ? $bound->least : $bound->most;

        return $end ?? $bound->least ?? $bound->most ?? throw new \LogicException('A limit without an end: '.$this->quantity);
    }

    /** The least demanding limit of any school: where the running allowance of a static margin ends. */
    public function leastDemanding(): Quantity
    {
        $best = $this->value();
        foreach ($this->schools as $bound) {
            if ($this->side === Side::AtMost || $this->side === Side::Within) {
                $best = $bound->most !== null && $bound->most->base > $best->base ? $bound->most : $best;
            } else {
                $best = $bound->least !== null && $bound->least->base < $best->base ? $bound->least : $best;
            }
        }

        return $best;
    }

    /** Probability that the true value lies on the good side. */
    public function probabilityGood(Uncertain $value): float
    {
        return $this->bounds()->probabilityGood($value);
    }

    public function verdict(Uncertain $value): Verdict
    {
        return Verdict::of($this->probabilityGood($value), $this->distanceInside($value->base) < $this->caution->base);
    }

    /** How far a value lies on the good side of the limit, in the base unit; negative when it is outside. */
    public function distanceInside(float $base): float
    {
        return $this->bounds()->distanceInside($base);
    }

    /** @param array<string, Bound> $schools */
    private function with(array $schools, string $ruling): self
    {
        return new self(
            $this->quantity, $this->title, $this->side, $schools, $this->byKind, $ruling,
            $this->caution, $this->noteAbove, $this->note, $this->span, $this->source, $this->mark, $this->awaits,
        );
    }
}
