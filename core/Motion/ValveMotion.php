<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use function abs;
use function count;
use function max;
use function min;
use function sqrt;

/**
 * A turn of a valve between lobe, spring and seat. Between changes of contact it is linear, so that a model leaps from node to node of
 * the cam, exactly; where a contact changes within a cell, the cell is expanded in its power series and the change is found on it.
 * Plain floats, for speed. [own].
 *
 * Within a cell of width one: y the lift in metres, w its slope over the cell. A mode is which contacts hold, and on which piece of the
 * spring's line.
 */
abstract class ValveMotion
{
    /** What can change: contact with the lobe, contact with the seat, the piece of the spring that the mode has from this bit on. */
    protected const AT_LOBE = 1;
    protected const AT_SEAT = 2;
    protected const PIECE = 2;
    private const NEXT_PIECE = -1;
    private const PIECE_BEFORE = -2;
    /** Most terms of a power series, and where it ends: the cells are cut so fine that it comes to that. */
    protected const TERMS = 40;
    protected const NOTHING = 1e-12;
    /** Natural angle over a cell up to which that holds. */
    private const WIDEST = 3.0;
    /** Farther than this off the seat the valve does not graze it between two nodes: a blow takes many cells. Metres. */
    protected const CLEAR = 2e-5;
    /** After a change of contact the next is looked for from here on, in cells. */
    private const AFTER = 1e-3;
    private const SAMPLES = 2;
    /** Between points below this share of the greatest force so far, a greater one is not looked for. */
    protected const NEAR_PEAK = 0.6;
    /** Below this share of it a force may fall to nothing and rise again within a cell. */
    protected const LOW = 0.25;
    /** Above this share of it a force that is greater than its neighbours may be the greatest between the nodes. */
    protected const TOP = 0.98;
    /** Cells after a change that are watched for it. */
    private const WATCHED = 4;
    private const MOST_CHANGES = 40;
    /** A rise off the seat that counts as a bounce, metres. */
    private const BOUNCE = 10e-6;
    /** State of a turn's end that counts as that of its beginning, metres. */
    private const SAME = 1e-9;

    protected float $y = 0.0;
    protected float $w = 0.0;
    protected float $nextY = 0.0;
    protected float $nextW = 0.0;
    /** Force between lobe and valve at the last node and at the one before. */
    protected float $force = 0.0;
    protected float $forceBefore = 0.0;
    /** Up to this node a greatest force is looked for between the nodes, too: something has just changed, and it rings fast. */
    protected int $watchedUntil = 0;
    /** Greatest force of the turn so far. */
    protected float $peak = 0.0;

    protected readonly float $ratio;
    protected readonly float $lash;
    protected readonly float $stiffness;
    protected readonly float $seatStiffness;
    /** How long a cell lasts, seconds. */
    protected readonly float $cell;
    protected readonly float $dampingOverCell;
    protected readonly float $seatDampingOverCell;
    /** Where the valve rests on its seat: pressed into it by its spring, metres. */
    protected readonly float $rest;
    /** Nearer to rest than this, in lift and slope together, the valve does not leave its seat by its own ringing. */
    protected readonly float $quiet;
    /** @var non-empty-list<float> */
    protected readonly array $lift;
    /** @var non-empty-list<float> */
    protected readonly array $slope;
    /** @var non-empty-list<float> */
    protected readonly array $bend;
    protected readonly int $lastNode;
    private readonly int $parts;
    private readonly int $nose;
    private readonly bool $hasPieces;
    /** @var non-empty-list<int> */
    private readonly array $changes;
    /** What holds the valve on its seat, newtons. */
    private readonly float $seatLoad;
    /** A force for which that between lobe and valve counts as nothing, newtons. */
    private readonly float $noForce;

