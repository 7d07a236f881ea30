<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\Core\Knowledge\Choice;
use MuteTapper\Core\Knowledge\Question;
use OpenApi\Attributes as OA;

/** A question with its few answers. */
#[OA\Schema]
final readonly class AskedView
{
    /**
     * @param list<string> $signs that its answers speak of; asked where the engine can show one of them
     * @param list<array{code: string, label: string, meaning: string, spoils: bool, denies: bool}> $choices what is measured so is worth
     *                                                                                                       nothing where it spoils
     */
    private function __construct(
        public string $code,
        public string $ask,
        public string $step,
        public string $part,
        #[OA\Property(enum: ['station', 'cylinder', 'bank', 'engine'])]
        public string $site,
        public array $signs,
        #[OA\Property(description: 'more than one answer can be true; one that denies stands alone')]
        public bool $several,
        public array $choices,
    ) {
    }

    public static function of(Question $question): self
    {
        return new self(
            $question->code, $question->ask, $question->step, $question->part->value, $question->site->value,
            $question->signs(), $question->several,
            array_values(
                array_map(
                    static fn (Choice $choice): array => [
                        'code' => $choice->code, 'label' => $choice->label, 'meaning' => $choice->meaning,
                        'spoils' => $choice->spoils, 'denies' => $choice->denies,
                    ],
                    $question->choices,
                ),
            ),
        );
    }
}
