<?php

declare(strict_types=1);

// One client of its own process: waits for the start, then sends its requests to the application on the shared data folder, one
// after the other. Reads [start, list of {method, address, body, headers}] from standard input, prints [status, answer, seconds].

use MuteTapper\App\Shared\Kernel;
use Symfony\Component\HttpFoundation\Request;

require dirname(__DIR__, 2).'/vendor/autoload.php';

$kernel = new Kernel('race', true);
$kernel->boot();
/**
 * @var array{float, list<array{method: string, address: string, body?: mixed, file?: string, type?: string,
 *     headers?: array<string, string>}>} $asked
 */
$asked = json_decode((string) stream_get_contents(\STDIN), true, 64, \JSON_THROW_ON_ERROR);
[$start, $requests] = $asked;
$answers = [];
// The container and the connection are there before the race begins.
$kernel->handle(Request::create('http://localhost/api/door'));
usleep((int) max(0, 1e6 * ($start - microtime(true))));
foreach ($requests as $one) {
    $server = ['HTTP_ORIGIN' => 'http://localhost', 'CONTENT_TYPE' => $one['type'] ?? 'application/json'];
    foreach ($one['headers'] ?? [] as $name => $value) {
        $server['HTTP_'.strtoupper(str_replace('-', '_', $name))] = $value;
    }
    $body = isset($one['file']) ? (string) file_get_contents($one['file']) : json_encode($one['body'] ?? null, \JSON_THROW_ON_ERROR);
    $request = Request::create('http://localhost'.$one['address'], $one['method'], [], [], [], $server, $body);
    $begun = microtime(true);
    $response = $kernel->handle($request);
    $kernel->terminate($request, $response);
    $answers[] = [$response->getStatusCode(), json_decode((string) $response->getContent(), true), microtime(true) - $begun];
}
echo json_encode($answers, \JSON_THROW_ON_ERROR);
