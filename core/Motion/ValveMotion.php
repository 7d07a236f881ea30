<?php

declare(strict_types=1);

namespace MuteTapper\Core\Motion;

use function abs;
use function count;
use function max;
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
    /** Least and most terms of a power series, and where it ends: the cells are cut so fine that it comes to that. */
    protected const LEAST_TERMS = 12;
    protected const TERMS = 40;
    protected const NOTHING = 1e-12;
    /** Natural angle over a cell up to which that holds. */
    private const WIDEST = 3.0;
    /** Farther than this off the seat the valve does not graze it between two nodes: a blow takes many cells. Metres. */
    private const CLEAR = 2e-5;
    /** After a change of contact the next is looked for from here on, in cells. */
    private const AFTER = 1e-3;
    /** Between points below this share of the greatest force so far, a greater one is not looked for. */
    private const NEAR_PEAK = 0.6;
    /** Below this share of it a force may fall to nothing and rise again within a cell. */
    private const LOW = 0.25;
    /** Above this share of it a force that is greater than its neighbours may be the greatest between the nodes. */
    private const TOP = 0.98;
    /** Cells after a change that are watched for it. */
    private const WATCHED = 4;
    private const MOST_CHANGES = 40;
    /** A rise off the seat that counts as a bounce, metres. */
    private const BOUNCE = 10e-6;
    /** State of a turn's end that counts as that of its beginning, metres. */
    private const SAME = 1e-9;
    /** A lobe that bends less than this does not bend, metres a cell squared. */
    private const STRAIGHT = 1e-12;

    // Without types, as they are written at every change of a contact: that a typed property is checked each time takes the compiler of
    // PHP a tenth of a sweep.
    /** @var float */
    protected $y = 0.0;
    /** @var float */
    protected $w = 0.0;
    /** @var float where a spring swings in itself: how far */
    protected $q = 0.0;
    /** @var float its slope over the cell */
    protected $r = 0.0;
    /** @var float */
    protected $nextY = 0.0;
    /** @var float */
    protected $nextW = 0.0;
    /** @var float */
    protected $nextQ = 0.0;
    /** @var float */
    protected $nextR = 0.0;
    /** @var float powers of the lift that is asked, about the beginning of the stretch that is looked at */
    protected $c0 = 0.0;
    /** @var float */
    protected $c1 = 0.0;
    /** @var float */
    protected $c2 = 0.0;
    /** @var float */
    protected $c3 = 0.0;
    /** @var float */
    protected $c4 = 0.0;
    /** @var float */
    protected $c5 = 0.0;
    /** @var float where the stretch was looked at last, or where it ends */
    private $end = 0.0;
    /** @var float gap at the lobe there; below nothing where the train is squeezed */
    private $open = 0.0;
    /** @var float how it opens */
    private $opening = 0.0;
    /** @var float force between lobe and valve at the last node */
    private $force = 0.0;
    /** @var float and at the one before */
    private $forceBefore = 0.0;
    /** @var float greatest force of the turn so far */
    private $peak = 0.0;

    /** The next leap would lead through a change of contact. */
    private bool $isChanging = false;
    /** Up to this node a greatest force is looked for between the nodes, too: something has just changed, and it rings fast. */
    private int $watchedUntil = 0;

    protected readonly float $stiffness;
    protected readonly float $seatStiffness;
    /** How long a cell lasts, seconds. */
    protected readonly float $cell;
    protected readonly float $dampingOverCell;
    protected readonly float $seatDampingOverCell;
    /** Where the valve rests on its seat: pressed into it by its spring, metres. */
    protected readonly float $rest;
    /** Nearer to rest than this, in lift and slope together, the valve does not leave its seat by its own ringing. */
    private readonly float $quiet;
    /** Nor by a spring that swings by less than this, or that swings as fast, in metres and metres a cell. */
    protected float $quietSwing = INF;
    protected float $quietSwingSlope = INF;
    /** @var non-empty-list<float> lift that the lobe asks of the valve at each node, metres; below nothing where the lash is open */
    protected readonly array $asked;
    /** @var non-empty-list<float> */
    protected readonly array $slope;
    /** @var non-empty-list<float> */
    protected readonly array $bend;
    /** Node at which the lobe ends; from there on it asks for nothing until the turn is round. */
    private readonly int $lobeEnd;
    private readonly int $parts;
    private readonly int $nose;
    private readonly bool $hasPieces;
    /** What holds the valve on its seat, newtons. */
    private readonly float $seatLoad;
    /** A force for which that between lobe and valve counts as nothing, newtons. */
    private readonly float $noForce;

    private float $highest = 0.0;
    /** Greatest gap at the lobe, and cells without contact while it asks for lift. */
    private float $gap = 0.0;
    private float $lost = 0.0;
    private float $landing = 0.0;
    private float $rise = 0.0;
    private float $bounce = 0.0;
    private int $bounces = 0;
    private bool $hasLanded = false;
    private bool $partsOverNose = false;
    /** @var list<array{float, float, float, bool}> */
    private array $trace = [];
    /** @var array<int, non-empty-list<non-empty-list<float>>> what a leap is, by mode */
    private array $leaps = [];

    final protected function __construct(protected readonly ValveTrain $train, private readonly float $speed)
    {
        $rate = 0.0;
        foreach ($train->spring->pieces as $piece) {
            $rate = max($rate, $piece[2]);
        }
        $this->stiffness = $train->stiffness;
        $this->seatStiffness = $train->seatStiffness;
        $this->hasPieces = count($train->spring->pieces) > 1;
        $this->seatLoad = $train->spring->seatLoad();
        $this->noForce = 1e-7 * $this->seatLoad;
        $whole = 1 / (3 * $speed); // the cam turns by three degrees a second for each turn of the crank a minute
        $widest = $whole * sqrt(($rate + $train->stiffness + $train->seatStiffness) / $this->lightest());
        $this->parts = max(1, (int) ceil($widest / self::WIDEST));
        $this->cell = $whole / $this->parts;
        [$this->asked, $this->slope, $this->bend] = $train->asked->refined($this->parts);
        $this->lobeEnd = ($train->lobe->last() - $train->lobe->first) * $this->parts;
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

    /**
     * From one node to the next in a mode: a row for y and one for w, and where the spring swings one for q and one for r; in each what y,
     * w, q and r were, a constant, and lift, slope and bend that the lobe asks at the one node and at the other are taken times.
     *
     * @return non-empty-list<non-empty-list<float>>
     */
    abstract protected function leapOf(int $mode): array;

    /** One leap; where it leads is next. */
    private function leap(int $node, int $mode): void
    {
        $ends = [];
        foreach ($this->leaps[$mode] ??= $this->leapOf($mode) as $row) {
            $end = $row[0] * $this->y + $row[1] * $this->w + $row[2] * $this->q + $row[3] * $this->r + $row[4];
            if (($mode & self::AT_LOBE) !== 0) {
                $end += $row[5] * $this->asked[$node] + $row[6] * $this->slope[$node] + $row[7] * $this->bend[$node]
                    + $row[8] * $this->asked[$node + 1] + $row[9] * $this->slope[$node + 1] + $row[10] * $this->bend[$node + 1];
            }
            $ends[] = $end;
        }
        $this->nextY = $ends[0];
        $this->nextW = $ends[1];
        $this->nextQ = $ends[2] ?? 0.0;
        $this->nextR = $ends[3] ?? 0.0;
    }

    /**
     * As many leaps as there are on the lobe; the node that it came to: at most that which ends the turn. Where the next leap would lead
     * through a change of contact it stops short of it, and says so.
     *
     * @phpstan-impure
     */
    private function glide(int $node, int $mode, int $round): int
    {
        $rows = $this->leaps[$mode] ??= $this->leapOf($mode);
        [$ay, $aw, $aq, $ar, $a, $as0, $ap0, $ab0, $as1, $ap1, $ab1] = $rows[0];
        [$by, $bw, $bq, $br, $b, $bs0, $bp0, $bb0, $bs1, $bp1, $bb1] = $rows[1];
        $swings = isset($rows[3]);
        if ($swings) {
            [$cy, $cw, $cq, $cr, $c, $cs0, $cp0, $cb0, $cs1, $cp1, $cb1] = $rows[2];
            [$dy, $dw, $dq, $dr, $d, $ds0, $dp0, $db0, $ds1, $dp1, $db1] = $rows[3];
        }
        $asked = $this->asked;
        $slope = $this->slope;
        $bend = $this->bend;
        $stiffness = $this->stiffness;
        $over = $this->dampingOverCell;
        $seat = $this->seatStiffness;
        $seatOver = $this->seatDampingOverCell;
        $isSeated = ($mode & self::AT_SEAT) !== 0;
        $from = 0.0;
        $to = INF;
        $low = self::CLEAR;
        if ($this->hasPieces) {
            [$from, $to] = $this->span($mode);
            $low = max($from, $low);
        }
        $watched = $this->watchedUntil;
        $y = $this->y;
        $w = $this->w;
        $q = $q0 = $this->q;
        $r = $r0 = $this->r;
        $f0 = $this->force;
        $before = $this->forceBefore;
        $peak = $this->peak;
        $s0 = $asked[$node];
        $p0 = $slope[$node];
        $b0 = $bend[$node];
        $least = self::LOW * $peak;
        while ($node < $round) {
            $s1 = $asked[$node + 1];
            $p1 = $slope[$node + 1];
            $b1 = $bend[$node + 1];
            $y1 = $ay * $y + $aw * $w + $a + $as0 * $s0 + $ap0 * $p0 + $ab0 * $b0 + $as1 * $s1 + $ap1 * $p1 + $ab1 * $b1;
            $w1 = $by * $y + $bw * $w + $b + $bs0 * $s0 + $bp0 * $p0 + $bb0 * $b0 + $bs1 * $s1 + $bp1 * $p1 + $bb1 * $b1;
            if ($swings) {
                $y1 += $aq * $q + $ar * $r;
                $w1 += $bq * $q + $br * $r;
                $q0 = $q;
                $r0 = $r;
                $q = $cy * $y + $cw * $w + $cq * $q0 + $cr * $r0 + $c
                    + $cs0 * $s0 + $cp0 * $p0 + $cb0 * $b0 + $cs1 * $s1 + $cp1 * $p1 + $cb1 * $b1;
                $r = $dy * $y + $dw * $w + $dq * $q0 + $dr * $r0 + $d
                    + $ds0 * $s0 + $dp0 * $p0 + $db0 * $b0 + $ds1 * $s1 + $dp1 * $p1 + $db1 * $b1;
            }
            $f1 = $stiffness * ($s1 - $y1) + $over * ($p1 - $w1);
            // Near to a change of contact that is looked at more closely; and so it is while it rings after one.
            $isNear = $f1 <= 0.0 || $f0 + $f1 < $least || $y1 > $to
                || ($isSeated ? $seat * $y1 + $seatOver * $w1 >= 0.0 : $y1 < $low);
            if ($isNear || $node < $watched) {
                $this->peak = $peak;
                if ($swings) {
                    $this->nextY = $y1;
                    $this->q = $q0;
                    $this->r = $r0;
                    $this->nextQ = $q;
                    $this->nextR = $r;
                }
                if ($isNear && !$this->holds($mode, $node, $y, $w, $y1, $w1, 0.0, $f0, $f1)) {
                    $this->isChanging = true;
                    $this->nextY = $y1;
                    $this->nextW = $w1;
                    $q = $q0;
                    $r = $r0;
                    break;
                }
            }
            if ($node < $watched) {
                if ($f0 > self::NEAR_PEAK * $peak || $f1 > self::NEAR_PEAK * $peak) {
                    $this->watch($y, $w, $node, $mode, $y1, $w1, $f0, $f1);
                    $peak = $this->peak;
                    $least = self::LOW * $peak;
                }
            } elseif ($f1 > $peak) {
                $peak = $f1;
                $least = self::LOW * $peak;
            } elseif ($f1 < $f0 && $f0 >= $before && $f0 > self::TOP * $peak) {
                $this->peak = $peak;
                $this->forceBefore = $before;
                $this->notePeak($f0, $f1);
                $peak = $this->peak;
                $least = self::LOW * $peak;
            }
            if ($w > 0.0 && $w1 <= 0.0) {
                $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
            }
            $before = $f0;
            $f0 = $f1;
            $y = $y1;
            $w = $w1;
            $s0 = $s1;
            $p0 = $p1;
            $b0 = $b1;
            ++$node;
        }
        $this->y = $y;
        $this->w = $w;
        $this->q = $q;
        $this->r = $r;
        $this->force = $f0;
        $this->forceBefore = $before;
        $this->peak = $peak;

        return $node;
    }

    /**
     * The same off the lobe; at most the node that ends the turn, or from which the valve rests on its seat.
     *
     * @phpstan-impure
     */
    private function drift(int $node, int $mode, int $round): int
    {
        $rows = $this->leaps[$mode] ??= $this->leapOf($mode);
        [$ay, $aw, $aq, $ar, $a] = $rows[0];
        [$by, $bw, $bq, $br, $b] = $rows[1];
        $swings = isset($rows[3]);
        if ($swings) {
            [$cy, $cw, $cq, $cr, $c] = $rows[2];
            [$dy, $dw, $dq, $dr, $d] = $rows[3];
        }
        $asked = $this->asked;
        $slope = $this->slope;
        $bend = $this->bend;
        $end = $this->lobeEnd;
        $stiffness = $this->stiffness;
        $over = $this->dampingOverCell;
        $seat = $this->seatStiffness;
        $seatOver = $this->seatDampingOverCell;
        $isFlying = ($mode & self::AT_SEAT) === 0;
        $from = 0.0;
        $to = INF;
        $low = self::CLEAR;
        if ($this->hasPieces) {
            [$from, $to] = $this->span($mode);
            $low = max($from, $low);
        }
        $y = $this->y;
        $w = $this->w;
        $q = $q0 = $this->q;
        $r = $r0 = $this->r;
        $asking = 0;
        $parts = false;
        $d0 = $asked[$node] - $y;
        $e0 = $slope[$node] - $w;
        while ($node < $round) {
            if (
                $node >= $end && !$isFlying && abs($y - $this->rest) + abs($w) < $this->quiet
                && abs($q) < $this->quietSwing && abs($r) < $this->quietSwingSlope
            ) {
                break;
            }
            $y1 = $ay * $y + $aw * $w + $a;
            $w1 = $by * $y + $bw * $w + $b;
            if ($swings) {
                $y1 += $aq * $q + $ar * $r;
                $w1 += $bq * $q + $br * $r;
                $q0 = $q;
                $r0 = $r;
                $q = $cy * $y + $cw * $w + $cq * $q0 + $cr * $r0 + $c;
                $r = $dy * $y + $dw * $w + $dq * $q0 + $dr * $r0 + $d;
            }
            $s1 = $asked[$node + 1];
            $d1 = $s1 - $y1;
            $e1 = $slope[$node + 1] - $w1;
            // It meets the lobe, or the seat, or leaves it: that is looked at more closely.
            if (
                ($d1 > 0.0 && $stiffness * $d1 + $over * $e1 > 0.0)
                || ($isFlying
                    ? ($y1 < $low && ($y1 < $from || ($y1 + $y < self::CLEAR && $w < 0.0))) || $y1 > $to
                    : $seat * $y1 + $seatOver * $w1 >= 0.0)
            ) {
                $this->isChanging = true;
                $this->nextY = $y1;
                $this->nextW = $w1;
                $this->nextQ = $q;
                $this->nextR = $r;
                $q = $q0;
                $r = $r0;
                break;
            }
            if ($s1 > 0.0) {
                ++$asking;
                $parts = $parts || ($d1 < 0.0 && $bend[$node + 1] < 0.0);
                if ($e0 < 0.0 && $e1 >= 0.0) {
                    $this->gap = max($this->gap, -self::turningPoint($d0, $e0, $d1, $e1));
                }
            }
            if ($w > 0.0 && $w1 <= 0.0) {
                $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
            }
            $y = $y1;
            $w = $w1;
            $d0 = $d1;
            $e0 = $e1;
            ++$node;
        }
        $this->y = $y;
        $this->w = $w;
        $this->q = $q;
        $this->r = $r;
        $this->lost += $isFlying ? $asking : 0;
        $this->partsOverNose = $this->partsOverNose || $parts;
        $this->force = $stiffness * $d0 + $over * $e0;
        $this->forceBefore = 0.0;

        return $node;
    }

    /** @return array{float, float} between which lifts the piece of the spring is that a mode has */
    private function span(int $mode): array
    {
        $pieces = $this->train->spring->pieces;
        $piece = $mode >> self::PIECE;

        return [$pieces[$piece][0], $pieces[$piece + 1][0] ?? INF];
    }

    /**
     * The power series of the gap at the lobe from a state, in a mode: how far the lift is over what is asked from there on.
     *
     * @return non-empty-list<float> LEAST_TERMS or more
     */
    abstract protected function series(float $y, float $w, int $mode): array;

    /** The state at a point of the series that was asked for last is now the valve's. */
    abstract protected function arrive(float $at): void;

    /** Whether a valve cannot leave its seat again, and has come to rest on it after so many cells. */
    abstract protected function staysSeated(int $cells): bool;

    /** At rest on the seat for so many cells. */
    abstract protected function wait(int $cells): void;

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
        $settling = new Settling();
        for ($turn = $this->mostTurns(); $turn > 0 && !$isSame; --$turn) {
            $this->highest = $this->gap = $this->lost = $this->landing = $this->rise = $this->bounce = 0.0;
            $this->peak = $this->seatLoad; // to open the valve takes more
            $this->bounces = 0;
            $this->hasLanded = $this->partsOverNose = false;
            $this->trace = [];
            $before = [$this->y, $this->w, $this->q, $this->r];
            $began = $mode;
            $mode = $this->goRound($mode, $isTraced);
            if ($mode !== $began) {
                $settling->anew();
                continue;
            }
            $step = [$this->y - $before[0], $this->w - $before[1], $this->q - $before[2], $this->r - $before[3]];
            $isSame = max(...array_map(abs(...), $step)) < self::SAME;
            $toCome = $isSame ? [] : $settling->toCome($step);
            if ($toCome !== []) {
                $this->y += $toCome[0];
                $this->w += $toCome[1];
                $this->q += $toCome[2];
                $this->r += $toCome[3];
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
        $round = 360 * $this->parts;
        $this->watchedUntil = $i = 0;
        if ($mode === self::AT_SEAT && $this->w === 0.0 && $this->y === $this->rest && !$isTraced) {
            // At rest until the lash is taken up.
            $asked = $this->asked;
            $nose = $this->nose;
            while ($i < $nose && $asked[$i + 1] < $this->rest) {
                ++$i;
            }
            $this->wait($i);
        }
        $this->force = $this->forceAtNode($i);
        $this->forceBefore = 0.0;
        while ($i < $round) {
            $this->isChanging = false;
            if (!$isTraced) {
                $i = ($mode & self::AT_LOBE) === 0 ? $this->drift($i, $mode, $round) : $this->glide($i, $mode, $round);
            }
            if (!$this->isChanging && $i < $round) {
                if ($isTraced) {
                    $isHeld = ($mode & self::AT_LOBE) !== 0;
                    $this->trace[] = [
                        $this->train->lobe->first + $i / $this->parts, $this->y, $isHeld ? max(0.0, $this->force) : 0.0, $isHeld,
                    ];
                }
                if ($i >= $this->lobeEnd && $mode === self::AT_SEAT && $this->staysSeated($round - $i)) {
                    $this->y = $this->rest;
                    $this->w = 0.0;
                    $this->wait($round - $i);
                    break;
                }
                $this->leap($i, $mode);
                $this->isChanging = !$this->takes($i, $mode);
            }
            if ($this->isChanging) {
                $mode = $this->within($i, $mode);
                $this->force = $this->forceAtNode($i + 1);
                $this->forceBefore = 0.0;
                $this->watchedUntil = $i + 1 + self::WATCHED;
            }
            ++$i;
        }

        return $mode;
    }

    private function forceAtNode(int $node): float
    {
        return $this->stiffness * ($this->asked[$node] - $this->y)
            + $this->dampingOverCell * ($this->slope[$node] - $this->w);
    }

    /** Whether the leap that was made is true, because no contact changes in it: then it is noted what it shows, and it is taken. */
    private function takes(int $node, int $mode): bool
    {
        $y = $this->y;
        $w = $this->w;
        $y1 = $this->nextY;
        $w1 = $this->nextW;
        $asked = $this->asked[$node + 1];
        $d1 = $asked - $y1;
        $e1 = $this->slope[$node + 1] - $w1;
        $f0 = $this->force;
        $f1 = $this->stiffness * $d1 + $this->dampingOverCell * $e1;
        if (!$this->holds($mode, $node, $y, $w, $y1, $w1, $d1, $f0, $f1)) {
            return false;
        }
        if (($mode & self::AT_LOBE) !== 0) {
            if ($node >= $this->watchedUntil) {
                $this->notePeak($f0, $f1);
            } elseif (max($f0, $f1) > self::NEAR_PEAK * $this->peak) {
                $this->watch($y, $w, $node, $mode, $y1, $w1, $f0, $f1);
            }
            $this->forceBefore = $f0;
        } else {
            $this->forceBefore = 0.0;
            if ($asked > 0.0) {
                $this->lost += ($mode & self::AT_SEAT) === 0 ? 1.0 : 0.0;
                $this->partsOverNose = $this->partsOverNose || ($d1 < 0.0 && $this->bend[$node + 1] < 0.0);
                $d0 = $this->asked[$node] - $y;
                $e0 = $this->slope[$node] - $w;
                if ($e0 < 0.0 && $e1 >= 0.0) {
                    $this->gap = max($this->gap, -self::turningPoint($d0, $e0, $d1, $e1));
                }
            }
        }
        if ($w > 0.0 && $w1 <= 0.0) {
            $this->noteTop(self::turningPoint($y, $w, $y1, $w1));
        }
        $this->y = $y1;
        $this->w = $w1;
        $this->q = $this->nextQ;
        $this->r = $this->nextR;
        $this->force = $f1;

        return true;
    }

    /** Whether a mode holds all through a cell. */
    private function holds(int $mode, int $node, float $y, float $w, float $y1, float $w1, float $d1, float $f0, float $f1): bool
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
        $rise = $this->riseOf($y, $w, $node, $mode);
        if ($rise >= 0.0) {
            return false;
        }
        $next = $this->riseOf($y1, $w1, $node + 1, $mode);

        return $next > 0.0 && self::turningPoint($f0, $rise, $f1, $next) < 0.0;
    }

    /** How the force between lobe and valve grows at a node, newtons a cell. */
    private function riseOf(float $y, float $w, int $node, int $mode): float
    {
        return $this->stiffness * ($this->slope[$node] - $w)
            + $this->dampingOverCell * ($this->bend[$node] - $this->bendOf($y, $w, $node, $mode));
    }

    /** The force at a new node: the middle of three may be the greatest, on a parabola through them. */
    private function notePeak(float $f0, float $f1): void
    {
        $before = $this->forceBefore;
        if ($before > 0.0 && $f0 >= $f1 && $f0 >= $before) {
            $this->noteForce(self::topOf($before, $f0, $f1));
        }
        $this->noteForce($f1);
    }

    /** What max() would say, which is a call. */
    private function noteForce(float $force): void
    {
        if ($force > $this->peak) {
            $this->peak = $force;
        }
    }

    /** The greatest of a parabola through three points, of which the middle one is the highest. */
    private static function topOf(float $before, float $now, float $next): float
    {
        $bow = $before - 2.0 * $now + $next;
        $tilt = $next - $before;

        return $bow < 0.0 ? $now - $tilt * $tilt / (8.0 * $bow) : $now;
    }

    private function noteTop(float $top): void
    {
        $this->highest = max($this->highest, $top);
        $this->rise = max($this->rise, $top);
    }

    /** The extreme of a cubic between two nodes with slopes of opposite sign. */
    private static function turningPoint(float $y0, float $w0, float $y1, float $w1): float
    {
        $c2 = 3.0 * ($y1 - $y0) - 2.0 * $w0 - $w1;
        $c3 = 2.0 * ($y0 - $y1) + $w0 + $w1;
        $square = $c2 * $c2 - 3.0 * $c3 * $w0;
        $root = $square > 0.0 ? sqrt($square) : 0.0;
        // The root at which the slope passes through nothing between the nodes, in the form that does not cancel.
        $bow = $w0 > 0.0 ? -$c2 : $c2;
        $t = $bow < 0.0 ? ($root - $bow) / (3.0 * ($w0 > 0.0 ? -$c3 : $c3)) : abs($w0) / ($bow + $root);

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

    /** What the lobe asks over a cell, in powers. */
    private function ask(int $cell): void
    {
        [$this->c0, $this->c1, $this->c2, $this->c3, $this->c4, $this->c5] = LobeCurve::powers(
            $this->asked[$cell], $this->slope[$cell], $this->bend[$cell],
            $this->asked[$cell + 1], $this->slope[$cell + 1], $this->bend[$cell + 1],
        );
    }

    /** The same from another point of the cell on. */
    private function askFrom(float $at): void
    {
        $c1 = $this->c1;
        $c2 = $this->c2;
        $c3 = $this->c3;
        $c4 = $this->c4;
        $c5 = $this->c5;
        $this->c0 += $at * ($c1 + $at * ($c2 + $at * ($c3 + $at * ($c4 + $at * $c5))));
        $this->c1 = $c1 + $at * (2.0 * $c2 + $at * (3.0 * $c3 + $at * (4.0 * $c4 + $at * 5.0 * $c5)));
        $this->c2 = $c2 + $at * (3.0 * $c3 + $at * (6.0 * $c4 + $at * 10.0 * $c5));
        $this->c3 = $c3 + $at * (4.0 * $c4 + $at * 10.0 * $c5);
        $this->c4 = $c4 + $at * 5.0 * $c5;
    }

    /**
     * What is so at a point of a stretch: gap and lift with their slopes. Twelve terms in straight code, as the compiler of PHP does not
     * follow a loop in the loops that ask for this.
     *
     * @param non-empty-list<float> $gap at the lobe, LEAST_TERMS or more
     */
    private function look(array $gap, float $at): void
    {
        [$g0, $g1, $g2, $g3, $g4, $g5, $g6, $g7, $g8, $g9, $g10, $g11] = $gap;
        $open = $opening = 0.0;
        for ($n = count($gap); $n > self::LEAST_TERMS;) {
            $opening = $opening * $at + $open;
            $open = $open * $at + $gap[--$n];
        }
        $opening = $opening * $at + $open;
        $open = $open * $at + $g11;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g10;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g9;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g8;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g7;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g6;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g5;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g4;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g3;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g2;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g1;
        $opening = $opening * $at + $open;
        $open = $open * $at + $g0;
        $c1 = $this->c1;
        $c2 = $this->c2;
        $c3 = $this->c3;
        $c4 = $this->c4;
        $c5 = $this->c5;
        $this->end = $at;
        $this->open = $open;
        $this->opening = $opening;
        $this->nextY = $open + $this->c0 + $at * ($c1 + $at * ($c2 + $at * ($c3 + $at * ($c4 + $at * $c5))));
        $this->nextW = $opening + $c1 + $at * (2.0 * $c2 + $at * (3.0 * $c3 + $at * (4.0 * $c4 + $at * 5.0 * $c5)));
    }

    /** Greatest force between two nodes, while it rings. */
    private function watch(float $y, float $w, int $cell, int $mode, float $y1, float $w1, float $f0, float $f1): void
    {
        $this->noteForce($f1);
        if ($this->riseOf($y, $w, $cell, $mode) > 0.0 && $this->riseOf($y1, $w1, $cell + 1, $mode) < 0.0) {
            $this->ask($cell);
            $this->noteForces($this->series($y, $w, $mode), 1.0, $f0, $f1);
        }
    }

    /**
     * Greatest force inside a stretch: of five points, and of a parabola about the greatest of them.
     *
     * @param non-empty-list<float> $gap at the lobe
     * @param float $first force at its beginning
     * @param float $last force at its end
     */
    private function noteForces(array $gap, float $end, float $first, float $last): void
    {
        // A bow rises above three points of it by an eighth of how far it bends, and never by half.
        $middle = $this->forceAt($gap, 0.5 * $end);
        if (max($first, $middle, $last) + 0.5 * abs($first - 2 * $middle + $last) <= $this->peak) {
            return;
        }
        $before = $first;
        $now = $this->forceAt($gap, 0.25 * $end);
        foreach ([$middle, $this->forceAt($gap, 0.75 * $end), $last] as $next) {
            $this->noteForce($now >= $before && $now >= $next ? self::topOf($before, $now, $next) : $now);
            $before = $now;
            $now = $next;
        }
    }

    /** @param non-empty-list<float> $gap at the lobe */
    private function forceAt(array $gap, float $at): float
    {
        $this->look($gap, $at);

        return -$this->stiffness * $this->open - $this->dampingOverCell * $this->opening;
    }

    /** Through a cell in which contacts change, from change to change; the mode at its end. */
    private function within(int $cell, int $mode): int
    {
        $stiffness = $this->stiffness;
        $over = $this->dampingOverCell;
        $isAsked = $this->asked[$cell + 1] > 0.0;
        $this->ask($cell);
        $width = 1.0;
        for ($change = 0; $change < self::MOST_CHANGES; ++$change) {
            $y0 = $this->y;
            $w0 = $this->w;
            $gap = $this->series($y0, $w0, $mode);
            $which = $this->firstChange($gap, $mode, $cell, $width, $change > 0);
            $end = $this->end;
            $open = $this->open;
            $opening = $this->opening;
            $this->y = $this->nextY;
            $this->w = $this->nextW;
            $this->arrive($end);
            if ($w0 > 0.0 && $this->w <= 0.0) {
                $this->noteTop(self::turningPoint($y0, $w0 * $end, $this->y, $this->w * $end));
            }
            if (($mode & self::AT_LOBE) !== 0) {
                $first = -$stiffness * $gap[0] - $over * $gap[1];
                $last = -$stiffness * $open - $over * $opening;
                $this->noteForce($last);
                if ($first > self::NEAR_PEAK * $this->peak || $last > self::NEAR_PEAK * $this->peak) {
                    $this->noteForces($gap, $end, $first, $last);
                }
            } elseif ($isAsked) {
                $this->lost += ($mode & self::AT_SEAT) === 0 ? $end : 0.0;
                $this->partsOverNose = $this->partsOverNose || ($this->c2 < -self::STRAIGHT && $open > 0.0);
                if ($gap[1] > 0.0 && $opening <= 0.0) {
                    $this->gap = max($this->gap, self::turningPoint($gap[0], $gap[1] * $end, $open, $opening * $end));
                }
            }
            if ($which === 0) {
                return $mode;
            }
            if ($which === self::AT_SEAT) {
                $this->atSeat(($mode & self::AT_SEAT) === 0, $this->w, $cell >= $this->nose);
            }
            $mode = match ($which) {
                self::NEXT_PIECE => $mode + (1 << self::PIECE),
                self::PIECE_BEFORE => $mode - (1 << self::PIECE),
                default => $mode ^ $which,
            };
            $width -= $end;
            $this->askFrom($end);
        }

        return $mode; // so many changes in one cell: it chatters, and the next cell goes on from here
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
     * The first change of a contact, or of the piece of the spring, in a stretch to the end of its cell. The place where the stretch ends
     * and what is so there are noted as next.
     *
     * @param non-empty-list<float> $gap at the lobe
     *
     * @return int which; nothing where none changes
     */
    private function firstChange(array $gap, int $mode, int $cell, float $width, bool $isAfterChange): int
    {
        $stiffness = $this->stiffness;
        $over = $this->dampingOverCell;
        $seat = $this->seatStiffness;
        $seatOver = $this->seatDampingOverCell;
        $isHeld = ($mode & self::AT_LOBE) !== 0;
        $isSeated = ($mode & self::AT_SEAT) !== 0;
        $wholeY = $this->nextY;
        $wholeW = $this->nextW;
        $earlier = $isAfterChange ? self::AFTER : 0.0;
        $at = 0.5 * $width > $earlier ? 0.5 * $width : $width;
        while (true) {
            if ($at < 1.0 || $isAfterChange) {
                $this->look($gap, $at);
            } else {
                // What the whole cell leads to is known from the leap that it could not take.
                $this->end = $at;
                $this->nextY = $wholeY;
                $this->nextW = $wholeW;
                $this->open = $wholeY - $this->asked[$cell + 1];
                $this->opening = $wholeW - $this->slope[$cell + 1];
            }
            if ($at <= $earlier) {
                return 0;
            }
            $which = 0;
            $end = $at;
            $open = $this->open;
            $y = $this->nextY;
            $w = $this->nextW;
            $force = $stiffness * $open + $over * $this->opening;
            if ($isHeld ? $force > 0.0 : $open < 0.0 && $force < 0.0) {
                $end = $this->changeOf($gap, null, $stiffness, $over, $isHeld, $earlier, $at, $open, $force);
                $which = self::AT_LOBE;
            }
            if ($y <= self::CLEAR) {
                $force = $seat * $y + $seatOver * $w;
                if ($isSeated ? $force > 0.0 : $y < 0.0 && $force < 0.0) {
                    $change = $this->changeOf($gap, 0.0, $seat, $seatOver, $isSeated, $earlier, $at, $y, $force);
                    if ($which === 0 || $change < $end) {
                        $end = $change;
                        $which = self::AT_SEAT;
                    }
                }
            }
            if ($this->hasPieces) {
                [$from, $to] = $this->span($mode);
                $isOver = $y > $to;
                // Beyond its piece it is as if a contact had opened; before the first there is the seat.
                if ($isOver || ($y < $from && $mode >> self::PIECE > 0)) {
                    $limit = $isOver ? $to : $from;
                    $pull = $isOver ? $seat : -$seat;
                    $change = $this->changeOf($gap, $limit, $pull, 0.0, true, $earlier, $at, $y - $limit, $pull * ($y - $limit));
                    if ($which === 0 || $change < $end) {
                        $end = $change;
                        $which = $isOver ? self::NEXT_PIECE : self::PIECE_BEFORE;
                    }
                }
            }
            if ($which !== 0) {
                if ($this->end !== $end) {
                    $this->look($gap, $end);
                }

                return $which;
            }
            if ($at >= $width) {
                return 0;
            }
            $earlier = $at;
            $at = $width;
        }
    }

    /**
     * Where a contact opens or closes, by the gap at it: a secant that keeps that place between two ends (Illinois). The contact is that
     * with the lobe, or one that the lift makes at a height.
     *
     * What tells is a force in newtons, below nothing where the contact has changed: a closed one opens where nothing presses it any more,
     * an open one closes where it is squeezed and that presses.
     *
     * @param non-empty-list<float> $gap at the lobe
     * @param float|null $height metres; none for the lobe
     * @param float $open gap at the later end, where the contact has changed; below nothing where it is squeezed
     * @param float $pull what pulls the contact apart there, newtons
     */
    private function changeOf(
        array $gap,
        ?float $height,
        float $stiffness,
        float $damping,
        bool $isClosed,
        float $from,
        float $to,
        float $open,
        float $pull,
    ): float {
        $noForce = $this->noForce;
        $squeeze = $stiffness * $open;
        $last = $isClosed ? -$pull : ($squeeze > $pull ? $squeeze : $pull);
        $first = 0.0;
        $side = 0;
        $at = $from;
        for ($turn = 0; $turn < 60 && $to - $from > 1e-12; ++$turn) {
            $this->look($gap, $at);
            $squeeze = $stiffness * ($height === null ? $this->open : $this->nextY - $height);
            $pull = $squeeze + $damping * ($height === null ? $this->opening : $this->nextW);
            $now = $isClosed ? -$pull : ($squeeze > $pull ? $squeeze : $pull);
            if ($turn === 0 ? $now <= 0.0 : $now < $noForce && $now > -$noForce) {
                return $at; // or it changed at the beginning of the stretch
            }
            if ($now > 0.0) {
                $from = $at;
                $first = $now;
                $last = $side === 1 ? 0.5 * $last : $last;
                $side = 1;
            } else {
                $to = $at;
                $last = $now;
                $first = $side === -1 ? 0.5 * $first : $first;
                $side = -1;
            }
            $at = ($from * $last - $to * $first) / ($last - $first);
        }

        return $to;
    }
}
