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

    /** The index of the cam that moves a valve, or the valves of a kind in a bank; null where the phase of none is measured. */
    public static function moving(Engine $engine, string $place): ?string
    {
        $bank = $engine->siteOf($place, Site::Bank);
        $kind = $engine->kindAt($place);
        if ($bank === null || $kind === null) {
            return null;
        }
        foreach (array_keys(self::of($engine)) as $cam) {
            if (in_array($cam, ['cam', $bank.'-cam', Place::cam($bank, $kind)], true)) {
                return $cam;
            }
        }

        return null;
    }

    /** Whether exhaust valves have cams of their own, whose centres are counted before top dead centre. */
    public static function areApart(Engine $engine): bool
    {
        return array_filter(array_keys(self::of($engine)), static fn (string $cam): bool => str_ends_with($cam, '-E')) !== [];
    }
}
