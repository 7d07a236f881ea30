<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Strength;

/** How likely each mechanism is whatever its root, and whether it is established. */
final class Mechanisms
{
    /** A mechanism of this probability is established, if it left a mark of its own and nothing denies it. */
    public const ESTABLISHED = 0.9;
    /** A looked-for mark that weighs less than this where the others are denies its mechanism. */
    public const DENIED_BELOW = 0.1;
    /** How many of the likeliest explanations they are weighed over. */
    public const WEIGHED = 12;

    /** @var array<string, float> */
    private array $known = [];

    public function __construct(private readonly Model $model, private readonly Explanations $explanations)
    {
    }

    /** @return array<string, float> by event, likeliest first */
    public function probabilities(): array
    {
        $found = [];
        foreach ($this->model->events as $event) {
            $found[$event] = $this->probability($event);
        }
        arsort($found);

        return $found;
    }

    /** Over the likeliest explanations; what stays unexplained counts as "none". */
    public function probability(string $event): float
    {
        $this->reaches(0.0, $event);

        return $this->known[$event];
    }

    /** Whether an event is at least so probable, as far as it takes to tell: what some explanations miss the others cannot make good. */
    private function reaches(float $least, string $event): bool
    {
        if (isset($this->known[$event])) {
            return $this->known[$event] >= $least;
        }
        $weighed = array_slice($this->explanations->reduced, 0, self::WEIGHED);
        $whole = array_sum(array_column($weighed, 'probability')) + $this->explanations->unexplained;
        $sum = $missed = 0.0;
        foreach ($weighed as $explanation) {
            $probability = $this->model->eventProbability($event, ...$explanation->members);
            $sum += $explanation->probability * $probability;
            $missed += $explanation->probability * (1 - $probability);
            if ($missed > (1 - $least) * $whole + 1e-9) { // more than is lost in adding up
                return false;
            }
        }
        $this->known[$event] = ($sum + $this->explanations->unexplained * $this->model->eventProbability($event)) / $whole;

        return $this->known[$event] >= $least;
    }

    /** @return list<string> likeliest first */
    public function established(): array
    {
        $established = [];
        foreach ($this->model->events as $event) {
            if ($this->hasOwnMark($event) && !$this->isDenied($event) && $this->reaches(self::ESTABLISHED, $event)) {
                $established[$event] = $this->probability($event);
            }
        }
        arsort($established);

        return array_keys($established);
    }

    private function hasOwnMark(string $event): bool
    {
        foreach ($this->model->marksOf($event) as [$laid, $link]) {
            if (self::isOwnMark($laid, $link) && !$laid->item->isReport) {
                return true;
            }
        }

        return false;
    }

    /** Whether what was recorded of a sign shows the cause or mechanism that left it: it is there surely, and is often left by it. */
    public static function isOwnMark(LaidItem $laid, Link $link): bool
    {
        $isSure = $laid->item->kind !== ItemKind::Bench || $laid->item->confidence >= self::ESTABLISHED;

        return $laid->item->isPresent && $isSure && $link->probability >= Strength::Often->probability();
    }

    private function isDenied(string $event): bool
    {
        $marked = StationSet::none($this->model->ground->all->size);
        foreach ($this->model->marksOf($event) as [$laid]) {
            $marked = $marked->or($laid->marked);
        }
        foreach ($this->model->marksOf($event) as [$laid, $link]) {
            if ($link->strength !== Strength::NearlyAlways || $laid->item->isPresent || $laid->item->isRelative) {
                continue;
            }
            foreach ($laid->looks as [$ratio, $covered]) {
                if ($ratio < self::DENIED_BELOW && $covered->touches($marked)) {
                    return true;
                }
            }
        }

        return false;
    }
}
