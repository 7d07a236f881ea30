<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** The causes ranked on the evidence of a case. Probabilities keep evidence in order; they are not frequencies of failure. */
final class Ranking
{
    /** @var list<RankedCause> most probable first */
    public readonly array $causes;
    /** @var list<string> events that are established whichever of their roots it was */
    public readonly array $established;
    public readonly Named $named;
    /** @var list<Explanation> reduced, most probable first */
    public readonly array $explanations;
    public readonly float $unexplained;
    public readonly Explanations $weighed;
    private readonly Mechanisms $mechanisms;
    /** @var list<FurtherCause>|null */
    private ?array $further = null;
    /** @var list<LeftOver>|null */
    private ?array $leftOver = null;

    public function __construct(public readonly Model $model)
    {
        $this->weighed = new Explanations($model);
        $this->explanations = $this->weighed->reduced;
        $this->unexplained = $this->weighed->unexplained;
        $this->mechanisms = new Mechanisms($model, $this->weighed);
        $this->established = $this->mechanisms->established();
        $this->named = (new Naming($model, $this->weighed))->name($this->established !== []);
        $causes = [];
        foreach ($this->weighed->best as $code => $best) {
            $causes[] = new RankedCause(
                $model->network->causes[$code], $this->weighed->ofCause[$code] ?? 0.0, $this->weighed->gain($best), $best,
            );
        }
        usort(
            $causes, static fn (RankedCause $a, RankedCause $b): int => [$b->probability, $b->gain, $a->cause->code] <=> [
                $a->probability, $a->gain, $b->cause->code,
            ],
        );
        $this->causes = $causes;
    }

    public function standing(): Standing
    {
        return $this->named->standing;
    }

    /** @return list<string> the named causes; where none is, those that it is open between */
    public function leading(): array
    {
        return array_map(
            static fn (PlacedCause $one): string => $one->cause, $this->named->leading === [] ? $this->named->open : $this->named->leading,
        );
    }

    /** @return array<string, float> events with their probability, most probable first */
    public function mechanisms(): array
    {
        return $this->mechanisms->probabilities();
    }

    /** @return list<LeftOver> what the leading explanation, or the first of those that it is open between, does not explain */
    public function leftOver(): array
    {
        $first = $this->named->first();

        return $this->leftOver ??= $first === [] ? [] : (new Beside($this->model, $this->weighed))->leftOver($first);
    }

    /** @return list<FurtherCause> what else may be wrong beside the leading explanation */
    public function further(): array
    {
        $first = $this->named->first();
        $of = $this->weighed->ofCause;
        usort($first, static fn (PlacedCause $a, PlacedCause $b): int => $of[$b->cause] <=> $of[$a->cause]);

        return $this->further ??= $first === [] ? [] : (new Beside($this->model, $this->weighed))->further($first);
    }

    public function firstEvent(): ?FirstEvent
    {
        $first = $this->named->first();

        return $first === [] ? null : FirstEvent::of($this->model, $first);
    }
}
