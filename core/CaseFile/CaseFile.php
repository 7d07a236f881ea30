<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\EntryLog;
use MuteTapper\Core\Entry\Finding;
use MuteTapper\Core\Entry\Look;

/** Everything recorded about one engine, as the computations see it. Each entry is parsed once. */
final class CaseFile
{
    /** @var list<Finding>|null */
    private ?array $findings = null;
    /** @var list<Look>|null */
    private ?array $looks = null;

    /** @param list<string> $failed stations reported failed */
    public function __construct(
        public readonly Engine $engine,
        public readonly Settings $settings,
        public readonly EntryLog $log,
        public readonly array $failed = [],
    ) {
    }

    /**
     * Reads the parts of a case document that can be computed on. What its entries say is checked by the catalogue's rules.
     *
     * @throws BadDocument
     */
    public static function fromNode(Node $document): self
    {
        $log = EntryLog::of(array_map(static fn (Node $entry): Entry => Entry::fromNode($entry), $document->get('entries')->items()));

        $engine = Engine::fromNode($document->get('engine'));

        return new self(
            $engine, Settings::fromNode($document->maybe('settings')), $log, Story::fromNode($document->maybe('story'), $engine)->failed,
        );
    }

    /** The same case with other entries. */
    public function with(EntryLog $log): self
    {
        return new self($this->engine, $this->settings, $log, $this->failed);
    }

    /** @return list<Finding> */
    public function findings(): array
    {
        return $this->findings ??= array_map(Finding::of(...), $this->log->standing(EntryKind::Finding));
    }

    /** @return list<Look> */
    public function looks(): array
    {
        return $this->looks ??= array_map(Look::of(...), $this->log->standing(EntryKind::Look));
    }
}
