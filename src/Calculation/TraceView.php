<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Calculation\Trace;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** The reasoning behind a result: formula, inputs with their origin, source, and what each adds to the uncertainty. */
#[OA\Schema]
final readonly class TraceView
{
    /** @param list<TraceInputView> $inputs */
    private function __construct(
        public string $calculation,
        public string $title,
        public string $formula,
        #[OA\Property(description: 'pub, practice or own')]
        public string $mark,
        public string $source,
        public array $inputs,
        public QuantityView $result,
    ) {
    }

    /** Of a longer list the first and the last are shown; what it is of says how many there are. */
    private const LONGEST = 40;

    public static function of(Trace $trace, UnitSystem $units, Fineness $fineness = Fineness::Usual): self
    {
        $shares = $trace->shares();
        $inputs = [];
        foreach ($trace->calculation->inputs() as $input) {
            foreach (self::shown($trace->values->given($input->name)) as $given) {
                $inputs[] = new TraceInputView(
                    $input->name, $input->meaning,
                    QuantityView::uncertain($given->value, $units, $fineness === Fineness::Tenths ? Fineness::Fine : $fineness),
                    $given->origin, $shares[$input->name],
                );
            }
        }
        $source = $trace->calculation->source();

        return new self(
            $trace->calculation->name(), $trace->calculation->title(), $trace->calculation->formula(), $source->mark, $source->text,
            $inputs, QuantityView::uncertain($trace->result, $units, $fineness),
        );
    }

    /**
     * @param non-empty-list<Given> $all
     *
     * @return non-empty-list<Given>
     */
    private static function shown(array $all): array
    {
        $last = count($all) - 1;
        if ($last < self::LONGEST) {
            return $all;
        }
        $named = static fn (Given $one, int $number): Given => new Given(
            $one->value, sprintf('%s, %d of %d', $one->origin, $number, $last + 1), $one->basis,
        );

        return [$named($all[0], 1), $named($all[$last], $last + 1)];
    }
}
