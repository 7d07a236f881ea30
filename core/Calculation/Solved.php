<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\Uncertain;

/** A long calculation that was handed over with its declaration: its value is its solution, with what is not known of its inputs. */
trait Solved
{
    use Declared;

    public function compute(Values $values): Uncertain
    {
        return $this->solve($values->figures())->with($values, $this->dimension);
    }
}
