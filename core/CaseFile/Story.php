<?php

declare(strict_types=1);

namespace MuteTapper\Core\CaseFile;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;

/** What is known before anything comes apart, in words, and the stations reported failed. */
final readonly class Story
{
    /** The questions of the story: field, what to ask. */
    public const QUESTIONS = [
        'words' => 'What happened, in the customer’s words',
        'when' => 'When: cold, hot, idle, at the limiter, on over-run, after standing',
        'customer' => 'Customer and label',
        'use' => 'Use, and hours or distance since the build',
        'built' => 'Who built it, and when',
        'changed' => 'What was changed last',
        'replaced' => 'What others already replaced without effect',
        'proposed' => 'The dearest repair proposed so far',
        'oil' => 'Oil: grade, age, what is known of it',
        'limiter' => 'Limiter, boost, anti-lag',
        'earlier' => 'Earlier failures with the same symptom',
        'stands' => 'How long it stands, and whether it comes back',
    ];

    /**
     * @param array<string, string> $answers by field of QUESTIONS
     * @param list<string> $failed stations reported failed
     */
    private function __construct(public array $answers, public array $failed)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(?Node $node, Engine $engine): self
    {
        $answers = [];
        foreach (array_keys(self::QUESTIONS) as $field) {
            $answers[$field] = trim($node?->maybe($field)?->text(8000) ?? '');
        }
        $failed = [];
        foreach ($node?->maybe('failed')?->items() ?? [] as $station) {
            if ($engine->station($station->word()) === null) {
                throw BadDocument::at($station->pointer, sprintf('this engine has no station “%s”.', $station->word()));
            }
            $failed[] = $station->word();
        }

        return new self($answers, $failed);
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return $this->answers + ['failed' => $this->failed];
    }
}
