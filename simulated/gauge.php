#!/usr/bin/env php
<?php

declare(strict_types=1);

// A made-up gauge on a cable: writes lines as docs/formats/gauge-line.md has them to the standard output. It stands in for a real one
// and is a program of its own: it knows nothing of Mute Tapper but the line.

$options = getopt('', ['gauge:', 'unit:', 'around:', 'scatter:', 'decimals:', 'count:', 'slip:', 'every:', 'seed:', 'help']);
if ($options === false || isset($options['help']) || !isset($options['gauge'], $options['unit'], $options['around'])) {
    fwrite(\STDERR, <<<'TEXT'
        A simulated gauge. Its lines go to the standard output.
          --gauge CODE     its code in the library (height-2)
          --unit UNIT      in, mm, lbf, N, psi …
          --around FIGURE  figure that the parts scatter around
          --scatter S      half-width of the scatter (0.1 % of the figure)
          --decimals N     of its display (4)
          --count N        readings (20)
          --slip N         reading that slips by ten times the scatter; none unless said
          --every SECONDS  between two readings (0)
          --seed N         the same seed gives the same readings

        TEXT);
    exit(isset($options['help']) ? 0 : 2);
}
$figure = static fn (string $name, float $usual): float => is_numeric($options[$name] ?? null) ? (float) $options[$name] : $usual;
$around = $figure('around', 0.0);
$scatter = $figure('scatter', abs($around) / 1000);
mt_srand((int) $figure('seed', (float) random_int(0, 1 << 30)));
for ($n = 1; $n <= (int) $figure('count', 20); ++$n) {
    $off = $scatter * mt_rand(-1000, 1000) / 1000 + ($n === (int) $figure('slip', 0) ? 10 * $scatter : 0.0);
    printf(
        "reading gauge=%s n=%d value=%s unit=%s simulated=yes\n", $options['gauge'], $n,
        number_format($around + $off, (int) $figure('decimals', 4), '.', ''), $options['unit'],
    );
    flush();
    usleep((int) (1e6 * $figure('every', 0.0)));
}
