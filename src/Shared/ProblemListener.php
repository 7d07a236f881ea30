<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Quantity\NotUnderstood;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;

/** Turns every error under /api into a problem document. */
#[AsEventListener]
final class ProblemListener
{
    public function __invoke(ExceptionEvent $event): void
    {
        if (!str_starts_with($event->getRequest()->getPathInfo(), '/api')) {
            return;
        }
        $problem = self::problemOf($event->getThrowable());
        $event->setResponse(new JsonResponse($problem, $problem['status'], ['Content-Type' => 'application/problem+json']));
    }

    /** @return array{type: string, title: string, status: int, detail: string, ...} */
    public static function problemOf(\Throwable $error): array
    {
        return match (true) {
            $error instanceof Problem => $error->toArray(),
            $error instanceof BadDocument => Problem::invalid(
                $error->getMessage(), ['pointer' => $error->pointer, 'reason' => $error->reason],
            )->toArray(),
            $error instanceof NotUnderstood => Problem::invalid($error->getMessage(), [
                'typed' => $error->typed, 'reason' => $error->reason, 'accepted' => $error->accepted, 'offers' => $error->offers,
            ])->toArray(),
            $error instanceof HttpExceptionInterface => [
                'type' => 'about:blank', 'title' => 'Request not possible', 'status' => $error->getStatusCode(),
                'detail' => $error->getMessage(),
            ],
            default => [
                'type' => 'about:blank', 'title' => 'Fault in the program', 'status' => 500,
                'detail' => 'Something went wrong here, not in what you entered. It is in the log.',
            ],
        };
    }
}
