<?php

declare(strict_types=1);

// Reading a log in a stream. What is judged are ratios within this run: memory may not grow with the log, time only in proportion.

use MuteTapper\App\Simulated\DataLogger;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\RunLog\LogAnalyser;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\Thresholds;

require dirname(__DIR__).'/vendor/autoload.php';

$file = tempnam(sys_get_temp_dir(), 'log');
$out = new SplFileObject($file, 'w');
foreach ((new DataLogger())->run(8000, 50, 7600.0, [500.0]) as $line) {
    $out->fwrite($line);
}
unset($out);
$format = LogFormat::recognise((string) file_get_contents($file, false, null, 0, 4000));
$thresholds = Thresholds::fromNode(
    Node::root(['over_speed' => 7650, 'limiter' => 7600, 'oil_per_thousand' => 0.69, 'oil_temperature' => 130]),
);

$read = static function (int $rows) use ($file, $format, $thresholds): array {
    gc_collect_cycles();
    memory_reset_peak_usage();
    $before = memory_get_usage();
    $start = hrtime(true);
    $analyser = new LogAnalyser($thresholds);
    $in = new SplFileObject($file);
    for ($line = 1; $line <= $rows + 1 && !$in->eof(); ++$line) {
        $text = rtrim($in->fgets());
        $row = $line === 1 ? null : $format->read($text, $line);
        if ($row !== null) {
            $analyser->add($row, $line);
        }
    }
    $result = $analyser->result();

    return ['rows' => $result->rows, 'ms' => (hrtime(true) - $start) / 1e6, 'mb' => (memory_get_peak_usage() - $before) / 1048576];
};
$read(20_000);
$short = $read(100_000);
$long = $read(400_000);
unlink($file);
foreach ([$short, $long] as $run) {
    printf(
        "log of %d rows: %.0f ms, %.0f rows a millisecond, %.0f MB at most\n", $run['rows'], $run['ms'], $run['rows'] / $run['ms'],
        $run['mb'],
    );
}
$memory = $long['mb'] / $short['mb'];
$time = ($long['ms'] / $long['rows']) / ($short['ms'] / $short['rows']);
printf("four times the rows: %.2f of the memory (at most 1.3), %.2f of the time a row (at most 1.3)\n", $memory, $time);
exit($memory > 1.3 || $time > 1.3 ? 1 : 0);
