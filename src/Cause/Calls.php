<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\SignedCall;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\SignedContent;
use MuteTapper\Core\Document\Node;
use Psr\Clock\ClockInterface;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;
use Symfony\Component\Uid\Uuid;

/** The analyst's call: written, then signed with a frozen copy of what the ranking said. */
final readonly class Calls
{
    /** What the screens send where no name was said. */
    private const NOBODY = 'not named';

    /** @param iterable<SignedWith> $beside */
    public function __construct(
        private EntityManagerInterface $entities,
        private Cases $cases,
        private Writing $writing,
        private Assessments $assessments,
        private Rankings $rankings,
        private KnowledgeFiles $knowledge,
        private ClockInterface $clock,
        #[AutowireIterator(SignedWith::class)] private iterable $beside,
    ) {
    }

    public function of(CaseRecord $case): ?CallView
    {
        return $case->callDocument === null ? null : CallView::of(Call::fromNode(Node::root($case->callDocument)));
    }

    /** The last signed call. */
    public function signed(CaseRecord $case): ?SignedCallView
    {
        return $this->allSigned($case)[0] ?? null;
    }

    /** @return list<SignedCallView> every signed call, the last first: each supersedes those after it */
    public function allSigned(CaseRecord $case): array
    {
        $views = [];
        foreach ($this->cases->signedCalls($case) as $signed) {
            $content = SignedContent::fromNode(Node::root($signed->content));
            $views[] = new SignedCallView(
                CallView::of($content->call), $signed->by, $signed->at->format(\DATE_ATOM), $content->sentence, $content->revision,
                $views === [] && $case->signedVersion === $case->callVersion, $content->departs(),
                Call::sure($content->call->confidence),
            );
        }

        return $views;
    }

    /** @throws Problem when the call is not complete, or was changed after it was looked at */
    public function sign(CaseRecord $case, int $seenVersion, string $by): void
    {
        if ($by === self::NOBODY) {
            throw Problem::invalid('A signature needs a name: say who is at the bench.', ['pointer' => '/by']);
        }
        // The ranking is computed before the lock; inside it is found again, unless something was recorded meanwhile.
        $this->rankings->of($case);
        $this->writing->onCase($case, 'sign', $by, function () use ($case, $seenVersion, $by): void {
            if ($case->callVersion !== $seenVersion) {
                throw Problem::changedMeanwhile(
                    'The call was changed in another window. Read it before you sign.', ['version' => $case->callVersion],
                );
            }
            if ($case->signedVersion === $case->callVersion) {
                throw Problem::conflict('This call is signed as it stands. Change it first to sign it anew.');
            }
            $call = $case->callDocument === null ? null : Call::fromNode(Node::root($case->callDocument));
            if ($call === null || !$call->isComplete()) {
                throw Problem::invalid('A call needs a cause, your reasons in words, and how sure you are before it can be signed.');
            }
            $this->knowledge->keep();
            $last = $this->cases->signedCall($case);
            $this->entities->persist(
                new SignedCall(
                    Uuid::v7()->toRfc4122(), $case, ($last->seq ?? 0) + 1, $by, $this->clock->now(), $this->frozen($case, $call),
                ),
            );
            $case->signedVersion = $case->callVersion;
        });
    }

    /** @return array<string, mixed> what was shown when it was signed */
    private function frozen(CaseRecord $case, Call $call): array
    {
        $assessment = $this->assessments->of($case);
        $ledgers = [];
        foreach ($call->causes as $cause) {
            try {
                $ledgers[] = LedgerPresenter::view($assessment, $assessment->ledger($cause));
            } catch (\OutOfBoundsException) {
                continue; // not listed, or ruled out by the build: the analyst may still call it
            }
        }

        $beside = [];
        foreach ($this->beside as $one) {
            $beside[$one->name()] = $one->shown($case);
        }

        return Node::root(json_decode(json_encode($beside + [
            'call' => $call->toArray(),
            'ranking' => $this->rankings->of($case),
            'ledgers' => $ledgers,
            'revision' => $case->revision,
            'knowledge' => $this->knowledge->current()->hash,
            'core' => $this->assessments->coreHash(),
            'school' => $assessment->case->settings->school,
        ], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION), true, 64, \JSON_THROW_ON_ERROR))->map();
    }
}
