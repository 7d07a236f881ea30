<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\CaseFile\CaseDocument;
use MuteTapper\App\Photograph\PhotographStore;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\PicturesOfCases;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Report\ReportMaker;
use MuteTapper\App\RunLog\LogStore;
use MuteTapper\App\Shared\Problem;
use MuteTapper\App\Sheet\DerivedSheets;
use MuteTapper\App\Sheet\SheetCsvWriter;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use Psr\Clock\ClockInterface;

/**
 * A case with its evidence in one open package: the document, originals of photographs and logs, drawings on them as W3C annotations,
 * laboratory reports, tables with CSVW, and the report. Checked before anything of it is taken in.
 */
final readonly class CasePackage
{
    private const DOCUMENT = 'case.json';
    private const MOST_DOCUMENT = 64 * 1024 ** 2;
    private const JSON = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_UNICODE | \JSON_UNESCAPED_SLASHES | \JSON_PRESERVE_ZERO_FRACTION
        | \JSON_THROW_ON_ERROR;
    private const EXTENSIONS = ['image/jpeg' => 'jpg', 'image/png' => 'png', 'image/webp' => 'webp'];

    public function __construct(
        private CaseDocument $document,
        private Cases $cases,
        private Assessments $assessments,
        private DerivedSheets $derived,
        private PhotographStore $photographs,
        private PicturesOfCases $pictures,
        private LogStore $logs,
        private ReportMaker $report,
        private Writing $writing,
        private ClockInterface $clock,
    ) {
    }

    /** @param \Closure(float): void $progress told how far it is, 0 to 1 */
    public function pack(CaseRecord $case, string $path, \Closure $progress): void
    {
        $bag = new BagWriter($path, sprintf('case-%04d', $case->number));
        $bag->add(self::DOCUMENT, $this->document->export($case));
        $log = $this->cases->file($case)->log;
        $this->addPictures($bag, $case, $log->standing(EntryKind::Photograph));
        foreach ($log->standing(EntryKind::Annotation) as $entry) {
            $annotation = $entry->node()->maybe('annotation')?->map();
            if ($annotation !== null) {
                $bag->add('annotations/'.$entry->id.'.jsonld', json_encode($annotation, self::JSON)."\n");
            }
        }
        foreach ($log->standing(EntryKind::Report) as $entry) {
            $bag->add('laboratory/'.$entry->id.'.json', json_encode($entry->data, self::JSON)."\n");
        }
        foreach ($log->standing(EntryKind::Log) as $entry) {
            $sha256 = $entry->node()->maybe('sha256')?->word(64) ?? '';
            if (is_file($this->logs->path($sha256))) {
                $bag->addFile('logs/'.$sha256.'.csv', $this->logs->path($sha256));
            }
        }
        $this->addTables($bag, $case);
        $progress(0.2);
        $bag->add('report.html', $this->report->html($case));
        $bag->add('report.pdf', $this->report->make(
            $case, Node::root([]), static function (float $done) use ($progress): void { $progress(0.2 + 0.7 * $done); },
        ));
        $bag->finish([
            'Source-Organization' => 'a workshop that keeps its cases with Mute Tapper', 'External-Identifier' => $case->id,
            'External-Description' => sprintf('Failure case %04d, %s', $case->number, $case->name),
            'Bagging-Date' => $this->clock->now()->format('Y-m-d'),
            'Bag-Software-Agent' => 'Mute Tapper', 'Internal-Sender-Identifier' => 'revision '.$case->revision,
        ]);
    }

    /**
     * @return list<string> what does not fit; nothing where all is as it was packed
     *
     * @throws Problem where it cannot be read at all
     */
    public function verify(string $path): array
    {
        return BagReader::open($path)->problems();
    }

    /**
     * The case with its pictures and logs, taken in as one: all of it or nothing.
     *
     * @throws Problem
     */
    public function unpack(string $path, bool $asCopy, string $by, string $name = 'The package'): CaseRecord
    {
        $bag = BagReader::open($path);
        $problems = $bag->problems();
        if ($problems !== []) {
            throw BadPackage::because(...$problems);
        }
        if (!$bag->has(self::DOCUMENT)) {
            throw BadPackage::because('It holds no case: data/case.json is missing.');
        }
        $checked = $this->document->check($bag->content(self::DOCUMENT, self::MOST_DOCUMENT), $name.', case.json');

        return $this->writing->together(function () use ($bag, $checked, $asCopy, $by): CaseRecord {
            foreach ($bag->files('logs/') as $file) {
                $this->logs->keep($bag->stream($file), basename($file));
            }
            $case = $this->document->store($checked, $asCopy, $by);
            foreach ($bag->files('photographs/') as $file) {
                $this->photographs->keep($case, $bag->content($file, PhotographStore::MOST_BYTES), basename($file));
            }

            return $case;
        });
    }

    /** @param list<Entry> $entries */
    private function addPictures(BagWriter $bag, CaseRecord $case, array $entries): void
    {
        $done = [];
        foreach ($entries as $entry) {
            $sha256 = $entry->node()->get('sha256')->word(64);
            if (isset($done[$sha256]) || !$this->pictures->has($case, $sha256) || !is_file($this->photographs->original($sha256))) {
                continue;
            }
            $done[$sha256] = true;
            $extension = self::EXTENSIONS[$this->photographs->get($sha256)->mediaType] ?? 'bin';
            $bag->addFile('photographs/'.$sha256.'.'.$extension, $this->photographs->original($sha256));
        }
    }

    private function addTables(BagWriter $bag, CaseRecord $case): void
    {
        $bench = $this->assessments->of($case)->bench;
        foreach ($this->derived->layouts($case) as $layout) {
            $writer = new SheetCsvWriter($layout, $bench);
            $bag->add('tables/'.$layout->code.'.csv', $writer->csv());
            $bag->add('tables/'.$layout->code.'.csv-metadata.json', json_encode($writer->metadata($layout->code.'.csv'), self::JSON)."\n");
        }
    }
}
