<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\App\Cause\LeftOverView;
use MuteTapper\App\Cause\RankingView;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Chain\Chain;
use MuteTapper\Core\Chain\ChainEvent;
use MuteTapper\Core\Chain\ChainLink;
use OpenApi\Attributes as OA;

/** The chain of damage, from the cause to what was found. */
#[OA\Schema]
final readonly class ChainView
{
    /**
     * @param list<ChainEventView> $events what leads to one stands before it
     * @param list<ChainLinkView> $links
     * @param list<ChainLinkView> $orders which was before which, by people’s word, where none led to the other
     * @param list<ChainEditView> $edits what people changed, the oldest first
     * @param list<ContainedView> $contained
     * @param list<string> $left what the leading explanation does not explain
     */
    private function __construct(
        public array $events,
        public array $links,
        public array $orders,
        #[OA\Property(description: 'code of the event that it began with')]
        public ?string $first,
        #[OA\Property(description: 'who said that it began there; empty where it follows from the ranking')]
        public string $firstBy,
        public array $edits,
        public array $contained,
        public array $left,
    ) {
    }

    /** @param Chain $laid as it follows from the ranking; what people changed is laid over it */
    public static function of(Assessment $assessment, Chain $laid, RankingView $ranking): self
    {
        $edits = $assessment->chainEdits();
        $chain = $laid->edited($edits);
        $story = new ChainStory($assessment, $chain, $edits);
        $strands = $chain->strands();
        $numbers = $chain->numbers();
        $link = static function (ChainLink $link) use ($chain): ChainLinkView {
            $edit = $link->cut ?? $link->drawn;

            return new ChainLinkView(
                $link->from, $link->to, $chain->events[$link->from]->standing->weaker($chain->events[$link->to]->standing),
                $link->cut !== null, $edit->by ?? '', $edit->words ?? '',
            );
        };
        $contained = [];
        foreach ($chain->events as $code => $event) {
            $words = $assessment->knowledge->network->events[$code]->contained ?? null;
            if ($event->standing->isTold() && $words !== null) {
                $contained[] = new ContainedView($code, $story->label($code), $words);
            }
        }

        return new self(
            array_values(array_map(static fn (ChainEvent $event): ChainEventView => new ChainEventView(
                $event->code, $story->label($event->code), $event->isCause, $event->standing, $numbers[$event->code] ?? null,
                $story->evidence($event), $story->sentence($event), $story->because($event), $event->probability, $event->places,
                $event->signs, $story->step($event), $strands[$event->code], $event->needsAll, $event->isOlder, $event->added->by ?? '',
            ), $chain->events)),
            array_map($link, $chain->links), array_map($link, $chain->orders), $chain->first, $chain->firstBy->by ?? '',
            array_map($story->edit(...), $edits),
            $contained, array_map(static fn (LeftOverView $left): string => $left->words, $ranking->leftOver),
        );
    }

    /** What an event of it is called; null where it has none of that code. */
    public function label(string $code): ?string
    {
        foreach ($this->events as $event) {
            if ($event->code === $code) {
                return $event->label;
            }
        }

        return null;
    }
}
