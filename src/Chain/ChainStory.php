<?php

declare(strict_types=1);

namespace MuteTapper\App\Chain;

use MuteTapper\App\Cause\PlaceWords;
use MuteTapper\App\Cause\WhereRecorded;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Chain\Chain;
use MuteTapper\Core\Chain\ChainEdit;
use MuteTapper\Core\Chain\ChainEvent;
use MuteTapper\Core\Chain\EditKind;
use MuteTapper\Core\Chain\EventStanding;

/** Puts the chain of damage into words: the story from the first event to the last. */
final readonly class ChainStory
{
    private const MOST_SIGNS = 4;
    private PlaceWords $words;

    /** @param list<ChainEdit> $edits */
    public function __construct(private Assessment $assessment, private Chain $chain, private array $edits)
    {
        $this->words = new PlaceWords($assessment->case->engine, $assessment->model()->ground);
    }

    /** What an event is called; one that neither the catalogue nor the chain has keeps its code. */
    public function label(string $code): string
    {
        $network = $this->assessment->knowledge->network;
        foreach ($this->edits as $edit) {
            if ($edit->what === EditKind::Event && $edit->event === $code) {
                return $edit->words;
            }
        }

        return $network->events[$code]->label ?? $network->causes[$code]->label ?? $code;
    }

    public function evidence(ChainEvent $event): string
    {
        $places = $event->places === [] ? '' : $this->words->labels($event->places);

        return match ($event->standing) {
            EventStanding::NotLooked => 'not looked yet',
            EventStanding::Denied => 'looked, nothing there',
            EventStanding::Implied => match (true) {
                $event->extent !== null => $this->words->where($event->extent),
                $places !== '' => $places,
                default => 'no direct sign',
            },
            default => match (true) {
                $places !== '' => $places,
                $event->signs === [] => $event->standing === EventStanding::Told ? 'told' : 'seen',
                default => $this->signs($event, 1),
            },
        };
    }

    public function sentence(ChainEvent $event): string
    {
        $where = match (true) {
            $event->extent !== null => ', '.$this->words->where($event->extent),
            $event->places !== [] => ', '.$this->words->labels($event->places),
            default => '',
        };
        $signs = $this->signs($event, self::MOST_SIGNS);

        return $this->label($event->code).$where.match ($event->standing) {
            EventStanding::Seen => $signs === '' ? '.' : ': '.$signs.'.',
            EventStanding::Told => $signs === '' ? '. Told, not seen.' : ': '.$signs.'. Told, not seen.',
            EventStanding::Implied => '. '.$this->needed($event),
            EventStanding::NotLooked => '. Would follow; nobody looked yet.',
            EventStanding::Denied => '. Would follow; looked for, and nothing there.',
        };
    }

    /** Why it followed on what came before, by their numbers. */
    public function because(ChainEvent $event): string
    {
        $numbers = $this->chain->numbers();
        $reasons = [];
        foreach ($this->chain->into($event->code) as $link) {
            $number = $numbers[$link->from] ?? null;
            $reason = $link->drawn === null ? $link->reason : trim($link->drawn->words.' ('.$link->drawn->by.')');
            $reasons[] = $number === null ? $reason : sprintf('Because of %d: %s', $number, $reason);
        }

        return implode(' ', $reasons).($event->needsAll && count($reasons) > 1 ? ' All of them were needed.' : '');
    }

    /** Where its evidence was recorded; empty where there is none. */
    public function step(ChainEvent $event): string
    {
        return $event->signs === [] ? '' : WhereRecorded::step($this->assessment, $event->signs[0]);
    }

    public function edit(ChainEdit $edit): ChainEditView
    {
        $event = $this->label($edit->event);
        $to = $edit->to === null ? '' : lcfirst($this->label($edit->to));
        $label = match ($edit->what) {
            EditKind::Cut => sprintf('Cut: %s → %s', $event, $to),
            EditKind::Link => sprintf('Linked: %s → %s', $event, $to),
            EditKind::Order => sprintf('%s before %s', $event, $to),
            EditKind::Event => sprintf('Added: %s', $event),
            EditKind::First => sprintf('First event: %s', $event),
            EditKind::Older => sprintf('Older damage: %s', $event),
            EditKind::Both => sprintf('All that lead to it were needed: %s', $event),
        };

        return new ChainEditView(
            $edit->what, $edit->event, $edit->to, $label, $edit->what === EditKind::Event ? '' : $edit->words, $edit->by,
            $edit->at?->format(\DATE_ATOM) ?? '', in_array($edit, $this->chain->adrift, true),
        );
    }

    private function needed(ChainEvent $event): string
    {
        $numbers = $this->chain->numbers();
        $by = [];
        foreach ($this->chain->links as $link) {
            if ($link->from === $event->code && $link->cut === null && isset($numbers[$link->to])) {
                $by[] = $numbers[$link->to];
            }
        }

        return 'Nothing shows it of itself'.($by === [] ? '.' : sprintf('; %s needs it.', implode(' and ', $by)));
    }

    private function signs(ChainEvent $event, int $most): string
    {
        $names = array_map(fn (string $sign): string => $this->assessment->knowledge->signs[$sign]->name, $event->signs);

        return implode('; ', array_slice($names, 0, $most)).(
            count($names) > $most ? sprintf(' and %d more', count($names) - $most) : ''
        );
    }
}
