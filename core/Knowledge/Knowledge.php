<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Verdict\Limits;

/** What the trade knows, as data: signs, causes, limits, gauges, plans, stock. Identified by the SHA-256 of its content. */
final readonly class Knowledge
{
    /** Names of the files that hold it. */
    public const FILES = [
        'signs', 'causes', 'events', 'limits', 'gauges', 'questions', 'steps', 'checks', 'stock', 'reassembly', 'editions',
    ];

    /**
     * @param array<string, Sign> $signs
     * @param array<string, Gauge> $gauges
     * @param array<string, string> $families cause families with their labels
     * @param array<string, Question> $questions
     * @param array<string, PlannedStep> $steps steps of a teardown, in their usual order
     * @param array<string, Check> $checks what can be done to learn of signs
     * @param array<string, AssemblyLine> $reassembly lines of putting an engine together, in their usual order
     * @param array<string, array<string, true>> $editions signs that each edition of the catalogue listed, by its hash
     * @param array<string, true> $always signs that every edition listed
     */
    private function __construct(
        public array $signs,
        public Network $network,
        public Limits $limits,
        public array $gauges,
        public array $families,
        public array $questions,
        public array $steps,
        public array $checks,
        public ShimStock $springShims,
        public array $reassembly,
        public string $hash,
        private array $editions,
        private array $always,
    ) {
    }

    /**
     * @param array<string, mixed> $files decoded content by the names of FILES; editions is no part of the hash; and links as a shop
     *                                    sets them
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
        foreach ($signs as $sign) {
            foreach ([...$sign->yieldsTo, ...(array) $sign->detailOf] as $other) {
                if (!isset($signs[$other])) {
                    throw BadDocument::at('/signs/'.$sign->code, sprintf('it speaks of “%s”, which is no sign.', $other));
                }
            }
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
        $editions = self::editions($root->maybe('editions'));
        unset($files['editions']);
        ksort($files);

        return new self(
            $signs,
            Network::fromNode(
                $root->get('causes')->get('causes'), $root->get('events')->get('events'), $root->get('signs')->get('signs'),
                $root->maybe('links'),
            ),
            Limits::fromNode($root->get('limits')),
            $gauges,
            $families,
            $questions,
            $steps,
            self::checks($root->get('checks')->get('checks'), $signs, $steps),
            ShimStock::fromNode($root->get('stock')->get('stock')->get('spring_shims')),
            self::reassembly($root->get('reassembly')->get('lines')),
            hash('sha256', json_encode($files, \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION)),
            $editions,
            $editions === [] ? [] : array_intersect_key(...array_values($editions)),
        );
    }

    /**
     * @param array<string, Sign> $signs
     * @param array<string, PlannedStep> $steps
     *
     * @return array<string, Check>
     */
    private static function checks(Node $node, array $signs, array $steps): array
    {
        $checks = [];
        foreach ($node->items() as $one) {
            $check = Check::fromNode($one);
            foreach (array_diff($check->signs, array_keys($signs)) as $unknown) {
                throw BadDocument::at($one->pointer.'/signs', sprintf('“%s” is no sign.', $unknown));
            }
            foreach (array_diff([...$check->after, ...$check->until], array_keys($steps)) as $unknown) {
                throw BadDocument::at($one->pointer, sprintf('“%s” is no step of the teardown.', $unknown));
            }
            $checks[$check->code] = $check;
        }

        return $checks;
    }

    /**
     * @return array<string, AssemblyLine>
     *
     * @throws BadDocument where a line belongs after one that does not stand before it
     */
    private static function reassembly(Node $node): array
    {
        $lines = [];
        foreach ($node->items() as $one) {
            $line = AssemblyLine::fromNode($one);
            foreach (array_diff($line->after, array_keys($lines)) as $unknown) {
                throw BadDocument::at($one->pointer.'/after', sprintf('“%s” is no line that stands before it.', $unknown));
            }
            $lines[$line->code] = $line;
        }

        return $lines;
    }

    /**
     * Whether the catalogue listed a sign in the edition of this hash; without a hash, in the present one. Of an edition that
     * nobody knows only what every edition listed is taken for granted.
     */
    public function listed(string $sign, ?string $edition): bool
    {
        if ($edition === null || $edition === $this->hash) {
            return isset($this->signs[$sign]);
        }

        return isset(($this->editions[$edition] ?? $this->always)[$sign]);
    }

    /** Whether this content is written down among the editions, so that looks made by it can be read for ever. */
    public function isEdition(): bool
    {
        return array_keys($this->editions[$this->hash] ?? []) !== [] && array_diff_key($this->signs, $this->editions[$this->hash]) === [];
    }

    /**
     * Editions as written down, oldest first: what each added to the one before, and what it took away.
     *
     * @return array<string, array<string, true>>
     */
    private static function editions(?Node $node): array
    {
        $editions = [];
        $listed = [];
        foreach ($node?->get('editions')->items() ?? [] as $edition) {
            $listed = array_diff_key(
                $listed + array_fill_keys($edition->get('added')->words(), true), array_flip($edition->get('dropped')->words()),
            );
            $editions[$edition->get('hash')->word(64)] = $listed;
        }

        return $editions;
    }
}
