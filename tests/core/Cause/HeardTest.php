<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Knowledge\BenchState;
use MuteTapper\Core\Knowledge\Cause;
use MuteTapper\Core\Timeline\Component;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** No dead facts: whatever can be recorded either reaches the judgement through a sign, or says in a sentence why it does not. */
final class HeardTest extends TestCase
{
    /** Every column and every judged value: by a bench state, or as an input of what is one. */
    public function testEveryReadingIsHeard(): void
    {
        $sheets = AllSheets::get();
        $heard = $this->heard();
        foreach ($sheets->columns as $code => $column) {
            $of = preg_replace('/\.(least|most)$/', '', $code);
            $isHeard = isset($heard[$code]) || isset($heard[$of]) || null !== ($column->recordOnly ?? $column->noEvidence);
            self::assertTrue($isHeard, 'The column '.$code.' weighs nowhere and does not say why.');
            self::assertFalse(isset($heard[$code]) && null !== $column->recordOnly, $code.' is heard, and says it is not.');
        }
        foreach ($sheets->judged as $value => $judged) {
            self::assertTrue(isset($heard[$value]) || null !== $judged->noEvidence, 'Nothing hears that '.$value.' is off.');
        }
    }

    /** Every choice of every question: it is a sign, denies or spoils one, or says why it is kept. */
    public function testEveryAnswerIsHeard(): void
    {
        $knowledge = Example::knowledge();
        foreach ($knowledge->questions as $question) {
            foreach ($question->choices as $choice) {
                $isHeard = null !== $choice->sign || $choice->denies || $choice->spoils;
                self::assertTrue($isHeard || null !== $choice->recordOnly, $question->code.'/'.$choice->code);
                self::assertTrue(null === $choice->sign || isset($knowledge->signs[$choice->sign]), $question->code.'/'.$choice->code);
            }
        }
    }

    /** What banks are compared in is a reading of stations, or a question that is asked of them. */
    public function testEveryComparisonIsOfStations(): void
    {
        $compared = array_merge(...array_map(static fn ($sign): array => $sign->compared, array_values(Example::knowledge()->signs)));
        self::assertNotSame([], $compared);
        foreach ($compared as $code) {
            $site = AllSheets::get()->columns[$code]->site ?? Example::knowledge()->questions[$code]->site;
            self::assertSame(Site::Station, $site, $code);
        }
    }

    /** Every sign weighs for something on every engine that can show it. */
    public function testEverySignWeighs(): void
    {
        foreach (
            [
                Example::pushrodEight(), Example::bucketFour(), Example::hydraulicRollerEight(),
                new Example(['layout' => 'vee', 'drive' => 'finger', 'face' => 'roller', 'lash' => 'hydraulic', 'cylinders' => 6]),
                new Example(['layout' => 'inline', 'drive' => 'finger', 'cylinders' => 1]),
            ] as $example
        ) {
            $links = Example::knowledge()->network->on($example->engine())->signLinks;
            foreach (Example::knowledge()->signs as $sign) {
                if ($sign->isPossibleOn($example->engine())) {
                    self::assertNotSame([], $links[$sign->code], $sign->code.' speaks for nothing on this engine');
                }
            }
        }
    }

    /** Every component that can be carried from build to build carries some cause, and causes reside in components alone. */
    public function testEveryCarriedComponentIsHeard(): void
    {
        $resides = array_unique(array_merge(
            ...array_values(array_map(static fn (Cause $cause): array => $cause->residesIn, Example::knowledge()->network->causes)),
        ));
        $components = array_map(static fn (Component $component): string => $component->value, Component::cases());
        self::assertSame([], array_values(array_diff($resides, $components)));
        self::assertSame([], array_values(array_diff($components, $resides)));
    }

    /** @return array<string, true> names of values that a sign asks for, and of all that they can come from */
    private function heard(): array
    {
        $sheets = AllSheets::get();
        $waiting = [];
        foreach (Example::knowledge()->signs as $sign) {
            array_push($waiting, ...array_merge(...array_map(
                static fn (BenchState $state): array => $state->values(), [...$sign->bench, ...$sign->measured],
            )));
        }
        $heard = [];
        while ($waiting !== []) {
            $name = array_pop($waiting);
            if (isset($heard[$name])) {
                continue;
            }
            $heard[$name] = true;
            foreach ($sheets->value($name)->ways as $way) {
                foreach ([...array_values($way->inputs), ...null === $way->same ? [] : [$way->same]] as $from) {
                    $waiting[] = $from->name;
                }
            }
            array_push($waiting, ...array_values(array_filter([
                $sheets->judged[$name]->limitedBy ?? null, $sheets->judged[$name]->eatenBy ?? null,
            ], static fn (?string $other): bool => null !== $other)));
        }

        return $heard;
    }
}
