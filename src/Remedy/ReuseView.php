<?php

declare(strict_types=1);

namespace MuteTapper\App\Remedy;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Remedy\OrderLine;
use MuteTapper\Core\Remedy\PartAdvice;
use MuteTapper\Core\Remedy\ReuseAdvice;
use OpenApi\Attributes as OA;

/** What becomes of each part, and what follows of it. */
#[OA\Schema]
final readonly class ReuseView
{
    /**
     * @param list<PartAdviceView> $parts
     * @param list<OrderLineView> $orders
     */
    private function __construct(public array $parts, public array $orders, public int $decided)
    {
    }

    public static function of(Assessment $assessment): self
    {
        $advice = ReuseAdvice::of($assessment->bench, $assessment->knowledge);
        $engine = $assessment->case->engine;

        return new self(
            array_map(static fn (PartAdvice $one): PartAdviceView => PartAdviceView::of($one, $engine), $advice),
            array_map(static fn (OrderLine $line): OrderLineView => OrderLineView::of($line, $engine), OrderLine::all($advice)),
            count(array_filter($advice, static fn (PartAdvice $one): bool => $one->decided !== null)),
        );
    }
}
