<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

/** Stands in for an oil laboratory: invents a used-oil analysis that hangs together. Labelled as simulated wherever it shows. */
final class SimulatedOilLaboratory implements Laboratory
{
    public function code(): string
    {
        return 'oil';
    }

    public function label(): string
    {
        return 'Oil laboratory (simulated)';
    }

    public function days(): array
    {
        return [3, 4];
    }

    public function isSimulated(): bool
    {
        return true;
    }

    public function answersAfter(): int
    {
        return 20_000;
    }

    public function report(string $request, string $seed): array
    {
        $draw = SimulatedDraw::of($seed);
        $iron = 30 + (int) (140 * $draw('iron'));
        $phosphorus = 650 + 10 * (int) (70 * $draw('phosphorus'));
        $fuel = round(4.5 * $draw('fuel') ** 2, 1);
        $viscosity = round(14.5 - 0.9 * $fuel, 1);

        return [
            'laboratory' => $this->label(),
            'simulated' => true,
            'words' => sprintf(
                'Asked: %s. Invented by the simulated laboratory, no oil was analysed. Spectrometry misses particles above about 5 to '.
                '8 µm.',
                trim($request),
            ),
            'results' => [
                [
                    'name' => 'viscosity at 100 °C', 'value' => (string) $viscosity, 'unit' => 'mm²/s',
                    'remark' => $fuel > 2 ? 'thinned by fuel' : '',
                ],
                ['name' => 'fuel', 'value' => (string) $fuel, 'unit' => '%', 'remark' => $fuel > 2 ? 'high' : ''],
                [
                    'name' => 'iron', 'value' => (string) $iron, 'unit' => 'ppm',
                    'remark' => $iron > 100 ? 'high: cam, followers, cylinder' : '',
                ],
                ['name' => 'copper', 'value' => (string) (int) (8 + 40 * $draw('copper')), 'unit' => 'ppm', 'remark' => ''],
                ['name' => 'aluminium', 'value' => (string) (int) (5 + 20 * $draw('aluminium')), 'unit' => 'ppm', 'remark' => ''],
                [
                    'name' => 'phosphorus', 'value' => (string) $phosphorus, 'unit' => 'ppm',
                    'remark' => $phosphorus < 1000 ? 'low for flat followers with race springs' : '',
                ],
                ['name' => 'zinc', 'value' => (string) (int) ($phosphorus * 1.12), 'unit' => 'ppm', 'remark' => ''],
            ],
        ];
    }
}
