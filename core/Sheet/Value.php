<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Fineness;

/**
 * A named value of a site: one namespace over all sheets. Ways to it are tried in this order: read · computed with a reading
 * among its inputs · claimed · computed from claims alone · assumed.
 */
final readonly class Value
{
    /**
     * @param list<Way> $ways
     * @param string|null $short head under which a sheet shows it beside the readings; null where it has no column
     */
    private function __construct(
        public string $name,
        public string $title,
        public Dimension $dimension,
        public Site $site,
        public Index $index,
        public array $ways = [],
        public Fineness $fineness = Fineness::Usual,
        public ?string $short = null,
        public ?Column $column = null,
        public bool $isOfPair = false,
    ) {
    }

    public static function named(string $name, string $title, Dimension $dimension, Site $site = Site::Station, Axis ...$axes): self
    {
        return new self($name, $title, $dimension, $site, Index::of(...$axes));
    }

    /** What a column reads, as a value. */
    public static function read(Column $column): self
    {
        return new self(
            $column->code, $column->label, $column->dimension(), $column->site, $column->index,
            $column->ways, $column->fineness, $column->computedHead, $column, $column->isOfPair,
        );
    }

    public function by(Way ...$ways): self
    {
        return new self(
            $this->name, $this->title, $this->dimension, $this->site, $this->index, array_values($ways), $this->fineness, $this->short,
            $this->column, $this->isOfPair,
        );
    }

    public function shownIn(Fineness $fineness): self
    {
        return new self(
            $this->name, $this->title, $this->dimension, $this->site, $this->index, $this->ways, $fineness, $this->short, $this->column,
            $this->isOfPair,
        );
    }

    /** It is known of outer and inner spring together, too, where that is what was specified. */
    public function ofPairToo(): self
    {
        return new self(
            $this->name, $this->title, $this->dimension, $this->site, $this->index, $this->ways, $this->fineness, $this->short,
            $this->column, true,
        );
    }

    public function headed(string $short): self
    {
        return new self(
            $this->name, $this->title, $this->dimension, $this->site, $this->index, $this->ways, $this->fineness, $short, $this->column,
            $this->isOfPair,
        );
    }
}
