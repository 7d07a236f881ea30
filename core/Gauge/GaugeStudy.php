<?php

declare(strict_types=1);

namespace MuteTapper\Core\Gauge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Unit;

/**
 * What a gauge and those who use it are worth: every person reads every part as often, and the variance of the readings is shared
 * out by ANOVA, two crossed factors of chance with their interaction [pub: Montgomery, Design and Analysis of Experiments; the method
 * of the automotive MSA handbook; from memory]. A component that comes out below nothing is taken as nothing.
 */
final readonly class GaugeStudy
{
    private const MOST = 60;

    /**
     * @param float $repeatability standard deviation of one person's readings of one part, in the unit
     * @param float $persons of what persons differ by
     * @param float $interaction of what persons differ by from part to part
     * @param float $parts of the parts themselves
     */
    private function __construct(
        public Unit $unit,
        public int $people,
        public int $pieces,
        public int $repeats,
        public float $repeatability,
        public float $persons,
        public float $interaction,
        public float $parts,
    ) {
    }

    /**
     * @param Node $node unit, and readings: by person a list of parts, each a list of figures
     *
     * @throws BadDocument when a person, a part or a reading is missing, or there are too few
     */
    public static function fromNode(Node $node): self
    {
        $unit = $node->get('unit')->choice(Unit::class);
        $readings = [];
        foreach ($node->get('readings')->items(self::MOST) as $person) {
            $parts = [];
            foreach ($person->items(self::MOST) as $part) {
                $parts[] = array_map(static fn (Node $one): float => $one->number(), $part->items(self::MOST));
                $expected = $readings[0][0] ?? $parts[0];
                if (count(end($parts)) !== count($expected)) {
                    throw BadDocument::at($part->pointer, sprintf('each part is read %d times by each.', count($expected)));
                }
            }
            if ($readings !== [] && count($parts) !== count($readings[0])) {
                throw BadDocument::at($person->pointer, sprintf('each person reads all %d parts.', count($readings[0])));
            }
            $readings[] = $parts;
        }
        if (count($readings) < 2 || count($readings[0]) < 2 || count($readings[0][0]) < 2) {
            throw BadDocument::at($node->pointer.'/readings', 'at least two people, two parts and two readings of each are needed.');
        }

        return self::of($unit, $readings);
    }

    /** Repeatability, and what persons add to it. */
    public function gauge(): float
    {
        return sqrt($this->repeatability ** 2 + $this->reproducibility() ** 2);
    }

    public function reproducibility(): float
    {
        return sqrt($this->persons ** 2 + $this->interaction ** 2);
    }

    /** Half-width of a rectangular error as large as one reading's: √3 of the standard deviation. */
    public function halfWidth(): float
    {
        return sqrt(3.0) * $this->gauge();
    }

    /** The share of the variance seen that is the gauge's, not the parts'. */
    public function share(): float
    {
        $all = $this->gauge() ** 2 + $this->parts ** 2;

        return $all > 0.0 ? $this->gauge() ** 2 / $all : 0.0;
    }

    public function inWords(): string
    {
        $figure = fn (float $number): string => sprintf('%s %s', self::figure($number), $this->unit->value);

        return sprintf(
            '%d people, %d parts, %d readings of each: repeatability %s, reproducibility %s, together %s (as a ±, %s); %d %% of what was '.
            'seen is the gauge, not the parts.', $this->people, $this->pieces, $this->repeats, $figure($this->repeatability),
            $figure($this->reproducibility()), $figure($this->gauge()), $figure($this->halfWidth()), (int) round(100 * $this->share()),
        );
    }

    /** @param non-empty-list<list<list<float>>> $readings by person, part and repeat */
    private static function of(Unit $unit, array $readings): self
    {
        [$people, $parts, $repeats] = [count($readings), count($readings[0]), count($readings[0][0])];
        $mean = static fn (array $values): float => array_sum($values) / count($values);
        $cells = array_map(static fn (array $person): array => array_map($mean, $person), $readings);
        $ofPeople = array_map($mean, $cells);
        $ofParts = array_map(static fn (int $part): float => $mean(array_column($cells, $part)), range(0, $parts - 1));
        $grand = $mean($ofPeople);
        $within = $crossed = $byPerson = $byPart = 0.0;
        foreach ($readings as $o => $person) {
            $byPerson += $parts * $repeats * ($ofPeople[$o] - $grand) ** 2;
            foreach ($person as $p => $values) {
                $crossed += $repeats * ($cells[$o][$p] - $ofPeople[$o] - $ofParts[$p] + $grand) ** 2;
                foreach ($values as $value) {
                    $within += ($value - $cells[$o][$p]) ** 2;
                }
            }
        }
        foreach ($ofParts as $part) {
            $byPart += $people * $repeats * ($part - $grand) ** 2;
        }
        $within /= $people * $parts * ($repeats - 1);
        $crossed /= ($people - 1) * ($parts - 1);
        $byPerson /= $people - 1;
        $byPart /= $parts - 1;
        $root = static fn (float $variance): float => sqrt(max(0.0, $variance));

        return new self(
            $unit, $people, $parts, $repeats, $root($within), $root(($byPerson - $crossed) / ($parts * $repeats)),
            $root(($crossed - $within) / $repeats), $root(($byPart - $crossed) / ($people * $repeats)),
        );
    }

    /** Two digits that count. */
    private static function figure(float $number): string
    {
        $decimals = $number > 0.0 ? max(0, 1 - (int) floor(log10($number))) : 0;

        return number_format($number, $decimals, '.', '');
    }
}
