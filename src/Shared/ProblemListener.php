<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Quantity\NotUnderstood;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Turns every error under /api into a problem document; a fault of the program is logged under an id that it names. */
#[AsEventListener(priority: self::BEFORE_THE_FRAMEWORK)]
final readonly class ProblemListener
{
    private const BEFORE_THE_FRAMEWORK = 10;
    /** What SQLite and the drivers say when nothing more can be written. */
    private const NO_ROOM = [
        'database or disk is full', 'attempt to write a readonly database', 'disk I/O error', 'unable to open database file',
    ];
    private const BUSY = 'database is locked';
    private const RETRY_AFTER = '2';

    public function __construct(private Faults $faults)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        if (!str_starts_with($event->getRequest()->getPathInfo(), '/api')) {
            return;
        }
        $problem = self::problemOf($event->getThrowable());
        if ($problem['status'] >= 500) {
            $problem['fault'] = $this->faults->log($event->getThrowable());
        }
        $event->setResponse(new Response(
            json_encode($problem, \JSON_THROW_ON_ERROR | \JSON_INVALID_UTF8_SUBSTITUTE), $problem['status'],
            ['Content-Type' => 'application/problem+json'] + ($problem['status'] === 503 ? ['Retry-After' => self::RETRY_AFTER] : []),
        ));
        $event->stopPropagation();
    }

    /** @return array{type: string, title: string, status: int, detail: string, ...} */
    public static function problemOf(\Throwable $error): array
    {
        return match (true) {
            $error instanceof Problem => $error->toArray(),
            $error instanceof RefusedMember => self::ofMember($error),
            $error instanceof BadDocument => Problem::invalid(
                $error->getMessage(), ['pointer' => $error->pointer, 'reason' => $error->reason],
            )->toArray(),
            $error instanceof NotUnderstood => Problem::invalid($error->getMessage(), [
                'typed' => $error->typed, 'reason' => $error->reason, 'accepted' => $error->accepted, 'offers' => $error->offers,
            ])->toArray(),
            $error instanceof HttpExceptionInterface => self::plain('Request not possible', $error->getStatusCode(), $error->getMessage()),
            $error instanceof NoRoom || self::says($error, self::NO_ROOM) => self::plain(
                'No room', 507,
                'The disk of this shop’s computer is full, or its data folder may not be written to. Nothing of this was stored, and '.
                'nothing stored before is lost. Make room there, then try again.',
            ),
            self::says($error, [self::BUSY]) => self::plain(
                'Busy', 503, 'Something else is being stored for longer than usual. Nothing of this was stored; try again in a moment.',
            ),
            default => self::plain('Fault in the program', 500, 'Something went wrong here, not in what you entered. It is in the log.'),
        };
    }

    /** @return array{type: string, title: string, status: int, detail: string, ...} the refusal, its pointer from the root of the request */
    private static function ofMember(RefusedMember $member): array
    {
        $problem = self::problemOf($member->refusal);
        $within = $problem['pointer'] ?? '';

        return ['pointer' => $member->pointer.(is_string($within) ? $within : '')] + $problem;
    }

    /** @param list<string> $words */
    private static function says(\Throwable $error, array $words): bool
    {
        for ($one = $error; $one !== null; $one = $one->getPrevious()) {
            foreach ($words as $word) {
                if (str_contains($one->getMessage(), $word)) {
                    return true;
                }
            }
        }

        return false;
    }

    /** @return array{type: string, title: string, status: int, detail: string} */
    private static function plain(string $title, int $status, string $detail): array
    {
        return ['type' => 'about:blank', 'title' => $title, 'status' => $status, 'detail' => $detail];
    }
}
