<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;

/** An item laid on the ground: which stations its marks and its clear looks cover. Sites of which the same was said are taken together. */
final readonly class LaidItem
{
    /**
     * @param list<array{float, StationSet}> $marks confidence and stations of marked sites, the surest first
     * @param list<array{float, StationSet}> $looks evidence ratio and stations of sites looked at with nothing there
     * @param StationSet $marked stations of all marks
     * @param StationSet $seen stations of all sites looked at, marked or not
     * @param StationSet $denied stations where it was looked for with good confidence, and is not
     * @param array<string, StationSet>|null $sites the sites of its kind; null where each station is one
     */
    private function __construct(
        public Item $item,
        public array $marks,
        public array $looks,
        public StationSet $marked,
        public StationSet $seen,
        public StationSet $denied,
        public bool $isPlaced,
        private ?array $sites,
    ) {
    }

    public static function on(Ground $ground, Item $item): self
    {
        $confidences = $covered = [];
        $level = -1;
        foreach ($item->sites as $site => $confidence) {
            if ($level < 0 || $confidence !== $confidences[$level]) {
                $confidences[++$level] = $confidence;
            }
            $covered[$level][] = $ground->covered($site);
        }
        $size = count($ground->stations);
        $marks = $looks = $denied = [];
        foreach ($confidences as $level => $confidence) {
            $stations = StationSet::union($size, $covered[$level]);
            if ($confidence > 0.5) {
                $marks[] = [$confidence, $stations]; // the surest come first
            } else {
                $looks[] = [Item::ratioAt($confidence, $item->leak), $stations];
                $denied = $confidence < Ratios::DENIES && !$item->isRelative ? [...$denied, $stations] : $denied;
            }
        }
        $marked = StationSet::union($size, array_column($marks, 1));

        return new self(
            $item, $marks, $looks, $marked, $marked->or(StationSet::union($size, array_column($looks, 1))),
            StationSet::union($size, $denied),
            $item->site === Site::Station || $item->site === Site::Cylinder, match ($item->site) {
                Site::Station => null,
                Site::Cylinder => $ground->cylinders,
                Site::Bank => $ground->banks,
                Site::Cam => $ground->cams,
                Site::Engine => [Place::ENGINE => $ground->all],
            },
        );
    }

    /** What was said of it at a station, in a word: the same for all stations of which the same was said; empty where nothing was. */
    public function said(StationSet $station): string
    {
        foreach ($this->marks as $i => [, $covered]) {
            if ($covered->touches($station)) {
                return '+'.$i;
            }
        }
        foreach ($this->looks as $i => [, $covered]) {
            if ($covered->touches($station)) {
                return '-'.$i;
            }
        }

        return '';
    }

    /** How it was looked for with nothing there, in a word: the same for all items that were looked for in the same way. */
    public function lookedFor(): string
    {
        $word = $this->item->site->value.($this->item->isRelative ? '~' : '');
        foreach ($this->looks as [$ratio, $covered]) {
            $word .= pack('d', $ratio).$covered->key();
        }

        return $word;
    }

    /** Whether the same was said of it at each of these stations. */
    public function isAlikeOn(StationSet $stations): bool
    {
        $said = [...$this->marks, ...$this->looks];

        return count($said) === 1 && $said[0][1]->holds($stations);
    }

    /** How many of its sites lie in a region, whole or in part. */
    public function sitesIn(StationSet $region): int
    {
        if ($this->sites === null) {
            return $region->count;
        }
        $count = 0;
        foreach ($this->sites as $site) {
            $count += $site->touches($region) ? 1 : 0;
        }

        return $count;
    }

    /** How many of its sites lie in both of two regions, whole or in part. */
    public function sitesInBoth(StationSet $one, StationSet $other): int
    {
        return $this->sites === null ? $one->common($other) : $this->sitesIn($one->and($other));
    }
}
