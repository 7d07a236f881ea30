<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

/** Nobody waits for the paper any more. */
final class Cancelled extends \RuntimeException
{
}
