<?php

declare(strict_types=1);

namespace MuteTapper\App\CaseFile;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Photograph;
use MuteTapper\App\Record\PicturesOfCases;
use MuteTapper\App\Record\SignedCall;
use MuteTapper\App\Record\StoredEntries;
use MuteTapper\App\Record\WorkingCopyState;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\DocumentRules;
use MuteTapper\Core\Assessment\EntryForm;
use MuteTapper\Core\Assessment\EntryRules;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\CaseFile;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\CaseFile\SignedContent;
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
        private KnowledgeFiles $knowledge,
        private Writing $writing,
        private StoredEntries $stored,
        private PicturesOfCases $pictures,
        private string $projectFolder,
    ) {
    }

    /** The canonical export: two exports of the same case are the same bytes. */
    public function export(CaseRecord $case): string
    {
        $engine = $this->cases->engine($case);
        $entries = $this->stored->documents($case);
        $photographs = [];
        foreach ($entries as $entry) {
            $data = $entry['data'];
            $sha256 = is_array($data) && $entry['kind'] === EntryKind::Photograph->value ? $data['sha256'] ?? null : null;
            if (!is_string($sha256) || preg_match('/^[0-9a-f]{64}$/', $sha256) !== 1) {
                continue;
            }
            $photograph = $this->entities->find(Photograph::class, $sha256);
            $photographs[$sha256] = $photograph === null ? ['sha256' => $sha256] : [
                'sha256' => $sha256, 'media_type' => $photograph->mediaType, 'bytes' => $photograph->bytes,
                'width' => $photograph->width, 'height' => $photograph->height,
                'file_name' => $photograph->fileName, 'received_at' => $photograph->receivedAt->format(\DATE_ATOM),
            ];
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
            'entries' => $entries,
            'photographs' => array_values($photographs),
            'call' => $case->callDocument,
            'signed_calls' => array_map(
                static fn (SignedCall $signed): array => [
                    'id' => $signed->id, 'by' => $signed->by, 'at' => $signed->at->format(\DATE_ATOM), 'content' => $signed->content,
                ],
                $this->entities->getRepository(SignedCall::class)->findBy(['case' => $case], ['seq' => 'ASC']),
            ),
        ], self::JSON)."\n";
    }

    /**
     * Reads and checks a document without storing anything.
     *
     * @throws Problem|BadDocument
     */
    public function check(string $json, string $name = 'The file'): CheckedDocument
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

        return new CheckedDocument($document, $this->checked($document), $name);
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
     * @return list<Entry> the entries of a document of which everything was checked
     *
     * @throws BadDocument with the pointer of the field
     */
    private function checked(Node $document): array
    {
        $case = CaseFile::fromNode($document);
        (new EntryRules($this->knowledge->current(), new EntryForm(AllSheets::get())))->checkAll($case);
        $rules = new DocumentRules($this->knowledge->current());
        $rules->checkSettings($case->settings, '/settings');
        Story::fromNode($document->maybe('story'), $case->engine);
        $document->get('case')->get('created_at')->time();
        if ($document->has('call')) {
            $rules->checkCall(Call::fromNode($document->get('call')), '/call');
        }
        foreach ($document->maybe('signed_calls')?->items() ?? [] as $signed) {
            $signed->get('by')->word(80);
            $signed->get('at')->time();
            SignedContent::fromNode($signed->get('content'));
        }
        foreach ($document->maybe('photographs')?->items() ?? [] as $photograph) {
            $photograph->maybe('received_at')?->time();
        }

        return $case->log->entries;
    }

    /**
     * Stores a document as a case, whole or not at all.
     *
     * @throws Problem when the id is here already and no copy is asked for
     */
    public function store(CheckedDocument $checked, bool $asCopy, string $by): CaseRecord
    {
        return $this->writing->together(function () use ($checked, $asCopy, $by): CaseRecord {
            $document = $checked->document;
            $id = Entry::uuid($document->get('case')->get('id'));
            $known = $this->entities->find(CaseRecord::class, $id);
            if ($known !== null && !$asCopy) {
                throw Problem::conflict(
                    sprintf('This case is here already, as number %04d. Import it as a copy to have it twice.', $known->number),
                    ['existing' => $id],
                );
            }
            if ($known === null) {
                $this->refuseEntriesOfOthers($checked->entries);
            }
            $case = $this->caseOf($document, $known === null ? $id : Uuid::v7()->toRfc4122(), $known?->id);
            $case->revision = count($checked->entries);
            $fill = function () use ($case, $checked, $document, $known): void {
                $this->stored->append($case, $known === null ? $checked->entries : $checked->copiedEntries(), 1);
                $this->storePhotographs($case, $document, $checked->entries);
                $this->storeSignedCalls($case, $document, $known !== null);
            };

            return $this->writing->newCase($case, 'import', $by, $fill, ['file' => $checked->name, 'copied_from' => $known?->id]);
        });
    }

    private function caseOf(Node $document, string $id, ?string $copiedFrom): CaseRecord
    {
        $head = $document->get('case');
        $engine = Engine::fromNode($document->get('engine'));
        $story = Story::fromNode($document->maybe('story'), $engine);
        $case = new CaseRecord(
            $id, $this->cases->nextNumber(), $head->get('name')->word(), $engine->toArray(),
            ['story' => $story->toArray(), 'settings' => Settings::fromNode($document->maybe('settings'))->toArray()],
            $head->get('created_at')->time(), $copiedFrom ?? $head->maybe('copied_from')?->word(),
        );
        $case->callDocument = $document->maybe('call')?->map();

        return $case;
    }

    /** @param list<Entry> $entries */
    private function refuseEntriesOfOthers(array $entries): void
    {
        $ids = array_map(static fn (Entry $entry): string => $entry->id, $entries);
        $known = $this->stored->firstKnown($ids);
        if ($known !== null) {
            throw Problem::conflict(
                sprintf('The entry %s of this file belongs to another case here.', $known),
                ['pointer' => '/entries/'.array_search($known, $ids, true).'/id'],
            );
        }
    }

    /** @param list<Entry> $entries */
    private function storePhotographs(CaseRecord $case, Node $document, array $entries): void
    {
        foreach ($entries as $entry) {
            if ($entry->kind === EntryKind::Photograph) {
                $this->pictures->add($case, $entry->node()->get('sha256')->word(64));
            }
        }
        foreach ($document->maybe('photographs')?->items() ?? [] as $node) {
            $sha256 = $node->get('sha256')->word(64);
            if ($this->entities->find(Photograph::class, $sha256) === null && self::isDescribed($node)) {
                $photograph = new Photograph(
                    $sha256, $node->get('media_type')->word(), $node->get('bytes')->whole(1, \PHP_INT_MAX),
                    $node->get('width')->whole(1, 100000), $node->get('height')->whole(1, 100000), $node->get('file_name')->text(200),
                    $node->get('received_at')->time(),
                );
                $photograph->workingCopy = WorkingCopyState::Missing;
                $this->entities->persist($photograph);
            }
        }
    }

    /** A file may know a picture by its checksum alone. */
    private static function isDescribed(Node $photograph): bool
    {
        return $photograph->has('media_type') && $photograph->has('bytes') && $photograph->has('width') && $photograph->has('height')
            && $photograph->has('file_name') && $photograph->has('received_at');
    }

    private function storeSignedCalls(CaseRecord $case, Node $document, bool $renew): void
    {
        foreach ($document->maybe('signed_calls')?->items() ?? [] as $i => $node) {
            $content = $node->get('content')->map();
            $this->entities->persist(new SignedCall(
                $renew ? Uuid::v7()->toRfc4122() : Entry::uuid($node->get('id')), $case, $i + 1, $node->get('by')->word(80),
                $node->get('at')->time(), $content,
            ));
            $case->signedVersion = $case->callDocument === ($content['call'] ?? null) ? $case->callVersion : null;
        }
    }
}