    private float $highest = 0.0;
    /** Greatest gap at the lobe, and cells without contact while it asks for lift. */
    protected float $gap = 0.0;
    protected float $lost = 0.0;
    private float $landing = 0.0;
    private float $rise = 0.0;
    private float $bounce = 0.0;
    private int $bounces = 0;
    private bool $hasLanded = false;
    protected bool $partsOverNose = false;
    /** @var list<array{float, float, float, bool}> */
    private array $trace = [];

    final protected function __construct(protected readonly ValveTrain $train, private readonly float $speed)
    {
        $rate = 0.0;
        foreach ($train->spring->pieces as $piece) {
            $rate = max($rate, $piece[2]);
        }
        $this->ratio = $train->ratio;
        $this->lash = $train->lash;
        $this->stiffness = $train->stiffness;
        $this->seatStiffness = $train->seatStiffness;
        $this->hasPieces = count($train->spring->pieces) > 1;
        $this->changes = $this->hasPieces
            ? [self::AT_LOBE, self::AT_SEAT, self::NEXT_PIECE, self::PIECE_BEFORE] : [self::AT_LOBE, self::AT_SEAT];
        $this->seatLoad = $train->spring->seatLoad();
        $this->noForce = 1e-7 * $this->seatLoad;
        $whole = 1 / (3 * $speed); // the cam turns by three degrees a second for each turn of the crank a minute
        $widest = $whole * sqrt(($rate + $train->stiffness + $train->seatStiffness) / $this->lightest());
        $this->parts = max(1, (int) ceil($widest / self::WIDEST));
        $this->cell = $whole / $this->parts;
        [$this->lift, $this->slope, $this->bend] = $train->lobe->refined($this->parts);
        $this->lastNode = count($this->lift) - 1;
        $this->nose = ($train->lobe->peakDegree() - $train->lobe->first) * $this->parts;
        $this->dampingOverCell = 2 * $train->damping * sqrt($train->stiffness * $train->mass) / $this->cell;
        $this->seatDampingOverCell = 2 * $train->seatDamping * sqrt($train->seatStiffness * $train->mass) / $this->cell;
        $this->rest = -$this->seatLoad / ($train->spring->pieces[0][2] + $train->seatStiffness);
        $this->quiet = 0.5 * abs($this->rest);
        $this->prepare();
    }

    /** @param float $speed turns of the crank a minute */
    final public static function turn(ValveTrain $train, float $speed, bool $isTraced = false): Turn
    {
        return (new static($train, $speed))->settled($isTraced);
    }

    /** The least mass that anything in the model swings with, kg. */
    abstract protected function lightest(): float;

    /** What depends on train and speed alone. */
    abstract protected function prepare(): void;

    /** Turns after which a motion that is still another one each turn is said to vary. */
    abstract protected function mostTurns(): int;

    /** From one node to the next in a mode: what y and w are there. */
    abstract protected function leap(int $node, int $mode): void;

    /** What the last leap came to is now the valve's state. */
    protected function land(): void
    {
        $this->y = $this->nextY;
        $this->w = $this->nextW;
    }

    /** As many leaps as there are on the lobe while no contact changes; the node that it came to. */
    protected function glide(int $node, int $mode): int
    {
        if ($mode !== self::AT_LOBE || $node < $this->watchedUntil) {
            return $node;
        }
        $over = $this->dampingOverCell;
        for (; $node < $this->lastNode; ++$node) {
            $this->leap($node, self::AT_LOBE);
            $force = $this->stiffness * ($this->ratio * $this->lift[$node + 1] - $this->lash - $this->nextY)
                + $over * ($this->ratio * $this->slope[$node + 1] - $this->nextW);
            if ($this->isNotable($force)) {
                break;
            }
            $this->peak = max($this->peak, $force);
            $this->forceBefore = $this->force;
            $this->force = $force;
            $this->land();
        }

        return $node;
    }

    /** As many leaps as there are off the lobe while no contact changes; the node that it came to, at most that which ends the turn. */
    protected function drift(int $node, int $mode, int $round): int
    {
        return $node;
    }

