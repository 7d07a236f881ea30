<?php

declare(strict_types=1);

namespace MuteTapper\Core\Calculation;

use MuteTapper\Core\Quantity\DivisionByNothing;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\WrongDimension;

/** A result with its reasoning: the calculation, every input with its origin, and what each contributes to the uncertainty. */
final readonly class Trace
{
    private function __construct(public Calculation $calculation, public Values $values, public Uncertain $result)
    {
    }

    /**
     * @throws Contradiction when the values cannot all be right
     * @throws WrongDimension
     */
    public static function of(Calculation $calculation, Values $values): self
    {
        self::check($calculation, $values);
        try {
            return new self($calculation, $values, $calculation->compute($values));
        } catch (DivisionByNothing $nothing) {
            throw Contradiction::because($nothing->getMessage());
        }
    }

    /**
     * The reasoning of what was solved for the figures of these values.
     *
     * @throws WrongDimension
     */
    public static function solved(LongCalculation $calculation, Values $values, Solution $solution): self
    {
        self::check($calculation, $values);

        return new self($calculation, $values, $solution->with($values, $calculation->resultDimension()));
    }

    /** @throws WrongDimension */
    private static function check(Calculation $calculation, Values $values): void
    {
        foreach ($calculation->inputs() as $input) {
            foreach ($values->given($input->name) as $given) {
                if ($given->value->dimension !== $input->dimension) {
                    throw WrongDimension::given($input->name, $input->dimension, $given->value->dimension);
                }
            }
        }
    }

    /** A value that was read or claimed, as its own reasoning. */
    public static function asRead(Given $given): self
    {
        return self::of(new AsRead($given->value->dimension), Values::of(['value' => $given]));
    }

    /** The result as an input of a further calculation: it rests on what its inputs rest on, and shares their doubts. */
    public function asGiven(): Given
    {
        $basis = Basis::Assumed;
        $doubt = null;
        foreach ($this->values->given as $list) {
            foreach ($list as $given) {
                $basis = $basis->orStronger($given->basis);
                $doubt ??= $given->doubt;
            }
        }

        return new Given($this->result, 'computed: '.$this->calculation->formula(), $basis, $doubt, $this);
    }

    /**
     * Share of the result's variance that comes with each input, 0 to 1. A source shared by several inputs counts
     * with the input that carries most of it.
     *
     * @return array<string, float>
     */
    public function shares(): array
    {
        $variance = $this->result->standard() ** 2;
        $shares = array_fill_keys(array_keys($this->values->given), 0.0);
        foreach ($this->result->contributions as $source => $u) {
            $carrier = null;
            $most = 0.0;
            foreach (array_keys($this->values->given) as $name) {
                foreach ($this->values->all($name) as $value) {
                    if (abs($value->contributions[$source] ?? 0.0) > $most) {
                        $most = abs($value->contributions[$source]);
                        $carrier = $name;
                    }
                }
            }
            if ($carrier !== null && $variance > 0) {
                $shares[$carrier] += $u * $u / $variance;
            }
        }

        return $shares;
    }
}
