<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

/** Where an input of a way comes from: a named value at the same place, seen in one of several respects. */
final readonly class From
{
    private function __construct(
        public string $name,
        public Respect $respect,
        public ?string $key = null,
        public ?Peers $peers = null,
        public ?string $called = null,
        public int $least = 1,
    ) {
    }

    /** The value under the same index as far as it has one, or with this key in it. */
    public static function value(string $name, ?string $key = null): self
    {
        return new self($name, Respect::Value, $key);
    }

    /** The value only where it rests on a reading. */
    public static function measured(string $name): self
    {
        return new self($name, Respect::Measured);
    }

    /** What is claimed of it. */
    public static function claim(string $name): self
    {
        return new self($name, Respect::Claim);
    }

    /** The height at which it was read. */
    public static function height(string $name): self
    {
        return new self($name, Respect::Height);
    }

    /** The height at which it is claimed. */
    public static function claimedHeight(string $name): self
    {
        return new self($name, Respect::ClaimedHeight);
    }

    /** The values of all of a set. */
    public static function peers(string $name, Peers $peers): self
    {
        return new self($name, Respect::Peers, null, $peers);
    }

    /** The values under every index that this place has beneath the present one; fewer than so many are too few. */
    public static function every(string $name, int $least = 1): self
    {
        return new self($name, Respect::Every, least: $least);
    }

    /** The value on the oldest sheet on which it is known. */
    public static function oldest(string $name): self
    {
        return new self($name, Respect::Oldest);
    }

    /** The value on the newest sheet; that of this case, where it is known there. */
    public static function newest(string $name): self
    {
        return new self($name, Respect::Newest);
    }

    /** The value of the cam that moves the valve. */
    public static function itsCam(string $name): self
    {
        return new self($name, Respect::OfItsCam);
    }

    /** The heights at which the spring was swept; the value names the load of which it is a sweep. */
    public static function sweptHeights(string $load): self
    {
        return new self($load, Respect::SweptHeights);
    }

    /** The loads of the sweep, by height. */
    public static function sweptLoads(string $load): self
    {
        return new self($load, Respect::SweptLoads);
    }

    /** The cam degrees at which a lobe was measured; the value names what a lobe has alone. */
    public static function measuredDegrees(): self
    {
        return new self('lobe_lift', Respect::MeasuredDegrees);
    }

    /** The lifts of a lobe, by degree. */
    public static function measuredLifts(): self
    {
        return new self('lobe_lift', Respect::MeasuredLifts);
    }

    /** What is said to be missing when it is. */
    public function called(string $words): self
    {
        return new self($this->name, $this->respect, $this->key, $this->peers, $words, $this->least);
    }
}
