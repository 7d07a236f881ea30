<?php

declare(strict_types=1);

// How right and how sure the judgement is, on cases drawn from its own network (php bench/judgement.php [cases]): named leaders
// right, stated probabilities against what came true, and strengths moved by a word. What docs/architecture.md says of it.

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\Standing;
use MuteTapper\Tests\Core\Cause\DrawnCases;
use MuteTapper\Tests\Core\Example;

require dirname(__DIR__).'/vendor/autoload.php';

$cases = (int) ($argv[1] ?? 200);
foreach ([false, true] as $isMild) {
    $drawn = new DrawnCases(1834, $isMild);
    $named = $right = $sound = $accused = $open = $among = 0;
    $bins = array_fill(0, 5, [0, 0, 0.0]);
    for ($i = 0; $i < $cases; ++$i) {
        [$example, $truth] = $drawn->draw();
        $ranking = Assessment::of($example->case(), Example::knowledge())->ranking();
        $leading = array_column($ranking->named->leading, 'cause');
        if ($ranking->standing() === Standing::Leader || $ranking->standing() === Standing::LeaderAndOpen) {
            ++$named;
            $right += in_array($truth, $leading, true) ? 1 : 0;
        }
        if ($ranking->standing() === Standing::OpenBetween) {
            ++$open;
            $among += in_array($truth, $ranking->leading(), true) ? 1 : 0;
        }
        $sound += $truth === null ? 1 : 0;
        $accused += $truth === null && $leading !== [] ? 1 : 0;
        $first = $ranking->causes[0];
        $bin = min(4, (int) (5 * $first->probability));
        [$count, $hits, $stated] = $bins[$bin];
        $bins[$bin] = [$count + 1, $hits + ($first->cause->code === $truth ? 1 : 0), $stated + $first->probability];
    }
    printf(
        "%s: %d cases, %d with nothing wrong (%d of them accused); %d named, %.0f %% right; %d open, the cause among them in %.0f %%\n",
        $isMild ? 'half the mechanisms mild' : 'clear mechanisms', $cases, $sound, $accused, $named, 100 * $right / max(1, $named),
        $open, 100 * $among / max(1, $open),
    );
    foreach ($bins as [$count, $hits, $stated]) {
        if ($count > 0) {
            printf("  said %.2f, came true %.2f (%d)\n", $stated / $count, $hits / $count, $count);
        }
    }
}
