#!/usr/bin/env php
<?php

declare(strict_types=1);

// A made-up spring tester on a cable: presses a spring from one height to another and writes the load at each step to the standard
// output, as docs/formats/gauge-line.md has it. The spring has a rate, a free height, and goes solid at a height of its own.

$options = getopt('', ['gauge:', 'free:', 'rate:', 'bind:', 'from:', 'to:', 'steps:', 'every:', 'noise:', 'seed:', 'help']);
if ($options === false || isset($options['help']) || !isset($options['gauge'])) {
    fwrite(\STDERR, <<<'TEXT'
        A simulated spring tester, in inches and pounds. Its lines go to the standard output.
          --gauge CODE     its code in the library (tester-1)
          --free H         free height of the spring (2.250)
          --rate R         pounds an inch (410)
          --bind H         height at which it goes solid (1.180)
          --from H --to H  heights of the first and the last reading (1.900, 1.300)
          --steps N        readings (2)
          --noise N        half-width of the scatter, pounds (0.4)
          --every SECONDS  between two readings (0)
          --seed N         the same seed gives the same readings

        TEXT);
    exit(isset($options['help']) ? 0 : 2);
}
const SOLID = 60000.0; // pounds an inch once its coils touch
$figure = static fn (string $name, float $usual): float => is_numeric($options[$name] ?? null) ? (float) $options[$name] : $usual;
mt_srand((int) $figure('seed', (float) random_int(0, 1 << 30)));
[$from, $to, $steps] = [$figure('from', 1.9), $figure('to', 1.3), max(2, (int) $figure('steps', 2))];
for ($n = 1; $n <= $steps; ++$n) {
    $height = $from + ($to - $from) * ($n - 1) / ($steps - 1);
    $solid = max(0.0, $figure('bind', 1.18) - $height);
    $load = max(0.0, $figure('rate', 410) * ($figure('free', 2.25) - $height - $solid)) + SOLID * $solid
        + $figure('noise', 0.4) * mt_rand(-1000, 1000) / 1000;
    printf(
        "reading gauge=%s n=%d value=%s unit=lbf height=%s height_unit=in simulated=yes\n", $options['gauge'], $n,
        number_format($load, 1, '.', ''), number_format($height, 3, '.', ''),
    );
    flush();
    usleep((int) (1e6 * $figure('every', 0.0)));
}
