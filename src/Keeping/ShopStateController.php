<?php

declare(strict_types=1);

namespace MuteTapper\App\Keeping;

use Doctrine\DBAL\Connection;
use OpenApi\Attributes as OA;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Routing\Attribute\Route;

/** Whether the shop's computer is well: room on the disk, leave to write, workers at work. */
final class ShopStateController
{
    /** Less than this is said on the screen, bytes. [own] */
    private const LITTLE_ROOM = 500_000_000;
    /** A worker that works on something long tells so by the queue (--keepalive), seconds. */
    private const SILENT_AFTER = 20;
    private const WORK_OF = [
        'work' => ['default', 'The helper that makes working copies of photographs, reads logs and asks laboratories does not run'],
        'papers' => ['papers', 'The helper that makes reports and tags does not run'],
    ];

    #[Route('/api/state', methods: ['GET'])]
    #[OA\Get(path: '/api/state', operationId: 'getShopState', responses: [
        new OA\Response(
            response: 200, description: 'what is wrong with the shop’s computer', content: new OA\JsonContent(ref: ShopStateView::class),
        ),
    ])]
    public function state(Connection $connection, WorkerBeat $beat, string $dataFolder): JsonResponse
    {
        $troubles = [];
        $free = @disk_free_space($dataFolder);
        if (!is_writable($dataFolder)) {
            $troubles[] = 'The data folder may not be written to: nothing new can be stored.';
        } elseif ($free !== false && $free < self::LITTLE_ROOM) {
            $troubles[] = sprintf('The disk is nearly full: %d MB are left. When it is full, nothing new can be stored.', $free / 1e6);
        }
        $all = 0;
        foreach (self::WORK_OF as $transport => [$queue, $words]) {
            $waiting = self::count($connection, $queue, '');
            $all += $waiting;
            $silent = ($beat->since($transport) ?? \PHP_INT_MAX) > self::SILENT_AFTER;
            if ($silent && self::count($connection, $queue, " AND delivered_at > datetime('now', '-30 seconds')") === 0) {
                $troubles[] = $words.($waiting === 0 ? '.' : sprintf('; %d wait for it. Start the shop again.', $waiting));
            }
        }

        $failed = self::count($connection, 'failed', '');
        if ($failed > 0) {
            $troubles[] = sprintf(
                '%d %s in a fault, several times over: the log says why.', $failed, $failed === 1 ? 'job ended' : 'jobs ended',
            );
        }

        return new JsonResponse(new ShopStateView($troubles, $all));
    }

    private static function count(Connection $connection, string $queue, string $more): int
    {
        $count = $connection->fetchOne('SELECT COUNT(*) FROM work_queue WHERE queue_name = ?'.$more, [$queue]);

        return is_numeric($count) ? (int) $count : 0;
    }
}
