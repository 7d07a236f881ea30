<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Sheet;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Sheet\Column;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Nothing is typed for nothing: every column feeds a value, a margin or a sign, or says why it is written down. */
final class EveryColumnTest extends TestCase
{
    public function testEveryColumnIsUsedOrSaysWhyItIsKept(): void
    {
        $used = self::used();
        $idle = $kept = [];
        foreach (AllSheets::get()->columns as $code => $column) {
            if (!isset($used[$code]) && $column->recordOnly === null) {
                $idle[] = $code;
            }
            if (isset($used[$code]) && $column->recordOnly !== null) {
                $kept[] = $code;
            }
        }
        self::assertSame([], $idle, 'Columns that nothing makes use of, and that do not say why.');
        self::assertSame([], $kept, 'Columns that say that nothing makes use of them, although something does.');
    }

    public function testEveryJudgedValueHasALimitAndEveryLimitIsUsed(): void
    {
        $limits = Example::knowledge()->limits;
        $judged = array_keys(AllSheets::get()->judged);
        self::assertSame([], array_values(array_filter($judged, static fn (string $value): bool => !$limits->has($value))));
        self::assertSame([], array_values(array_diff($limits->quantities(), $judged)));
    }

    public function testEveryColumnHasAGaugeOfItsDimension(): void
    {
        foreach (AllSheets::get()->columns as $code => $column) {
            if ($column->isReadable) {
                $gauge = Example::knowledge()->gauges[$column->gauge] ?? self::fail($code.' has no gauge');
                self::assertSame($column->dimension(), $gauge->unit->dimension(), $code);
            }
        }
    }

    /** The usual figure serves as an example in refusals, and the simulated gauges read about it. */
    public function testUsualFiguresLieWithinTheirRange(): void
    {
        foreach (AllSheets::get()->columns as $code => $column) {
            self::assertTrue($column->range->holds($column->range->example()), $code);
        }
    }

    /** @return array<string, true> columns by code, that something makes use of */
    private static function used(): array
    {
        $sheets = AllSheets::get();
        $used = array_fill_keys(array_keys($sheets->judged), true);
        foreach ($sheets->values as $value) {
            foreach ($value->ways as $way) {
                foreach ([...array_values($way->inputs), ...($way->same === null ? [] : [$way->same])] as $from) {
                    $used[$from->name] = true;
                }
            }
        }
        foreach (Example::knowledge()->signs as $sign) {
            foreach ($sign->bench as $state) {
                $used[$state->value] = true;
            }
        }
        foreach ($sheets->columns as $code => $column) {
            $used += array_fill_keys(array_keys($column->movesWith), true);
            // A limit that the maker may state is a column of its own.
            if (preg_match('/^(.+)\.(least|most)$/', $code, $match) === 1 && isset($sheets->judged[$match[1]])) {
                $used[$code] = true;
            }
        }

        return $used;
    }
}
