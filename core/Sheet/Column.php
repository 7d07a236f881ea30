<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\PlausibleRange;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;

/**
 * What may be typed into a sheet: a quantity of a part, with its index, its plausible range and its usual gauge. Immutable:
 * each of the methods that describe it gives a copy.
 */
final class Column
{
    public const MIDDLE = '_middle';
    public const FROM_MIDDLE = '_from_middle';
    /** Fewer of a kind have no middle value worth comparing with. [practice] */
    public const LEAST_SET = 4;

    /** @phpstan-readonly-allow-private-mutation */
    public PlausibleRange $range;
    /** @phpstan-readonly-allow-private-mutation */
    public string $short;
    /** @phpstan-readonly-allow-private-mutation */
    public Site $site;
    /** @phpstan-readonly-allow-private-mutation */
    public Index $index;
    /** @phpstan-readonly-allow-private-mutation */
    public string $gauge = 'caliper';
    /** @phpstan-readonly-allow-private-mutation */
    public Fineness $fineness = Fineness::Usual;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isAtHeight = false;
    /** @phpstan-readonly-allow-private-mutation */
    public ?string $usualHeight = null;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isReadable = true;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isClaimable = false;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isComparedWithClaim = false;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isOfPair = false;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isNeededInClaim = false;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isForDual = false;
    /**
     * Name of the value that limits its departure from the claim, where that is known.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $departureLimit = null;
    /** @phpstan-readonly-allow-private-mutation */
    public ?string $computedHead = null;
    /** @phpstan-readonly-allow-private-mutation */
    public bool $isComparedWithSet = false;
    /**
     * Why it is written down although no value follows from it and nothing judges it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $recordOnly = null;
    /**
     * Why the judgement does not hear it, although values follow from it.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?string $noEvidence = null;
    /**
     * Ways to its value, besides reading and claim.
     *
     * @var list<Way>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $ways = [];
    /**
     * What it goes up or down with, inch for inch, by the name of the value.
     *
     * @var array<string, int>
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public array $movesWith = [];
    /**
     * How it is tried, where something else in its place is tried.
     *
     * @phpstan-readonly-allow-private-mutation
     */
    public ?Slider $slider = null;
    /** @var (\Closure(Engine): bool)|null engines that have it */
    private ?\Closure $on = null;

    private function __construct(
        public readonly string $code,
        public readonly string $label,
        public readonly Part $part,
        PlausibleRange $range,
    ) {
        $this->range = $range;
        $this->short = $label;
        $this->site = $part->site();
        $this->index = Index::none();
    }

    /** Lengths, with their plausible range in inches. A label, where it is not the code in words. */
    public static function length(string $code, Part $part, float $least, float $most, ?string $label = null): self
    {
        return self::of($code, $part, $least, $most, Unit::Inch, $label);
    }

    /** Forces, with their plausible range in pounds. */
    public static function force(string $code, Part $part, float $least, float $most, ?string $label = null): self
    {
        return self::of($code, $part, $least, $most, Unit::PoundForce, $label);
    }

    public static function of(string $code, Part $part, float $least, float $most, Unit $unit, ?string $label = null): self
    {
        return new self(
            $code, $label ?? str_replace('_', ' ', $code), $part,
            new PlausibleRange(Quantity::of($least, $unit), Quantity::of($most, $unit)),
        );
    }

    /** The head of its column. */
    public function headed(string $short): self
    {
        return $this->with(static function (self $copy) use ($short): void { $copy->short = $short; });
    }

    /** Beside the readings it stands as computed, too, under this head. */
    public function computedUnder(string $head): self
    {
        return $this->with(static function (self $copy) use ($head): void { $copy->computedHead = $head; });
    }

    /** What has one such reading each, where it is not the part's own site. */
    public function ofEach(Site $site): self
    {
        return $this->with(static function (self $copy) use ($site): void { $copy->site = $site; });
    }

    public function at(Axis ...$axes): self
    {
        return $this->with(static function (self $copy) use ($axes): void { $copy->index = Index::of(...$axes); });
    }

    /** The gauge that usually reads it, by its code in the library. */
    public function by(string $gauge): self
    {
        return $this->with(static function (self $copy) use ($gauge): void { $copy->gauge = $gauge; });
    }

    public function shownIn(Fineness $fineness): self
    {
        return $this->with(static function (self $copy) use ($fineness): void { $copy->fineness = $fineness; });
    }

    /** A figure such as one meets, in the unit of the range: for examples in refusals, and for the simulated gauges. */
    public function usually(float $figure, Unit $unit = Unit::Inch): self
    {
        return $this->with(static function (self $copy) use ($figure, $unit): void {
            $copy->range = new PlausibleRange($copy->range->least, $copy->range->most, Quantity::of($figure, $unit));
        });
    }

    /**
     * Each reading carries the height at which it was taken.
     *
     * @param string|null $usual value whose claim is that height, where nothing else is said
     */
    public function atHeight(?string $usual = null): self
    {
        return $this->with(static function (self $copy) use ($usual): void {
            $copy->isAtHeight = true;
            $copy->usualHeight = $usual;
        });
    }

    /** The build as claimed can state it, and what is found is held against it. */
    public function claimable(): self
    {
        return $this->with(static function (self $copy): void { $copy->isClaimable = $copy->isComparedWithClaim = true; });
    }

