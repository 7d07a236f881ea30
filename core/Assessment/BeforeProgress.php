<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\Before\TestColumn;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\Engine\LashKind;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Spring\SheetColumn;

/** How much of the tests on the assembled engine is done: compression, leak-down, lash, two pulls a valve, and the mirror. */
final readonly class BeforeProgress
{
    private const PULLS = 2;

    private function __construct(public int $done, public int $wanted, public bool $mirror)
    {
    }

    public static function of(CaseFile $case): self
    {
        $engine = $case->engine;
        $seen = [];
        foreach ($case->log->standing(EntryKind::Reading) as $entry) {
            // Earlier dates of the health record are not this case's tests.
            if (preg_match('/^\d{4}-/', $entry->slot->index ?? '') !== 1) {
                $seen[$entry->slot->item][$entry->slot->place] = ($seen[$entry->slot->item][$entry->slot->place] ?? 0) + 1;
            }
        }
        $done = $wanted = 0;
        $count = static function (string $item, int $sites, int $each) use ($seen, &$done, &$wanted): void {
            $wanted += $sites * $each;
            foreach ($seen[$item] ?? [] as $readings) {
                $done += min($each, $readings);
            }
        };
        $count(TestColumn::Compression->value, count($engine->cylinders), 1);
        $count(TestColumn::LeakDown->value, count($engine->cylinders), 1);
        $count(TestColumn::Pull->value, count($engine->stations), self::PULLS);
        if ($engine->lash === LashKind::Solid) {
            $count(SheetColumn::Lash->value, count($engine->stations), 1);
        }
        $mirror = array_filter($case->log->standing(EntryKind::Answer), static fn ($entry): bool => $entry->slot->item === 'mirror') !== [];

        return new self($done + ($mirror ? 1 : 0), $wanted + 1, $mirror);
    }

    public function left(): string
    {
        return match (true) {
            $this->done === $this->wanted => '',
            $this->done > 0 && !$this->mirror => 'mirror still to look',
            default => sprintf('%d of %d tests', $this->done, $this->wanted),
        };
    }
}
