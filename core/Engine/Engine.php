<?php

declare(strict_types=1);

namespace MuteTapper\Core\Engine;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;

/**
 * The engine as described. Invariant: every bank holds the same number of cylinders, every number occurs once, and the
 * firing order, where known, names each cylinder once.
 */
final readonly class Engine
{
    private const MOST_CYLINDERS = 16;

    /**
     * @param array<string, list<int>> $numbering maker's numbers by bank, front first
     * @param array<string, string> $valveOrder heads that alternate kinds: I and E by bank, front first
     * @param list<int> $firingOrder empty while unknown
     * @param array<string, BuildFlag> $flags facts of the build that causes ask for
     * @param list<float> $firingAngles crank degrees at which the cylinders of the firing order fire; empty while unknown
     * @param list<Station> $stations in station order: bank, position, exhaust before intake, ordinal
     * @param list<Cylinder> $cylinders
     * @param array<string, Station> $stationByCode
     */
    private function __construct(
        public Layout $layout,
        public DriveKind $drive,
        public FollowerFace $face,
        public LashKind $lash,
        public int $intakeValves,
        public int $exhaustValves,
        public array $numbering,
        public array $valveOrder,
        public array $firingOrder,
        public string $forwardBank,
        public ?float $rockerRatio,
        public ?float $intendedSpeed,
        public ?float $reachedSpeed,
        public array $flags,
        public array $firingAngles,
        public array $cylinders,
        public array $stations,
        private array $stationByCode,
    ) {
    }

    /**
     * Reads a description. Only drive, layout and number of cylinders are needed; the rest has defaults by drive kind.
     *
     * @throws BadDocument
     */
    public static function fromNode(Node $node): self
    {
        $drive = $node->get('drive')->choice(DriveKind::class);
        $layout = $node->get('layout')->choice(Layout::class);
        $count = $node->get('cylinders')->whole(1, self::MOST_CYLINDERS);
        $banks = $layout === Layout::Inline ? ['A'] : ['A', 'B'];
        if ($count % count($banks) !== 0) {
            throw BadDocument::at(
                $node->pointer.'/cylinders',
                sprintf('%d cylinders do not divide into two banks; an even number is accepted.', $count),
            );
        }
        $pushrod = $drive === DriveKind::Pushrod;
        $intake = $node->maybe('intake_valves')?->whole(1, 3) ?? ($pushrod ? 1 : 2);
        $exhaust = $node->maybe('exhaust_valves')?->whole(1, 2) ?? ($pushrod ? 1 : 2);
        $numbering = self::numbering($node, $banks, $count, $pushrod);
        $valveOrder = $intake + $exhaust === 2 && $pushrod ? self::valveOrder($node, $banks, intdiv($count, count($banks))) : [];
        $flags = [];
        foreach ($node->maybe('flags')?->members() ?? [] as $name => $flag) {
            $flags[$name] = $flag->choice(BuildFlag::class);
        }
        $cylinders = $stations = [];
        foreach ($numbering as $bank => $numbers) {
            foreach ($numbers as $i => $number) {
                $cylinders[] = $cylinder = new Cylinder($bank, $i + 1, $number);
                foreach ([[ValveKind::Exhaust, $exhaust], [ValveKind::Intake, $intake]] as [$kind, $valves]) {
                    for ($ordinal = 1; $ordinal <= $valves; ++$ordinal) {
                        $stations[] = new Station($cylinder, $kind, $ordinal, $valves === 1);
                    }
                }
            }
        }

        return new self(
            $layout,
            $drive,
            $node->maybe('face')?->choice(FollowerFace::class) ?? FollowerFace::Flat,
            $node->maybe('lash')?->choice(LashKind::class) ?? LashKind::Solid,
            $intake,
            $exhaust,
            $numbering,
            $valveOrder,
            self::firingOrder($node, array_merge(...array_values($numbering))),
            $node->maybe('forward_bank')?->choice(ForwardBank::class)->value ?? 'A',
            self::within($node, 'rocker_ratio', 0.5, 3.0),
            self::within($node, 'intended_speed', 500, 25000),
            self::within($node, 'reached_speed', 500, 30000),
            $flags,
            self::firingAngles($node),
            $cylinders,
            $stations,
            array_combine(array_map(static fn (Station $station): string => $station->code(), $stations), $stations),
        );
    }

    /** @return array<string, mixed> the description, complete, in the shape that fromNode reads */
    public function toArray(): array
    {
        return [
            'layout' => $this->layout->value,
            'drive' => $this->drive->value,
            'face' => $this->face->value,
            'lash' => $this->lash->value,
            'cylinders' => count($this->cylinders),
            'intake_valves' => $this->intakeValves,
            'exhaust_valves' => $this->exhaustValves,
            'numbering' => $this->numbering,
            'valve_order' => $this->valveOrder === [] ? null : $this->valveOrder,
            'firing_order' => $this->firingOrder,
            ...($this->firingAngles === [] ? [] : ['firing_angles' => $this->firingAngles]),
            'forward_bank' => $this->forwardBank,
            'rocker_ratio' => $this->rockerRatio,
            'intended_speed' => $this->intendedSpeed,
            'reached_speed' => $this->reachedSpeed,
            'flags' => $this->flags === [] ? null : array_map(static fn (BuildFlag $flag): string => $flag->value, $this->flags),
        ];
    }

    public function station(string $code): ?Station
    {
        return $this->stationByCode[$code] ?? null;
    }

    /** What a person calls a place: `4E1`, `cylinder 4`, `bank B`, `all exhausts`, `engine`. Null when this engine has no such place. */
    public function placeLabel(string $place): ?string
    {
        if (($station = $this->station($place)) !== null) {
            return $station->label();
        }
        foreach ($this->cylinders as $cylinder) {
            if ($cylinder->code() === $place) {
                return 'cylinder '.$cylinder->number;
            }
        }

        return match (true) {
            $place === Place::ENGINE => 'engine',
            Place::asKind($place) !== null => $this->kindLabel(...Place::asKind($place)),
            isset($this->numbering[$place]) => 'bank '.$place,
            Place::asCam($place) !== null && isset($this->numbering[$place[0]]) => $this->camLabel($place[0], Place::asCam($place)),
            Place::asLoose($place) !== null => 'loose '.Place::asLoose($place),
            default => null,
        };
    }

    private function camLabel(string $bank, ValveKind $kind): string
    {
        return sprintf(count($this->numbering) > 1 ? '%s cam, bank %s' : '%s cam', $kind->word(), $bank);
    }

    private function kindLabel(?string $bank, ValveKind $kind): ?string
    {
        return match (true) {
            $bank === null => 'all '.$kind->word().'s',
            isset($this->numbering[$bank]) => sprintf('%ss of bank %s', $kind->word(), $bank),
            default => null,
        };
    }

    /**
     * Where something that holds for a place may be stated, the narrowest first: the place itself, its kind in its bank, its
     * kind, its bank, the engine.
     *
     * @return non-empty-list<string>
     */
    public function statedAt(string $place): array
    {
        $station = $this->station($place);
        $bank = $this->siteOf($place, Site::Bank);
        $wider = $station === null ? [] : [Place::kind($station->kind, $bank), Place::kind($station->kind)];

        return array_values(array_unique([$place, ...$wider, ...($bank === null ? [] : [$bank]), Place::ENGINE]));
    }

    /** Whether the cylinders fire at equal distances; null while the firing angles are unknown. */
    public function firesEvenly(): ?bool
    {
        if ($this->firingAngles === []) {
            return null;
        }
        $angles = $this->firingAngles;
        sort($angles);
        foreach ($angles as $i => $angle) {
            if (abs($angle - $angles[0] - $i * 720 / count($angles)) > 1.0) {
                return false;
            }
        }

        return true;
    }

    /** The kind of valve that stands at a place, or that its cam moves; null where it is of no one kind. */
    public function kindAt(string $place): ?ValveKind
    {
        return $this->station($place)->kind ?? Place::asCam($place);
    }

    /** @return list<string> cylinders next to one in its bank */
    public function besides(string $cylinder): array
    {
        $next = array_map(static fn (int $step): string => $cylinder[0].((int) substr($cylinder, 1) + $step), [-1, 1]);

        return array_values(array_intersect($next, $this->sites(Site::Cylinder)));
    }

    /** How the build answers what a cause asks for: a fact of the description, or a flag somebody recorded. */
    public function flag(string $name): BuildFlag
    {
        $known = match ($name) {
            'pushrod' => $this->drive === DriveKind::Pushrod,
            'bucket' => $this->drive === DriveKind::Bucket,
            'finger' => $this->drive === DriveKind::Finger,
            'overhead' => $this->drive !== DriveKind::Pushrod,
            'rocker' => $this->drive !== DriveKind::Bucket,
            'hydraulic' => $this->lash === LashKind::Hydraulic,
            'solid' => $this->lash === LashKind::Solid,
            'roller' => $this->face === FollowerFace::Roller,
            'sliding' => $this->face !== FollowerFace::Roller,
            default => null,
        };

        return $known === null ? $this->flags[$name] ?? BuildFlag::Unknown : ($known ? BuildFlag::Yes : BuildFlag::No);
    }

    /**
     * The first of the flags to which the build says no, or null. Only a certain no counts.
     *
     * @param list<string> $flags
     */
    public function lacks(array $flags): ?string
    {
        foreach ($flags as $flag) {
            if ($this->flag($flag) === BuildFlag::No) {
                return $flag;
            }
        }

        return null;
    }

    /** @return list<Part> the parts this engine has, in the order of the parts list */
    public function parts(): array
    {
        return array_values(array_filter(Part::cases(), fn (Part $part): bool => $part->isFittedTo($this)));
    }

    /** @return list<string> codes of all sites of a kind */
    public function sites(Site $site): array
    {
        return match ($site) {
            Site::Station => array_map(static fn (Station $station): string => $station->code(), $this->stations),
            Site::Cylinder => array_map(static fn (Cylinder $cylinder): string => $cylinder->code(), $this->cylinders),
            Site::Bank => array_keys($this->numbering),
            Site::Cam => array_merge(...array_map(
                static fn (string $bank): array => [Place::cam($bank, ValveKind::Exhaust), Place::cam($bank, ValveKind::Intake)],
                array_keys($this->numbering),
            )),
            Site::Engine => [Place::ENGINE],
        };
    }

    /** The site of the given kind that a place lies in, or null where the place is wider than the site. */
    public function siteOf(string $place, Site $site): ?string
    {
        $cylinder = explode('-', $place)[0];

        return match ($site) {
            Site::Station => $this->station($place)?->code(),
            Site::Cylinder => preg_match('/^([A-B])(\d+)$/', $cylinder, $match) === 1
                && isset($this->numbering[$match[1]][(int) $match[2] - 1])
                ? $cylinder
                : null,
            Site::Bank => isset($this->numbering[$place[0] ?? '']) && !str_starts_with($place, 'kind') ? $place[0] : null,
            Site::Cam => Place::asCam($place) !== null && isset($this->numbering[$place[0]])
                ? $place
                : (($station = $this->station($place)) === null ? null : Place::cam($station->cylinder->bank, $station->kind)),
            Site::Engine => Place::ENGINE,
        };
    }

    /**
     * @param list<string> $banks
     *
     * @return array<string, list<int>>
     */
    private static function numbering(Node $node, array $banks, int $count, bool $pushrod): array
    {
        $each = intdiv($count, count($banks));
        $numbering = [];
        foreach ($banks as $b => $bank) {
            $numbering[$bank] = array_map(
                static fn (int $i): int => $pushrod && count($banks) === 2 ? 2 * $i + $b + 1 : $b * $each + $i + 1,
                range(0, $each - 1),
            );
        }
        $given = $node->maybe('numbering');
        if ($given === null) {
            return $numbering;
        }
        $seen = [];
        foreach ($banks as $bank) {
            $numbers = array_map(static fn (Node $n): int => $n->whole(1, 99), $given->get($bank)->items());
            if (count($numbers) !== $each) {
                throw BadDocument::at(
                    $given->pointer.'/'.$bank,
                    sprintf('bank %s has %d cylinders; %d numbers are given.', $bank, $each, count($numbers)),
                );
            }
            $numbering[$bank] = $numbers;
            $seen = [...$seen, ...$numbers];
        }
        if (count(array_unique($seen)) !== count($seen)) {
            throw BadDocument::at($given->pointer, 'a cylinder number occurs twice; each must be given once.');
        }

        return $numbering;
    }

    /**
     * @param list<string> $banks
     *
     * @return array<string, string>
     */
    private static function valveOrder(Node $node, array $banks, int $each): array
    {
        $orders = [];
        foreach ($banks as $bank) {
            $default = substr(str_repeat('EIIE', 8), 0, 2 * $each);
            $order = strtoupper(str_replace(' ', '', $node->maybe('valve_order')?->maybe($bank)?->word() ?? $default));
            if (preg_match('/^(EI|IE){'.$each.'}$/', $order) !== 1) {
                throw BadDocument::at(
                    $node->pointer.'/valve_order/'.$bank,
                    sprintf(
                        '“%s” is not a valve order; accepted is one I and one E per cylinder, %d cylinders, front first, such as %s.',
                        $order, $each, $default,
                    ),
                );
            }
            $orders[$bank] = $order;
        }

        return $orders;
    }

    /**
     * @param list<int> $numbers
     *
     * @return list<int>
     */
    private static function firingOrder(Node $node, array $numbers): array
    {
        $order = array_map(static fn (Node $n): int => $n->whole(1, 99), $node->maybe('firing_order')?->items() ?? []);
        $sorted = $order;
        sort($sorted);
        sort($numbers);
        if ($order !== [] && $sorted !== $numbers) {
            throw BadDocument::at(
                $node->pointer.'/firing_order',
                sprintf('%s does not name each cylinder once; the cylinders are %s.', implode('-', $order), implode(', ', $numbers)),
            );
        }

        return $order;
    }

    /**
     * As many as there are cylinders, within two turns, in the order of firing.
     *
     * @return list<float>
     */
    private static function firingAngles(Node $node): array
    {
        $angles = array_map(static fn (Node $angle): float => $angle->number(), $node->maybe('firing_angles')?->items() ?? []);
        $wanted = $node->get('cylinders')->whole(1, self::MOST_CYLINDERS);
        $ordered = $angles;
        sort($ordered);
        if ($angles !== [] && (count($angles) !== $wanted || $ordered !== $angles || $angles[0] < 0 || $angles[$wanted - 1] >= 720)) {
            throw BadDocument::at(
                $node->pointer.'/firing_angles',
                sprintf('accepted are %d angles of the crank from 0 to 720 degrees, rising, in the order of firing.', $wanted),
            );
        }

        return $angles;
    }

    private static function within(Node $node, string $key, float $least, float $most): ?float
    {
        $number = $node->maybe($key)?->number();
        if ($number !== null && ($number < $least || $number > $most)) {
            throw BadDocument::at(
                $node->pointer.'/'.$key,
                sprintf('%s is not plausible; accepted is %s to %s.', (string) $number, (string) $least, (string) $most),
            );
        }

        return $number;
    }

    public function rockerRatio(): ?Quantity
    {
        return $this->rockerRatio === null ? null : Quantity::of($this->rockerRatio, Unit::One);
    }
}
