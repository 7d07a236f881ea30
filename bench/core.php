<?php

declare(strict_types=1);

// Assessment, ranking, ledger and health record of the core: the targets of docs/architecture.md. What can fail are ratios
// within this run; milliseconds are for this machine, whose speed a fixed piece of work tells.

use MuteTapper\Bench\FullCase;
use MuteTapper\Bench\Harness;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Cause\LedgerMaker;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Knowledge\Knowledge;

require dirname(__DIR__).'/vendor/autoload.php';
require __DIR__.'/Harness.php';
require __DIR__.'/FullCase.php';

$status = function_exists('opcache_get_status') ? opcache_get_status(false) : false;
$jit = is_array($status) && is_array($status['jit'] ?? null) && ($status['jit']['on'] ?? false) === true;
printf("PHP %s, JIT %s, pcov %s\n", PHP_VERSION, $jit ? 'on' : 'off', ini_get('pcov.enabled') === '1' ? 'on' : 'off');
$knowledge = FullCase::knowledge();
// A case file keeps what it parsed: each round takes a new one, as each request does.
$fresh = static fn (CaseFile $case): CaseFile => $case->with($case->log);
$assess = static function (CaseFile $case, Knowledge $knowledge) use ($fresh): int {
    $assessment = Assessment::of($fresh($case), $knowledge);

    return count($assessment->bench->margins()) + count($assessment->items()) + count(
        array_map($assessment->bench->remarks(...), $assessment->bench->sheets->fittedTo($case->engine)),
    );
};
$full = FullCase::of(1);
$doubled = FullCase::of(2);
$assessedFull = Assessment::of($full, $knowledge);
$assessedTypical = Assessment::of(FullCase::typical(), $knowledge);
// Built anew each time: a model keeps what it computed.
$model = static fn (Assessment $assessment): Model => new Model($knowledge->network, $assessment->case->engine, $assessment->items());
$ranked = new Ranking($model($assessedFull));
[$few, $many] = [FullCase::of(0, 20), FullCase::of(0, 40)];
$drifts = static fn (CaseFile $case): int => count(
    ($bench = Assessment::of($fresh($case), $knowledge)->bench)->marginsOf('pull_drift'),
) + count($bench->marginsOf('lash_drift'));
$fixed = static function (): float {
    $kept = array_fill(0, 1024, 1.0);
    $sum = 0.0;
    for ($i = 0; $i < 200_000; ++$i) {
        $at = ($i * 31) & 1023;
        $sum += $kept[$at] *= 1 + $sum / 1e15;
    }

    return $sum;
};
printf(
    "full case: %d stations, %d readings, %d findings and looks, %d margins, %d signs with evidence; typical: %d signs\n",
    count($full->engine->stations), FullCase::count($full, EntryKind::Reading),
    FullCase::count($full, EntryKind::Finding) + FullCase::count($full, EntryKind::Look),
    count($assessedFull->bench->margins()), count($assessedFull->items()), count($assessedTypical->items()),
);
$times = Harness::time([
    'assessment of a full 32-station case' => static fn (): int => $assess($full, $knowledge),
    'the same with twice the photographs and notes' => static fn (): int => $assess($doubled, $knowledge),
    'cause ranking, typical' => static fn () => new Ranking($model($assessedTypical)),
    'cause ranking, every sign looked at on 32 stations' => static fn () => new Ranking($model($assessedFull)),
    'ledger of one cause, every sign looked at' => static fn () => (new LedgerMaker($ranked->model, $ranked->weighed))->of(
        $ranked->weighed->best['over_speed'],
    ),
    'drifts over 20 dates' => static fn (): int => $drifts($few),
    'drifts over 40 dates' => static fn (): int => $drifts($many),
    'a fixed piece of work' => $fixed,
], 15);
Harness::print($times, [
    'assessment of a full 32-station case' => 100, 'cause ranking, typical' => 25,
    'cause ranking, every sign looked at on 32 stations' => $jit ? 40 : 70, 'ledger of one cause, every sign looked at' => 100,
]);
foreach (['cause ranking, typical', 'cause ranking, every sign looked at on 32 stations'] as $name) {
    printf("%-62s %.2f times the fixed piece of work\n", $name, $times[$name]['least'] / $times['a fixed piece of work']['least']);
}
$growth = $times['the same with twice the photographs and notes']['least'] / $times['assessment of a full 32-station case']['least'] - 1;
$dates = $times['drifts over 40 dates']['least'] / $times['drifts over 20 dates']['least'];
printf("growth per doubling of unrelated data: %.0f %% (at most 15 %%)\n", 100 * $growth);
printf("twice the dates: %.2f of the time (at most 2.4)\n", $dates);
exit($growth > 0.15 || $dates > 2.4 ? 1 : 0);
