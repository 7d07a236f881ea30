<?php

declare(strict_types=1);

namespace MuteTapper\Core\Reassembly;

/** What became of the complaint when the engine came back. */
enum Symptom: string
{
    case Gone = 'gone';
    case Less = 'less';
    case Same = 'same';
    case Other = 'other';

    public function words(): string
    {
        return match ($this) {
            self::Gone => 'gone',
            self::Less => 'less, still there',
            self::Same => 'the same',
            self::Other => 'gone, another one came',
        };
    }
}