    /** Whether the next node is near to losing the lobe or the seat, or to a top of the lift or of the force. */
    private function isNotable(float $force): bool
    {
        return $force < self::LOW * $this->peak || $this->nextY < self::CLEAR || ($this->w > 0.0 && $this->nextW <= 0.0)
            || ($force < $this->force && $this->force >= $this->forceBefore && $this->force > self::TOP * $this->peak);
    }

    /**
     * The power series of the lift from a state, in a mode.
     *
     * @param array{float, float, float, float, float, float} $powers of the lobe's lift about the same point
     *
     * @return non-empty-list<float>
     */
    abstract protected function series(float $y, float $w, int $mode, array $powers): array;

    /** The state at a point of the series that was asked for last is now the valve's. */
    abstract protected function arrive(float $at): void;

    /** Whether a valve cannot leave its seat again, and has come to rest on it after so many cells. */
    abstract protected function staysSeated(int $cells): bool;

    /** At rest on the seat for so many cells. */
    abstract protected function wait(int $cells): void;

    /** @return list<float> what else than the valve itself moves, and how */
    abstract protected function inside(): array;

    /** Acceleration of the valve over a cell, in its last and in its next state. */
    abstract protected function bendOf(float $y, float $w, int $node, int $mode): float;

    /** Whether what is left of the ringing on the seat cannot lift the valve, and is gone after so many cells. */
    final protected function ringsOut(int $cells): bool
    {
        $left = abs($this->y - $this->rest) + abs($this->w);

        return $left < $this->quiet
            && $left * exp(-$this->seatDampingOverCell * $this->cell ** 2 / (2 * $this->train->mass) * $cells) < 0.1 * self::SAME;
    }

    private function settled(bool $isTraced): Turn
    {
        $this->y = $this->rest;
        $mode = self::AT_SEAT;
        $isSame = false;
        for ($turn = $this->mostTurns(); $turn > 0 && !$isSame; --$turn) {
            $this->highest = $this->gap = $this->lost = $this->landing = $this->rise = $this->bounce = 0.0;
            $this->peak = $this->seatLoad; // to open the valve takes more
            $this->bounces = 0;
            $this->hasLanded = $this->partsOverNose = false;
            $this->trace = [];
            $before = [$this->y, $this->w, ...$this->inside()];
            $began = $mode;
            $mode = $this->goRound($mode, $isTraced);
            $isSame = $mode === $began;
            foreach ([$this->y, $this->w, ...$this->inside()] as $i => $now) {
                $isSame = $isSame && abs($now - $before[$i]) < self::SAME;
            }
        }

        return new Turn(
            $this->speed, max(0.0, $this->highest - $this->train->fullLift()), $this->gap, $this->lost / $this->parts,
            $this->partsOverNose, $this->landing / $this->cell, $this->bounces, $this->bounce, $this->peak, !$isSame, $this->trace,
        );
    }

