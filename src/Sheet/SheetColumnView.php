<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use OpenApi\Attributes as OA;

/** A column of cells to be typed into. */
#[OA\Schema]
final readonly class SheetColumnView
{
    /**
     * @param string $code the quantity, which is the item of its slots
     * @param string $head over it; columns that share one stand together under it
     * @param string $under what tells it from the others under the same head; may be empty
     * @param string $name what it is called in messages and for the ear
     * @param list<string> $index parts of the index of its slots; {face}, {line}, {row} and {date} stand for what is chosen, empty ones are
     *                            left out
     * @param string|null $usualHeight value whose claim is the test height, where nothing else is said
     * @param string $unit in which it is typed where none is given
     */
    public function __construct(
        public string $key,
        public string $code,
        public string $part,
        public string $head,
        public string $under,
        public string $name,
        public array $index,
        public string $unit,
        public string $dimension,
        public string $gauge,
        public bool $atHeight,
        public ?string $usualHeight,
    ) {
    }
}
