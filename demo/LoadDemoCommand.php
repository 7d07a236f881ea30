<?php

declare(strict_types=1);

namespace MuteTapper\Demo;

use MuteTapper\App\CaseFile\CaseRecord;
use MuteTapper\App\CaseFile\Cases;
use MuteTapper\App\CaseFile\Documents;
use MuteTapper\App\Cause\Calls;
use MuteTapper\App\Cause\CallView;
use MuteTapper\App\Evidence\EntryRecorder;
use MuteTapper\App\Photograph\PhotographStore;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Evidence\Entry;
use MuteTapper\Core\Evidence\EntryKind;
use MuteTapper\Core\Evidence\Slot;
use MuteTapper\Core\Spring\SheetColumn;
use Psr\Clock\ClockInterface;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;
use Symfony\Component\Process\Process;
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
    ) {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        if ($this->cases->all() !== []) {
            $output->writeln('There are cases already; the demo is left out.');

            return self::SUCCESS;
        }
        foreach (Scenario::all() as $scenario) {
            $this->load($scenario);
            $output->writeln('Loaded: '.$scenario->name);
        }

        return self::SUCCESS;
    }

    private function load(Scenario $scenario): void
    {
        $engine = Engine::fromNode(Node::root($scenario->engine));
        $case = $this->documents->create(Uuid::v7()->toRfc4122(), $scenario->name, $engine, self::ANALYST);
        $this->documents->describe($case, 1, Node::root(['name' => $scenario->name, 'story' => $scenario->story, 'settings' => ['units' => 'inch', 'school' => 'usual']]), self::ANALYST);
        foreach ($scenario->claims as $claim) {
            $column = SheetColumn::from($claim['column']);
            $slot = $column->slot($claim['place'], 'outer');
            $this->record($case, EntryKind::Claim, new Slot($slot->place, $slot->part, 'claimed.'.$slot->item, $slot->index), array_filter(['text' => $claim['text'], 'atText' => $claim['at'] ?? null, 'standing' => $claim['standing']], static fn (?string $value): bool => $value !== null));
        }
        foreach ($scenario->findings as $finding) {
            $this->record($case, EntryKind::Finding, new Slot($finding['place'], $finding['part'], $finding['sign']), array_filter(['severity' => $finding['severity'], 'state' => 'as_found', 'note' => $finding['note'] ?? null], static fn (mixed $value): bool => $value !== null));
        }
        foreach ($scenario->lookedStations as $station) {
            foreach ($scenario->clearParts($engine, $station) as $part) {
                $this->record($case, EntryKind::Look, new Slot($station, $part->value, 'look'), ['state' => 'as_found']);
            }
        }
        foreach ($engine->stations as $i => $station) {
            foreach (($scenario->readings)($station, $i) as $code => $text) {
                $column = SheetColumn::from($code);
                $height = $scenario->claims[0]['text'] ?? '';
                $at = match ($column) {
                    SheetColumn::SeatLoad => ['atText' => $height],
                    SheetColumn::OpenLoad => ['atText' => number_format((float) $height - (float) $scenario->claims[3]['text'], 3, '.', '')],
                    default => [],
                };
                $this->record($case, EntryKind::Reading, $column->slot($station->code(), 'outer'), ['text' => $text] + $at);
            }
        }
        foreach ($scenario->pictures as $i => $picture) {
            $photograph = $this->photographs->keep($this->render($picture['kind']->svg($picture['severity'], 100 + $i)), sprintf('simulated-camera-%s-%d.png', $picture['kind']->value, $i + 1));
            $label = $engine->placeLabel($picture['place']) ?? '';
            $this->record($case, EntryKind::Photograph, new Slot($picture['place'], $picture['part'], 'photograph', substr($photograph->sha256, 0, 16)), ['sha256' => $photograph->sha256, 'caption' => sprintf('%s %s (simulated picture)', $label, $picture['part']), 'state' => 'as_found']);
        }
        if ($scenario->call !== null) {
            $this->calls->write($case, 1, new CallView($scenario->call['causes'], $scenario->call['words'], $scenario->call['confidence'], self::ANALYST));
            $this->calls->sign($case, $case->callVersion, self::ANALYST);
        }
    }

    /** @param array<string, mixed> $data */
    private function record(CaseRecord $case, EntryKind $kind, Slot $slot, array $data): void
    {
        $at = $this->clock->now()->modify(sprintf('-2 days +%d minutes', ++$this->minutes));
        $this->recorder->record($case, new Entry(Uuid::v7()->toRfc4122(), $kind, $slot, null, null, self::ANALYST, $at, null, $data));
    }

    private function render(string $svg): string
    {
        $process = new Process(['rsvg-convert', '--format', 'png']);
        $process->setInput($svg);

        return $process->mustRun()->getOutput();
    }
}
