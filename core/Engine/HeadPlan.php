<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/**
 * Where everything stands on the head plan: looking down on the heads, front at the top, bank A left. Drawing units; the
 * screen and the report draw the same plan. [own].
 */
final readonly class HeadPlan
{
    private const WIDTH = 320.0;
    private const HEIGHT = 456.0;
    private const LEAST_RADIUS = 34.0;
    private const CASTING_MARGIN = 8.0;
    private const ROD_OFFSET = 16.0;

    /**
     * @param list<array{bank: string, left: float, top: float, right: float, bottom: float}> $castings
     * @param list<array{cylinder: string, number: int, x: float, y: float, radius: float, box: array{x: float, y: float}}> $bores
     * @param list<array{station: string, label: string, kind: string, name: string, x: float, y: float, radius: float,
     *     ports: list<array{x1: float, y1: float, x2: float, y2: float}>, letter: array{x: float, y: float}|null}> $cells
     * @param list<array{text: string, x: float, y: float}> $columns kind letters above the columns
     */
    private function __construct(
        public float $width,
        public float $height,
        public ?float $crankLine,
        public array $castings,
        public array $bores,
        public array $cells,
        public array $columns,
    ) {
    }

    public static function of(Engine $engine): self
    {
        $banks = array_keys($engine->numbering);
        $each = count($engine->numbering['A']);
        $alternating = $engine->valveOrder !== [];
        $head = self::head($engine, $alternating);
        $single = count($banks) === 1 && $each === 1;
        $share = $head['radius'] / $head['pitch'];
        $pitch = min($head['pitch'], (self::HEIGHT - 32 - (count($banks) === 2 ? self::ROD_OFFSET : 0)) / ($each - 1 + 2 * $share));
        $radius = $single ? 104.0 : max(self::LEAST_RADIUS, $pitch * $share);
        $pitch = max($pitch, $radius / $share);
        $scale = $radius / $head['radius'];
        $first = $single ? 210.0 : $radius + 34;
        $bottom = $first + $pitch * ($each - 1) + $radius + 16 + (count($banks) === 2 ? self::ROD_OFFSET : 0);

        $castings = $bores = $cells = $columns = [];
        foreach ($banks as $b => $bank) {
            $x = count($banks) === 1 ? self::WIDTH / 2 : (80.0 + 160 * $b);
            $outboard = $b === 0 ? -1 : 1;
            $top = $first + (count($banks) === 2 && $engine->forwardBank !== $bank ? self::ROD_OFFSET : 0.0);
            $edge = $radius + self::CASTING_MARGIN;
            $castings[] = [
                'bank' => $bank, 'left' => $x - $edge, 'top' => $top - $edge, 'right' => $x + $edge,
                'bottom' => $top + $pitch * ($each - 1) + $edge,
            ];
            foreach ($engine->numbering[$bank] as $i => $number) {
                $y = $top + $pitch * $i;
                $bores[] = [
                    'cylinder' => $bank.($i + 1), 'number' => $number, 'x' => $x, 'y' => $y, 'radius' => $radius,
                    'box' => ['x' => $x + $outboard * $edge, 'y' => $y],
                ];
            }
            if (!$alternating && !$single) {
                foreach (['E' => 'exhaust', 'I' => 'intake'] as $letter => $kind) {
                    $columns[] = ['text' => $letter, 'x' => $x + $outboard * -$head[$kind][0][0] * $scale, 'y' => $top - $edge - 7];
                }
            }
        }
        foreach ($engine->stations as $station) {
            $bore = self::boreOf($bores, $station->cylinder->code());
            $outboard = $station->cylinder->bank === 'A' ? -1 : 1;
            $exhaust = $station->kind === ValveKind::Exhaust;
            $spec = $head[$exhaust ? 'exhaust' : 'intake'];
            [$dx, $dy] = $spec[$station->ordinal - 1];
            if ($alternating) {
                $front = $engine->valveOrder[$station->cylinder->bank][2 * ($station->cylinder->position - 1)] === $station->kind->value;
                $dy = ($front ? -1 : 1) * abs($dy);
            }
            $cx = $bore['x'] - $outboard * $dx * $scale;
            $cy = $bore['y'] + $dy * $scale;
            $r = $head[$exhaust ? 'exhaustRadius' : 'intakeRadius'] * $scale;
            $cells[] = [
                'station' => $station->code(),
                'label' => $station->label(),
                'kind' => $station->kind->value,
                'name' => $station->kind->value.($spec === [$spec[0]] ? '' : (string) $station->ordinal),
                'x' => $cx, 'y' => $cy, 'radius' => $r,
                'ports' => self::ports(
                    $cx, $cy, $r, $bore['x'] + ($exhaust ? $outboard : -$outboard) * ($radius + self::CASTING_MARGIN), $exhaust,
                ),
                'letter' => $alternating ? ['x' => $bore['x'] + ($exhaust ? $outboard : -$outboard) * $radius * 0.64, 'y' => $cy] : null,
            ];
        }

        return new self(
            self::WIDTH, max(self::HEIGHT, $bottom), count($banks) === 2 ? self::WIDTH / 2 : null, $castings, $bores, $cells, $columns,
        );
    }

    /**
     * @return array{radius: float, pitch: float, intake: non-empty-list<array{float, float}>, exhaust: non-empty-list<array{float, float}>,
     *     intakeRadius: float, exhaustRadius: float}
     */
    private static function head(Engine $engine, bool $alternating): array
    {
        if ($alternating) {
            return [
                'radius' => 46.0, 'pitch' => 98.0, 'intake' => [[3.0, 20.0]], 'exhaust' => [[3.0, 21.0]], 'intakeRadius' => 20.0,
                'exhaustRadius' => 17.0,
            ];
        }
        if ($engine->intakeValves === 3) {
            return [
                'radius' => 49.0, 'pitch' => 103.0,
                'intake' => [[13.0, -31.0], [33.0, 0.0], [13.0, 31.0]],
                'exhaust' => $engine->exhaustValves === 1 ? [[-24.0, 0.0]] : [[-22.0, -18.0], [-22.0, 18.0]],
                'intakeRadius' => 14.0, 'exhaustRadius' => 16.0,
            ];
        }

        return [
            'radius' => 58.0, 'pitch' => 126.0,
            'intake' => $engine->intakeValves === 1 ? [[24.0, 0.0]] : [[24.0, -25.0], [24.0, 25.0]],
            'exhaust' => $engine->exhaustValves === 1 ? [[-27.0, 0.0]] : [[-27.0, -24.0], [-27.0, 24.0]],
            'intakeRadius' => 21.0, 'exhaustRadius' => 18.5,
        ];
    }

    /**
     * The two walls of a port, from the cell to the casting's edge: intakes widen, exhausts narrow.
     *
     * @return list<array{x1: float, y1: float, x2: float, y2: float}>
     */
    private static function ports(float $x, float $y, float $radius, float $edge, bool $exhaust): array
    {
        $ports = [];
        foreach ([-1, 1] as $side) {
            $ports[] = ['x1' => $x, 'y1' => $y + $side * $radius, 'x2' => $edge, 'y2' => $y + $side * $radius * ($exhaust ? 0.7 : 1.15)];
        }

        return $ports;
    }

    /**
     * @param list<array{cylinder: string, number: int, x: float, y: float, radius: float, box: array{x: float, y: float}}> $bores
     *
     * @return array{cylinder: string, number: int, x: float, y: float, radius: float, box: array{x: float, y: float}}
     */
    private static function boreOf(array $bores, string $cylinder): array
    {
        foreach ($bores as $bore) {
            if ($bore['cylinder'] === $cylinder) {
                return $bore;
            }
        }
        throw new \LogicException('A station without its cylinder: '.$cylinder);
    }
}
