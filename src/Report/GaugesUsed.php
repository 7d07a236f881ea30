<?php

declare(strict_types=1);

namespace MuteTapper\App\Report;

use MuteTapper\App\Library\Library;
use MuteTapper\App\Library\Shelf;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\EntryKind;
use MuteTapper\Core\Reassembly\AsBuilt;

/** The gauges that a case was measured with: what each was worth with its readings, and what the shop knows of its calibration. */
final readonly class GaugesUsed
{
    public function __construct(private Library $library)
    {
    }

    /** @return list<array{label: string, stated: string, readings: int, calibrated: string}> the most used first */
    public function of(Assessment $assessment): array
    {
        $log = $assessment->case->log;
        $used = [];
        foreach ([...$log->standing(EntryKind::Reading), ...$log->builtFor(AsBuilt::REBUILD)] as $entry) {
            $gauge = $entry->node()->maybe('gauge');
            if ($gauge !== null) {
                $key = $gauge->get('code')->word().' '.$gauge->get('stated')->word();
                $used[$key] ??= ['code' => $gauge->get('code')->word(), 'gauge' => $gauge, 'readings' => 0];
                ++$used[$key]['readings'];
            }
        }
        usort($used, static fn (array $a, array $b): int => $b['readings'] <=> $a['readings']);
        $known = $this->calibrations();

        return array_map(static fn (array $one): array => [
            'label' => $one['gauge']->get('label')->word(), 'stated' => $one['gauge']->get('stated')->word(),
            'readings' => $one['readings'], 'calibrated' => $known[$one['code']] ?? 'no calibration on record',
        ], $used);
    }

    /** @return array<string, string> in words by code */
    private function calibrations(): array
    {
        $calibrations = [];
        foreach ($this->library->on(Shelf::Gauges) as $one) {
            $content = Node::root($one->content);
            $day = $content->maybe('calibrated_on')?->day();
            $serial = $content->maybe('serial')?->word() ?? '';
            if ($day !== null) {
                $calibrations[$one->code] = sprintf(
                    'calibrated %s%s%s', $day->format('Y-m-d'),
                    $content->has('every_months') ? sprintf(', every %d months', $content->get('every_months')->whole(1, 600)) : '',
                    $serial === '' ? '' : ', serial '.$serial,
                );
            }
        }

        return $calibrations;
    }
}
