<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared\OpenApi;

use OpenApi\Analysis;
use OpenApi\Annotations as OA;
use OpenApi\Context;
use OpenApi\Generator;
use PHPStan\PhpDocParser\Ast\PhpDoc\ParamTagValueNode;
use PHPStan\PhpDocParser\Lexer\Lexer;
use PHPStan\PhpDocParser\Parser\ConstExprParser;
use PHPStan\PhpDocParser\Parser\PhpDocParser;
use PHPStan\PhpDocParser\Parser\TokenIterator;
use PHPStan\PhpDocParser\Parser\TypeParser;
use PHPStan\PhpDocParser\ParserConfig;

/**
 * Gives a schema the public properties of its class, as their types and the constructor's docblock declare them. What a view
 * class declares is always sent: nullable, but never missing. An attribute is needed only for what no type can say.
 */
final class DeclaredProperties
{
    public function __invoke(Analysis $analysis): void
    {
        foreach ($analysis->getAnnotationsOfType(OA\Schema::class, true) as $schema) {
            $class = $schema instanceof OA\Schema ? self::classOf($schema) : null;
            if ($schema instanceof OA\Schema && $class !== null && class_exists($class)) {
                $this->describe($schema, new \ReflectionClass($class), $analysis);
            }
        }
    }

    /** @param \ReflectionClass<object> $class */
    private function describe(OA\Schema $schema, \ReflectionClass $class, Analysis $analysis): void
    {
        $documented = $this->documented($class);
        $types = new TypeSchema($class);
        $required = [];
        foreach ($class->getProperties(\ReflectionProperty::IS_PUBLIC) as $property) {
            if ($property->isStatic()) {
                continue;
            }
            $name = $property->getName();
            $required[] = $name;
            $tag = $documented[$name] ?? null;
            $annotation = $this->existing($analysis, $class->getName(), $name) ?? $this->add($schema, $name, $analysis);
            $annotation->property = $name;
            // A description that goes on over lines is one sentence all the same.
            $described = trim((string) preg_replace('/\s+/', ' ', $tag->description ?? ''));
            $description = Generator::isDefault($annotation->description) ? $described : $annotation->description;
            $types->apply($annotation, $property->getType(), $tag?->type, $analysis);
            if ($description !== '') {
                $annotation->description = $description;
            }
        }
        if ($required !== [] && Generator::isDefault($schema->required)) {
            $schema->required = $required;
        }
    }

    private function existing(Analysis $analysis, string $class, string $name): ?OA\Property
    {
        foreach ($analysis->getAnnotationsOfType(OA\Property::class, true) as $property) {
            if (
                $property instanceof OA\Property
                && in_array($name, [$property->property, $property->_context->property ?? null], true)
                && self::classOf($property) === $class
            ) {
                return $property;
            }
        }

        return null;
    }

    private static function classOf(OA\AbstractAnnotation $annotation): ?string
    {
        $context = $annotation->_context;
        $class = $context->class ?? null;

        return $context === null || !is_string($class) ? null : ltrim($context->fullyQualifiedName($class), '\\');
    }

    private function add(OA\Schema $schema, string $name, Analysis $analysis): OA\Property
    {
        $context = new Context(['generated' => true, 'property' => $name, 'comment' => ''], $schema->_context);
        $property = new OA\Property(['property' => $name, '_context' => $context]);
        $analysis->addAnnotation($property, $context);
        $schema->merge([$property], true);

        return $property;
    }

    /**
     * @param \ReflectionClass<object> $class
     *
     * @return array<string, ParamTagValueNode>
     */
    private function documented(\ReflectionClass $class): array
    {
        $comment = $class->getConstructor()?->getDocComment();
        if ($comment === null || $comment === false) {
            return [];
        }
        $config = new ParserConfig([]);
        $expressions = new ConstExprParser($config);
        $parser = new PhpDocParser($config, new TypeParser($config, $expressions), $expressions);
        $tags = [];
        foreach ($parser->parse(new TokenIterator((new Lexer($config))->tokenize($comment)))->getParamTagValues() as $tag) {
            $tags[ltrim($tag->parameterName, '$')] = $tag;
        }

        return $tags;
    }
}
