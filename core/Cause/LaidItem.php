<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Site;

/** An item laid on the ground: which stations its marks and its clear looks cover. */
final readonly class LaidItem
{
    /**
     * @param list<array{StationSet, float}> $marks stations and confidence of each marked site
     * @param list<array{StationSet, float}> $looks stations and evidence ratio of each site looked at with nothing there
     * @param StationSet $marked stations of all marks
     * @param StationSet $seen stations of all sites looked at, marked or not
     * @param StationSet $denied stations where it was looked for with good confidence, and is not
     */
    private function __construct(
        public Item $item,
        public array $marks,
        public array $looks,
        public StationSet $marked,
        public StationSet $seen,
        public StationSet $denied,
    ) {
    }

    public static function on(Ground $ground, Item $item): self
    {
        $marks = $looks = [];
        $marked = $seen = $denied = StationSet::none(count($ground->stations));
        foreach ($item->sites as $site => $confidence) {
            $covered = $ground->covered($site);
            $seen = $seen->or($covered);
            if ($confidence > 0.5) {
                $marks[] = [$covered, $confidence];
                $marked = $marked->or($covered);
            } else {
                $looks[] = [$covered, Item::ratioAt($confidence, $item->leak)];
                $denied = $confidence < Ratios::DENIES && !$item->isRelative ? $denied->or($covered) : $denied;
            }
        }

        return new self($item, $marks, $looks, $marked, $seen, $denied);
    }

    /** Whether it stands at single places, which a cause can be at or not. */
    public function isPlaced(): bool
    {
        return $this->item->site === Site::Station || $this->item->site === Site::Cylinder;
    }

    /** What was said of it at a station, in a word; empty where nothing was. */
    public function said(StationSet $station): string
    {
        foreach ([...$this->marks, ...$this->looks] as [$covered, $figure]) {
            if ($covered->touches($station)) {
                return ($this->marked->touches($station) ? '+' : '-').$figure;
            }
        }

        return '';
    }

    /** How many of its sites lie in a region. */
    public function sitesIn(Ground $ground, StationSet $region): int
    {
        return match ($this->item->site) {
            Site::Station => $region->count,
            Site::Cylinder => self::touching($ground->cylinders, $region),
            Site::Bank => self::touching($ground->banks, $region),
            Site::Cam => self::touching($ground->cams, $region),
            Site::Engine => 1,
        };
    }

    /** @param array<string, StationSet> $sites */
    private static function touching(array $sites, StationSet $region): int
    {
        return count(array_filter($sites, static fn (StationSet $site): bool => $site->touches($region)));
    }
}
