<?php

declare(strict_types=1);

namespace MuteTapper\App\Queue;

/** Which cases of the shop are wanted. */
enum ShopView: string
{
    /** All that are not set aside. */
    case All = 'all';
    /** Those that a person worked on. */
    case Mine = 'mine';
    /** Those with something to do here. */
    case Bench = 'bench';
    /** Those that wait for somebody outside. */
    case Waiting = 'waiting';
    case Overdue = 'overdue';
    case Signed = 'signed';
    case Aside = 'aside';

    /** Which rows of the queue it has, in SQL; named are the day and the person. */
    public function condition(): string
    {
        return match ($this) {
            self::All => 'q.set_aside = 0',
            self::Mine => 'q.set_aside = 0 AND q.number IN (SELECT w.number FROM worked_on w WHERE w.person = :person)',
            self::Bench => 'q.set_aside = 0 AND q.signed = 0 AND q.away = 0',
            self::Waiting => 'q.set_aside = 0 AND q.signed = 0 AND q.away = 1',
            self::Overdue => 'q.set_aside = 0 AND q.overdue_from <= :day',
            self::Signed => 'q.set_aside = 0 AND q.signed = 1',
            self::Aside => 'q.set_aside = 1',
        };
    }
}
