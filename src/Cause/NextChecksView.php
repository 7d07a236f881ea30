<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\Knowledge\CheckView;
use MuteTapper\Core\Assessment\AllSheets;
use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\NextCheck;
use MuteTapper\Core\Cause\Outlook;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Knowledge\Knowledge;
use OpenApi\Attributes as OA;

/** What would change one's mind, worth most for its minutes first. */
#[OA\Schema]
final readonly class NextChecksView
{
    private const MOST = 3;

    /** @param list<NextCheckView> $checks none, where no known check that can be made now tells the causes apart */
    private function __construct(public array $checks)
    {
    }

    public static function of(Assessment $assessment): self
    {
        $words = new PlaceWords($assessment->case->engine, $assessment->model()->ground);
        $name = static function (PlacedCause $one) use ($assessment, $words): string {
            $form = $words->form($one);

            return lcfirst($assessment->knowledge->network->causes[$one->cause]->label).($form === '' ? '' : ', '.$form);
        };
        $outlook = static fn (Outlook $one): OutlookView => new OutlookView(
            $one->members === [] ? 'nothing listed' : implode(' together with ', array_map($name, $one->members)), $one->probability,
        );

        $results = new CheckResults($assessment);

        return new self(array_map(static function (NextCheck $one) use ($assessment, $words, $outlook, $results): NextCheckView {
            $sign = $assessment->knowledge->signs[$one->sign];

            return new NextCheckView(
                CheckView::of($one->check), $one->bits, $one->stations, $one->stations === [] ? '' : $words->labels($one->stations),
                $sign->name, $outlook($one->found), $outlook($one->clear), self::step($one, $assessment->knowledge),
                $results->found($one), $results->clear($one),
            );
        }, array_slice($assessment->nextChecks(), 0, self::MOST)));
    }

    /** Where a check is recorded: on the sheet or by the question of any of its signs, the most telling first; else by looking. */
    private static function step(NextCheck $next, Knowledge $knowledge): string
    {
        foreach ([$next->sign, ...$next->check->signs] as $code) {
            $sign = $knowledge->signs[$code];
            foreach ([...$sign->bench, ...$sign->measured] as $state) {
                return AllSheets::get()->sheetOf($state->value)->step->value;
            }
            foreach ($knowledge->questions as $question) {
                if (in_array($code, $question->signs(), true)) {
                    return $question->step;
                }
            }
        }

        return $knowledge->signs[$next->sign]->parts[0] === Part::Running ? 'story' : 'teardown';
    }
}
