<?php

declare(strict_types=1);

require dirname(__DIR__).'/vendor/autoload.php';

// Each run of the tests has a data folder of its own.
$data = sys_get_temp_dir().'/mute-tapper-tests.'.getmypid();
$_SERVER['MUTE_TAPPER_DATA'] = $_ENV['MUTE_TAPPER_DATA'] = $data;
putenv('MUTE_TAPPER_DATA='.$data);
register_shutdown_function(static function () use ($data): void {
    (new Symfony\Component\Filesystem\Filesystem())->remove($data);
});
