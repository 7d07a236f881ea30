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

    /** What comes of it, as a file name ends. */
    public function extension(): string;

    public function mediaType(): string;

    /**
     * @param \Closure(float): void $progress told how far it is, 0 to 1
     *
     * @return string|\SplFileInfo the content, or a file that holds it, which is moved away
     */
    public function make(CaseRecord $case, Node $options, \Closure $progress): string|\SplFileInfo;
}
