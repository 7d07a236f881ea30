<?php

declare(strict_types=1);

// Assessment and cause MuteTapper\Bench\FullCase;
use MuteTapper\Bench\Harness;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\LedgerMaker;
use MuteTapper\Core\Cause\Ranker;
use ranking of the core: the targets of docs/architecture.md. What is judged are ratios within this run.


require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/Harness.php';
require __DIR__.'/FullCase.php';

$status = function_exists('opcache_get_status') ? opcache_get_status(false) : false;
$jit = is_array($status) && is_array($status['jit'] ?? null) && ($status['jit']['on'] ?? false) === true;
printf("PHP %s, JIT %s, pcov %s\n", PHP_VERSION, $jit ? 'on' : 'off', ini_get('pcov.enabled') === '1' ? 'on' : 'off');
$knowledge = FullCase::knowledge();
$full = FullCase::of(1);
$doubled = FullCase::of(2);
$typical = FullCase::typical();
$assessedFull = Assessment::of($full, $knowledge);
$assessedTypical = Assessment::of($typical, $knowledge);
printf("full case: %d stations, %d readings, %d findings and looks, %d signs with evidence; typical: %d signs\n", count($full->engine->stations), FullCase::count($full, 'reading'), FullCase::count($full, 'finding') + FullCase::count($full, 'look'), count($assessedFull->items()), count($assessedTypical->items()));

$times = Harness::time([
    'assessment of a full 32-station case' => static fn () => Assessment::of($full, $knowledge),
    'the same with twice the photographs and notes' => static fn () => Assessment::of($doubled, $knowledge),
    'cause ranking, typical' => static fn () => (new Ranker($assessedTypical->model()))->rank(),
    'cause ranking, every sign looked at on 32 stations' => static fn () => (new Ranker($assessedFull->model()))->rank(),
    'ledger of one cause, every sign looked at' => static fn () => (new LedgerMaker($assessedFull->model()))->of('over_speed'),
], 25);
Harness::print($times);

$growth = $times['the same with twice the photographs and notes']['median'] / $times['assessment of a full 32-station case']['median'] - 1;
printf("growth per doubling of unrelated data: %.0f %% (at most 15 %%)\n", 100 * $growth);
exit($growth > 0.15 ? 1 : 0);