    /** It can be stated, and is compared in a way of its own, or not at all. */
    public function statable(): self
    {
        return $this->with(static function (self $copy): void { $copy->isClaimable = true; });
    }

    /** Held against the middle value of its kind: what differs is another part, or has changed. */
    public function comparedWithSet(): self
    {
        return $this->with(static function (self $copy): void { $copy->isComparedWithSet = true; });
    }

    /** Values follow from it, and none of them says what happened. */
    public function noEvidence(string $reason): self
    {
        return $this->with(static function (self $copy) use ($reason): void { $copy->noEvidence = $reason; });
    }

    /** No value follows from it and nothing judges it: it is written down for this reason. */
    public function recordOnly(string $reason): self
    {
        return $this->with(static function (self $copy) use ($reason): void { $copy->recordOnly = $reason; });
    }

    /** How far it may lie from its claim follows from this value, where that is known. */
    public function departingAtMost(string $value): self
    {
        return $this->with(static function (self $copy) use ($value): void { $copy->departureLimit = $value; });
    }

    /** It may be stated of outer and inner spring together. */
    public function ofPairToo(): self
    {
        return $this->with(static function (self $copy): void { $copy->isOfPair = true; });
    }

    /** Only where one spring stands inside another. */
    public function forDual(): self
    {
        return $this->with(static function (self $copy): void { $copy->isForDual = true; });
    }

    /** Where it is not claimed, that is said. */
    public function neededInClaim(): self
    {
        return $this->with(static function (self $copy): void { $copy->isNeededInClaim = true; });
    }

    /** It is stated or computed, and never read at a bench. */
    public function neverRead(): self
    {
        return $this->with(static function (self $copy): void { $copy->isReadable = false; });
    }

    /** @param \Closure(Engine): bool $on engines that have it */
    public function on(\Closure $on): self
    {
        return $this->with(static function (self $copy) use ($on): void { $copy->on = $on; });
    }

    /** Ways to its value where it was not read. */
    public function orElse(Way ...$ways): self
    {
        return $this->with(static function (self $copy) use ($ways): void { $copy->ways = array_values($ways); });
    }

    /**
     * What it goes up with (1) or down with (-1) where something is changed: a height taken from the spring's face sinks as that rises.
     *
     * @param array<string, int> $values
     */
    public function movingWith(array $values): self
    {
        return $this->with(static function (self $copy) use ($values): void { $copy->movesWith = $values; });
    }

    /** It can be tried as something else: so far, and in such steps. */
    public function triedOn(Slider $slider): self
    {
        return $this->with(static function (self $copy) use ($slider): void { $copy->slider = $slider; });
    }

    public function dimension(): Dimension
    {
        return $this->range->dimension();
    }

    public function isFittedTo(Engine $engine): bool
    {
        return $this->on === null || ($this->on)($engine);
    }

    public function slot(string $place, ?string $index = null): Slot
    {
        return new Slot($place, $this->part->value, $this->code, $index);
    }

    public function claimSlot(string $place, ?string $index = null): Slot
    {
        return new Slot($place, $this->part->value, Claim::CLAIMED.$this->code, $index);
    }

    /** The plausible range of the test height of a load. */
    public static function testHeightRange(): PlausibleRange
    {
        return new PlausibleRange(Quantity::of(0.4, Unit::Inch), Quantity::of(3.5, Unit::Inch));
    }

    /**
     * The one rule that decides whether a slot is that of a reading, or of a claim, of this column.
     *
     * @throws BadDocument naming the member of the slot that does not fit
     */
    public function accept(Slot $slot, Engine $engine, bool $asClaim): void
    {
        if ($asClaim ? !$this->isClaimable : !$this->isReadable) {
            throw BadDocument::at(
                '/slot/item',
                sprintf(
                    $asClaim ? '“%s” is not a figure of the build as claimed.' : '“%s” is claimed or computed, not read.', $this->label,
                ),
            );
        }
        if ($slot->part !== $this->part->value) {
            throw BadDocument::at(
                '/slot/part',
                sprintf('the %s is of the part “%s”, not of “%s”.', $this->label, $this->part->value, $slot->part),
            );
        }
        $isLoose = $this->part->isTestedLoose() && $this->site === Site::Station && Place::asLoose($slot->place) !== null;
        if (!$asClaim && !$isLoose && !in_array($slot->place, $engine->sites($this->site), true)) {
            throw BadDocument::at(
                '/slot/place',
                sprintf('each %s has its own %s; “%s” is none.', $this->site->value, $this->label, $slot->place),
            );
        }
        if (!$asClaim && $slot->index === Coil::Pair->value) {
            throw BadDocument::at(
                '/slot/index',
                sprintf('the %s of two springs together is stated, not read: each is tested by itself.', $this->label),
            );
        }
        if ($this->index->split($slot->index, $engine) === null) {
            $axes = implode(' and ', array_map(static fn (Axis $axis): string => $axis->value, $this->index->axes));
            throw BadDocument::at('/slot/index', $axes === ''
                ? sprintf('the %s has no index.', $this->label)
                : sprintf('“%s” is no index of the %s: it goes by %s.', $slot->index ?? '', $this->label, $axes));
        }
    }

    /** @param \Closure(self): void $describe */
    private function with(\Closure $describe): self
    {
        $copy = clone $this;
        $describe($copy);

        return $copy;
    }
}
