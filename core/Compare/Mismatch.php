<?php

declare(strict_types=1);

namespace MuteTapper\Core\Compare;

use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Knowledge\Question;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Sheet\Column;

/** Two groups of like parts, or found and claimed, that are not alike. */
final readonly class Mismatch
{
    /**
     * @param string $code of the column or the question
     * @param string $what quantity or question, in words
     * @param string $where of which parts
     * @param Uncertain|null $difference second side less the first; null where words differ
     * @param float|null $byGauge difference over what the gauges can make of it; below 1 nothing would be told
     * @param list<string> $places stations that are not as they should be, or as the others
     */
    private function __construct(
        public Difference $kind,
        public string $code,
        public string $what,
        public string $where,
        public Side $one,
        public Side $other,
        public ?Uncertain $difference,
        public ?float $byGauge,
        public array $places,
        public Fineness $fineness = Fineness::Usual,
    ) {
    }

    /** @param list<string> $places */
    public static function ofFigures(
        Difference $kind,
        Column $column,
        ?string $index,
        string $where,
        Side $one,
        Side $other,
        array $places,
    ): self {
        if ($one->middle === null || $other->middle === null) {
            throw new \LogicException('A difference of figures needs two.');
        }
        $difference = $other->middle->minus($one->middle);
        $half = $difference->expanded()->base;

        return new self(
            $kind, $column->code, self::named($column, $index), $where, $one, $other, $difference,
            $half > 0.0 ? abs($difference->base) / $half : null, $places, $column->fineness,
        );
    }

    /** @param list<string> $places */
    public static function ofWords(
        Difference $kind, Question $question, string $where, Side $one, Side $other, array $places,
    ): self {
        return new self($kind, $question->code, $question->ask, $where, $one, $other, null, null, $places);
    }

    private static function named(Column $column, ?string $index): string
    {
        $isPlain = in_array($index, [null, '', Coil::Outer->value], true);

        return $isPlain ? $column->label : $column->label.', '.str_replace('.', ' ', (string) $index);
    }
}