    /** @return int the mode in which the next turn begins */
    private function goRound(int $mode, bool $isTraced): int
    {
        [$ratio, $lash, $stiffness, $over] = [$this->ratio, $this->lash, $this->stiffness, $this->dampingOverCell];
        $round = 360 * $this->parts;
        $last = $this->lastNode;
        $this->watchedUntil = $i = 0;
        $isFast = !$isTraced && !$this->hasPieces;
        if ($mode === self::AT_SEAT && $this->w === 0.0 && $this->y === $this->rest && !$isTraced) {
            // At rest until the lash is taken up.
            while ($i < $this->nose && $ratio * $this->lift[$i + 1] - $lash < $this->y) {
                ++$i;
            }
            $this->wait($i);
        }
        $d0 = $ratio * $this->lift[$i] - $lash - $this->y;
        $e0 = $ratio * $this->slope[$i] - $this->w;
        $this->force = $stiffness * $d0 + $over * $e0;
        $this->forceBefore = 0.0;
        while ($i < $round) {
            if ($isFast) {
                $from = $i;
                if (($mode & self::AT_LOBE) === 0) {
                    $i = $this->drift($i, $mode, $round);
                } elseif ($i < $last) {
                    $i = $this->glide($i, $mode);
                }
                if ($i >= $round) {
                    break;
                }
                if ($i > $from) {
                    $d0 = $ratio * ($this->lift[$i] ?? 0.0) - $lash - $this->y;
                    $e0 = $ratio * ($this->slope[$i] ?? 0.0) - $this->w;
                }
            }
            if ($i >= $last) {
                if ($mode === self::AT_SEAT && $this->staysSeated($round - $i)) {
                    if ($isTraced) {
                        $this->trace[] = [$this->degree($i), $this->y, 0.0, false];
                    }
                    $this->y = $this->rest;
                    $this->w = 0.0;
                    $this->wait($round - $i);
                    break;
                }
                $s1 = $p1 = 0.0;
            } else {
                $s1 = $this->lift[$i + 1];
                $p1 = $this->slope[$i + 1];
            }
            $isHeld = ($mode & self::AT_LOBE) !== 0;
            if ($isTraced) {
                $this->trace[] = [$this->degree($i), $this->y, $isHeld ? max(0.0, $this->force) : 0.0, $isHeld];
            }
            [$y, $w, $f0] = [$this->y, $this->w, $this->force];
            $this->leap($i, $mode);
            $y1 = $this->nextY;
            $w1 = $this->nextW;
            $d1 = $ratio * $s1 - $lash - $y1;
            $e1 = $ratio * $p1 - $w1;
            $f1 = $stiffness * $d1 + $over * $e1;
            if ($this->holds($mode, $i, $y, $w, $y1, $w1, $d1, $f0, $f1)) {
                if ($isHeld) {
                    if ($i >= $this->watchedUntil) {
                        $this->notePeak($f0, $f1);
                    } else {
                        $this->peak = max($this->peak, $f1);
                        if (max($f0, $f1) > self::NEAR_PEAK * $this->peak) {
                            $this->watch($y, $w, $i, $mode, $f0, $f1);
                        }
                    }
                    $this->forceBefore = $f0;
                } else {
                    $this->forceBefore = 0.0;
                    if ($ratio * $s1 > $lash) {
                        $this->lost += ($mode & self::AT_SEAT) === 0 ? 1.0 : 0.0;
                        $this->partsOverNose = $this->partsOverNose || ($d1 < 0.0 && ($this->bend[$i + 1] ?? 0.0) < 0.0);
                        if ($e0 < 0.0 && $e1 >= 0.0) {
                            $this->gap = max($this->gap, -self::turningPoint($d0, $e0, $d1, $e1));
                        }
                    }
                }
                if ($w > 0.0 && $w1 <= 0.0) {
                    $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
                }
                $this->land();
            } else {
                $mode = $this->within($i, $mode);
                $d1 = $ratio * $s1 - $lash - $this->y;
                $e1 = $ratio * $p1 - $this->w;
                $f1 = $stiffness * $d1 + $over * $e1;
                $this->forceBefore = 0.0;
                $this->watchedUntil = $i + 1 + self::WATCHED;
            }
            $d0 = $d1;
            $e0 = $e1;
            $this->force = $f1;
            ++$i;
        }

        return $mode;
    }

    /** Whether a mode holds all through a cell. */
    final protected function holds(int $mode, int $node, float $y, float $w, float $y1, float $w1, float $d1, float $f0, float $f1): bool
    {
        if (($mode & self::AT_LOBE) !== 0) {
            // A force that falls and rises again within the cell may have left the cam in between.
            if ($f1 <= 0.0 || ($f0 + $f1 < self::LOW * $this->peak && $this->dips($mode, $node, $y, $w, $y1, $w1, $f0, $f1))) {
                return false;
            }
        } elseif ($d1 > 0.0 && $f1 > 0.0) {
            return false;
        }
        if (($mode & self::AT_SEAT) !== 0) {
            return $this->seatStiffness * $y1 + $this->seatDampingOverCell * $w1 < 0.0;
        }
        // It may touch the seat and leave it within the cell.
        if ($y1 < 0.0 || ($y1 + $y < self::CLEAR && $w < 0.0 && $w1 > 0.0 && $y - $w * $w / (2 * ($w1 - $w)) < 0.0)) {
            return false;
        }

        return !$this->hasPieces || $this->pieceOf($y1) === $mode >> self::PIECE;
    }

