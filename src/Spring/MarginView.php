<?php

declare(strict_types=1);

namespace MuteTapper\App\Spring;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Verdict\Margin;
use MuteTapper\Core\Verdict\Side;
use MuteTapper\Core\Verdict\Verdict;
use OpenApi\Attributes as OA;

/** A margin ready to be drawn as a margin rule, with the words that go with it. */
#[OA\Schema]
final readonly class MarginView
{
    /**
     * @param list<array{school: string, at: float}> $others
     * @param list<string> $missing
     */
    private function __construct(
        #[OA\Property]
        public string $place,
        #[OA\Property]
        public string $label,
        #[OA\Property]
        public ?string $coil,
        #[OA\Property]
        public string $quantity,
        #[OA\Property]
        public string $title,
        #[OA\Property(type: 'string', enum: Verdict::class)]
        public Verdict $verdict,
        #[OA\Property]
        public string $verdictWords,
        #[OA\Property(description: 'probability of lying on the good side')]
        public ?float $probabilityGood,
        #[OA\Property]
        public ?QuantityView $value,
        #[OA\Property(type: 'string', enum: Side::class)]
        public Side $side,
        #[OA\Property]
        public QuantityView $limit,
        #[OA\Property(description: 'the limit in words: at least 0.060 in')]
        public string $limitWords,
        #[OA\Property]
        public string $school,
        #[OA\Property]
        public float $notch,
        #[OA\Property]
        public bool $goodIsRight,
        #[OA\Property(description: 'position on the scale, 0 to 1')]
        public ?float $at,
        #[OA\Property]
        public ?float $low,
        #[OA\Property]
        public ?float $high,
        #[OA\Property(enum: ['low', 'high'])]
        public ?string $offScale,
        #[OA\Property(items: new OA\Items(required: ['school', 'at'], properties: [new OA\Property('school', type: 'string'), new OA\Property('at', type: 'number')], type: 'object'))]
        public array $others,
        #[OA\Property(description: 'figure at the left end of the scale')]
        public string $scaleFrom,
        #[OA\Property]
        public string $scaleTo,
        #[OA\Property(items: new OA\Items(type: 'string'))]
        public array $missing,
        #[OA\Property(description: 'one sentence: what it means, or what to measure better')]
        public string $sentence,
        #[OA\Property]
        public string $spoken,
    ) {
    }

    public static function of(Margin $margin, CaseFile $case): self
    {
        $units = $case->settings->units;
        $limit = $margin->limit;
        $scale = $margin->scale();
        $label = $case->engine->placeLabel($margin->place) ?? $margin->place;
        $value = $margin->value() === null ? null : QuantityView::uncertain($margin->value(), $units);
        $limitWords = $limit->side === Side::Within ? 'within ± '.$units->show($limit->value()) : $limit->side->words().' '.$units->show($limit->value());
        $dimension = $limit->value()->dimension;

        return new self(
            $margin->place, $label, $margin->coil, $limit->quantity, $limit->title.($margin->coil === 'inner' ? ', inner' : ''),
            $margin->verdict, $margin->verdict->words(), $margin->probabilityGood, $value,
            $limit->side, QuantityView::exact($limit->value(), $units), $limitWords, $limit->ruling,
            $scale->notch, $scale->goodIsRight, $scale->value, $scale->low, $scale->high, $scale->offScale, $scale->others,
            $units->figure(Quantity::base($scale->from, $dimension)), $units->figure(Quantity::base($scale->to, $dimension)),
            $margin->missing,
            self::sentence($margin, $case),
            sprintf('%s %s: %s, limit %s, %s', $label, $limit->title, $value === null ? 'not measured' : str_replace('±', 'plus or minus', $value->shown), $limitWords, $margin->verdict->words()),
        );
    }

    private static function sentence(Margin $margin, CaseFile $case): string
    {
        $units = $case->settings->units;
        $value = $margin->value();
        if ($value === null) {
            return 'Not measured: '.implode(', ', $margin->missing).' is missing.';
        }
        $distance = $units->show(Quantity::base(abs($margin->limit->distanceInside($value->base)), $value->dimension));
        $sentence = match ($margin->verdict) {
            Verdict::Inside, Verdict::InsideClose => sprintf('Inside by %s.', $distance),
            Verdict::Outside, Verdict::OutsideClose => sprintf('Outside by %s.', $distance),
            default => sprintf('%s straddles the limit.%s', QuantityView::uncertain($value, $units)->shown, self::improve($margin)),
        };

        return $margin->isNoted() ? $sentence.' So much travel leaves the coils loosely controlled and can hide other faults.' : $sentence;
    }

    /** The input that carries most of the uncertainty, and the gauge it came from. */
    private static function improve(Margin $margin): string
    {
        $shares = $margin->trace?->shares() ?? [];
        arsort($shares);
        $name = array_key_first($shares);
        $given = $name === null ? null : $margin->trace?->values->given[$name][0];

        return $given === null ? '' : sprintf(' Measure the %s better: it came from %s and carries %.0f %% of the uncertainty.', str_replace('_', ' ', $name), $given->origin, 100 * $shares[$name]);
    }
}
