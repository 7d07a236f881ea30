<?php

declare(strict_types=1);

namespace MuteTapper\App\Paper;

use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use Symfony\Component\DependencyInjection\Attribute\AutoconfigureTag;

/** Makes one kind of paper of a case. */
#[AutoconfigureTag]
interface PaperMaker
{
    /** Code, as in requests and file names. */
    public function kind(): string;

    /**
     * The options in their stored shape; refused before anything is queued.
     *
     * @return array<string, mixed>
     *
     * @throws BadDocument|Problem
     */
    public function options(CaseRecord $case, Node $asked): array;

    /**
     * @param \Closure(float): void $progress told how far it is, 0 to 1
     *
     * @return string a PDF
     */
    public function make(CaseRecord $case, Node $options, \Closure $progress): string;
}
