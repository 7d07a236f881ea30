<?php

declare(strict_types=1);

namespace MuteTapper\Core\Assessment;

use MuteTapper\Core\CaseFile\Call;
use MuteTapper\Core\CaseFile\Settings;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Knowledge\Knowledge;
use MuteTapper\Core\Knowledge\Network;

/** What the documents of a case may name of the catalogue: the same when they are written, checked and imported. */
final readonly class DocumentRules
{
    public function __construct(private Knowledge $knowledge)
    {
    }

    /** @throws BadDocument when the catalogue has no such cause */
    public function checkCall(Call $call, string $pointer): void
    {
        foreach ($call->causes as $i => $cause) {
            if ($cause !== Network::NOT_LISTED && !isset($this->knowledge->network->causes[$cause])) {
                throw BadDocument::at($pointer.'/causes/'.$i, sprintf('there is no cause “%s”.', $cause));
            }
        }
        foreach ($call->ruledOut as $i => $one) {
            if (!isset($this->knowledge->network->causes[$one->cause])) {
                throw BadDocument::at($pointer.'/ruledOut/'.$i.'/cause', sprintf('there is no cause “%s”.', $one->cause));
            }
        }
    }

    /** @throws BadDocument when no limit is set by the school, or there is no such limit */
    public function checkSettings(Settings $settings, string $pointer): void
    {
        $limits = $this->knowledge->limits;
        if (!isset($limits->schools[$settings->school])) {
            throw BadDocument::at(
                $pointer.'/school',
                sprintf('there is no school “%s”; accepted is one of %s.', $settings->school, implode(', ', array_keys($limits->schools))),
            );
        }
        foreach ($settings->schools as $limit => $school) {
            if (!$limits->has($limit) || !$limits->of($limit)->isSetBy($school)) {
                throw BadDocument::at($pointer.'/schools/'.$limit, sprintf('no school “%s” sets a limit of that name.', $school));
            }
        }
    }
}
