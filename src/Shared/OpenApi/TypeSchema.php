<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared\OpenApi;

use OpenApi\Analysis;
use OpenApi\Annotations as OA;
use OpenApi\Context;
use OpenApi\Generator;
use PHPStan\PhpDocParser\Ast\Type\ArrayShapeNode;
use PHPStan\PhpDocParser\Ast\Type\GenericTypeNode;
use PHPStan\PhpDocParser\Ast\Type\IdentifierTypeNode;
use PHPStan\PhpDocParser\Ast\Type\NullableTypeNode;
use PHPStan\PhpDocParser\Ast\Type\TypeNode;
use PHPStan\PhpDocParser\Ast\Type\UnionTypeNode;

/** A PHP type as an OpenAPI schema: the declared one, and where that is an array what the docblock says of it. */
final readonly class TypeSchema
{
    private const PLAIN = [
        'int' => 'integer', 'float' => 'number', 'string' => 'string', 'bool' => 'boolean', 'object' => 'object', 'mixed' => null,
    ];

    /** @param \ReflectionClass<object> $class in whose namespace short names stand */
    public function __construct(private \ReflectionClass $class)
    {
    }

    /** Fills in what the annotation does not say itself. */
    public function apply(OA\Schema $annotation, ?\ReflectionType $declared, ?TypeNode $documented, Analysis $analysis): void
    {
        if (!$declared instanceof \ReflectionNamedType) {
            return;
        }
        if ($declared->allowsNull() && $declared->getName() !== 'mixed') {
            $annotation->nullable = true;
        }
        if (!Generator::isDefault($annotation->type) || !Generator::isDefault($annotation->ref)) {
            return;
        }
        if ($declared->getName() === 'array' && $documented !== null) {
            $this->ofDocumented($annotation, $documented, $analysis);
        } else {
            $this->ofName($annotation, $declared->getName(), $analysis);
        }
    }

    private function ofDocumented(OA\Schema $annotation, TypeNode $type, Analysis $analysis): void
    {
        if ($type instanceof NullableTypeNode || $type instanceof UnionTypeNode) {
            $inner = $type instanceof NullableTypeNode
                ? [$type->type]
                : array_values(array_filter($type->types, static fn (TypeNode $one): bool => (string) $one !== 'null'));
            $annotation->nullable = $type instanceof NullableTypeNode || count($inner) < count($type->types) ? true : $annotation->nullable;
            $this->ofDocumented($annotation, $inner[0], $analysis);
        } elseif ($type instanceof GenericTypeNode && $type->type->name === 'list') {
            $annotation->type = 'array';
            $annotation->items = new OA\Items(['_context' => self::context($annotation)]);
            $analysis->addAnnotation($annotation->items, self::context($annotation));
            $this->ofDocumented($annotation->items, $type->genericTypes[0], $analysis);
        } elseif ($type instanceof GenericTypeNode) {
            $annotation->type = 'object';
            $annotation->additionalProperties = $more = new OA\AdditionalProperties(['_context' => self::context($annotation)]);
            $analysis->addAnnotation($more, self::context($annotation));
            $this->ofDocumented($more, $type->genericTypes[count($type->genericTypes) - 1], $analysis);
        } elseif ($type instanceof ArrayShapeNode) {
            $this->ofShape($annotation, $type, $analysis);
        } elseif ($type instanceof IdentifierTypeNode) {
            $this->ofName($annotation, $type->name, $analysis);
        }
    }

    private function ofShape(OA\Schema $annotation, ArrayShapeNode $shape, Analysis $analysis): void
    {
        if ($shape->items !== [] && $shape->items[0]->keyName === null) {
            // Without names it is a list of as many members.
            $annotation->type = 'array';
            $annotation->items = new OA\Items(['_context' => self::context($annotation)]);
            $analysis->addAnnotation($annotation->items, self::context($annotation));
            $this->ofDocumented($annotation->items, $shape->items[0]->valueType, $analysis);

            return;
        }
        $annotation->type = 'object';
        $annotation->properties = $annotation->required = [];
        foreach ($shape->items as $item) {
            $name = (string) $item->keyName;
            $property = new OA\Property(['property' => $name, '_context' => self::context($annotation)]);
            $analysis->addAnnotation($property, self::context($annotation));
            $this->ofDocumented($property, $item->valueType, $analysis);
            $annotation->properties[] = $property;
            $annotation->required[] = $name;
        }
    }

    private function ofName(OA\Schema $annotation, string $name, Analysis $analysis): void
    {
        if (array_key_exists($name, self::PLAIN)) {
            $annotation->type = self::PLAIN[$name] ?? Generator::UNDEFINED;

            return;
        }
        $class = class_exists($name) || enum_exists($name) ? $name : $this->class->getNamespaceName().'\\'.$name;
        $class = class_exists($class) || enum_exists($class) ? $class : $this->imported($name);
        if (enum_exists($class)) {
            $cases = array_map(
                static fn (\UnitEnum $case): int|string => $case instanceof \BackedEnum ? $case->value : $case->name, $class::cases(),
            );
            $annotation->type = is_int($cases[0] ?? '') ? 'integer' : 'string';
            $annotation->enum = $cases;

            return;
        }
        $ref = '#/components/schemas/'.substr((string) strrchr('\\'.$class, '\\'), 1);
        if ($annotation->nullable === true) {
            $annotation->oneOf = [$one = new OA\Schema(['ref' => $ref, '_context' => self::context($annotation)])];
            $analysis->addAnnotation($one, self::context($annotation));
        } else {
            $annotation->ref = $ref;
        }
    }

    /** A short name of a docblock, by the imports of its file. */
    private function imported(string $name): string
    {
        $source = (string) file_get_contents((string) $this->class->getFileName());

        return preg_match('/^use ([\w\\\\]+\\\\'.preg_quote($name, '/').');/m', $source, $match) === 1
            ? $match[1]
            : throw new \LogicException(sprintf('%s: the docblock names “%s”, which is no class.', $this->class->getName(), $name));
    }

    /** Of what stands inside another annotation: no comment of its own. */
    private static function context(OA\Schema $annotation): Context
    {
        return new Context(['nested' => $annotation, 'generated' => true, 'comment' => ''], $annotation->_context);
    }
}