    /** Whether the force between lobe and valve has its least within the cell, below nothing. */
    private function dips(int $mode, int $node, float $y, float $w, float $y1, float $w1, float $f0, float $f1): bool
    {
        [$p1, $a1] = [$this->slope[$node + 1] ?? 0.0, $this->bend[$node + 1] ?? 0.0];
        $g0 = $this->stiffness * ($this->ratio * ($this->slope[$node] ?? 0.0) - $w)
            + $this->dampingOverCell * ($this->ratio * ($this->bend[$node] ?? 0.0) - $this->bendOf($y, $w, $node, $mode));
        $g1 = $this->stiffness * ($this->ratio * $p1 - $w1)
            + $this->dampingOverCell * ($this->ratio * $a1 - $this->bendOf($y1, $w1, $node + 1, $mode));

        return $g0 < 0.0 && $g1 > 0.0 && self::turningPoint($f0, $g0, $f1, $g1) < 0.0;
    }

    /** The force at a new node: the middle of three may be the greatest, on a parabola through them. */
    final protected function notePeak(float $f0, float $f1): void
    {
        $before = $this->forceBefore;
        if ($before > 0.0 && $f0 >= $f1 && $f0 >= $before) {
            $bow = $before - 2 * $f0 + $f1;
            $this->peak = max($this->peak, $bow < 0.0 ? $f0 - ($f1 - $before) ** 2 / (8 * $bow) : $f0);
        }
        $this->peak = max($this->peak, $f1);
    }

    final protected function noteTop(float $top): void
    {
        $this->highest = max($this->highest, $top);
        $this->rise = max($this->rise, $top);
    }

    private function degree(int $node): float
    {
        return $this->train->lobe->first + $node / $this->parts;
    }

    /** The extreme of a cubic between two nodes with slopes of opposite sign. */
    final protected static function turningPoint(float $y0, float $w0, float $y1, float $w1): float
    {
        $c2 = 3 * ($y1 - $y0) - 2 * $w0 - $w1;
        $c3 = 2 * ($y0 - $y1) + $w0 + $w1;
        $root = sqrt(max(0.0, $c2 * $c2 - 3 * $c3 * $w0));
        // The root at which the slope passes through nothing between the nodes, in the form that does not cancel.
        $t = $w0 > 0.0 ? -$w0 / ($c2 - $root) : -$w0 / ($c2 + $root);

        return $y0 + $t * ($w0 + $t * ($c2 + $t * $c3));
    }

    private function pieceOf(float $lift): int
    {
        $found = 0;
        foreach ($this->train->spring->pieces as $i => $piece) {
            $found = $lift >= $piece[0] ? $i : $found;
        }

        return $found;
    }

    /** @return array{float, float, float, float, float, float} powers of the lobe's lift over a cell */
    private function powers(int $cell): array
    {
        return isset($this->lift[$cell + 1]) ? LobeCurve::powers(
            $this->lift[$cell], $this->slope[$cell], $this->bend[$cell],
            $this->lift[$cell + 1], $this->slope[$cell + 1], $this->bend[$cell + 1],
        ) : [0.0, 0.0, 0.0, 0.0, 0.0, 0.0];
    }

