<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared\OpenApi;

/**
 * One schema of an OpenAPI 3.0 description as a JSON Schema by itself, with those that it refers to. The two differ in how they say
 * that null is allowed. [pub: OpenAPI Specification 3.0.3, Schema Object; JSON Schema draft 2020-12].
 */
final class JsonSchema
{
    private const COMPONENTS = '#/components/schemas/';

    /** @var array<string, mixed> */
    private array $definitions = [];

    /** @param array<mixed> $components */
    private function __construct(private readonly array $components)
    {
    }

    /**
     * @param array<mixed> $description
     *
     * @return array<string, mixed>|null null where there is no such schema
     */
    public static function of(array $description, string $name): ?array
    {
        $components = $description['components'] ?? null;
        $schemas = is_array($components) && is_array($components['schemas'] ?? null) ? $components['schemas'] : [];
        $root = $schemas[$name] ?? null;
        if (!is_array($root)) {
            return null;
        }
        $made = new self($schemas);
        $schema = $made->converted($root);
        ksort($made->definitions);

        return ['$schema' => 'https://json-schema.org/draft/2020-12/schema', 'title' => $name] + $schema + ['$defs' => $made->definitions];
    }

    /**
     * @param array<mixed> $schema
     *
     * @return array<string, mixed>
     */
    private function converted(array $schema): array
    {
        $converted = [];
        foreach ($schema as $key => $value) {
            $converted[(string) $key] = is_array($value) ? $this->converted($value) : $value;
        }
        $to = $converted['$ref'] ?? null;
        if (is_string($to) && str_starts_with($to, self::COMPONENTS)) {
            $converted['$ref'] = '#/$defs/'.$this->defined(substr($to, strlen(self::COMPONENTS)));
        }
        if (array_is_list($schema) && $schema !== []) {
            return array_combine(array_map(strval(...), array_keys($converted)), $converted);
        }
        if (($converted['nullable'] ?? null) === true) {
            unset($converted['nullable']);

            return isset($converted['type']) && !isset($converted['enum'])
                ? ['type' => [$converted['type'], 'null']] + $converted
                : ['anyOf' => [$converted, ['type' => 'null']]];
        }

        return $converted;
    }

    private function defined(string $name): string
    {
        if (!array_key_exists($name, $this->definitions)) {
            $this->definitions[$name] = true; // a schema may refer to itself
            $of = $this->components[$name] ?? null;
            $this->definitions[$name] = is_array($of) ? $this->converted($of) : true;
        }

        return $name;
    }
}
