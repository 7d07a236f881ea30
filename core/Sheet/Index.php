<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\Engine\Engine;

/** What one place has several of, in declared order. A key joins the parts by points; a part that does not apply is left out. */
final readonly class Index
{
    /** @param list<Axis> $axes */
    private function __construct(public array $axes)
    {
    }

    public static function none(): self
    {
        return new self([]);
    }

    public static function of(Axis ...$axes): self
    {
        return new self(array_values($axes));
    }

    public function has(Axis $axis): bool
    {
        return in_array($axis, $this->axes, true);
    }

    /**
     * The parts of a key by axis, or null when it is no key of this index.
     *
     * @return array<string, string>|null
     */
    public function split(?string $key, Engine $engine): ?array
    {
        if ($key === null && $this->axes === []) {
            return [];
        }
        $left = $key === null ? [] : explode('.', $key);
        $parts = [];
        foreach ($this->axes as $axis) {
            if ($left !== [] && $axis->accepts($left[0], $engine)) {
                $parts[$axis->value] = array_shift($left);
            } elseif (!$axis->isOptional()) {
                return null;
            }
        }

        return $left === [] ? $parts : null;
    }

    /** @param array<string, string> $parts by axis; those of other axes are left out */
    public function join(array $parts): ?string
    {
        $key = [];
        foreach ($this->axes as $axis) {
            if (isset($parts[$axis->value])) {
                $key[] = $parts[$axis->value];
            }
        }

        return $key === [] ? null : implode('.', $key);
    }

    /**
     * These parts with one of them in place of its like: the middle depth in the same direction.
     *
     * @param array<string, string> $parts
     *
     * @return array<string, string>
     */
    public function with(string $key, array $parts, Engine $engine): array
    {
        foreach ($this->axes as $axis) {
            if ($axis->accepts($key, $engine)) {
                return [$axis->value => $key] + $parts;
            }
        }
        throw new \LogicException(sprintf('“%s” is no part of this index.', $key));
    }

    /**
     * All its keys on an engine, optional parts left out.
     *
     * @return list<array<string, string>>
     */
    public function all(Engine $engine): array
    {
        $all = [[]];
        foreach ($this->axes as $axis) {
            if ($axis->isOptional()) {
                continue;
            }
            $longer = [];
            foreach ($all as $parts) {
                foreach ($axis->keys($engine) as $key) {
                    $longer[] = $parts + [$axis->value => $key];
                }
            }
            $all = $longer;
        }

        return $all;
    }
}
