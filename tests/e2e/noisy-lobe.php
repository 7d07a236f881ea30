<?php

declare(strict_types=1);

// Writes the lift of a card's lobe, every second cam degree, with the noise of an indicator laid over it: degree and inches.

use MuteTapper\Core\Motion\CamCard;

require dirname(__DIR__, 2).'/vendor/autoload.php';

const INCH = 0.0254;

$card = CamCard::of(0.4202 * INCH, 0.050 * INCH, 255 / 4, 0.020 * INCH, 288 / 4, 0.010 * INCH, 0.0004 * INCH);
mt_srand(7);
echo "degree;lift\n";
foreach (range(-94, 94, 2) as $degree) {
    printf("%d;%.4F\n", $degree, $card->lift($degree) / INCH + 0.0002 * (mt_rand(-1000, 1000) / 1000));
}
