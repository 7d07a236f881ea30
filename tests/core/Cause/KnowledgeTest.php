<?php

declare(strict_types=1);

namespace MuteTapper\Tests\Core\Cause;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Knowledge\Check;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\Link;
use MuteTapper\Core\Knowledge\Network;
use MuteTapper\Core\Knowledge\SeenBy;
use MuteTapper\Tests\Core\Example;
use PHPUnit\Framework\TestCase;

/** Rules that the data files must keep. */
final class KnowledgeTest extends TestCase
{
    public function testThereIsEnoughOfIt(): void
    {
        $knowledge = Example::knowledge();
        self::assertGreaterThanOrEqual(75, \count($knowledge->network->causes));
        self::assertGreaterThanOrEqual(26, \count($knowledge->network->events));
        self::assertGreaterThanOrEqual(190, \count($knowledge->signs));
        self::assertGreaterThanOrEqual(590, array_sum(array_map(count(...), $this->links())));
        self::assertSame(
            [],
            array_diff(
                array_map(static fn ($cause): string => $cause->family, $knowledge->network->causes), array_keys($knowledge->families),
            ),
        );
    }

    public function testEveryLinkHasAReasonAndAMark(): void
    {
        foreach ($this->links() as $child => $links) {
            foreach ($links as $link) {
                self::assertNotSame('', trim($link->reason), $child);
                self::assertContains($link->mark, ['pub', 'practice', 'own'], $child);
            }
        }
    }

    public function testEventsAreNotLinkedRarely(): void
    {
        foreach (Example::knowledge()->network->events as $event) {
            foreach ($event->parents as $link) {
                self::assertNotSame('rarely', $link->strength->value, $event->code);
            }
        }
    }

    public function testEverySignIsWordedForTheBench(): void
    {
        foreach (Example::knowledge()->signs as $sign) {
            self::assertCount($sign->isFromBench() ? 0 : 5, $sign->severity, $sign->code);
            self::assertGreaterThanOrEqual(0.002, $sign->leak, $sign->code);
            self::assertLessThanOrEqual(0.2, $sign->leak, $sign->code);
            self::assertNotSame([], Example::knowledge()->network->signLinks[$sign->code], $sign->code.' speaks for nothing');
            foreach ([$sign->lookFor, $sign->photograph, $sign->lookAlike] as $text) {
                self::assertMatchesRegularExpression('/\.$/', $text, $sign->code);
            }
            foreach ($sign->parts as $part) {
                if (!$sign->isFromBench()) {
                    self::assertSame($sign->site, $part->site(), $sign->code.' is counted where its part is');
                }
            }
        }
    }

    public function testEveryCauseHasASignThatSpeaksForIt(): void
    {
        foreach ($this->profiles() as $cause => $profile) {
            self::assertGreaterThanOrEqual(0.5, max([0.0, ...array_values($profile)]), $cause);
        }
    }

    /** Some sign tells each pair of causes apart by at least 2.5 decibans, taken both ways. */
    public function testEveryCauseCanBeToldFromEveryOther(): void
    {
        $profiles = $this->profiles();
        foreach ($profiles as $a => $first) {
            foreach ($profiles as $b => $second) {
                if ($a < $b) {
                    $best = 0.0;
                    foreach ($first as $sign => $p) {
                        $q = $second[$sign];
                        $best = max($best, 10 * ($p - $q) * (log10($p / (1 - $p)) - log10($q / (1 - $q))));
                    }
                    self::assertGreaterThanOrEqual(2.5, $best, "$a and $b");
                }
            }
        }
    }

    public function testAClearLookIsOnlyForTheEye(): void
    {
        $eyes = array_filter(Example::knowledge()->signs, static fn ($sign): bool => SeenBy::Eye === $sign->seenBy);
        self::assertGreaterThan(40, \count($eyes));
        foreach ($eyes as $sign) {
            self::assertFalse($sign->isFromBench(), $sign->code);
        }
    }

    /** Nothing that the catalogue lists is without a way to find out; what only the customer can tell is asked in the story. */
    public function testEverySignIsAnsweredByACheck(): void
    {
        $knowledge = Example::knowledge();
        $answered = array_merge(...array_map(static fn (Check $check): array => $check->signs, array_values($knowledge->checks)));
        foreach ($knowledge->signs as $sign) {
            if (SeenBy::Report !== $sign->seenBy || Part::Running !== $sign->parts[0]) {
                self::assertContains($sign->code, $answered);
            }
        }
        foreach ($knowledge->checks as $check) {
            self::assertContains($check->site, [Site::Station, Site::Cylinder, Site::Engine], $check->code);
        }
    }

    public function testACheckOfWhatIsNotKnownIsRefused(): void
    {
        foreach (['signs' => ['levity'], 'until' => ['the_cows_come_home']] as $key => $unknown) {
            $check = [$key => $unknown, 'code' => 'c', 'label' => 'C', 'minutes' => 5, 'site' => 'engine'];
            $check += ['signs' => ['no_travel'], 'reading' => 'R.'];
            try {
                Knowledge::fromArray(['checks' => ['checks' => [$check]]] + Example::files());
                self::fail('It was accepted.');
            } catch (BadDocument $problem) {
                self::assertStringContainsString($unknown[0], $problem->getMessage());
            }
        }
    }

    public function testALoopOrAMissingParentIsRefused(): void
    {
        $link = static fn (string $from): array => ['from' => $from, 'word' => 'often', 'reason' => 'r', 'mark' => 'own'];
        $event = static fn (string $code, string $from): array => [
            'code' => $code, 'label' => $code, 'mode' => 'same', 'parents' => [$link($from)],
        ];
        foreach ([[[$event('a', 'b'), $event('b', 'a')], 'loop'], [[$event('a', 'nowhere')], 'nowhere']] as [$events, $words]) {
            try {
                Network::fromNode(Node::root([]), Node::root($events), Node::root([]));
                self::fail('It was accepted.');
            } catch (BadDocument $problem) {
                self::assertStringContainsString($words, $problem->getMessage());
            }
        }
    }

    /** @return array<string, array<string, float>> P(sign | cause alone) along all paths, leak included, by cause and sign */
    private function profiles(): array
    {
        $network = Example::knowledge()->network;
        $profiles = [];
        foreach (array_keys($network->causes) as $cause) {
            $on = [$cause => 1.0];
            foreach ($network->events as $code => $event) {
                $on[$code] = 1 - array_product(
                    array_map(
                        static fn (Link $link): float => 1 - ($on[$link->parent] ?? 0.0) * $link->probability, $event->parents,
                    ),
                );
            }
            foreach (Example::knowledge()->signs as $code => $sign) {
                $off = array_product(
                    array_map(
                        static fn (Link $link): float => 1 - ($on[$link->parent] ?? 0.0) * $link->probability,
                        $network->signLinks[$code],
                    ),
                );
                $profiles[$cause][$code] = 1 - (1 - $sign->leak) * $off;
            }
        }

        return $profiles;
    }

    /** @return array<string, list<Link>> */
    private function links(): array
    {
        $network = Example::knowledge()->network;

        return array_map(static fn ($event): array => $event->parents, $network->events) + $network->signLinks;
    }
}
