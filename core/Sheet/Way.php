<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Calculation\Basis;
use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Calculation\Given;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\ValveKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** How a named value comes about at a place by something else than a reading or a claim of its own. */
final readonly class Way
{
    /** Only where this curve was recorded; where it was not, it is not missing. */
    public ?EntryKind $curve;

    /**
     * @param array<string, From> $inputs by input of the calculation
     * @param (\Closure(Engine): ?Given)|null $fact
     * @param (\Closure(Engine): bool)|null $on
     * @param string|null $atKey a part of the index without which it does not apply
     * @param bool|null $ofDual only where one spring stands inside another, or only where none does
     * @param ValveKind|null $ofKind only at valves of this kind
     */
    private function __construct(
        public ?Calculation $calculation,
        public array $inputs,
        public ?From $same,
        public ?\Closure $fact,
        public ?\Closure $on,
        public ?string $atKey,
        public ?bool $ofDual = null,
        public ?ValveKind $ofKind = null,
    ) {
        $curves = array_filter(array_map(static fn (From $from): ?EntryKind => $from->respect->curve(), $inputs));
        $this->curve = $curves === [] ? null : reset($curves);
    }

    /** @param array<string, From> $inputs */
    public static function derived(Calculation $calculation, array $inputs): self
    {
        return new self($calculation, $inputs, null, null, null, null);
    }

    /** Nothing else than another value, under this name. */
    public static function same(From $value): self
    {
        return new self(null, [], $value, null, null, null);
    }

    /**
     * A fact of the engine's description, or a usual figure where nothing was said.
     *
     * @param \Closure(Engine): ?Given $fact
     */
    public static function fact(\Closure $fact): self
    {
        return new self(null, [], null, $fact, null, null);
    }

    /** A usual figure, good to a half-width either way, where nothing was said; by the description of the engine it is as claimed. */
    public static function usual(
        float $figure,
        Unit $unit,
        string $origin,
        float $halfWidth = 0.0,
        Basis $basis = Basis::Assumed,
    ): self {
        $given = new Given(
            Uncertain::of(Quantity::of($figure, $unit), [$origin => Uncertain::fromHalfWidth($halfWidth * $unit->baseFactor())]), $origin,
            $basis,
        );

        return self::fact(static fn (): Given => $given);
    }

    /**
     * What such engines usually have, good to a half-width either way: a guess, and said to be one.
     *
     * @param array<string, array{float, float}> $figures and their half-widths, by kind of drive
     *
     * @return list<self>
     */
    public static function typical(array $figures, Unit $unit): array
    {
        $ways = [];
        foreach ($figures as $drive => [$figure, $halfWidth]) {
            $ways[] = self::usual($figure, $unit, 'a guess: what such engines usually have', $halfWidth)->on(
                static fn (Engine $engine): bool => $engine->drive->value === $drive,
            );
        }

        return $ways;
    }

    /**
     * Only on engines such as these.
     *
     * @param \Closure(Engine): bool $on
     */
    public function on(\Closure $on): self
    {
        return new self(
            $this->calculation, $this->inputs, $this->same, $this->fact, $on, $this->atKey, $this->ofDual, $this->ofKind,
        );
    }

    /** Only where this key stands in the index. */
    public function at(string $key): self
    {
        return new self($this->calculation, $this->inputs, $this->same, $this->fact, $this->on, $key, $this->ofDual, $this->ofKind);
    }

    /** Only where one spring stands inside another. */
    public function whereDual(): self
    {
        return $this->ofSprings(true);
    }

    /** Only where a spring stands by itself. */
    public function whereSingle(): self
    {
        return $this->ofSprings(false);
    }

    /** Only at valves of this kind. */
    public function ofKind(ValveKind $kind): self
    {
        return new self($this->calculation, $this->inputs, $this->same, $this->fact, $this->on, $this->atKey, $this->ofDual, $kind);
    }

    private function ofSprings(bool $areDual): self
    {
        return new self($this->calculation, $this->inputs, $this->same, $this->fact, $this->on, $this->atKey, $areDual, $this->ofKind);
    }

    /** @param array<string, string> $parts of the index asked for */
    public function applies(Engine $engine, array $parts): bool
    {
        return ($this->on === null || ($this->on)($engine)) && ($this->atKey === null || in_array($this->atKey, $parts, true));
    }
}
