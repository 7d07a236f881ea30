<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\AuditRecord;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
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
        private Cases $cases,
        private KnowledgeFiles $knowledge,
        private ClockInterface $clock,
    ) {
    }

    public function create(string $id, string $name, Engine $engine, string $by): CaseRecord
    {
        return $this->entities->wrapInTransaction(function () use ($id, $name, $engine, $by): CaseRecord {
            $known = $this->entities->find(CaseRecord::class, $id);
            if ($known !== null) {
                return $known;
            }
            $case = new CaseRecord(
                $id, $this->cases->nextNumber(), $name, $engine->toArray(),
                ['story' => Story::fromNode(null, $engine)->toArray(), 'settings' => (new Settings())->toArray()], $this->clock->now(),
            );
            $this->entities->persist($case);
            $this->audit($case, 'create', $by);

            return $case;
        });
    }

    public function describe(CaseRecord $case, int $seenVersion, Node $input, string $by): void
    {
        $this->entities->wrapInTransaction(function () use ($case, $seenVersion, $input, $by): void {
            $this->raise($case);
            self::expect($case->descriptionVersion, $seenVersion, 'story');
            $case->name = $input->get('name')->word();
            $case->description = [
                'story' => Story::fromNode($input->get('story'), $this->cases->engine($case))->toArray(),
                'settings' => $this->settings($input->get('settings'))->toArray(),
            ];
            ++$case->descriptionVersion;
            $this->audit($case, 'description', $by);
        });
    }

    /** @throws Problem when entries stand at places that the changed engine does not have, with the list */
    public function describeEngine(CaseRecord $case, int $seenVersion, Node $description, string $by): void
    {
        if (!$description->has('flags')) {
            // No screen asks for them: what a file brought stays.
            $description = Node::root(['flags' => $this->cases->engine($case)->toArray()['flags']] + $description->map());
        }
        $engine = Engine::fromNode($description);
        $this->entities->wrapInTransaction(function () use ($case, $seenVersion, $engine, $by): void {
            $this->raise($case);
            self::expect($case->engineVersion, $seenVersion, 'engine');
            $orphans = [];
            $rules = new EntryRules($this->knowledge->current(), new EntryForm(AllSheets::get()));
            foreach ($this->cases->heads($case) as $entry) {
                try {
                    $rules->check($entry, $engine);
                } catch (BadDocument) {
                    $orphans[$entry->slot->place] = $this->cases->engine($case)->placeLabel($entry->slot->place) ?? $entry->slot->place;
                }
            }
            foreach ($this->cases->story($case)->failed as $place) {
                if ($engine->station($place) === null) {
                    $orphans[$place] = $this->cases->engine($case)->placeLabel($place) ?? $place;
                }
            }
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
            $this->audit($case, 'engine', $by);
        });
    }

    /** @param array<string, mixed> $call */
    public function call(CaseRecord $case, int $seenVersion, array $call, string $by): void
    {
        $this->entities->wrapInTransaction(function () use ($case, $seenVersion, $call, $by): void {
            $this->raise($case);
            self::expect($case->callVersion, $seenVersion, 'call');
            $case->callDocument = $call;
            ++$case->callVersion;
            $this->audit($case, 'call', $by);
        });
    }

    /** @throws BadDocument when no limit is set by the school, or there is no such limit */
    private function settings(Node $node): Settings
    {
        $settings = Settings::fromNode($node);
        $limits = $this->knowledge->current()->limits;
        if (!isset($limits->schools[$settings->school])) {
            throw BadDocument::at(
                '/settings/school',
                sprintf('there is no school “%s”; accepted is one of %s.', $settings->school, implode(', ', array_keys($limits->schools))),
            );
        }
        foreach ($settings->schools as $limit => $school) {
            if (!$limits->has($limit) || !isset($limits->of($limit)->schools[$school])) {
                throw BadDocument::at('/settings/schools/'.$limit, sprintf('no school “%s” sets a limit of that name.', $school));
            }
        }

        return $settings;
    }

    public function audit(CaseRecord $case, string $action, string $by): void
    {
        $this->entities->persist(new AuditRecord($case, $case->revision, $action, $by, $this->clock->now(), []));
    }

    /** Raises the revision first: this takes the write lock, so what is read next cannot be changed by another window. */
    private function raise(CaseRecord $case): void
    {
        $this->entities->getConnection()->executeStatement('UPDATE case_file SET revision = revision + 1 WHERE id = ?', [$case->id]);
        $this->entities->refresh($case);
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
