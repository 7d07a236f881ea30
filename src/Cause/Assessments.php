<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use MuteTapper\App\CaseFile\CaseRecord;
use MuteTapper\App\CaseFile\Cases;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\Core\Assessment\Assessment;
use Psr\Cache\CacheItemPoolInterface;

/** Assesses a case; the ranking, which takes longest, is kept by revision and knowledge. */
final readonly class Assessments
{
    /** Raised when the computation changes, so that nothing computed by an older one is shown. */
    public const ENGINE_VERSION = 1;

    public function __construct(private Cases $cases, private KnowledgeFiles $knowledge, private CacheItemPoolInterface $cache)
    {
    }

    public function of(CaseRecord $case): Assessment
    {
        return Assessment::of($this->cases->file($case), $this->knowledge->current());
    }

    public function ranking(CaseRecord $case): RankingView
    {
        // The revision alone would do for one database; a case imported again somewhere else may reach it by other entries.
        $content = hash('sha256', json_encode([$case->id, $case->revision, $case->engine, $this->cases->lastEntryId($case)], \JSON_THROW_ON_ERROR));
        $item = $this->cache->getItem(sprintf('ranking.%s.%s.%d', $content, $this->knowledge->current()->hash, self::ENGINE_VERSION));
        $known = $item->get();
        if ($known instanceof RankingView) {
            return $known;
        }
        $assessment = $this->of($case);
        $view = RankingView::of($assessment, $assessment->ranking(), $case->revision);
        $this->cache->save($item->set($view)->expiresAfter(86400));

        return $view;
    }
}
