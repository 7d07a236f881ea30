<?php

declare(strict_types=1);

namespace MuteTapper\Core\Cause;

use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Place;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Engine\ValveKind;

/** The engine as evidence lies on it: which stations a site covers, and how marks on it are spread. */
final readonly class Ground
{
    private const MOST_OF_KIND = 0.70;
    private const FEW_OF_OTHER = 0.20;
    private const MOST_OF_ALL = 0.60;

    /**
     * @param list<string> $stations codes, by number
     * @param array<string, StationSet> $sites by code of the site
     * @param array<string, StationSet> $kinds by I and E
     * @param array<string, StationSet> $banks
     * @param array<string, StationSet> $cylinders
     * @param array<string, StationSet> $cams
     * @param array<string, SpreadClass> $same what a class is the same as on this engine
     */
    private function __construct(
        public array $stations,
        public StationSet $all,
        private array $sites,
        public array $kinds,
        public array $banks,
        public array $cylinders,
        public array $cams,
        private array $same,
    ) {
    }

    public static function of(Engine $engine): self
    {
        $stations = $kinds = $banks = $cylinders = [];
        foreach ($engine->stations as $number => $station) {
            $stations[] = $station->code();
            $kinds[$station->kind->value][] = $number;
            $banks[$station->cylinder->bank][] = $number;
            $cylinders[$station->cylinder->code()][] = $number;
        }
        $count = count($stations);
        [$kinds, $banks, $cylinders] = [self::sets($count, $kinds), self::sets($count, $banks), self::sets($count, $cylinders)];
        $all = StationSet::of($count, range(0, $count - 1));
        $sites = [Place::ENGINE => $all] + $banks + $cylinders;
        foreach ($stations as $number => $code) {
            $sites[$code] = StationSet::of($count, [$number]);
        }
        $cams = [];
        foreach ($engine->sites(Site::Cam) as $cam) {
            $cams[$cam] = $banks[$cam[0]]->and($kinds[substr($cam, -1)] ?? StationSet::none($count));
        }

        return new self(
            $stations, $all, $sites + $cams, $kinds, $banks, $cylinders, $cams, self::same(count($banks), count($cylinders), $kinds),
        );
    }

    /**
     * @param array<string, list<int>> $parts
     *
     * @return array<string, StationSet>
     */
    private static function sets(int $count, array $parts): array
    {
        return array_map(static fn (array $numbers): StationSet => StationSet::of($count, $numbers), $parts);
    }

    /** The stations that a site covers. */
    public function covered(string $site): StationSet
    {
        return $this->sites[$site];
    }

    /** @param list<string> $codes */
    public function set(array $codes): StationSet
    {
        $numbers = array_flip($this->stations);

        return StationSet::of(count($this->stations), array_map(static fn (string $code): int => $numbers[$code], $codes));
    }

    /** @return list<string> */
    public function codes(StationSet $stations): array
    {
        return array_map(fn (int $number): string => $this->stations[$number], $stations->numbers());
    }

    /** The share of a class in a row, classes that are the same on this engine together. */
    public function share(SpreadRow $row, SpreadClass $class): float
    {
        $share = 0.0;
        foreach (SpreadClass::cases() as $one) {
            $share += ($this->same[$one->value] ?? $one) === $class ? Spread::share($row, $one) : 0.0;
        }

        return $share;
    }

    /**
     * The classes that the marks can be of, whatever the stations that nobody looked at would show: none of them, all of them,
     * all of a kind, a bank, or a cylinder that holds a mark.
     *
     * @param StationSet $marked never empty
     *
     * @return list<SpreadClass>
     */
    public function classes(Site $site, StationSet $marked, StationSet $looked): array
    {
        $unseen = $this->all->without($looked);
        $fillings = [StationSet::none($unseen->size), $unseen];
        foreach ([...array_values($this->kinds), ...array_values($this->banks)] as $part) {
            $fillings[] = $unseen->and($part);
        }
        foreach ($this->cylinders as $cylinder) {
            if ($cylinder->touches($marked)) {
                $fillings[] = $unseen->and($cylinder);
            }
        }
        $classes = [];
        foreach ($fillings as $filling) {
            $found = $site === Site::Cylinder ? $this->ofCylinders($marked->or($filling)) : [$this->ofStations($marked->or($filling))];
            foreach ($found as $class) {
                $class = $this->same[$class->value] ?? $class;
                $classes[$class->value] = $class;
            }
        }

        return array_values($classes);
    }

    private function ofStations(StationSet $marked): SpreadClass
    {
        if ($marked->count === 1) {
            return SpreadClass::One;
        }
        foreach (count($this->cylinders) > 1 ? $this->cylinders : [] as $cylinder) {
            if ($cylinder->holds($marked)) {
                return SpreadClass::Cylinder;
            }
        }
        foreach ([[$this->kinds, SpreadClass::Kind], [$this->banks, SpreadClass::Bank]] as [$parts, $class]) {
            $shares = array_values(array_map(
                static fn (StationSet $part): float => $part->and($marked)->count / $part->count, $parts,
            ));
            if (count($shares) === 2 && self::isOnOne($shares)) {
                return $class;
            }
        }

        return $marked->count >= self::MOST_OF_ALL * $this->all->count ? SpreadClass::Most : SpreadClass::Few;
    }

    /** @return list<SpreadClass> those that cylinders alone cannot tell apart */
    private function ofCylinders(StationSet $marked): array
    {
        $counts = fn (StationSet $in): int => count(
            array_filter($this->cylinders, static fn (StationSet $one): bool => $one->touches($in) && $one->touches($marked)),
        );
        $count = $counts($this->all);
        $classes = $count === 1 ? [SpreadClass::One, SpreadClass::Cylinder] : [];
        $each = intdiv(count($this->cylinders), count($this->banks));
        $shares = array_values(array_map(static fn (StationSet $bank): float => $counts($bank) / $each, $this->banks));
        if (count($shares) === 2 && self::isOnOne($shares)) {
            $classes[] = SpreadClass::Bank;
        }
        if ($count >= self::MOST_OF_ALL * count($this->cylinders)) {
            $classes = [...$classes, SpreadClass::Kind, SpreadClass::Most];
        }

        return $classes === [] ? [SpreadClass::Few] : $classes;
    }

    /** @param non-empty-list<float> $shares marked of either */
    private static function isOnOne(array $shares): bool
    {
        return max($shares) >= self::MOST_OF_KIND && min($shares) <= self::FEW_OF_OTHER;
    }

    /**
     * @param array<string, StationSet> $kinds
     *
     * @return array<string, SpreadClass>
     */
    private static function same(int $banks, int $cylinders, array $kinds): array
    {
        $same = [];
        if ($banks === 1) {
            $same[SpreadClass::Bank->value] = SpreadClass::Most;
        } elseif ($cylinders === $banks) {
            $same[SpreadClass::Bank->value] = SpreadClass::Cylinder;
        }
        if ($cylinders === 1) {
            $same[SpreadClass::Cylinder->value] = SpreadClass::Most;
        }
        if (array_filter($kinds, static fn (StationSet $kind): bool => $kind->count > 1) === []) {
            $same[SpreadClass::Kind->value] = SpreadClass::One;
        }

        return $same;
    }

    public function kindsOf(StationSet $stations): string
    {
        return implode('', array_keys(array_filter($this->kinds, static fn (StationSet $kind): bool => $kind->touches($stations))));
    }

    /** The kind of valve, where a place is of one. */
    public function kindOf(StationSet $stations): ?ValveKind
    {
        return ValveKind::tryFrom($this->kindsOf($stations));
    }
}
