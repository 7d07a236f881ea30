<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Uncertain;

/**
 * One computation of the bench, declared once: the API, the command line, the trace on screen, the report and the
 * generated documentation all come from this declaration.
 */
interface Calculation
{
    /** Stable name in kebab case. */
    public function name(): string;

    public function title(): string;

    /** @return non-empty-list<Input> */
    public function inputs(): array;

    public function resultDimension(): Dimension;

    /** The formula in words. */
    public function formula(): string;

    public function source(): Source;

    /** @throws Contradiction when the inputs cannot all be right */
    public function compute(Values $values): Uncertain;
}
