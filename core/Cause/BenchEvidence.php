<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Quantity\Normal;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Spring\SpringSheet;
use MuteTapper\Core\Verdict\Margin;

/**
 * What a bench margin says about the physical state, as a probability: not the verdict against a school's limit. A margin
 * below a limit is not yet contact, and a small margin does not acquit.
 */
final class BenchEvidence
{
    /**
     * Probability of a sign's physical state by station.
     *
     * @param string $state the sign's `bench` field: quantity, colon, state, such as `travel_to_bind:contact`
     * @param list<Margin> $margins
     *
     * @return array<string, float> only places at which it was measured
     */
    public static function probabilities(string $state, array $margins, SpringSheet $sheet): array
    {
        if ($state === '') {
            return [];
        }
        [$quantity, $what] = explode(':', $state);
        if ($quantity === 'inner_before_outer') {
            return self::innerBeforeOuter($sheet);
        }
        $found = [];
        foreach ($margins as $margin) {
            $matches = match ($quantity) {
                'load' => self::isBestLoadMargin($margin, $sheet),
                default => $margin->limit->quantity === $quantity,
            };
            $value = $margin->value();
            if ($matches && $value !== null) {
                $limit = $margin->limit->value()->base;
                $p = match ($what) {
                    'contact' => self::contact($value, $margin->limit->lowest()->base),
                    'low' => self::below($value, -$limit),
                    'high' => 1 - self::below($value, $limit),
                    'off' => self::below($value, -$limit) + 1 - self::below($value, $limit),
                    'short' => self::below($value, $limit),
                    default => throw new \LogicException('Unknown bench state '.$what),
                };
                $found[$margin->place] = max($found[$margin->place] ?? 0.0, $p);
            }
        }

        return $found;
    }

    /** @return array<string, float> probability that the inner spring has less travel than the outer */
    private static function innerBeforeOuter(SpringSheet $sheet): array
    {
        $found = [];
        foreach ($sheet->margins as $margin) {
            if ($margin->limit->quantity === 'travel_to_bind' && $margin->coil === 'inner') {
                $inner = $margin->value();
                $outer = $sheet->margin($margin->place, 'travel_to_bind', 'outer')?->value();
                if ($inner !== null && $outer !== null) {
                    $found[$margin->place] = self::below($inner->minus($outer), 0.0);
                }
            }
        }

        return $found;
    }

    /**
     * P(margin − a ≤ 0) with the running allowance a (loft, surge, stretch) uniform from 0 to `allowance`. Closed form of
     * the normal integral; never grows with the margin.
     */
    public static function contact(Uncertain $margin, float $allowance): float
    {
        $u = $margin->standard();
        if ($u <= 0.0) {
            return 1 - max(0.0, min(1.0, $margin->base / $allowance));
        }
        $area = static fn (float $z): float => $z * Normal::below($z) + Normal::density($z);

        return 1 - $u / $allowance * ($area($margin->base / $u) - $area(($margin->base - $allowance) / $u));
    }

    private static function below(Uncertain $value, float $bound): float
    {
        $u = $value->standard();

        return $u > 0.0 ? Normal::below(($bound - $value->base) / $u) : ($value->base < $bound ? 1.0 : 0.0);
    }

    /** A load's departures from specification and from the middle value are one item: specification goes before. */
    private static function isBestLoadMargin(Margin $margin, SpringSheet $sheet): bool
    {
        if ($margin->limit->quantity === 'load_from_claim') {
            return true;
        }

        return $margin->limit->quantity === 'load_from_middle' && $sheet->margin($margin->place, 'load_from_claim', $margin->coil)?->value() === null;
    }
}
