<?php

declare(strict_types=1);

namespace MuteTapper\App\Record;

use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Controller\ValueResolverInterface;
use Symfony\Component\HttpKernel\ControllerMetadata\ArgumentMetadata;

/** Gives a controller the case that its path names. */
final readonly class CaseResolver implements ValueResolverInterface
{
    public function __construct(private Cases $cases)
    {
    }

    /** @return list<CaseRecord> */
    public function resolve(Request $request, ArgumentMetadata $argument): array
    {
        $id = $request->attributes->get('id');

        return $argument->getType() === CaseRecord::class && is_string($id) ? [$this->cases->get($id)] : [];
    }
}
