<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Cause\FurtherCause;
use MuteTapper\Core\Cause\LeftOver;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Cause\Standing;
use PHPUnit\Framework\Assert;

/** What a practitioner says of a case. */
final readonly class Expected
{
    /** @param \Closure(Ranking): void $check */
    private function __construct(public string $words, private \Closure $check)
    {
    }

    public static function leader(string $cause, ?string $where = null): self
    {
        return new self('leader '.$cause, static function (Ranking $ranking) use ($cause, $where): void {
            Assert::assertSame([$cause], array_column($ranking->named->leading, 'cause'));
            if ($where !== null) {
                Assert::assertSame($where, self::where($ranking));
            }
        });
    }

    /** Both together. */
    public static function pair(string $one, string $other): self
    {
        return new self($one.' and '.$other, static function (Ranking $ranking) use ($one, $other): void {
            $leading = array_column($ranking->named->leading, 'cause');
            sort($leading);
            $wanted = [$one, $other];
            sort($wanted);
            Assert::assertSame($wanted, $leading);
        });
    }

    /** First in the ranking, whether it may be named or not. */
    public static function first(string $cause): self
    {
        return new self('first '.$cause, static fn (Ranking $ranking) => Assert::assertSame($cause, $ranking->causes[0]->cause->code));
    }

    /** The mechanism is, its root is open; and these are among those it is open between. */
    public static function established(string $event, string ...$among): self
    {
        return new self('established '.$event, static function (Ranking $ranking) use ($event, $among): void {
            Assert::assertContains($event, $ranking->established);
            Assert::assertSame(Standing::OpenBetween, $ranking->standing());
            Assert::assertSame([], array_diff($among, $ranking->leading()));
        });
    }

    /** Open between some causes, these among them. */
    public static function open(string ...$among): self
    {
        return new self('open '.implode(', ', $among), static function (Ranking $ranking) use ($among): void {
            Assert::assertSame(Standing::OpenBetween, $ranking->standing());
            Assert::assertSame([], array_diff($among, $ranking->leading()));
        });
    }

    public static function notEnough(): self
    {
        return new self('not enough', static fn (Ranking $ranking) => Assert::assertSame(Standing::NotEnough, $ranking->standing()));
    }

    /** Named together with it, or shown beside it. */
    public static function beside(string $leader, string $further): self
    {
        return new self($leader.', beside it '.$further, static function (Ranking $ranking) use ($leader, $further): void {
            Assert::assertContains($leader, array_column($ranking->named->first(), 'cause'));
            Assert::assertContains($further, [
                ...array_map(static fn (FurtherCause $one): string => $one->placed->cause, $ranking->further()),
                ...array_column($ranking->named->leading, 'cause'), ...array_column($ranking->named->open, 'cause'),
            ]);
        });
    }

    /** It leads, and leaves this sign as it is. */
    public static function leaves(string $leader, string $sign): self
    {
        return new self($leader.', without '.$sign, static function (Ranking $ranking) use ($leader, $sign): void {
            Assert::assertSame([$leader], array_column($ranking->named->leading, 'cause'));
            Assert::assertContains($sign, array_map(static fn (LeftOver $one): string => $one->sign, $ranking->leftOver()));
        });
    }

    public function check(Ranking $ranking): void
    {
        ($this->check)($ranking);
    }

    /** Scope of the first named cause, with its stations where it is of single ones. */
    private static function where(Ranking $ranking): string
    {
        $extent = $ranking->named->first()[0]->extent;

        return $extent->scope->value.($extent->scope->isLocal() ? ' '.implode(' ', $ranking->model->ground->codes($extent->region)) : '')
            .(in_array($extent->scope->value, ['kind', 'bank'], true) ? ' '.$ranking->model->ground->codes($extent->region)[0] : '');
    }
}
