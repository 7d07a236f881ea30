<?php

declare(strict_types=1);

// Speed sweeps of the motion model: against the same algorithm in C, and against SciPy. What can fail are ratios within this run.

use MuteTapper\Bench\Harness;
use MuteTapper\Core\Motion\CamCard;
use MuteTapper\Core\Motion\OneMass;
use MuteTapper\Core\Motion\SpringLine;
use MuteTapper\Core\Motion\SurgingSpring;
use MuteTapper\Core\Motion\ValveTrain;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/Harness.php';

const INCH = 0.0254;
const POUND_FORCE = 4.4482216152605;
$status = function_exists('opcache_get_status') ? opcache_get_status(false) : false;
$jit = is_array($status) && is_array($status['jit'] ?? null) && ($status['jit']['on'] ?? false) === true;
$lobe = CamCard::of(0.400 * INCH, 0.050 * INCH, 255 / 4, 0.020 * INCH, 290 / 4, 0.012 * INCH, 0.00045 * INCH)->curve();
$train = ValveTrain::of(
    $lobe, 0.28, 1.5, 0.016 * INCH, 2e6, SpringLine::straight(190 * POUND_FORCE, 425 * POUND_FORCE / INCH), 0.12,
);
[$from, $to, $speeds] = [2000.0, 7900.0, 60];
$sweep = static function () use ($train, $from, $to, $speeds): void {
    for ($i = 0; $i < $speeds; ++$i) {
        OneMass::turn($train, $from + $i * ($to - $from) / ($speeds - 1));
    }
};
printf("PHP %s, JIT %s\n", PHP_VERSION, $jit ? 'on' : 'off');
$folder = sys_get_temp_dir().'/mute-tapper-motion-'.getmypid();
mkdir($folder);
exec(sprintf('cc -O2 -o %1$s/one_mass %2$s -lm', $folder, escapeshellarg(__DIR__.'/motion/one_mass.c')), $said, $status);
$fails = false;
if ($status !== 0) {
    echo "no C compiler here: the ratio to C is not measured\n";
} else {
    $input = implode(' ', [
        $train->mass, $train->ratio, $train->lash, $train->stiffness, $train->spring->pieces[0][1], $train->spring->pieces[0][2],
        $train->damping, $train->springDamping, $train->seatStiffness, $train->seatDamping, $train->fullLift(),
    ])."\n".implode(' ', [$lobe->first, $lobe->peakDegree(), count($lobe->lift), $from, $to, $speeds, 8])."\n";
    foreach ($lobe->lift as $i => $lift) {
        $input .= sprintf("%.17g %.17g %.17g\n", $lift, $lobe->slope[$i], $lobe->bend[$i]);
    }
    file_put_contents($folder.'/train', $input);
    $lines = [];
    $c = $php = INF;
    // Turn about, so that what the machine does meanwhile falls on both alike; and until both met it while it did nothing else.
    for ($round = 0; $round < 150; ++$round) {
        $php = min($php, Harness::time(['sweep' => $sweep], 2)['sweep']['least']);
        $lines = [];
        exec(sprintf('%1$s/one_mass < %1$s/train', $folder), $lines);
        $c = min($c, 1e3 * (float) array_pop($lines));
    }
    printf("sweep of 60 speeds, one mass: CPU least %.2f ms (aim 25)\n", $php);
    $apart = 0.0;
    foreach ($lines as $line) {
        [$speed, $loft, $gap, , , $landing, , , $peak] = array_map(floatval(...), explode(' ', $line));
        $turn = OneMass::turn($train, $speed);
        $apart = max(
            $apart, abs($turn->loft - $loft) / 1e-7, abs($turn->gap - $gap) / 1e-7, abs($turn->landing - $landing) / 1e-4,
            abs($turn->peakForce / $peak - 1) / 0.0025,
        );
    }
    [$aim, $most] = $jit ? [4, 7] : [16, 22];
    printf("the same in C: %.2f ms; PHP takes %.1f times that (aim %d, at most %d)\n", $c, $php / $c, $aim, $most);
    printf("greatest difference to C: %.2g of what is allowed (0.1 µm, 0.1 mm/s, 0.25 %%)\n", $apart);
    $fails = $php / $c > $most || $apart > 1.0;
}
foreach (ValveTrain::SURGE_DAMPING_RANGE as $damping) {
    $surging = $train->withSurgeDamping($damping);
    $times = Harness::time(['one mass' => $sweep, 'swinging' => static function () use ($surging, $from, $to, $speeds): void {
        for ($i = 0; $i < $speeds; ++$i) {
            SurgingSpring::turn($surging, $from + $i * ($to - $from) / ($speeds - 1));
        }
    }], 12);
    $ratio = $times['swinging']['least'] / $times['one mass']['least'];
    printf("with a spring that swings, damping %.2f: %.1f times the one mass (aim 15, at most 24)\n", $damping, $ratio);
    $fails = $fails || $ratio > 24;
}
if (in_array('--scipy', $argv, true)) {
    $asked = json_encode(['rtol' => 1e-8, 'processes' => 1, 'trains' => [[
        'first' => $lobe->first, 'peak' => $lobe->peakDegree(), 'nodes' => array_map(null, $lobe->lift, $lobe->slope, $lobe->bend),
        'mass' => $train->mass, 'ratio' => $train->ratio, 'lash' => $train->lash, 'stiffness' => $train->stiffness,
        'load' => $train->spring->seatLoad(), 'rate' => $train->spring->pieces[0][2], 'seat_stiffness' => $train->seatStiffness,
        'damping' => $train->damping, 'spring_damping' => $train->springDamping, 'seat_damping' => $train->seatDamping,
        'full_lift' => $train->fullLift(),
        'speeds' => array_map(static fn (int $i): float => $from + $i * ($to - $from) / ($speeds - 1), range(0, $speeds - 1)),
    ]]], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
    file_put_contents($folder.'/asked', $asked);
    $start = hrtime(true);
    $reference = escapeshellarg(dirname(__DIR__).'/tests/outside/valve_motion.py');
    exec(sprintf('/usr/bin/python3 %s < %s/asked', $reference, $folder), $said, $status);
    $scipy = (hrtime(true) - $start) / 1e6;
    unlink($folder.'/asked');
    $php = Harness::time(['sweep' => $sweep], 3)['sweep']['least'];
    printf("SciPy's solve_ivp at rtol 1e-8: %.0f ms, %.0f times as long (at least 300)\n", $scipy, $scipy / $php);
    $fails = $fails || $status !== 0 || $scipy / $php < 300;
}
array_map(unlink(...), array_filter([$folder.'/one_mass', $folder.'/train'], is_file(...)));
rmdir($folder);
exit($fails ? 1 : 0);
