<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

/** Something of an engine that a remedy changes, by the name of its value. */
final readonly class Adjustment
{
    /**
     * @param string $of what it belongs to, in the trade’s words
     * @param string|null $label where the label of the value says what was found, and not what is set
     * @param string|null $lasting what can no longer be fitted once it is done, and what it risks; null where it can be undone
     * @param list<AdjustmentKind> $kinds ways to do it; none where there is but one
     */
    public function __construct(
        public string $name,
        public string $of,
        public ?string $lasting = null,
        public ?string $label = null,
        public array $kinds = [],
    ) {
    }

    public function kind(string $code): ?AdjustmentKind
    {
        foreach ($this->kinds as $kind) {
            if ($kind->code === $code) {
                return $kind;
            }
        }

        return null;
    }
}
