<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use MuteTapper\App\Shared\Faults;
use MuteTapper\App\Shared\NoRoom;
use MuteTapper\Core\Document\Node;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

/** Makes a paper. Whatever becomes of it ends in words that the screen shows. */
#[AsMessageHandler]
final readonly class MakePaperHandler
{
    /** Progress is noted when it went on by this much. */
    private const STEP = 0.05;

    public function __construct(private Papers $papers, private PaperMakers $makers, private Faults $faults)
    {
    }

    public function __invoke(MakePaper $work): void
    {
        $paper = $this->papers->find($work->paper);
        if ($paper === null || $paper->state === PaperState::Ready || !$this->papers->report($paper, PaperState::Making, 0.0)) {
            return;
        }
        try {
            $content = $this->makers->get($paper->kind)->make(
                $paper->case, Node::root($paper->options), function (float $done) use ($paper): void {
                    if ($done - $paper->done >= self::STEP && !$this->papers->report($paper, PaperState::Making, $done)) {
                        throw new Cancelled();
                    }
                },
            );
            $this->papers->keep($paper, $content);
            $this->papers->report($paper, PaperState::Ready, 1.0);
        } catch (Cancelled) {
            return;
        } catch (NoRoom $noRoom) {
            $this->papers->report($paper, PaperState::Failed, $paper->done, $noRoom->getMessage().'.');
        } catch (\Throwable $fault) {
            $words = sprintf('The program failed on this paper. It is in the log as fault %s.', $this->faults->log($fault));
            $this->papers->report($paper, PaperState::Failed, $paper->done, $words);
        }
    }
}
