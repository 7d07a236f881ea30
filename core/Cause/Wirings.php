<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

/** Where the causes lead in a graph, each form at valves of each kind. */
final class Wirings
{
    /** Members whose strongest path to an event reaches as far as this outrank others there. */
    private const RANKS = [0.4, 0.1];

    /** @var array<string, Wiring> */
    private array $wirings = [];
    /** @var array<string, bool> whether the kind of valve matters to a cause */
    private array $askForKind = [];
    /** @var array<int, array<string, int>> number of each way to bear on a factor */
    private array $bearings = [];
    /** @var list<array<int, true>> items that each event can leave */
    private readonly array $left;

    public function __construct(private readonly Graph $graph, private readonly Ground $ground)
    {
        $this->left = array_map(static fn (array $marks): array => array_fill_keys(array_column($marks, 0), true), $graph->marks);
    }

    /** Of a cause at any kind of valve. */
    public function anywhere(string $cause, string $form): Wiring
    {
        return $this->of($cause, $form, null);
    }

    /** Of a cause at the kinds of valve of a region. */
    public function at(string $cause, string $form, StationSet $region): Wiring
    {
        return $this->of($cause, $form, $this->asksForKind($cause) ? $this->ground->kindsOf($region) : null);
    }

    /** Whether a cause leads elsewhere at one kind of valve than at the other. */
    private function asksForKind(string $cause): bool
    {
        if (!isset($this->askForKind[$cause])) {
            $this->askForKind[$cause] = false;
            foreach ([...$this->graph->leading[$cause] ?? [], ...$this->graph->leaving[$cause] ?? []] as [, $link]) {
                $this->askForKind[$cause] = $this->askForKind[$cause] || $link->at !== null;
            }
        }

        return $this->askForKind[$cause];
    }

    /** @param string|null $kinds null for any */
    private function of(string $cause, string $form, ?string $kinds): Wiring
    {
        return $this->wirings[$cause.' '.$form.' '.$kinds] ??= $this->wired($cause, $form, $kinds);
    }

    private function wired(string $cause, string $form, ?string $kinds): Wiring
    {
        $events = $signs = $paths = $ranks = $reach = $own = [];
        foreach ($this->graph->network->pathsFrom($cause, $form, $kinds) as $code => $path) {
            if (isset($this->graph->numberOf[$code])) {
                $number = $this->graph->numberOf[$code];
                $paths[$number] = $path;
                $ranks[$number] = self::rank($path);
                $reach += $this->left[$number];
            }
        }
        foreach ($this->graph->leading[$cause] ?? [] as [$number, $link]) {
            if ($link->holds($form, $kinds)) {
                $events[$number] = $link->probability;
            }
        }
        foreach ($this->graph->leaving[$cause] ?? [] as [$number, $link]) {
            if ($link->holds($form, $kinds)) {
                $signs[$number] = $link->probability;
                $own[] = [$number, $link];
                $reach[$number] = true;
            }
        }
        ksort($paths);
        ksort($reach);
        $suspect = $this->graph->markedBy($reach);
        $bearings = [];
        foreach ($ranks as $number => $rank) {
            $bearings[$number] = $this->bearing($number, $rank.' '.($events[$number] ?? ''));
        }
        ksort($bearings);
        foreach (array_intersect_key($this->graph->factorOf, $reach) as $number => $factor) {
            $through = isset($signs[$number]) ? $signs[$number].' '.$suspect->key() : '';
            foreach ($this->graph->signParents[$number] as [$event]) {
                $through .= ' '.($ranks[$event] ?? '');
            }
            $bearings[$factor] = $this->bearing($factor, $through);
        }

        return new Wiring($events, $signs, $paths, $ranks, $reach, $this->graph->ratios->denied($own), $suspect, $bearings);
    }

    private function bearing(int $factor, string $how): int
    {
        return $this->bearings[$factor][$how] ??= count($this->bearings[$factor] ?? []);
    }

    /** How many of the ranks a path reaches. */
    private static function rank(float $path): int
    {
        $rank = 0;
        foreach (self::RANKS as $least) {
            $rank += $path >= $least ? 1 : 0;
        }

        return $rank;
    }
}
