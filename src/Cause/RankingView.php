<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\Explanation;
use MuteTapper\Core\Cause\FurtherCause;
use MuteTapper\Core\Cause\Item;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\LeftOver;
use MuteTapper\Core\Cause\PlacedCause;
use MuteTapper\Core\Cause\RankedCause;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Cause\Standing;
use OpenApi\Attributes as OA;

/** The ranking as the cause board shows it. */
#[OA\Schema]
final readonly class RankingView
{
    /**
     * @param list<RankedCauseView> $causes
     * @param list<string> $leading causes that are named; those it is open between, where none is
     * @param list<string> $open causes between which it, or its second, is open
     * @param list<string> $hearsay causes of the explanation that rest on what was told alone
     * @param list<ExplanationView> $explanations
     * @param list<MechanismView> $mechanisms
     * @param list<ExclusionView> $excluded
     * @param list<LeftOverView> $leftOver what the leading explanation does not explain
     * @param list<FurtherCauseView> $further what else may be wrong beside it
     * @param array<string, string> $evidence a mark of what is known of each sign, by its code: another where that changed
     */
    private function __construct(
        public int $revision,
        public string $knowledge,
        public Standing $standing,
        #[OA\Property(description: 'one sentence: leader, open between, or not enough evidence')]
        public string $sentence,
        public array $causes,
        public array $leading,
        public array $open,
        public array $hearsay,
        public array $explanations,
        public float $unexplained,
        public array $mechanisms,
        public ?FirstEventView $firstEvent,
        public array $excluded,
        public array $leftOver,
        public array $further,
        #[OA\Property(type: 'object', additionalProperties: new OA\AdditionalProperties(type: 'string'))]
        public array $evidence,
        #[OA\Property(description: 'signs recorded as present')]
        public int $present,
        #[OA\Property(description: 'signs looked for and absent')]
        public int $absent,
    ) {
    }

    public static function of(Assessment $assessment, Ranking $ranking, int $revision): self
    {
        $network = $assessment->knowledge->network;
        $label = static fn (string $code): string => $network->causes[$code]->label;
        $words = new PlaceWords($assessment->case->engine, $ranking->model->ground);
        $items = array_filter($assessment->items(), static fn ($item): bool => $item->kind !== ItemKind::Unanswered);
        $present = count(array_filter($items, static fn ($item): bool => $item->isPresent));

        return new self(
            $revision, $assessment->knowledge->hash, $ranking->standing(), RankingSentence::of($assessment, $ranking, $items === []),
            array_map(static fn (RankedCause $ranked): RankedCauseView => new RankedCauseView(
                $ranked->cause->code, $ranked->cause->label, $ranked->cause->explain, $ranked->cause->family,
                $assessment->knowledge->families[$ranked->cause->family], $ranked->probability, $ranked->gain,
                $words->where($ranked->best->extent), $words->stations($ranked->best->extent), $words->form($ranked->best),
                $ranked->cause->outside,
            ), $ranking->causes),
            $ranking->leading(), self::codes($ranking->named->open), self::codes($ranking->named->hearsay),
            array_map(
                static fn (Explanation $one): ExplanationView => new ExplanationView(
                    $one->causes(), implode(' and ', array_map($label, $one->causes())), $one->probability,
                ),
                array_slice($ranking->explanations, 0, 8),
            ),
            $ranking->unexplained, self::mechanisms($assessment, $ranking), self::firstEvent($assessment, $ranking),
            array_map(
                static fn (string $code, string $flag): ExclusionView => new ExclusionView(
                    $code, $label($code), self::excludedBecause($flag),
                ),
                array_keys($ranking->model->excluded), array_values($ranking->model->excluded),
            ),
            array_map(static function (LeftOver $left) use ($assessment, $words): LeftOverView {
                $name = $assessment->knowledge->signs[$left->sign]->name;

                return new LeftOverView(
                    $left->sign, $name, $left->isWhole, $left->places,
                    $left->places === [] ? $name : $name.', '.$words->labels($left->places),
                );
            }, $ranking->leftOver()),
            array_map(static fn (FurtherCause $one): FurtherCauseView => new FurtherCauseView(
                $one->placed->cause, $label($one->placed->cause), $words->where($one->placed->extent), $one->gain,
                $one->explains === null ? '' : $assessment->knowledge->signs[$one->explains]->name,
                $network->causes[$one->placed->cause]->outside,
            ), $ranking->further()),
            array_map(self::mark(...), $items),
            $present, count($items) - $present,
        );
    }

    /** The same ranking, seen at another revision: what changed since did not change the evidence. */
    public function at(int $revision): self
    {
        return new self(
            $revision, $this->knowledge, $this->standing, $this->sentence, $this->causes, $this->leading, $this->open, $this->hearsay,
            $this->explanations, $this->unexplained, $this->mechanisms, $this->firstEvent, $this->excluded, $this->leftOver, $this->further,
            $this->evidence, $this->present, $this->absent,
        );
    }

    /**
     * @param list<PlacedCause> $placed
     *
     * @return list<string>
     */
    private static function codes(array $placed): array
    {
        return array_map(static fn (PlacedCause $one): string => $one->cause, $placed);
    }

    /** @return list<MechanismView> */
    private static function mechanisms(Assessment $assessment, Ranking $ranking): array
    {
        $views = [];
        foreach ($ranking->mechanisms() as $code => $probability) {
            $views[] = new MechanismView(
                $code, $assessment->knowledge->network->events[$code]->label, $probability, in_array($code, $ranking->established, true),
            );
        }

        return $views;
    }

    private static function mark(Item $item): string
    {
        $sites = array_map(static fn (float $confidence): string => number_format($confidence, 2), $item->sites);
        ksort($sites);

        return substr(hash('sha256', json_encode([$sites, $item->severity], \JSON_THROW_ON_ERROR)), 0, 8);
    }

    private static function firstEvent(Assessment $assessment, Ranking $ranking): ?FirstEventView
    {
        $first = $ranking->firstEvent();
        if ($first === null) {
            return null;
        }
        $label = $assessment->knowledge->network->events[$first->event]->label;
        $station = $first->station === null ? '' : $assessment->case->engine->placeLabel($first->station) ?? $first->station;

        return new FirstEventView(
            $first->event, $label, $first->probability, $first->station ?? '', $station === '' ? $label : $label.', '.$station,
        );
    }

    private static function excludedBecause(string $flag): string
    {
        return match ($flag) {
            'pushrod' => 'this engine has no pushrods',
            'bucket' => 'this engine has no buckets',
            'rocker' => 'this engine has no rockers',
            'finger' => 'this engine has no fingers',
            'hydraulic' => 'this engine has solid followers',
            'solid' => 'this engine has hydraulic followers',
            'roller' => 'this engine has no roller followers',
            'sliding' => 'this engine has roller followers',
            default => sprintf('the build says no to “%s”', $flag),
        };
    }
}
