<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\AuditRecord;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\EntryRecord;
use MuteTapper\App\Record\Photograph;
use MuteTapper\App\Record\SignedCall;
use MuteTapper\App\Record\SlotHead;
use MuteTapper\App\Record\WorkingCopyState;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\CaseFile\Story;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Station;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use Opis\JsonSchema\Errors\ErrorFormatter;
use Opis\JsonSchema\Errors\ValidationError;
use Opis\JsonSchema\Validator;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** The case as one JSON document: written out in full, and read back as the same case. */
final readonly class CaseDocument
{
    public const FORMAT = 'mute-tapper-case';
    public const VERSION = 1;
    private const JSON = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES
        | \JSON_PRESERVE_ZERO_FRACTION | \JSON_THROW_ON_ERROR;

    public function __construct(
        private EntityManagerInterface $entities,
        private Cases $cases,
        private ClockInterface $clock,
        private KnowledgeFiles $knowledge,
        private string $projectFolder,
    ) {
    }

    /** The canonical export: two exports of the same case are the same bytes. */
    public function export(CaseRecord $case): string
    {
        $engine = $this->cases->engine($case);
        $entries = $this->cases->entries($case);
        $photographs = [];
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Photograph) {
                $sha256 = $entry->node()->get('sha256')->word();
                $photograph = $this->entities->find(Photograph::class, $sha256);
                $photographs[$sha256] = $photograph === null ? ['sha256' => $sha256] : [
                    'sha256' => $sha256, 'media_type' => $photograph->mediaType, 'bytes' => $photograph->bytes,
                    'width' => $photograph->width, 'height' => $photograph->height,
                    'file_name' => $photograph->fileName, 'received_at' => $photograph->receivedAt->format(\DATE_ATOM),
                ];
            }
        }
        ksort($photographs);

        return json_encode([
            'format' => self::FORMAT,
            'version' => self::VERSION,
            'case' => [
                'id' => $case->id, 'name' => $case->name, 'created_at' => $case->createdAt->format(\DATE_ATOM),
                'copied_from' => $case->copiedFrom,
            ],
            'engine' => $engine->toArray(),
            'stations' => array_map(
                static fn (Station $station): array => ['code' => $station->code(), 'label' => $station->label()], $engine->stations,
            ),
            'settings' => $this->cases->settings($case)->toArray(),
            'story' => $this->cases->story($case)->toArray(),
            'entries' => array_map(static fn (Entry $entry): array => $entry->toArray(), $entries),
            'photographs' => array_values($photographs),
            'call' => $case->callDocument,
            'signed_calls' => array_map(
                static fn (SignedCall $signed): array => [
                    'id' => $signed->id, 'by' => $signed->by, 'at' => $signed->at->format(\DATE_ATOM), 'content' => $signed->content,
                ],
                $this->entities->getRepository(SignedCall::class)->findBy(['case' => $case], ['at' => 'ASC', 'id' => 'ASC']),
            ),
        ], self::JSON)."\n";
    }

    /**
     * Reads and checks a document without storing anything.
     *
     * @throws Problem|BadDocument
     */
    public function check(string $json, string $name = 'The file'): Node
    {
        $document = JsonBody::decode($json, $name);
        if (!is_array($document->raw()) || !$document->has('format') || $document->get('format')->raw() !== self::FORMAT) {
            throw Problem::invalid(
                sprintf('%s is JSON, but not a case of this program: “format” must be “%s”.', $name, self::FORMAT),
                ['pointer' => '/format'],
            );
        }
        $version = $document->get('version')->raw();
        if ($version !== self::VERSION) {
            throw Problem::invalid(
                sprintf('%s is a case of version %s; this program reads version %d.', $name, json_encode($version), self::VERSION),
                ['pointer' => '/version'],
            );
        }
        $result = (new Validator())->validate(
            json_decode($json, false, 64), (string) file_get_contents($this->projectFolder.'/docs/formats/case.schema.json'),
        );
        $error = $result->error();
        if ($error !== null) {
            // The innermost error says most: what encloses it only says that something inside is wrong.
            $error = self::innermost($error);
            $pointer = implode(
                '',
                array_map(static fn (mixed $key): string => is_int($key) || is_string($key) ? '/'.$key : '', $error->data()->fullPath()),
            );
            throw Problem::invalid(
                sprintf('%s, at %s: %s', $name, '' === $pointer ? 'its top' : $pointer, (new ErrorFormatter())->formatErrorMessage($error)),
                ['pointer' => $pointer],
            );
        }
        $case = CaseFile::fromNode($document);
        (new EntryRules($this->knowledge->current(), new EntryForm(AllSheets::get())))->checkAll($case);
        Story::fromNode($document->maybe('story'), $case->engine);

        return $document;
    }

    private static function innermost(ValidationError $error): ValidationError
    {
        foreach ($error->subErrors() as $inner) {
            if ($inner instanceof ValidationError) {
                return self::innermost($inner);
            }
        }

        return $error;
    }

    /**
     * Stores a document as a case, whole or not at all.
     *
     * @throws Problem when the id is here already and no copy is asked for
     */
    public function import(string $json, bool $asCopy, string $by, string $name = 'The file'): CaseRecord
    {
        $document = $this->check($json, $name);
        $id = Entry::uuid($document->get('case')->get('id'));
        $known = $this->entities->find(CaseRecord::class, $id);
        if ($known !== null && !$asCopy) {
            throw Problem::conflict(
                sprintf('This case is here already, as number %04d. Import it as a copy to have it twice.', $known->number),
                ['existing' => $id],
            );
        }

        return $this->entities->wrapInTransaction(
            fn (): CaseRecord => $this->store($document, $known === null ? $id : Uuid::v7()->toRfc4122(), $known?->id, $by),
        );
    }

    private function store(Node $document, string $id, ?string $copiedFrom, string $by): CaseRecord
    {
        $head = $document->get('case');
        $engine = Engine::fromNode($document->get('engine'));
        $story = Story::fromNode($document->maybe('story'), $engine);
        $case = new CaseRecord(
            $id, $this->cases->nextNumber(), $head->get('name')->word(), $engine->toArray(),
            ['story' => $story->toArray(), 'settings' => Settings::fromNode($document->maybe('settings'))->toArray()],
            new \DateTimeImmutable($head->get('created_at')->word()),
            $copiedFrom ?? $head->maybe('copied_from')?->word(),
        );
        $case->callDocument = $document->maybe('call')?->map();
        $this->entities->persist($case);
        $this->storeEntries($case, $document, $copiedFrom !== null);
        foreach ($document->maybe('photographs')?->items() ?? [] as $node) {
            $sha256 = $node->get('sha256')->word(64);
            if ($this->entities->find(Photograph::class, $sha256) === null) {
                $photograph = new Photograph(
                    $sha256, $node->get('media_type')->word(), $node->get('bytes')->whole(1, \PHP_INT_MAX),
                    $node->get('width')->whole(1, 100000), $node->get('height')->whole(1, 100000), $node->get('file_name')->text(200),
                    new \DateTimeImmutable($node->get('received_at')->word()),
                );
                $photograph->workingCopy = WorkingCopyState::Missing;
                $this->entities->persist($photograph);
            }
        }
        foreach ($document->maybe('signed_calls')?->items() ?? [] as $node) {
            $this->entities->persist(new SignedCall(
                $copiedFrom === null ? Entry::uuid($node->get('id')) : Uuid::v7()->toRfc4122(),
                $case, $node->get('by')->word(80), new \DateTimeImmutable($node->get('at')->word()), $node->get('content')->map(),
            ));
        }
        $this->entities->persist(
            new AuditRecord($case, $case->revision, 'import', $by, $this->clock->now(), ['copied_from' => $copiedFrom]),
        );

        return $case;
    }

    /** A copy gets entries of its own: an entry belongs to one case. */
    private function storeEntries(CaseRecord $case, Node $document, bool $renew): void
    {
        $newIds = [];
        $heads = $first = [];
        foreach ($document->get('entries')->items() as $node) {
            $entry = Entry::fromNode($node);
            if ($renew) {
                $newIds[$entry->id] = Uuid::v7()->toRfc4122();
                $entry = new Entry(
                    $newIds[$entry->id], $entry->kind, $entry->slot, $entry->supersedes === null ? null : $newIds[$entry->supersedes],
                    $entry->reason, $entry->by, $entry->at, $entry->knowledge, $entry->data,
                );
            } elseif ($this->entities->find(EntryRecord::class, $entry->id) !== null) {
                throw Problem::conflict(
                    sprintf('The entry %s of this file belongs to another case here.', $entry->id), ['pointer' => $node->pointer.'/id'],
                );
            }
            ++$case->revision;
            $record = EntryRecord::of($case, $case->revision, $entry);
            $this->entities->persist($record);
            $heads[$entry->slot->key()] = $record;
            $first[$entry->slot->key()] ??= $record->seq;
        }
        foreach ($heads as $key => $record) {
            $this->entities->persist(new SlotHead($case, $key, $record, $first[$key]));
        }
    }
}
