<?php

declare(strict_types=1);

namespace MuteTapper\Demo;

use MuteTapper\App\Assessment\SolvingOfCases;
use MuteTapper\App\CaseFile\Documents;
use MuteTapper\App\Cause\Calls;
use MuteTapper\App\Entry\EntryRecorder;
use MuteTapper\App\Library\EngineLibraryController;
use MuteTapper\App\Library\Library;
use MuteTapper\App\Library\Shelf;
use MuteTapper\App\Photograph\PhotographStore;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\RunLog\LogStore;
use MuteTapper\App\Simulated\BenchCamera;
use MuteTapper\App\Simulated\DataLogger;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Coil;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Entry\Entry;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\RunLog\LogFormat;
use MuteTapper\Core\RunLog\LogUse;
use MuteTapper\Core\RunLog\Thresholds;
use MuteTapper\Core\Sheet\Axis;
use MuteTapper\Core\Sheet\Column;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Uid\Uuid;

/** Fills an empty database with the made-up scenario, through the same doors that people use. */
#[AsCommand(name: 'demo:load', description: 'Load the made-up demo scenario into an empty database')]
final class LoadDemoCommand extends Command
{
    private const ANALYST = 'T. Orrin';

    private int $minutes = 0;

    public function __construct(
        private readonly Cases $cases,
        private readonly Documents $documents,
        private readonly EntryRecorder $recorder,
        private readonly PhotographStore $photographs,
        private readonly Calls $calls,
        private readonly ClockInterface $clock,
        private readonly BenchCamera $camera,
        private readonly DataLogger $logger,
        private readonly LogStore $logs,
        private readonly Library $library,
        private readonly SolvingOfCases $solving,
        private readonly Writing $writing,
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($this->cases->nextNumber() > 1) {
            $output->writeln('There are cases already; the demo is left out.');

            return self::SUCCESS;
        }
        foreach (Scenario::engines() as $name => $engine) {
            $this->library->put(
                Shelf::Engines, EngineLibraryController::code($name), $name, Node::root(Engine::fromNode(Node::root($engine))->toArray()),
                0, self::ANALYST,
            );
        }
        foreach (Scenario::shelves($this->clock->now()) as [$shelf, $code, $name, $content]) {
            $this->library->put(Shelf::from($shelf), $code, $name, Node::root($content), 0, self::ANALYST);
        }
        foreach (Scenario::all() as $scenario) {
            $case = $this->writing->together(fn (): CaseRecord => $this->load($scenario));
            $this->solving->begin($case);
            $output->writeln('Loaded: '.$scenario->name);
        }

        return self::SUCCESS;
    }

