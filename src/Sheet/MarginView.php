<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Sheet\At;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Limit;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Side;
use MuteTapper\Core\Verdict\Verdict;
use OpenApi\Attributes as OA;

/** A margin ready to be drawn as a margin rule, with the words that go with it. */
#[OA\Schema]
final readonly class MarginView
{
    /**
     * @param string|null $coil the index, under the name it had when springs alone had one
     * @param float|null $probabilityGood probability of lying on the good side
     * @param string $limitWords the limit in words: at least 0.060 in
     * @param list<string> $schools that set this limit
     * @param float|null $upper second notch of an interval
     * @param float|null $at position on the scale, 0 to 1
     * @param list<array{school: string, at: float}> $others
     * @param list<float> $strokes of several like places of one part
     * @param string $scaleFrom figure at the left end of the scale
     * @param float|null $room what is left to the limit, in the base unit; below nothing where it is passed
     * @param list<string> $missing
     * @param QuantityView|null $asClaimed what it would be by the build as claimed, where a reading is missing
     * @param string $sentence what it means, or what to measure better
     */
    private function __construct(
        public string $place,
        public string $label,
        public ?string $coil,
        public string $quantity,
        public string $title,
        public Verdict $verdict,
        public string $verdictWords,
        public ?float $probabilityGood,
        public ?QuantityView $value,
        public ?float $room,
        public Side $side,
        public QuantityView $limit,
        public string $limitWords,
        public string $school,
        public array $schools,
        public float $notch,
        public ?float $upper,
        public bool $goodIsRight,
        public ?float $at,
        public ?float $low,
        public ?float $high,
        #[OA\Property(enum: ['low', 'high'])]
        public ?string $offScale,
        public array $others,
        public array $strokes,
        public string $scaleFrom,
        public string $scaleTo,
        public array $missing,
        public ?QuantityView $asClaimed,
        public string $sentence,
        public string $spoken,
    ) {
    }

    public static function of(Margin $margin, Bench $bench): self
    {
        $case = $bench->case;
        $units = $case->settings->units;
        $fineness = $bench->sheets->value($margin->quantity())->fineness;
        $limit = $margin->limit;
        $scale = $margin->scale();
        $label = $case->engine->placeLabel($margin->place) ?? $margin->place;
        $value = $margin->value() === null ? null : QuantityView::uncertain($margin->value(), $units, $fineness);
        $claimed = $margin->asClaimed === null ? null : QuantityView::uncertain($margin->asClaimed->result, $units, $fineness);
        $limitWords = self::limitWords($limit, $units, $fineness);
        $dimension = $limit->value()->dimension;
        $figure = static fn (float $base): string => $units->figure(Quantity::base($base, $dimension), 0, $fineness);
        $index = $margin->index === null || $margin->index === Coil::Outer->value ? '' : ', '.$margin->index;
        $saying = $bench->sheets->judged[$margin->quantity()]->saying ?? null;

        return new self(
            $margin->place, $label, $margin->index, $limit->quantity, $limit->title.$index,
            $margin->verdict, $margin->verdict->words(), $margin->probabilityGood, $value,
            $margin->value() === null ? null : $limit->distanceInside($margin->value()->base),
            $limit->side, QuantityView::exact($limit->value(), $units, $fineness), $limitWords, $limit->ruling,
            array_map(strval(...), array_keys($limit->schools)),
            $scale->notch, $scale->upper, $scale->goodIsRight, $scale->value, $scale->low, $scale->high, $scale->offScale, $scale->others,
            $scale->strokes,
            $figure($scale->from), $figure($scale->to), $margin->missing, $claimed,
            trim(
                self::sentence(
                    $margin, $units, $fineness, $claimed,
                ).' '.($saying === null || $value === null ? '' : $saying(new At($bench, $margin->place), $margin)),
            ),
            sprintf(
                '%s %s: %s, limit %s, %s', $label, $limit->title,
                $value === null ? 'not measured' : str_replace('±', 'plus or minus', $value->shown), $limitWords, $margin->verdict->words(),
            ),
        );
    }

    public static function limitWords(Limit $limit, UnitSystem $units, Fineness $fineness): string
    {
        $bound = $limit->bounds();

        return match (true) {
            $limit->isOpen() => $limit->awaits ?? '',
            $bound->least !== null && $bound->most !== null && $limit->side !== Side::Within => sprintf(
                '%s to %s', $units->figure($bound->least, 0, $fineness), $units->show($bound->most, $fineness),
            ),
            $limit->side === Side::Within => 'within ± '.$units->show($limit->value(), $fineness),
            default => $limit->side->words().' '.$units->show($limit->value(), $fineness),
        };
    }

    private static function sentence(Margin $margin, UnitSystem $units, Fineness $fineness, ?QuantityView $claimed): string
    {
        $value = $margin->value();
        if ($value === null) {
            $missing = $margin->missing === []
                ? ''
                : sprintf('Not measured: %s %s missing.', implode(', ', $margin->missing), count($margin->missing) === 1 ? 'is' : 'are');

            return trim(($margin->because ?? $missing).($claimed === null ? '' : sprintf(' As claimed it would be %s.', $claimed->shown)));
        }
        $distance = $units->show(Quantity::difference(abs($margin->limit->distanceInside($value->base)), $value->dimension), $fineness);
        $sentence = match (true) {
            $margin->because !== null => $margin->because,
            $margin->isInside() => sprintf('Inside by %s.', $distance),
            $margin->isOutside() => sprintf('Outside by %s.', $distance),
            default => sprintf(
                '%s straddles the limit.%s', QuantityView::uncertain($value, $units, $fineness)->shown, self::improve($margin),
            ),
        };

        return $margin->isNoted() && $margin->limit->note !== '' ? $sentence.' '.$margin->limit->note : $sentence;
    }

    /** The input that carries most of the uncertainty, and the gauge it came from. */
    private static function improve(Margin $margin): string
    {
        $shares = $margin->trace?->shares() ?? [];
        arsort($shares);
        $name = array_key_first($shares);
        $given = $name === null ? null : $margin->trace?->values->given[$name][0];

        return $given === null
            ? ''
            : sprintf(
                ' Measure the %s better: it came from %s and carries %.0f %% of the uncertainty.', str_replace('_', ' ', $name),
                $given->origin, 100 * $shares[$name],
            );
    }
}
