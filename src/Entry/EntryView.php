<?php

declare(strict_types=1);

namespace MuteTapper\App\Entry;

use MuteTapper\App\Shared\QuantityView;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Quantity\Fineness;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\UnitSystem;
use OpenApi\Attributes as OA;

/** An entry as the screen shows it: the slot it fills and what was recorded, by kind. */
#[OA\Schema]
final readonly class EntryView
{
    /** Content that is shown converted, in fields of its own. */
    private const SHOWN_APART = ['value' => true, 'at' => true, 'gauge' => true];

    private function __construct(
        public string $id,
        public EntryKind $kind,
        public string $place,
        public string $part,
        public string $item,
        public ?string $index,
        public ?string $supersedes,
        public string $by,
        public string $at,
        #[OA\Property(description: 'as typed')]
        public ?string $text,
        #[OA\Property(description: 'figure in the unit of the case')]
        public ?string $shown,
        #[OA\Property(description: 'as typed: the height a load was taken at')]
        public ?string $atText,
        public ?string $atShown,
        public ?string $gauge,
        public ?string $gaugeCode,
        public ?string $standing,
        public ?int $severity,
        public ?string $state,
        public ?float $sureness,
        public ?string $note,
        public ?string $sha256,
        public ?string $caption,
        #[OA\Property(ref: EntryContentView::class, description: 'what was recorded')]
        public object $content,
    ) {
    }

    public static function of(Entry $entry, UnitSystem $units): self
    {
        $data = $entry->node();
        $word = static fn (string $key): ?string => $data->maybe($key)?->text();
        $none = $entry->kind === EntryKind::Reading ? NotMeasurable::in($data) : null;
        [$value, $at] = match (true) {
            $none !== null => [null, null],
            $entry->kind === EntryKind::Reading => [Reading::of($entry)->typed->quantity(), Reading::of($entry)->at?->quantity()],
            $entry->kind === EntryKind::Claim => [Claim::of($entry)->typed?->quantity(), Claim::of($entry)->at?->quantity()],
            default => [null, null],
        };
        $column = AllSheets::get()->columns[str_replace(Claim::CLAIMED, '', $entry->slot->item)] ?? null;
        $figure = static fn (?Quantity $quantity, Fineness $fineness): ?string => $quantity === null ? null : QuantityView::exact(
            $quantity, $units, $fineness,
        )->figure;

        return new self(
            $entry->id, $entry->kind, $entry->slot->place, $entry->slot->part, $entry->slot->item, $entry->slot->index, $entry->supersedes,
            $entry->by, $entry->at->format(\DATE_RFC3339_EXTENDED),
            $word('text'), $none->value ?? $figure($value, $column->fineness ?? Fineness::Usual),
            $word('atText'), $figure($at, Fineness::Usual),
            $data->maybe('gauge')?->maybe('label')?->text(), $data->maybe('gauge')?->maybe('code')?->text(), $word('standing'),
            $data->maybe('severity')?->whole(0, 4), $word('state'), $data->maybe('sureness')?->number(), $word('note'), $word('sha256'),
            $word('caption'),
            (object) array_diff_key($entry->data, self::SHOWN_APART),
        );
    }
}
