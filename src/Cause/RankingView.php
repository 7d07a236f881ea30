<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\Core\Assessment\Assessment;
use MuteTapper\Core\Cause\ItemKind;
use MuteTapper\Core\Cause\Ranking;
use MuteTapper\Core\Cause\Standing;
use OpenApi\Attributes as OA;

/** The ranking as the cause board shows it. */
#[OA\Schema]
final readonly class RankingView
{
    /**
     * @param list<RankedCauseView> $causes
     * @param list<string> $leading
     * @param list<ExplanationView> $explanations
     * @param list<MechanismView> $mechanisms
     * @param list<ExclusionView> $excluded
     * @param list<string> $leftUnexplained
     */
    private function __construct(
        public int $revision,
        public string $knowledge,
        public Standing $standing,
        #[OA\Property(description: 'one sentence: leader, open between, or not enough evidence')]
        public string $sentence,
        public array $causes,
        public array $leading,
        public array $explanations,
        public float $unexplained,
        public array $mechanisms,
        public array $excluded,
        public array $leftUnexplained,
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
        $causes = $mechanisms = [];
        foreach ($ranking->causes as $ranked) {
            $causes[] = new RankedCauseView(
                $ranked->cause->code, $ranked->cause->label, $ranked->cause->explain, $ranked->cause->family,
                $assessment->knowledge->families[$ranked->cause->family], $ranked->probability, $ranked->gain, $ranked->region,
                $ranked->cause->outside,
            );
        }
        $established = $ranking->established;
        foreach ($ranking->mechanisms as $code => $probability) {
            $mechanisms[] = new MechanismView($code, $network->events[$code]->label, $probability, in_array($code, $established, true));
        }
        $items = array_filter($assessment->items(), static fn ($item): bool => $item->kind !== ItemKind::Unanswered);
        $present = count(array_filter($items, static fn ($item): bool => $item->isPresent));

        return new self(
            $revision, $assessment->knowledge->hash, $ranking->standing,
            self::sentence(
                $ranking, $label,
                array_map(static fn (string $code): string => $network->events[$code]->label, $established), $items === [],
            ),
            $causes, $ranking->leading,
            array_map(
                static fn (array $one): ExplanationView => new ExplanationView(
                    $one['causes'], implode(' and ', array_map($label, $one['causes'])), $one['probability'],
                ),
                array_slice($ranking->explanations, 0, 8),
            ),
            $ranking->unexplained, $mechanisms,
            array_map(
                static fn (string $code, string $flag): ExclusionView => new ExclusionView(
                    $code, $label($code), self::excludedBecause($flag),
                ),
                array_keys($ranking->excluded), array_values($ranking->excluded),
            ),
            array_map(static fn (string $sign): string => $assessment->knowledge->signs[$sign]->name, $ranking->unexplainedSigns),
            $present, count($items) - $present,
        );
    }

    /** The same ranking, seen at another revision: what changed since did not change the evidence. */
    public function at(int $revision): self
    {
        return new self(
            $revision, $this->knowledge, $this->standing, $this->sentence, $this->causes, $this->leading, $this->explanations,
            $this->unexplained,
            $this->mechanisms, $this->excluded, $this->leftUnexplained, $this->present, $this->absent,
        );
    }

    /**
     * @param callable(string): string $label
     * @param list<string> $established
     */
    private static function sentence(Ranking $ranking, callable $label, array $established, bool $empty): string
    {
        $names = array_map($label, $ranking->leading);
        $mechanism = $established === [] ? '' : ' Established: '.lcfirst(implode('; ', array_map(lcfirst(...), $established))).'.';

        return match ($ranking->standing) {
            Standing::Leader => implode(' together with ', $names).' leads.'.$mechanism,
            Standing::OpenBetween => 'Open between '.implode(', ', $names).'.'.$mechanism,
            Standing::NotEnough => $empty
                ? 'Not enough evidence: nothing has been recorded yet.'
                : 'Not enough evidence to name a cause.'.$mechanism,
        };
    }

    private static function excludedBecause(string $flag): string
    {
        return match ($flag) {
            'pushrod' => 'this engine has no pushrods',
            'bucket' => 'this engine has no buckets',
            'rocker' => 'this engine has no rockers',
            'hydraulic' => 'this engine has solid followers',
            'solid' => 'this engine has hydraulic followers',
            'roller' => 'this engine has no roller followers',
            'sliding' => 'this engine has roller followers',
            default => sprintf('the build says no to “%s”', $flag),
        };
    }
}
