<?php

declare(strict_types=1);

namespace MuteTapper\Core\Sheet;

use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Claim;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\MeasuredLift;
use MuteTapper\Core\Entry\NotMeasurable;
use MuteTapper\Core\Entry\PartTag;
use MuteTapper\Core\Entry\Reading;
use MuteTapper\Core\Entry\SweptCurve;

/** The readings and claims of a case by what they are of. Each is parsed once, and only when it is asked for. */
final class Records
{
    /** @var array<string, Reading> by id of the entry */
    private array $readings = [];
    /** @var array<string, Claim> */
    private array $claims = [];
    /** @var array<string, SweptCurve> by id of the entry */
    private array $curves = [];
    /** @var array<string, MeasuredLift> by id of the entry */
    private array $lifts = [];

    /**
     * @param array<string, array<string, array<string, Entry>>> $read by item, place and index
     * @param array<string, array<string, array<string, NotMeasurable>>> $none why nothing could be read, likewise
     * @param array<string, array<string, array<string, Entry>>> $claimed by name, place and index
     * @param array<string, array<string, true>> $coils parts of indexes that occur, by place
     * @param array<string, string> $tags of parts, by the slot in which they are said
     * @param list<string> $dates
     * @param array<string, array<string, Entry>> $swept sweeps by place and coil
     * @param array<string, Entry> $lifted measured lifts of lobes, by place
     */
    private function __construct(
        private readonly array $read,
        private readonly array $none,
        private readonly array $claimed,
        private readonly array $coils,
        private readonly array $tags,
        private readonly array $dates,
        private readonly array $swept,
        private readonly array $lifted,
    ) {
    }

    public static function of(CaseFile $case): self
    {
        $read = $none = $claimed = $coils = $tags = $dates = $swept = $lifted = [];
        foreach ($case->log->standing(EntryKind::Reading) as $entry) {
            $index = $entry->slot->index ?? '';
            $coils[$entry->slot->place][$index] = true;
            if ($entry->node()->has('notMeasurable')) {
                $none[$entry->slot->item][$entry->slot->place][$index] = $entry->node()->get('notMeasurable')->choice(NotMeasurable::class);
                continue;
            }
            $read[$entry->slot->item][$entry->slot->place][$index] = $entry;
            if (preg_match('/^\d{4}-\d{2}-\d{2}/', $index, $match) === 1) {
                $dates[$match[0]] = true;
            }
        }
        foreach ($case->log->standing(EntryKind::Claim) as $entry) {
            $index = $entry->slot->index ?? '';
            foreach ([Claim::CLAIMED, Claim::MAKER] as $prefix) {
                if (str_starts_with($entry->slot->item, $prefix)) {
                    $claimed[$entry->slot->item][$entry->slot->place][$index] = $entry;
                    $coils[$entry->slot->place][$index] = true;
                }
            }
        }
        foreach ($case->log->standing(EntryKind::Tag) as $entry) {
            $tags[$entry->slot->key()] = PartTag::fromNode($entry->node())->tag;
        }
        foreach ($case->log->standing(EntryKind::Sweep) as $entry) {
            $swept[$entry->slot->place][$entry->slot->index ?? ''] = $entry;
            $coils[$entry->slot->place][$entry->slot->index ?? ''] = true;
        }
        foreach ($case->log->standing(EntryKind::Lift) as $entry) {
            $lifted[$entry->slot->place] = $entry;
        }
        ksort($dates);

        return new self($read, $none, $claimed, $coils, $tags, array_map(strval(...), array_keys($dates)), $swept, $lifted);
    }

    public function reading(string $item, string $place, ?string $index): ?Reading
    {
        $entry = $this->read[$item][$place][$index ?? ''] ?? null;

        return $entry === null ? null : $this->parsed($entry);
    }

    public function sweep(string $place, string $coil): ?SweptCurve
    {
        $entry = $this->swept[$place][$coil] ?? null;

        return $entry === null ? null : $this->curves[$entry->id] ??= SweptCurve::fromNode($entry->node(), $entry->id);
    }

    /**
     * The lift of a lobe as measured, at the first of the places that has one.
     *
     * @param list<string> $places
     *
     * @return array{string, MeasuredLift}|null the place for which it stands, and the lift
     */
    public function lift(array $places): ?array
    {
        foreach ($places as $place) {
            $entry = $this->lifted[$place] ?? null;
            if ($entry !== null) {
                return [$place, $this->lifts[$entry->id] ??= MeasuredLift::fromNode($entry->node(), $entry->id)];
            }
        }

        return null;
    }

    /** Whether any curve of this kind was recorded. */
    public function hasCurves(EntryKind $kind): bool
    {
        return $kind === EntryKind::Sweep ? $this->swept !== [] : $this->lifted !== [];
    }

    /** @return list<string> */
    public function sweptPlaces(): array
    {
        return array_keys($this->swept);
    }

    /** The tag of the part that stands there, where that was said. */
    public function tagAt(string $place, Part $part, ?string $index): ?string
    {
        return $this->tags === [] ? null : $this->tags[PartTag::slot($place, $part, $index)?->key() ?? ''] ?? null;
    }

    /** Why nothing could be read there, where that was said. */
    public function notMeasurable(string $item, string $place, ?string $index): ?NotMeasurable
    {
        return $this->none[$item][$place][$index ?? ''] ?? null;
    }

    private function parsed(Entry $entry): Reading
    {
        return $this->readings[$entry->id] ??= Reading::of($entry);
    }

    /** @return array<string, array<string, Reading>> every reading of a column, by place and index */
    public function readingsOf(string $item): array
    {
        return array_map(fn (array $entries): array => array_map($this->parsed(...), $entries), $this->read[$item] ?? []);
    }

    /**
     * The claim of a value, else the maker's figure of it, at the first of the places that has one.
     *
     * @param list<string> $places
     */
    public function claim(array $places, string $name, ?string $index): ?Claim
    {
        foreach ([Claim::CLAIMED, Claim::MAKER] as $prefix) {
            foreach ($places as $place) {
                $entry = $this->claimed[$prefix.$name][$place][$index ?? ''] ?? null;
                if ($entry !== null) {
                    return $this->claims[$entry->id] ??= Claim::of($entry);
                }
            }
        }

        return null;
    }

    /** Whether anything at all is claimed under this name, or said by the maker. */
    public function isClaimed(string $name): bool
    {
        return isset($this->claimed[Claim::CLAIMED.$name]) || isset($this->claimed[Claim::MAKER.$name]);
    }

    /** @return list<string|null> */
    public function indexes(string $item, string $place): array
    {
        return array_map(
            static fn (int|string $index): ?string => $index === '' ? null : (string) $index, array_keys($this->read[$item][$place] ?? []),
        );
    }

    /** @param list<string> $stated places at which something may be claimed for the place */
    public function hasCoil(string $place, array $stated, string $coil): bool
    {
        foreach ([$place, ...$stated] as $one) {
            if (isset($this->coils[$one][$coil])) {
                return true;
            }
        }

        return false;
    }

    /** @return list<string> days of earlier sheets, oldest first */
    public function dates(): array
    {
        return $this->dates;
    }
}
