<?php

declare(strict_types=1);

namespace MuteTapper\App\Before;

use MuteTapper\Core\Before\Health;
use MuteTapper\Core\Before\HealthCheck;
use MuteTapper\Core\Sheet\Bench;
use MuteTapper\Core\Verdict\Margin;
use OpenApi\Attributes as OA;

/** Whether an engine that has not failed is ready to run. */
#[OA\Schema]
final readonly class HealthView
{
    /**
     * @param bool|null $isReady null where it cannot be told
     * @param list<HealthCheckView> $checks
     */
    private function __construct(public ?bool $isReady, public string $sentence, public array $checks)
    {
    }

    public static function of(Bench $bench): self
    {
        $health = Health::of($bench);
        $checks = array_map(static fn (HealthCheck $one): HealthCheckView => new HealthCheckView(
            $one->name, $one->isGood, self::named($one->bad, $bench), self::named($one->doubtful, $bench), self::named($one->near, $bench),
            $one->measured,
        ), $health->checks);

        return new self($health->isReady(), self::sentence($health), $checks);
    }

    /**
     * @param list<Margin> $margins
     *
     * @return list<string> a line a limit, with where it is so
     */
    private static function named(array $margins, Bench $bench): array
    {
        $places = [];
        foreach ($margins as $margin) {
            $places[$margin->limit->title][] = $bench->case->engine->placeLabel($margin->place) ?? $margin->place;
        }

        return array_map(
            static fn (string $title, array $labels): string => sprintf('%s at %s', $title, implode(', ', array_unique($labels))),
            array_keys($places), $places,
        );
    }

    private static function sentence(Health $health): string
    {
        $named = static fn (?bool $state): string => implode(', ', array_map(
            static fn (HealthCheck $one): string => $one->name,
            array_filter($health->checks, static fn (HealthCheck $one): bool => $one->isGood === $state),
        ));
        $runOut = array_map(
            static fn (Margin $one): string => $one->limit->title,
            array_values(array_filter($health->clocks, static fn (Margin $one): bool => $one->isOutside())),
        );

        return match ($health->isReady()) {
            true => sprintf('Ready to run: %s are good.', $named(true)),
            false => sprintf('Not ready: %s.', implode('; ', [...($named(false) === '' ? [] : [$named(false)]), ...$runOut])),
            null => sprintf('Not known yet: %s.', $named(null)),
        };
    }
}
