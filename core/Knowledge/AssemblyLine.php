<?php

declare(strict_types=1);

namespace MuteTapper\Core\Knowledge;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\BuildFlag;
use MuteTapper\Core\Engine\Engine;
use MuteTapper\Core\Engine\Site;
use MuteTapper\Core\Quantity\Quantity;
use MuteTapper\Core\Quantity\Unit;

/** A line of putting an engine together, as the trade knows it: what is done or read, what belongs before it, and what a broken order risks. */
final readonly class AssemblyLine
{
    /**
     * @param list<string> $requires facts of the engine without which there is no such line
     * @param list<string> $after lines that belong before it
     * @param string $risk what it risks to make it before them
     * @param string|null $reads column that is read into the same sheet, as built
     * @param string|null $plannedBy value that says what it should be, where it is another than the one that is read
     * @param Quantity|null $within how far from what is planned it may lie
     * @param string|null $judged margin that must lie inside
     * @param string|null $joint what is tightened here by the maker's figures
     * @param list<string> $follows values that depend on what is read
     * @param list<string> $choices schools, where practitioners disagree
     */
    private function __construct(
        public string $code,
        public string $stage,
        public string $label,
        public Site $at,
        public array $requires,
        public array $after,
        public string $risk,
        public ?string $reads,
        public ?string $plannedBy,
        public ?Quantity $within,
        public ?string $judged,
        public ?string $joint,
        public array $follows,
        public array $choices,
        public ?string $caution,
        public string $note,
    ) {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        $words = static fn (string $key): array => $node->maybe($key)?->words() ?? [];
        $within = $node->maybe('within');
        $line = new self(
            $node->get('code')->word(40), $node->get('stage')->word(), $node->get('label')->word(), $node->get('at')->choice(Site::class),
            $words('requires'), $words('after'), $node->maybe('risk')?->word(1000) ?? '', $node->maybe('reads')?->word(),
            $node->maybe('planned_by')?->word(),
            $within === null ? null : Quantity::difference(
                $within->get('number')->number() * $within->get('unit')->choice(Unit::class)->baseFactor(),
                $within->get('unit')->choice(Unit::class)->dimension(),
            ),
            $node->maybe('judged')?->word(), $node->maybe('joint')?->word(), $words('follows'), $words('choices'),
            $node->maybe('caution')?->word(1000), $node->maybe('note')?->word(1000) ?? '',
        );
        if ($line->after !== [] && $line->risk === '') {
            throw BadDocument::at($node->pointer, sprintf(
                '“%s” belongs after others and does not say what a broken order risks.', $line->code,
            ));
        }

        return $line;
    }

    /** A line that the trade does not know, made for one engine: what is changed on it, or a part that is new. */
    public static function made(string $code, string $stage, string $label, Site $at, string $note = ''): self
    {
        return new self($code, $stage, $label, $at, [], [], '', null, null, null, null, null, [], [], null, $note);
    }

    public function belongsTo(Engine $engine): bool
    {
        foreach ($this->requires as $flag) {
            if ($engine->flag($flag) !== BuildFlag::Yes) {
                return false;
            }
        }

        return true;
    }
}