    /**
     * A quintic about another point of its cell.
     *
     * @param array{float, float, float, float, float, float} $powers
     *
     * @return array{float, float, float, float, float, float}
     */
    private static function about(array $powers, float $at): array
    {
        [$c0, $c1, $c2, $c3, $c4, $c5] = $powers;

        return [
            $c0 + $at * ($c1 + $at * ($c2 + $at * ($c3 + $at * ($c4 + $at * $c5)))),
            $c1 + $at * (2.0 * $c2 + $at * (3.0 * $c3 + $at * (4.0 * $c4 + $at * 5.0 * $c5))),
            $c2 + $at * (3.0 * $c3 + $at * (6.0 * $c4 + $at * 10.0 * $c5)), $c3 + $at * (4.0 * $c4 + $at * 10.0 * $c5),
            $c4 + $at * 5.0 * $c5, $c5,
        ];
    }

    /**
     * @param non-empty-list<float> $series
     *
     * @return array{float, float} lift and slope
     */
    protected static function state(array $series, float $at): array
    {
        $y = $w = 0.0;
        $n = count($series);
        while (--$n >= 0) {
            $w = $w * $at + $y;
            $y = $y * $at + $series[$n];
        }

        return [$y, $w];
    }

    /**
     * @param non-empty-list<float> $series about the point from which `at` counts
     * @param array{float, float, float, float, float, float} $powers about the same point
     */
    private function forceAt(array $series, array $powers, float $at): float
    {
        [$y, $w] = self::state($series, $at);
        [, $c1, $c2, $c3, $c4, $c5] = $powers;

        return $this->forceOf(
            $powers[0] + $at * ($c1 + $at * ($c2 + $at * ($c3 + $at * ($c4 + $at * $c5)))),
            $c1 + $at * (2.0 * $c2 + $at * (3.0 * $c3 + $at * (4.0 * $c4 + $at * 5.0 * $c5))), $y, $w,
        );
    }

    /** Force between lobe and valve, by the lift and slope of either. */
    private function forceOf(float $s, float $p, float $y, float $w): float
    {
        return $this->stiffness * ($this->ratio * $s - $this->lash - $y) + $this->dampingOverCell * ($this->ratio * $p - $w);
    }

    /** Greatest force between two nodes. */
    private function watch(float $y, float $w, int $cell, int $mode, float $f0, float $f1): void
    {
        $powers = $this->powers($cell);
        $this->noteForces($this->series($y, $w, $mode, $powers), $powers, 1.0, $f0, $f1);
    }

    /**
     * Greatest force of a stretch: of five points, and of a parabola about the greatest of them.
     *
     * @param non-empty-list<float> $series
     * @param array{float, float, float, float, float, float} $powers
     * @param float $first force at its beginning
     * @param float $last force at its end
     */
    private function noteForces(array $series, array $powers, float $end, float $first, float $last): void
    {
        $this->peak = max($this->peak, $last);
        if (max($first, $last) <= self::NEAR_PEAK * $this->peak) {
            return;
        }
        // A bow rises above three points of it by an eighth of how far it bends, and never by half.
        $middle = $this->forceAt($series, $powers, 0.5 * $end);
        if (max($first, $middle, $last) + 0.5 * abs($first - 2 * $middle + $last) <= $this->peak) {
            return;
        }
        [$before, $now] = [$first, $this->forceAt($series, $powers, 0.25 * $end)];
        foreach ([$middle, $this->forceAt($series, $powers, 0.75 * $end), $last] as $next) {
            $bow = $before - 2 * $now + $next;
            $isTop = $now >= $before && $now >= $next && $bow < 0.0;
            $this->peak = max($this->peak, $isTop ? $now - ($next - $before) ** 2 / (8 * $bow) : $now);
            [$before, $now] = [$now, $next];
        }
    }

