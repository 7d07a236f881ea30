<?php

declare(strict_types=1);

// The curve of each constant of the judgement, on all that it is calibrated with (php bench/constants.php [cases]): archetypes and
// their twins judged right, drawn cases named and named right, sound engines accused, and what the ranking says of the true cause.
// A constant is changed in a copy of its class, in a process of its own; with SINGLES the cases are drawn, too.

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\CarryOver;
use MuteTapper\Core\Cause\Effects;
use MuteTapper\Core\Cause\Evidence;
use MuteTapper\Core\Cause\Explanations;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\Naming;
use MuteTapper\Core\Cause\Standing;
use MuteTapper\Tests\Core\Cause\Archetypes;
use MuteTapper\Tests\Core\Cause\DrawnCases;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\ExpectationFailedException;
use PHPUnit\TextUI\Configuration\Builder;

require dirname(__DIR__).'/vendor/autoload.php';

/** By class and constant: the values of its curve besides the one that it has. */
const CURVES = [
    Explanations::class => [
        'NONE_ON_DAMAGE' => [0.1, 0.5, 1.0], 'SINGLES' => [0.4, 1.5], 'PAIRS' => [0.1, 0.5], 'OTHER' => [0.02, 0.04, 0.16, 0.32],
    ],
    Evidence::class => ['UNANSWERED' => [0.2, 0.4], 'LOOKED_ABSENT' => [0.01, 0.02, 0.08]],
    Model::class => ['EVENT_LEAK_SHARE' => [0.05, 0.2]],
    Effects::class => ['OTHER_EVENT' => [0.02, 0.1], 'OTHER_SIGN' => [0.01, 0.06]],
    Naming::class => ['LEADER_GAIN' => [7.0, 13.0], 'LEADER_PROBABILITY' => [0.4, 0.6], 'LEADER_UNEXPLAINED' => [0.2, 0.45]],
    CarryOver::class => ['PER_FAILURE' => [6.0, 12.0], 'MOST' => [10.0, 20.0]],
];

/** Loads a class with one constant changed. */
function change(string $class, string $name, float $value): void
{
    $file = dirname(__DIR__).'/core/'.strtr(substr($class, strlen('MuteTapper\\Core\\')), '\\', '/').'.php';
    $declared = sprintf('/(const %s = )[^;]+;/', $name);
    $source = preg_replace($declared, '${1}'.var_export($value, true).';', (string) file_get_contents($file), 1, $count);
    if ($count !== 1) {
        throw new LogicException(sprintf('%s has no constant %s.', $class, $name));
    }
    $copy = tempnam(sys_get_temp_dir(), 'constant');
    file_put_contents($copy, $source);
    require $copy;
    unlink($copy);
}

/** One point of a curve, as a line. */
function judged(int $cases): string
{
    (new Builder())->build([]); // without it an expectation that fails cannot say so
    $right = $all = 0;
    foreach (Archetypes::all() as $archetype) {
        foreach ([['case', 'is'], ['twin', 'becomes']] as [$example, $expected]) {
            ++$all;
            try {
                $archetype[$expected]->check(Assessment::of($archetype[$example]->case(), Example::knowledge())->ranking());
                ++$right;
            } catch (ExpectationFailedException) {
                // the point of a curve
            }
        }
    }
    $named = $hits = $sound = $accused = $wrong = 0;
    $bits = 0.0;
    foreach ([false, true] as $isMild) {
        $drawn = new DrawnCases(1834, $isMild);
        for ($i = 0; $i < $cases; ++$i) {
            [$example, $truth] = $drawn->draw();
            $ranking = Assessment::of($example->case(), Example::knowledge())->ranking();
            $leading = array_column($ranking->named->leading, 'cause');
            if (in_array($ranking->standing(), [Standing::Leader, Standing::LeaderAndOpen], true)) {
                ++$named;
                $hits += in_array($truth, $leading, true) ? 1 : 0;
            }
            $sound += $truth === null ? 1 : 0;
            $accused += $truth === null && $leading !== [] ? 1 : 0;
            if ($truth !== null) {
                ++$wrong;
                $bits -= log(max(1e-4, $ranking->weighed->ofCause[$truth] ?? 0.0), 2);
            }
        }
    }

    return sprintf('%3d of %d  %2d named, %3.0f %% right  %d of %d accused  %.3f bits', $right, $all, $named, 100 * $hits / max(1, $named),
        $accused, $sound, $bits / max(1, $wrong));
}

if (($argv[1] ?? '') === '--point') {
    change($argv[2], $argv[3], (float) $argv[4]);
    echo judged((int) $argv[5]), "\n";
    exit(0);
}
$cases = (int) ($argv[1] ?? 100);
echo "archetypes and twins right; of drawn cases, half of them mild: named, right; sound ones accused; bits to the true cause\n";
printf("%-32s %8s  %s\n", 'as it is', '', judged($cases));
foreach (CURVES as $class => $constants) {
    foreach ($constants as $name => $values) {
        foreach ($values as $value) {
            $line = exec(implode(' ', array_map(escapeshellarg(...), [
                \PHP_BINARY, __FILE__, '--point', $class, $name, (string) $value, (string) $cases,
            ])));
            printf("%-32s %8s  %s\n", basename(strtr($class, '\\', '/')).' '.$name, $value, $line);
        }
    }
}
