<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\DocumentRules;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use Psr\Clock\ClockInterface;

/** Makes cases and changes their documents; each change under the version that the person saw. */
final readonly class Documents
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Writing $writing,
        private Cases $cases,
        private KnowledgeFiles $knowledge,
        private ClockInterface $clock,
    ) {
    }

    /** Makes a case, or finds it made: the id is the client's. */
    public function create(string $id, string $name, Engine $engine, string $by): CaseRecord
    {
        return $this->writing->together(fn (): CaseRecord => $this->entities->find(CaseRecord::class, $id) ?? $this->writing->newCase(
            new CaseRecord(
                $id, $this->cases->nextNumber(), $name, $engine->toArray(),
                ['story' => Story::fromNode(null, $engine)->toArray(), 'settings' => (new Settings())->toArray()], $this->clock->now(),
            ), 'create', $by, static fn () => null,
        ));
    }

    public function describe(CaseRecord $case, int $seenVersion, Node $input, string $by): void
    {
        $this->writing->onCase($case, 'description', $by, function () use ($case, $seenVersion, $input): void {
            self::expect($case->descriptionVersion, $seenVersion, 'story');
            $settings = Settings::fromNode($input->get('settings'));
            $this->rules()->checkSettings($settings, '/settings');
            $case->name = $input->get('name')->word();
            $case->description = [
                'story' => Story::fromNode($input->get('story'), $this->cases->engine($case))->toArray(),
                'settings' => $settings->toArray(),
            ];
            ++$case->descriptionVersion;
        });
    }

    /** @throws Problem when entries stand at places that the changed engine does not have, with the list */
    public function describeEngine(CaseRecord $case, int $seenVersion, Node $description, string $by): void
    {
        $this->writing->onCase($case, 'engine', $by, function () use ($case, $seenVersion, $description): void {
            self::expect($case->engineVersion, $seenVersion, 'engine');
            // No screen asks for them: what a file brought stays.
            $engine = Engine::fromNode(
                $description->has('flags')
                    ? $description
                    : Node::root(['flags' => $this->cases->engine($case)->toArray()['flags']] + $description->map()),
            );
            $orphans = $this->orphans($case, $engine);
            if ($orphans !== []) {
                throw Problem::invalid(
                    sprintf(
                        'The changed engine has no place for what was recorded at %s. Take these entries back first, or keep the layout.',
                        implode(', ', $orphans),
                    ),
                    ['pointer' => '/layout', 'places' => array_keys($orphans)],
                );
            }
            $case->engine = $engine->toArray();
            ++$case->engineVersion;
        });
    }

    /** @throws BadDocument when the catalogue has no such cause */
    public function call(CaseRecord $case, int $seenVersion, Call $call): void
    {
        $this->rules()->checkCall($call, '');
        $this->writing->onCase($case, 'call', $call->by, static function () use ($case, $seenVersion, $call): void {
            self::expect($case->callVersion, $seenVersion, 'call');
            $case->callDocument = $call->toArray();
            ++$case->callVersion;
        });
    }

    /** Out of the queue's way, or back in it. */
    public function setAside(CaseRecord $case, bool $aside, string $by): void
    {
        $this->writing->onCase($case, $aside ? 'set aside' : 'taken up', $by, static function () use ($case, $aside): void {
            $case->setAside = $aside;
        });
    }

    /** @return array<string, string> labels of places with something recorded that the changed engine has no place for */
    private function orphans(CaseRecord $case, Engine $changed): array
    {
        $rules = new EntryRules($this->knowledge->current(), new EntryForm(AllSheets::get()));
        $engine = $this->cases->engine($case);
        $orphans = [];
        foreach ($this->cases->heads($case)->entries as $entry) {
            if (!$rules->allow($entry, $changed) && $rules->allow($entry, $engine)) {
                $orphans[$entry->slot->place] = $engine->placeLabel($entry->slot->place) ?? $entry->slot->place;
            }
        }
        foreach ($this->cases->story($case)->failed as $place) {
            if ($changed->station($place) === null) {
                $orphans[$place] = $engine->placeLabel($place) ?? $place;
            }
        }

        return $orphans;
    }

    private function rules(): DocumentRules
    {
        return new DocumentRules($this->knowledge->current());
    }

    private static function expect(int $version, int $seen, string $document): void
    {
        if ($version !== $seen) {
            throw Problem::changedMeanwhile(
                sprintf('The %s was changed in another window. Nothing of yours is lost: look at both and save again.', $document),
                ['version' => $version],
            );
        }
    }
}
