<?php

declare(strict_types=1);

use MuteTapper\App\Shared\Kernel;

// What is written here is for the owner of the shop alone.
umask(0o077);

require_once dirname(__DIR__).'/vendor/autoload_runtime.php';

return static fn (array $context): Kernel => new Kernel($context['APP_ENV'], (bool) $context['APP_DEBUG']);