    /** Through a cell in which contacts change, from change to change; the mode at its end. */
    private function within(int $cell, int $mode): int
    {
        $whole = $this->powers($cell);
        $asksLift = $this->ratio * ($this->lift[$cell + 1] ?? 0.0) > $this->lash;
        $from = 0.0;
        for ($change = 0; $change < self::MOST_CHANGES; ++$change) {
            $powers = $from > 0.0 ? self::about($whole, $from) : $whole;
            $series = $this->series($this->y, $this->w, $mode, $powers);
            $width = 1.0 - $from;
            [$end, $which, $y, $w] = $this->firstChange($series, $powers, $mode, $width, $change > 0);
            $this->follow($series, $powers, $mode, $end, $asksLift, [$y, $w]);
            $this->arrive($end);
            $this->y = $y;
            $this->w = $w;
            if ($which === null) {
                return $mode;
            }
            if ($which === self::AT_SEAT) {
                $this->atSeat(($mode & self::AT_SEAT) === 0, $w, $cell >= $this->nose);
            }
            $mode = match ($which) {
                self::NEXT_PIECE => $mode + (1 << self::PIECE),
                self::PIECE_BEFORE => $mode - (1 << self::PIECE),
                default => $mode ^ $which,
            };
            $from += $end;
        }

        return $mode; // so many changes in one cell: it chatters, and the next cell goes on from here
    }

    /**
     * Notes what a stretch of a cell shows in which contacts change.
     *
     * @param non-empty-list<float> $series
     * @param array{float, float, float, float, float, float} $powers
     * @param array{float, float} $to lift and slope at its end
     */
    private function follow(array $series, array $powers, int $mode, float $end, bool $asksLift, array $to): void
    {
        [$y0, $w0] = [$series[0], $series[1] * $end];
        [$y1, $slope] = $to;
        $w1 = $slope * $end;
        if ($w0 > 0.0 && $w1 <= 0.0) {
            $this->noteTop(self::turningPoint($y0, $w0, $y1, $w1));
        }
        if (($mode & 1) === 1) {
            [$s1, $p1] = self::state($powers, $end);
            $this->noteForces(
                $series, $powers, $end, $this->forceOf($powers[0], $powers[1], $y0, $series[1]), $this->forceOf($s1, $p1, $y1, $slope),
            );
        } elseif ($asksLift) {
            $this->lost += ($mode & 2) === 0 ? $end : 0.0;
            [$s1, $p1] = self::state($powers, $end);
            $d1 = $this->ratio * $s1 - $this->lash - $y1;
            $this->partsOverNose = $this->partsOverNose || ($powers[2] < 0.0 && $d1 < 0.0);
            [$e0, $e1] = [($this->ratio * $powers[1] - $series[1]) * $end, $this->ratio * $p1 * $end - $w1];
            if ($e0 < 0.0 && $e1 >= 0.0) {
                $this->gap = max($this->gap, -self::turningPoint($this->ratio * $powers[0] - $this->lash - $y0, $e0, $d1, $e1));
            }
        }
    }

    private function atSeat(bool $meets, float $w, bool $isPastNose): void
    {
        if ($meets) {
            if ($isPastNose) {
                $this->landing = max($this->landing, -$w);
                if ($this->hasLanded && $this->rise > self::BOUNCE) {
                    ++$this->bounces;
                    $this->bounce = max($this->bounce, $this->rise);
                }
                $this->hasLanded = true;
            }
        } else {
            $this->rise = 0.0;
        }
    }

    /**
     * The first change of a contact, or of the piece of the spring, in a stretch.
     *
     * @param non-empty-list<float> $series
     * @param array{float, float, float, float, float, float} $powers
     *
     * @return array{float, int|null, float, float} where, and which; the end of the stretch where none changes; lift and slope there
     */
    private function firstChange(array $series, array $powers, int $mode, float $width, bool $isAfterChange): array
    {
        $earlier = $isAfterChange ? min(self::AFTER, $width) : 0.0;
        [$y, $w] = [$series[0], $series[1] ?? 0.0];
        for ($sample = 1; $sample <= self::SAMPLES; ++$sample) {
            $later = $width * $sample / self::SAMPLES;
            if ($later <= $earlier) {
                continue;
            }
            // What the whole cell leads to is known from the leap that it could not take.
            [$y, $w] = $later === 1.0 && !$isAfterChange ? [$this->nextY, $this->nextW] : self::state($series, $later);
            $first = null;
            foreach ($this->changes as $which) {
                if ($which === self::AT_SEAT && $y > self::CLEAR) {
                    continue;
                }
                $signal = $this->signal($powers, $mode, $which, $later, $y, $w);
                if ($signal < 0.0) {
                    [$at, $atY, $atW] = $this->root($series, $powers, $mode, $which, $earlier, $later, $signal, $y, $w);
                    $first = $first === null || $at < $first[0] ? [$at, $which, $atY, $atW] : $first;
                }
            }
            if ($first !== null) {
                return $first;
            }
            $earlier = $later;
        }

        return [$width, null, $y, $w];
    }

