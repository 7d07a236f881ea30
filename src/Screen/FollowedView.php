<?php

declare(strict_types=1);

namespace MuteTapper\App\Screen;

use MuteTapper\App\Sheet\MarginColumnView;
use MuteTapper\App\Sheet\MarginsView;
use MuteTapper\App\Sheet\MarginView;
use MuteTapper\App\Sheet\SheetView;
use MuteTapper\App\Sheet\ValueView;
use OpenApi\Attributes as OA;

/** What became of something derived that a screen shows: only what differs from what that screen has, where that is still known. */
#[OA\Schema]
final readonly class FollowedView
{
    /**
     * @param string $name as it was asked for
     * @param list<MarginView> $margins
     * @param list<ValueView> $values
     * @param list<string> $gone keys of margins and values that are not there any more
     * @param list<string> $remarks
     * @param list<MarginColumnView> $columns
     */
    private function __construct(
        public string $name,
        #[OA\Property(description: 'all of it, not only what changed')]
        public bool $whole,
        public array $margins,
        public array $values,
        #[OA\Property(description: 'place, name and index, separated by blanks', items: new OA\Items(type: 'string'))]
        public array $gone,
        public array $remarks,
        public array $columns,
    ) {
    }

    public static function between(string $name, SheetView|MarginsView|null $before, SheetView|MarginsView $now): self
    {
        $known = $before === null ? [] : self::keyed($before);
        $current = self::keyed($now);
        $changed = array_filter(
            $current,
            static fn (MarginView|ValueView $one, string $key): bool => !isset($known[$key]) || serialize($known[$key]) !== serialize($one),
            \ARRAY_FILTER_USE_BOTH,
        );

        return new self(
            $name, $before === null,
            array_values(array_filter($changed, static fn (object $one): bool => $one instanceof MarginView)),
            array_values(array_filter($changed, static fn (object $one): bool => $one instanceof ValueView)),
            array_keys(array_diff_key($known, $current)),
            $now instanceof SheetView ? $now->remarks : [], $now instanceof MarginsView ? $now->columns : [],
        );
    }

    /** @return array<string, MarginView|ValueView> */
    private static function keyed(SheetView|MarginsView $view): array
    {
        $keyed = [];
        foreach ($view->margins as $margin) {
            $keyed[implode(' ', [$margin->place, $margin->quantity, $margin->coil])] = $margin;
        }
        foreach ($view instanceof SheetView ? $view->values : [] as $value) {
            $keyed[implode(' ', [$value->place, $value->name, $value->index])] = $value;
        }

        return $keyed;
    }
}
