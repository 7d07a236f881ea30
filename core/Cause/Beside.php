<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** What an explanation does not explain, and what else may be wrong beside it. A second fault seldom wins as a pair: it shows here. [own] */
final readonly class Beside
{
    /** A sign that an explanation brought about with less than this is left over by it. */
    public const BROUGHT_ABOUT = 0.5;
    /** What a further cause must gain with the first fixed, in decibans. */
    public const FURTHER_GAIN = 10.0;
    /** What explains nothing by itself explains nothing beside another: in decibans. */
    private const ALONE = 3.0;
    private const PLACES_TRIED = 3;

    public function __construct(private Model $model, private Explanations $explanations)
    {
    }

    /**
     * @param list<PlacedCause> $members
     *
     * @return list<LeftOver>
     */
    public function leftOver(array $members): array
    {
        $left = [];
        foreach ($this->model->items as $laid) {
            $item = $laid->item;
            if (!$item->isPresent || $item->ratio <= 1.0) {
                continue;
            }
            $places = $laid->isPlaced ? $item->places : [];
            if ($this->model->broughtAbout($item->sign, ...$members) < self::BROUGHT_ABOUT) {
                $left[] = new LeftOver($item->sign, true, $places);
                continue;
            }
            $led = $this->model->ledTo($item->sign, ...$members);
            $outside = array_values(array_filter(
                $places, fn (string $place): bool => $led === null || !$this->model->ground->covered($place)->touches($led),
            ));
            if ($outside !== []) {
                $left[] = new LeftOver($item->sign, false, $outside);
            }
        }

        return $left;
    }

    /**
     * With the (likelier) first cause of an explanation fixed, what else would explain something; beside a pair, what neither
     * member explains.
     *
     * @param non-empty-list<PlacedCause> $members likelier first
     *
     * @return list<FurtherCause> greatest gain first
     */
    public function further(array $members): array
    {
        $further = [];
        foreach (array_keys($this->model->network->causes) as $cause) {
            if (!in_array($cause, array_map(static fn (PlacedCause $one): string => $one->cause, $members), true)) {
                $further[] = $this->gained($cause, $members);
            }
        }
        $further = array_values(array_filter($further, static fn (?FurtherCause $one): bool => $one !== null));
        usort(
            $further,
            static fn (FurtherCause $a, FurtherCause $b): int => [$b->gain, $a->placed->cause] <=> [$a->gain, $b->placed->cause],
        );

        return array_map(fn (FurtherCause $one): FurtherCause => $this->explaining($one, $members[0]), $further);
    }

    /** @param non-empty-list<PlacedCause> $members */
    private function gained(string $cause, array $members): ?FurtherCause
    {
        $tried = [];
        foreach ($this->model->placed($cause) as $placed) {
            $alone = $this->explanations->gain($placed);
            if ($alone >= self::ALONE) {
                $tried[] = [$alone + 10 * log10($placed->share), $placed];
            }
        }
        usort($tried, static fn (array $a, array $b): int => $b[0] <=> $a[0]);
        $best = null;
        foreach (array_slice($tried, 0, self::PLACES_TRIED) as [, $placed]) {
            $gain = min(array_map(
                fn (PlacedCause $member): float => 10 * log10(
                    $this->model->likelihood($member, $placed) / $this->model->likelihood($member),
                ), $members,
            ));
            if ($gain >= self::FURTHER_GAIN && $gain > ($best->gain ?? 0.0)) {
                $best = new FurtherCause($placed, $gain, null);
            }
        }

        return $best;
    }

    /** Names the sign of which the further cause explains most that the first does not. */
    private function explaining(FurtherCause $further, PlacedCause $first): FurtherCause
    {
        $explains = null;
        $most = 0.0;
        foreach ($this->model->items as $laid) {
            if ($laid->item->isPresent && $laid->item->ratio > 1.0) {
                $more = $this->model->broughtAbout($laid->item->sign, $first, $further->placed)
                    - $this->model->broughtAbout($laid->item->sign, $first);
                $more *= log($laid->item->ratio);
                if ($more > $most) {
                    [$most, $explains] = [$more, $laid->item->sign];
                }
            }
        }

        return new FurtherCause($further->placed, $further->gain, $explains);
    }
}
