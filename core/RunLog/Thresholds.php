<?php

declare(strict_types=1);

namespace MuteTapper\Core\RunLog;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;

/** From where on something in a log is an event. All are settings of the person who reads it. */
final readonly class Thresholds
{
    /** Oil pressure wanted per 1000 turns a minute, bar: ten pounds a thousand. [practice] */
    private const OIL_PER_THOUSAND = 0.69;
    private const HOT_OIL = 130.0;
    private const NO_INTENDED_SPEED = 7000.0;

    /**
     * @param float $overSpeed turns a minute above which the engine was over-sped
     * @param float|null $limiter turns a minute at which the limiter cuts
     * @param float $oilPerThousand least oil pressure, bar per 1000 turns a minute
     * @param float $oilTemperature °C
     */
    private function __construct(
        public float $overSpeed,
        public ?float $limiter,
        public float $oilPerThousand,
        public float $oilTemperature,
    ) {
    }

    public static function usual(Engine $engine): self
    {
        return new self($engine->intendedSpeed ?? self::NO_INTENDED_SPEED, $engine->intendedSpeed, self::OIL_PER_THOUSAND, self::HOT_OIL);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $within = static function (string $key, float $least, float $most) use ($node): float {
            $number = $node->get($key)->number();

            return $number >= $least && $number <= $most
                ? $number
                : throw BadDocument::at(
                    $node->pointer.'/'.$key, sprintf('%s is not plausible; accepted is %s to %s.', $number, $least, $most),
                );
        };

        return new self(
            $within('over_speed', 500, 30000), $node->has('limiter') ? $within('limiter', 500, 30000) : null,
            $within('oil_per_thousand', 0, 5), $within('oil_temperature', 40, 250),
        );
    }

    /** @return array<string, float|null> */
    public function toArray(): array
    {
        return [
            'over_speed' => $this->overSpeed, 'limiter' => $this->limiter, 'oil_per_thousand' => $this->oilPerThousand,
            'oil_temperature' => $this->oilTemperature,
        ];
    }
}
