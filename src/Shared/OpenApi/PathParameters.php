<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared\OpenApi;

use OpenApi\Analysis;
use OpenApi\Annotations as OA;
use OpenApi\Context;
use OpenApi\Generator;

/** Gives an operation the parameters that stand in its path: always required, a text where nothing else is said. */
final class PathParameters
{
    public function __invoke(Analysis $analysis): void
    {
        foreach ($analysis->getAnnotationsOfType(OA\Operation::class) as $operation) {
            if (!$operation instanceof OA\Operation || Generator::isDefault($operation->path)) {
                continue;
            }
            $declared = is_array($operation->parameters) ? $operation->parameters : [];
            $names = array_map(static fn (OA\Parameter $parameter): string => $parameter->name, $declared);
            preg_match_all('/\{(\w+)\}/', $operation->path, $inPath);
            foreach (array_diff($inPath[1], $names) as $name) {
                $context = new Context(['nested' => $operation, 'comment' => ''], $operation->_context);
                $schema = new OA\Schema(['type' => 'string', '_context' => $context]);
                $parameter = new OA\Parameter(
                    ['name' => $name, 'in' => 'path', 'required' => true, 'schema' => $schema, '_context' => $context],
                );
                $analysis->addAnnotation($parameter, $context);
                $declared[] = $parameter;
            }
            if ($declared !== []) {
                $operation->parameters = $declared;
            }
        }
    }
}
