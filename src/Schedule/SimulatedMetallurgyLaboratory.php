<?php

declare(strict_types=1);

namespace MuteTapper\App\Schedule;

/** Stands in for a metallurgy laboratory: invents a fracture report. Labelled as simulated wherever it shows. */
final class SimulatedMetallurgyLaboratory implements Laboratory
{
    public function code(): string
    {
        return 'metallurgy';
    }

    public function label(): string
    {
        return 'Metallurgy laboratory (simulated)';
    }

    public function days(): array
    {
        return [5, 8];
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
        $origins = [
            'one origin at the inside of the wire, no flaw found at it', 'one origin at a nick of 0.05 mm',
            'one origin at a non-metallic inclusion of 0.03 mm', 'no origin: overload over the whole section',
        ];

        return [
            'laboratory' => $this->label(),
            'simulated' => true,
            'words' => sprintf('Asked: %s. Invented by the simulated laboratory, nothing was cut.', trim($request)),
            'results' => [
                [
                    'name' => 'origin of the fracture', 'value' => $origins[(int) (count($origins) * $draw('origin'))], 'unit' => '',
                    'remark' => '',
                ],
                [
                    'name' => 'hardness', 'value' => (string) (int) (560 + 60 * $draw('hardness')), 'unit' => 'HV10',
                    'remark' => 'within the usual range of spring wire',
                ],
                ['name' => 'structure', 'value' => 'tempered martensite', 'unit' => '', 'remark' => 'no decarburised skin'],
            ],
        ];
    }
}
