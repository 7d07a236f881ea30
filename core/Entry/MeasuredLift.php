<?php

declare(strict_types=1);

namespace MuteTapper\Core\Entry;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Quantity\Dimension;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Uncertain;
use MuteTapper\Core\Quantity\Unit;

/** A lobe turned under an indicator on its follower: lift over the degrees of the wheel, as it came. One entry, kept whole. */
final readonly class MeasuredLift
{
    public const ITEM = 'lift';
    private const MOST = 1500;
    /** Counted on from any mark, either way and past a full turn. */
    private const DEGREES = [-720.0, 1440.0];
    /** A lobe lifts no more, and an indicator stands no further below its nought, in metres. */
    private const LIFTS = [-0.0005, 0.025];

    /** @param non-empty-list<array{float, float}> $points degree of the wheel and lift in the unit as it came, degrees rising */
    private function __construct(
        public array $points,
        public DegreeWheel $wheel,
        public Unit $unit,
        public Gauge $gauge,
        private string $entryId,
    ) {
    }

    /** @throws BadDocument naming the point */
    public static function fromNode(Node $data, string $entryId = ''): self
    {
        $unit = $data->get('liftUnit')->choice(Unit::class);
        if ($unit->dimension() !== Dimension::Length) {
            throw BadDocument::at('/liftUnit', 'a lift is a length.');
        }
        $points = self::rising(Pairs::of(
            $data->get('points'), self::MOST, 'a degree and a lift',
            static function (Node $degree, Node $lift) use ($unit): void {
                Pairs::within($degree, $degree->number(), self::DEGREES, 'a wheel has 360 degrees.');
                Pairs::within($lift, $lift->number() * $unit->baseFactor(), self::LIFTS, 'no lobe lifts so: 0 to 25 mm are accepted.');
            },
        ));

        return new self(
            $points === [] ? throw BadDocument::at('/points', 'the table is empty.') : $points,
            $data->get('wheel')->choice(DegreeWheel::class), $unit, Gauge::fromNode($data->get('gauge')), $entryId,
        );
    }

    /** The slot of the lift of a lobe, or of all lobes of a kind. */
    public static function slot(string $place): Slot
    {
        return new Slot($place, Part::Lobe->value, self::ITEM);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'points' => $this->points, 'wheel' => $this->wheel->value, 'liftUnit' => $this->unit->value, 'gauge' => $this->gauge->toArray(),
        ];
    }

    /** @return non-empty-list<Uncertain> degrees of the cam, as exact as the wheel’s marks */
    public function degrees(): array
    {
        return array_map(
            fn (array $point): Uncertain => Uncertain::exact(Quantity::of($this->wheel->inCam($point[0]), Unit::Degree)), $this->points,
        );
    }

    /** @return non-empty-list<Uncertain> at the lobe, by degree */
    public function lifts(): array
    {
        return array_map(
            fn (array $point, int $i): Uncertain => $this->gauge->reading(Quantity::of($point[1], $this->unit), $this->entryId.'#'.$i),
            $this->points, array_keys($this->points),
        );
    }

    /**
     * Turned either way, and past the mark of a full turn.
     *
     * @param list<array{float, float}> $points
     *
     * @return list<array{float, float}>
     */
    private static function rising(array $points): array
    {
        $turns = 0;
        $unwound = [];
        foreach ($points as $i => [$degree, $lift]) {
            $before = $points[$i - 1][0] ?? $degree;
            $turns += abs($before - $degree) <= 180 ? 0 : ($before > $degree ? 360 : -360);
            $unwound[] = [$degree + $turns, $lift];
        }

        return $unwound !== [] && $unwound[0][0] > $unwound[count($unwound) - 1][0] ? array_reverse($unwound) : $unwound;
    }
}
