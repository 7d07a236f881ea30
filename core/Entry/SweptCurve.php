<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** A spring pressed on a tester from one height to another: the load at every height, as it came. One entry, kept whole. */
final readonly class SweptCurve
{
    public const ITEM = 'sweep';
    /** Fewer points are single loads, not a curve. [own] */
    public const LEAST = 8;
    private const MOST = 2000;
    /** Heights that a tester can stand at, in metres. */
    private const HEIGHTS = [0.005, 0.1];
    /** Loads of valve springs, and a tester's zero a little below nothing, in newtons. */
    private const LOADS = [-50.0, 50000.0];

    /**
     * @param non-empty-list<array{float, float}> $points height and load in the units as they came, greatest height first
     * @param bool $isReceived the tester sent it; nobody typed it
     */
    private function __construct(
        public array $points,
        public Unit $heightUnit,
        public Unit $loadUnit,
        public Gauge $gauge,
        public bool $isReceived,
        private string $entryId,
    ) {
    }

    /** @throws BadDocument naming the point */
    public static function fromNode(Node $data, string $entryId = ''): self
    {
        $heightUnit = $data->get('heightUnit')->choice(Unit::class);
        $loadUnit = $data->get('loadUnit')->choice(Unit::class);
        if ($heightUnit->dimension() !== Dimension::Length) {
            throw BadDocument::at('/heightUnit', 'a height is a length.');
        }
        if ($loadUnit->dimension() !== Dimension::Force) {
            throw BadDocument::at('/loadUnit', 'a load is a force.');
        }
        $points = Pairs::of(
            $data->get('points'), self::MOST, 'a height and a load',
            static function (Node $height, Node $load) use ($heightUnit, $loadUnit): void {
                Pairs::within(
                    $height, $height->number() * $heightUnit->baseFactor(), self::HEIGHTS, 'a spring on a tester is 5 to 100 mm high.',
                );
                Pairs::within($load, $load->number() * $loadUnit->baseFactor(), self::LOADS, 'no valve spring presses like that.');
            },
        );
        if (count($points) < self::LEAST) {
            throw BadDocument::at('/points', sprintf('a sweep has at least %d points; fewer are loads of their own.', self::LEAST));
        }
        usort($points, static fn (array $one, array $other): int => $other[0] <=> $one[0]);
        if ($points[0][0] === $points[count($points) - 1][0]) {
            throw BadDocument::at('/points', 'every point has the same height.');
        }

        return new self(
            $points, $heightUnit, $loadUnit, Gauge::fromNode($data->get('gauge')), $data->maybe('received')?->flag() ?? false, $entryId,
        );
    }

    /** The slot of a spring's sweep, or null where no spring is tested by itself. */
    public static function slot(string $place, ?string $index): ?Slot
    {
        return in_array($index, Coil::PAGES, true) ? new Slot($place, Part::Spring->value, self::ITEM, $index) : null;
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'points' => $this->points, 'heightUnit' => $this->heightUnit->value, 'loadUnit' => $this->loadUnit->value,
            'gauge' => $this->gauge->toArray(),
        ] + ($this->isReceived ? ['received' => true] : []);
    }

    /** @return non-empty-list<Uncertain> the greatest first; set on the tester's own scale and taken as exact, as the height of a single load is */
    public function heights(): array
    {
        return array_map(fn (array $point): Uncertain => Uncertain::exact(Quantity::of($point[0], $this->heightUnit)), $this->points);
    }

    /** @return non-empty-list<Uncertain> by height */
    public function loads(): array
    {
        return array_map(
            fn (array $point, int $i): Uncertain => $this->gauge->reading(
                Quantity::of($point[1], $this->loadUnit), $this->entryId.'#'.$i,
            ),
            $this->points, array_keys($this->points),
        );
    }
}
