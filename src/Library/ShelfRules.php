<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use MuteTapper\App\Engine\EngineView;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Gauge\GaugeStudy;
use MuteTapper\Core\Gauge\RegisteredGauge;
use MuteTapper\Core\Knowledge\ShimStock;
use MuteTapper\Core\Quantity\EntryParser;
use MuteTapper\Core\Quantity\NotUnderstood;
use MuteTapper\Core\Quantity\UnitSystem;
use MuteTapper\Core\Verdict\Limit;
use Psr\Clock\ClockInterface;

/** What may stand on each shelf, and what it comes to in words. */
final readonly class ShelfRules
{
    /** What a shop may say of a limit; what it judges and on which side stays as it is. */
    private const OF_A_LIMIT = ['schools', 'by_kind', 'default', 'caution', 'mark', 'source'];
    /** What a shop may say of what it keeps in stock. */
    private const OF_A_STOCK = ['thicknesses', 'unit', 'tolerance', 'most', 'mark', 'source'];
    /** What a shop may say of a link: how often, in a word, and where it has it from. */
    private const OF_A_LINK = ['word', 'mark', 'source'];
    private const MARKS = ['pub', 'practice', 'own'];

    public function __construct(private KnowledgeFiles $knowledge, private ClockInterface $clock)
    {
    }

    /**
     * @return array<string, mixed> the content as it is kept
     *
     * @throws BadDocument
     */
    public function checked(Shelf $shelf, string $code, string $name, Node $content): array
    {
        if ($shelf === Shelf::Engines) {
            return Engine::fromNode($content)->toArray();
        }
        match ($shelf) {
            Shelf::Gauges => $this->gauge($code, $name, $content),
            Shelf::Springs, Shelf::Lobes => $this->figures($content, $shelf->part()),
            Shelf::Limits => $this->limit($code, $content),
            Shelf::Studies => GaugeStudy::fromNode($content),
            Shelf::Stock => $this->stock($code, $content),
            Shelf::Links => $this->link($code, $content),
        };

        return $content->map();
    }

    public function view(ShelvedVersion $one): ShelvedItemView
    {
        [$sums, $needsAct] = $one->content === null ? ['', false] : $this->sums($one, Node::root($one->content));

        return new ShelvedItemView(
            $one->shelf, $one->code, $one->name, $one->version, $one->content, $one->by, $one->at->format(\DATE_ATOM), $sums, $needsAct,
        );
    }

    public function gauge(string $code, string $name, Node $content): RegisteredGauge
    {
        $kinds = $this->knowledge->shipped()->gauges;
        if (isset($kinds[$code])) {
            throw BadDocument::at('/code', sprintf('“%s” is a kind of gauge: give your own another name.', $code));
        }

        return RegisteredGauge::fromNode($code, $name, $content, $kinds);
    }

    /** @return array{string, bool} */
    private function sums(ShelvedVersion $one, Node $content): array
    {
        if ($one->shelf === Shelf::Gauges) {
            $gauge = $this->gauge($one->code, $one->name, $content);
            $due = $gauge->dueOn === null ? '' : sprintf('. Calibration due %s', $gauge->dueOn->format('Y-m-d'));

            return [$gauge->gauge->stated.$due, $gauge->isOverdue($this->clock->now())];
        }

        return [match ($one->shelf) {
            Shelf::Springs, Shelf::Lobes => implode(', ', array_map(
                static fn (Node $figure): string => trim(implode(' ', [
                    str_replace('_', ' ', $figure->get('item')->word()), $figure->maybe('index')?->word() ?? '',
                    $figure->get('text')->word(),
                    $figure->has('at') ? 'at '.$figure->get('at')->word() : '',
                ])),
                $content->get('figures')->items(),
            )),
            Shelf::Limits => $content->maybe('source')?->word(1000) ?? '',
            Shelf::Engines => EngineView::summary(Engine::fromNode($content)),
            Shelf::Studies => GaugeStudy::fromNode($content)->inWords(),
            Shelf::Stock => $content->maybe('source')?->word(1000) ?? '',
            Shelf::Links => sprintf('%s: %s', $content->get('word')->word(), $content->get('source')->word(1000)),
        }, false];
    }

    /** A part by the figures that its maker states. */
    private function figures(Node $content, ?Part $part): void
    {
        $parser = new EntryParser($content->maybe('units')?->choice(UnitSystem::class) ?? UnitSystem::Inch);
        $content->maybe('note')?->text(2000);
        foreach ($content->get('figures')->items(60) as $figure) {
            $item = $figure->get('item')->word();
            $column = AllSheets::get()->columns[$item] ?? null;
            if ($column === null || $column->part !== $part || !$column->isClaimable) {
                throw BadDocument::at($figure->pointer.'/item', sprintf('“%s” is no figure of a %s.', $item, $part->value ?? ''));
            }
            if ($column->isAtHeight && !$figure->has('at')) {
                throw BadDocument::at($figure->pointer.'/at', 'a load needs the height at which it is stated.');
            }
            foreach (['text' => $column->range, 'at' => $column->isAtHeight ? $column::testHeightRange() : null] as $key => $range) {
                try {
                    $range === null ? null : $parser->parse($figure->get($key)->word(), $range);
                } catch (NotUnderstood $refusal) {
                    throw BadDocument::at($figure->pointer.'/'.$key, rtrim($refusal->reason.' Accepted: '.$refusal->accepted.'.'));
                }
            }
        }
    }

    private function limit(string $code, Node $content): void
    {
        $shipped = $this->knowledge->shippedOf('limits', $code)
            ?? throw BadDocument::at('/code', sprintf('nothing is judged by a limit “%s”.', $code));
        self::changeable($content, self::OF_A_LIMIT);
        try {
            Limit::fromNode($code, Node::root($content->map() + $shipped));
        } catch (BadDocument $problem) {
            throw BadDocument::at($content->pointer.$problem->pointer, $problem->reason);
        }
    }

    private function stock(string $code, Node $content): void
    {
        $shipped = $this->knowledge->shippedOf('stock', $code)
            ?? throw BadDocument::at('/code', sprintf('nothing is laid out of a stock “%s”.', $code));
        self::changeable($content, self::OF_A_STOCK);
        try {
            ShimStock::fromNode(Node::root($content->map() + $shipped));
        } catch (BadDocument $problem) {
            throw BadDocument::at($content->pointer.$problem->pointer, $problem->reason);
        }
    }

    private function link(string $code, Node $content): void
    {
        $shipped = $this->knowledge->shipped()->network->links()[$code]
            ?? throw BadDocument::at('/code', sprintf('nothing leads by a link “%s”.', $code));
        self::changeable($content, self::OF_A_LINK);
        $shipped->asSet($content);
    }

    /**
     * What a shop sets otherwise than it is shipped says whose figure it is, and where it comes from.
     *
     * @param list<string> $keys
     *
     * @throws BadDocument
     */
    private static function changeable(Node $content, array $keys): void
    {
        foreach (array_keys($content->members()) as $key) {
            if (!in_array($key, $keys, true)) {
                throw BadDocument::at($content->pointer.'/'.$key, 'this cannot be changed; accepted: '.implode(', ', $keys).'.');
            }
        }
        if (!in_array($content->get('mark')->word(), self::MARKS, true)) {
            throw BadDocument::at($content->pointer.'/mark', 'accepted: '.implode(', ', self::MARKS).'.');
        }
        $content->get('source')->word(1000);
    }
}
