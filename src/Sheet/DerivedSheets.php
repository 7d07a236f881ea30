<?php

declare(strict_types=1);

namespace MuteTapper\App\Sheet;

use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\CaseFile\Step;

/** What sheets tell of a case, derived once for one content, and what they told of a content before. */
final readonly class DerivedSheets
{
    public function __construct(private Assessments $assessments)
    {
    }

    /** @return list<SheetLayoutView> the sheets of this engine */
    public function layouts(CaseRecord $case): array
    {
        return $this->assessments->kept('sheets', $case, static function (Assessment $assessment): array {
            $presenter = self::presenter($assessment);

            return array_map($presenter->layout(...), $assessment->bench->sheets->fittedTo($assessment->case->engine));
        });
    }

    /** @throws Problem where the engine has no such sheet */
    public function sheet(CaseRecord $case, string $code): SheetView
    {
        return $this->assessments->kept(self::sheetKey($code), $case, static function (Assessment $assessment) use ($code): SheetView {
            $declared = $assessment->bench->sheets->named($code);
            if ($declared === null || !$declared->isFittedTo($assessment->case->engine)) {
                throw Problem::notFound(sprintf('This engine has no sheet “%s”.', $code));
            }

            return self::presenter($assessment)->sheet($declared);
        });
    }

    /** @param list<string> $quantities */
    public function margins(CaseRecord $case, ?Step $step, array $quantities): MarginsView
    {
        return $this->assessments->kept(
            self::marginsKey($step, $quantities), $case,
            static fn (Assessment $assessment): MarginsView => self::presenter($assessment)->margins($step, $quantities),
        );
    }

    public function moreOrLess(CaseRecord $case): MoreOrLessView
    {
        return $this->assessments->kept(
            'more-or-less', $case, static fn (Assessment $assessment): MoreOrLessView => self::presenter($assessment)->moreOrLess(),
        );
    }

    /** What a sheet told of an earlier content, where that is still kept. */
    public function sheetBefore(string $content, string $code): mixed
    {
        return $this->assessments->keptOf(self::sheetKey($code), $content);
    }

    /** @param list<string> $quantities */
    public function marginsBefore(string $content, array $quantities): mixed
    {
        return $this->assessments->keptOf(self::marginsKey(null, $quantities), $content);
    }

    private static function sheetKey(string $code): string
    {
        return 'sheet.'.rawurlencode($code);
    }

    /** @param list<string> $quantities */
    private static function marginsKey(?Step $step, array $quantities): string
    {
        return 'margins.'.hash('xxh3', ($step->value ?? '').' '.implode(',', $quantities));
    }

    private static function presenter(Assessment $assessment): SheetPresenter
    {
        return new SheetPresenter($assessment->bench, $assessment->knowledge->limits);
    }
}
