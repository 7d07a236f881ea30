<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

/** The cams of an engine whose phase is measured, each by itself. */
final class Cams
{
    /** @return array<string, string> label by the index of its readings */
    public static function of(Engine $engine): array
    {
        if ($engine->drive === DriveKind::Pushrod) {
            return ['cam' => 'cam'];
        }
        $cams = [];
        $twoBanks = count($engine->numbering) > 1;
        foreach (array_keys($engine->numbering) as $bank) {
            foreach ($engine->intakeValves + $engine->exhaustValves > 2 ? [
                'I' => 'intake cam', 'E' => 'exhaust cam',
            ] : ['cam' => 'cam'] as $code => $label) {
                $cams[$bank.'-'.$code] = $twoBanks ? $label.', bank '.$bank : $label;
            }
        }

        return $cams;
    }
}
