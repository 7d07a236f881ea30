<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Verdict\Limits;

/** What the trade knows, as data: signs, causes, events, links, limits, gauges. Identified by the SHA-256 of its content. */
final readonly class Knowledge
{
    /**
     * @param array<string, Sign> $signs
     * @param array<string, Gauge> $gauges
     * @param array<string, string> $families cause families with their labels
     * @param array<string, Question> $questions
     * @param array<string, PlannedStep> $steps steps of a teardown, in their usual order
     */
    private function __construct(
        public array $signs,
        public Network $network,
        public Limits $limits,
        public array $gauges,
        public array $families,
        public array $questions,
        public array $steps,
        public string $hash,
    ) {
    }

    /**
     * @param array<string, mixed> $files decoded content by file name without extension: signs, causes, events, limits, gauges, questions, steps
     *
     * @throws BadDocument
     */
    public static function fromArray(array $files): self
    {
        $root = Node::root($files);
        $signs = $gauges = [];
        foreach ($root->get('signs')->get('signs')->items() as $node) {
            $sign = Sign::fromNode($node);
            $signs[$sign->code] = isset($signs[$sign->code]) ? throw BadDocument::at($node->pointer, 'the code occurs twice.') : $sign;
        }
        foreach ($root->get('gauges')->get('gauges')->items() as $node) {
            $gauge = Gauge::fromNode($node);
            $gauges[$gauge->code] = $gauge;
        }
        $questions = $steps = [];
        foreach ($root->get('questions')->get('questions')->items() as $node) {
            $question = Question::fromNode($node);
            $questions[$question->code] = $question;
        }
        foreach ($root->get('steps')->get('steps')->items() as $node) {
            $step = PlannedStep::fromNode($node);
            $steps[$step->code] = $step;
        }
        $families = array_map(static fn (Node $label): string => $label->word(), $root->get('causes')->get('families')->members());
        ksort($files);

        return new self(
            $signs,
            Network::fromNode($root->get('causes')->get('causes'), $root->get('events')->get('events'), $root->get('signs')->get('signs')),
            Limits::fromNode($root->get('limits')),
            $gauges,
            $families,
            $questions,
            $steps,
            hash('sha256', json_encode($files, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)),
        );
    }
}
