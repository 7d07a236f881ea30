<?php

declare(strict_types=1);

namespace MuteTapper\App\Cause;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Assessment\Assessments;
use MuteTapper\App\CaseFile\Documents;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Record\Cases;
use MuteTapper\App\Record\SignedCall;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use Psr\Clock\ClockInterface;
use Symfony\Component\Uid\Uuid;

/** The analyst's call: written, then signed with a frozen copy of what the ranking said. */
final readonly class Calls
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Cases $cases,
        private Documents $documents,
        private Assessments $assessments,
        private Rankings $rankings,
        private KnowledgeFiles $knowledge,
        private ClockInterface $clock,
    ) {
    }

    /** @throws BadDocument */
    public function read(Node $node): CallView
    {
        $causes = $node->get('causes')->words();
        foreach ($causes as $i => $cause) {
            if ($cause !== 'not_listed' && !isset($this->knowledge->current()->network->causes[$cause])) {
                throw BadDocument::at('/causes/'.$i, sprintf('there is no cause “%s”.', $cause));
            }
        }

        return new CallView(
            $causes, trim($node->maybe('words')?->text(8000) ?? ''), $node->maybe('confidence')?->whole(0, 100), $node->get('by')->word(80),
        );
    }

    public function of(CaseRecord $case): ?CallView
    {
        return $case->callDocument === null ? null : $this->read(Node::root($case->callDocument));
    }

    public function signed(CaseRecord $case): ?SignedCallView
    {
        $signed = $this->cases->signedCall($case);
        if ($signed === null) {
            return null;
        }
        $content = Node::root($signed->content);

        return new SignedCallView(
            $this->read($content->get('call')), $signed->by, $signed->at->format(\DATE_ATOM),
            $content->get('ranking')->get('sentence')->text(), $content->get('revision')->whole(0, \PHP_INT_MAX),
        );
    }

    public function write(CaseRecord $case, int $seenVersion, CallView $call): void
    {
        $this->documents->call(
            $case, $seenVersion,
            ['causes' => $call->causes, 'words' => $call->words, 'confidence' => $call->confidence, 'by' => $call->by], $call->by,
        );
    }

    /** @throws Problem when the call is not complete, or was changed after it was looked at */
    public function sign(CaseRecord $case, int $seenVersion, string $by): void
    {
        $call = $this->of($case);
        if ($case->callVersion !== $seenVersion) {
            throw Problem::changedMeanwhile(
                'The call was changed in another window. Read it before you sign.', ['version' => $case->callVersion],
            );
        }
        if ($call === null || $call->causes === [] || $call->words === '' || $call->confidence === null) {
            throw Problem::invalid('A call needs a cause, your reasons in words, and how sure you are before it can be signed.');
        }
        $assessment = $this->assessments->of($case);
        $ledgers = [];
        foreach ($call->causes as $cause) {
            try {
                $ledgers[] = LedgerPresenter::view($assessment, $assessment->ledger($cause));
            } catch (\OutOfBoundsException) {
                continue; // not listed, or ruled out by the build: the analyst may still call it
            }
        }
        $content = json_decode(json_encode([
            'call' => $call,
            'ranking' => $this->rankings->of($case),
            'ledgers' => $ledgers,
            'revision' => $case->revision,
            'knowledge' => $this->knowledge->current()->hash,
            'core' => $this->assessments->coreHash(),
            'school' => $assessment->case->settings->school,
        ], \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION), true, 64, \JSON_THROW_ON_ERROR);
        $this->entities->wrapInTransaction(function () use ($case, $by, $content): void {
            $this->knowledge->keep();
            $this->entities->persist(new SignedCall(Uuid::v7()->toRfc4122(), $case, $by, $this->clock->now(), Node::root($content)->map()));
            $this->documents->audit($case, 'sign', $by);
        });
    }
}
