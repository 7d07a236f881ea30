<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\FigureAt;
use MuteTapper\Core\Verdict\Bound;

/** One figure as it was found in two groups. */
final class FigureSet
{
    /** @var list<Uncertain> */
    public array $one = [];
    /** @var list<Uncertain> */
    public array $other = [];
    /** @var array<int, list<string>> stations of each side where it is outside its limit */
    private array $outside = [];
    /** Where its good values end, where a limit is set. */
    private ?Bound $bound = null;

    /**
     * @param string $index under which it is read, such as the coil
     * @param string $where of which valves, where a group has both kinds
     */
    public function __construct(
        public readonly string $code,
        private readonly string $index,
        private readonly string $title,
        public readonly string $where,
        public readonly Fineness $fineness,
    ) {
    }

    /** @param int $side 0 for the one, 1 for the other */
    public function add(int $side, FigureAt $found): void
    {
        if ($side === 0) {
            $this->one[] = $found->value;
        } else {
            $this->other[] = $found->value;
        }
        if ($found->isOutside) {
            $this->outside[$side][] = $found->place;
        }
        $this->bound = $found->bound ?? $this->bound;
    }

    private function what(): string
    {
        return $this->index === '' || $this->index === Coil::Outer->value
            ? $this->title
            : $this->title.', '.str_replace('.', ' ', $this->index);
    }

    /**
     * @param non-empty-list<Uncertain> $ofOne
     * @param non-empty-list<Uncertain> $ofOther
     */
    public function compared(Group $one, array $ofOne, Group $other, array $ofOther): ComparedFigure
    {
        $difference = Uncertain::median($ofOther)->minus(Uncertain::median($ofOne));
        $half = $difference->expanded()->base;

        $sides = [Side::of($one->name, $ofOne), Side::of($other->name, $ofOther)];

        return new ComparedFigure(
            $this->code, $this->what(), $this->where, $sides[0], $sides[1], $difference,
            $half > 0.0 ? abs($difference->base) / $half : null, $this->outside[0] ?? [],
            $this->outside[1] ?? [], $this->fineness,
            PairedScale::of($sides[0], $sides[1], $this->bound),
        );
    }
}