    private function load(Scenario $scenario): CaseRecord
    {
        $engine = Engine::fromNode(Node::root($scenario->engine));
        $case = $this->documents->create(Uuid::v7()->toRfc4122(), $scenario->name, $engine, self::ANALYST);
        $this->documents->describe(
            $case, 1,
            Node::root(['name' => $scenario->name, 'story' => $scenario->story, 'settings' => ['units' => 'inch', 'school' => 'usual']]),
            self::ANALYST,
        );
        foreach ($scenario->claims as $claim) {
            $column = self::column($claim['column']);
            $this->record(
                $case, EntryKind::Claim, $column->claimSlot($claim['place'], self::index($column)),
                array_filter(
                    ['text' => $claim['text'], 'atText' => $claim['at'] ?? null, 'standing' => $claim['standing']],
                    static fn (?string $value): bool => $value !== null,
                ),
            );
        }
        foreach ($scenario->findings as $finding) {
            $this->record(
                $case, EntryKind::Finding, new Slot($finding['place'], $finding['part'], $finding['sign']),
                array_filter(
                    ['severity' => $finding['severity'], 'state' => 'as_found', 'note' => $finding['note'] ?? null],
                    static fn (mixed $value): bool => $value !== null,
                ),
            );
        }
        foreach ($scenario->lookedStations as $station) {
            foreach ($scenario->clearParts($engine, $station) as $part) {
                $this->record($case, EntryKind::Look, new Slot($station, $part->value, 'look'), ['state' => 'as_found']);
            }
        }
        foreach ($engine->stations as $i => $station) {
            foreach (($scenario->readings)($station, $i) as $key => $text) {
                $index = str_contains($key, ':') ? substr((string) strstr($key, ':'), 1) : null;
                $code = explode(':', $key)[0];
                $column = self::column($code);
                $height = $scenario->claims[0]['text'] ?? '';
                $at = match ($code) {
                    'load_seat' => ['atText' => $height],
                    'load_open' => ['atText' => number_format((float) $height - (float) $scenario->claims[3]['text'], 3, '.', '')],
                    default => [],
                };
                $this->record(
                    $case, EntryKind::Reading, $column->slot($station->code(), $index ?? self::index($column)), ['text' => $text] + $at,
                );
            }
        }
        foreach ($scenario->more as $more) {
            $slot = $more['slot'];
            $index = $slot->index === null || preg_match('/^(-\d+)(\.\d)?$/', $slot->index, $match) !== 1
                ? $slot->index
                : $this->day($match[1]).($match[2] ?? '');
            $this->record(
                $case, $more['kind'], new Slot($slot->place, $slot->part, $slot->item, $index),
                array_map(
                    fn (mixed $value): mixed => is_string($value) && preg_match('/^[+-]\d+$/', $value) === 1 ? $this->day($value) : $value,
                    $more['data'],
                ),
            );
        }
        if ($scenario->run !== null) {
            $this->log($case, $engine, $scenario->run);
        }
        foreach ($scenario->pictures as $i => $picture) {
            $photograph = $this->photographs->keep(
                $case,
                $this->camera->take($picture['kind'], $picture['severity'], 100 + $i),
                sprintf('simulated-camera-%s-%d.png', $picture['kind']->value, $i + 1),
            );
            $label = $engine->placeLabel($picture['place']) ?? '';
            $this->record(
                $case, EntryKind::Photograph,
                new Slot($picture['place'], $picture['part'], 'photograph', substr($photograph->sha256, 0, 16)),
                [
                    'sha256' => $photograph->sha256, 'caption' => sprintf('%s %s (simulated picture)', $label, $picture['part']),
                    'state' => 'as_found', 'about' => $picture['kind']->sign(),
                ],
            );
            if ($i === 0) {
                $this->draw(
                    $case, new Slot($picture['place'], $picture['part'], 'annotation', 'scale'),
                    ['sha256' => $photograph->sha256, 'shape' => 'scale', 'points' => [[60, 745], [210, 745]], 'text' => '0.250 in'],
                );
                $this->draw(
                    $case, new Slot($picture['place'], $picture['part'], 'annotation', 'arrow'),
                    ['sha256' => $photograph->sha256, 'shape' => 'arrow', 'points' => [[1020, 110], [860, 200]]],
                );
                $this->draw(
                    $case, new Slot($picture['place'], $picture['part'], 'annotation', 'width'),
                    ['sha256' => $photograph->sha256, 'shape' => 'length', 'points' => [[480, 300], [720, 300]]],
                );
            }
        }
        if ($scenario->call !== null) {
            $this->documents->call($case, 1, Call::fromNode(Node::root($scenario->call + ['by' => self::ANALYST])));
            $this->calls->sign($case, $case->callVersion, self::ANALYST);
        }

        return $case;
    }

    /** @param array<string, mixed> $data */
    private function draw(CaseRecord $case, Slot $slot, array $data): void
    {
        $this->record($case, EntryKind::Annotation, $slot, $data);
    }

    /** @param array{file: string, seconds: int, limiter: float, missed: list<float>, oil: float|null} $run */
    private function log(CaseRecord $case, Engine $engine, array $run): void
    {
        mt_srand(23);
        $content = fopen('php://temp', 'r+');
        if ($content === false) {
            throw new \RuntimeException('No room for the made-up log.');
        }
        foreach ($this->logger->run($run['seconds'], 50, $run['limiter'], $run['missed'], $run['oil']) as $line) {
            fwrite($content, $line);
        }
        rewind($content);
        $file = $this->logs->keep($content, $run['file']);
        $format = LogFormat::recognise($this->logs->head($file));
        $thresholds = Thresholds::usual($engine);
        $this->logs->analyse($file, $format, $thresholds);
        $this->record(
            $case, EntryKind::Log, LogUse::slot($file->sha256),
            [
                'sha256' => $file->sha256, 'fileName' => $file->fileName, 'format' => $format->toArray(),
                'thresholds' => $thresholds->toArray(),
            ],
        );
    }

    /** @param string $days from today, signed */
    private function day(string $days): string
    {
        return $this->clock->now()->modify($days.' days')->format('Y-m-d');
    }

    /** @param array<string, mixed> $data */
    private function record(CaseRecord $case, EntryKind $kind, Slot $slot, array $data): void
    {
        $at = $this->clock->now()->modify(sprintf('-2 days +%d minutes', ++$this->minutes));
        $this->recorder->record($case, new Entry(Uuid::v7()->toRfc4122(), $kind, $slot, null, null, self::ANALYST, $at, null, $data));
    }

    private static function column(string $code): Column
    {
        return AllSheets::get()->columns[$code] ?? throw new \LogicException('The scenario measures '.$code);
    }

    /** The scenario's springs are single ones. */
    private static function index(Column $column): ?string
    {
        return $column->index->has(Axis::Coil) ? Coil::Outer->value : null;
    }
}