    /**
     * Where a signal passes through nothing: a secant that keeps it between two ends (Illinois).
     *
     * @param non-empty-list<float> $series
     * @param array{float, float, float, float, float, float} $powers
     * @param float $last the signal at the later end, where lift and slope are y and w
     *
     * @return array{float, float, float} where; lift and slope there
     */
    private function root(
        array $series,
        array $powers,
        int $mode,
        int $which,
        float $from,
        float $to,
        float $last,
        float $y,
        float $w,
    ): array {
        [$y0, $w0] = $from === 0.0 ? [$series[0], $series[1] ?? 0.0] : self::state($series, $from);
        $first = $this->signal($powers, $mode, $which, $from, $y0, $w0);
        if ($first <= 0.0) {
            return [$from, $y0, $w0]; // it changed at the beginning of the stretch
        }
        $side = 0;
        [$endY, $endW] = [$y, $w];
        for ($turn = 0; $turn < 60 && $to - $from > 1e-12; ++$turn) {
            $at = ($from * $last - $to * $first) / ($last - $first);
            [$y, $w] = self::state($series, $at);
            $now = $this->signal($powers, $mode, $which, $at, $y, $w);
            if (abs($now) < $this->noForce) {
                return [$at, $y, $w];
            }
            if ($now > 0.0) {
                [$from, $first] = [$at, $now];
                $last = $side === 1 ? $last / 2 : $last;
                $side = 1;
            } else {
                [$to, $last, $endY, $endW] = [$at, $now, $y, $w];
                $first = $side === -1 ? $first / 2 : $first;
                $side = -1;
            }
        }

        return [$to, $endY, $endW];
    }

    /**
     * What tells that a mode still holds at a point of a stretch, in newtons: below nothing where that contact, or piece, has changed.
     *
     * @param array{float, float, float, float, float, float} $powers
     */
    private function signal(array $powers, int $mode, int $which, float $at, float $y, float $w): float
    {
        if ($which === self::AT_LOBE) {
            [, $c1, $c2, $c3, $c4, $c5] = $powers;
            $s = $powers[0] + $at * ($c1 + $at * ($c2 + $at * ($c3 + $at * ($c4 + $at * $c5))));
            $p = $c1 + $at * (2.0 * $c2 + $at * (3.0 * $c3 + $at * (4.0 * $c4 + $at * 5.0 * $c5)));
            $d = $this->stiffness * ($this->ratio * $s - $this->lash - $y);
            $f = $d + $this->dampingOverCell * ($this->ratio * $p - $w);

            return ($mode & self::AT_LOBE) !== 0 ? $f : ($d < $f ? -$d : -$f);
        }
        if ($which === self::AT_SEAT) {
            $seat = -$this->seatStiffness * $y;
            $on = $seat - $this->seatDampingOverCell * $w;

            return ($mode & self::AT_SEAT) !== 0 ? $on : ($seat < $on ? -$seat : -$on);
        }
        $pieces = $this->train->spring->pieces;
        $piece = $mode >> self::PIECE;
        if ($which === self::NEXT_PIECE) {
            return isset($pieces[$piece + 1]) ? $this->seatStiffness * ($pieces[$piece + 1][0] - $y) : 1.0;
        }

        return $piece > 0 ? $this->seatStiffness * ($y - $pieces[$piece][0]) : 1.0;
    }
}
