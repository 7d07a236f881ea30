<?php

declare(strict_types=1);

namespace MuteTapper\Core\Remedy;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Part;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Timeline\RunUnit;

/** What a person decided of a part: a part left in place is a decision with a reason. */
final readonly class Reuse
{
    public const ITEM = 'reuse';
    private const LONGEST = 1e6;

    /** @param float|null $amount for how long it is kept, where there is a limit */
    private function __construct(public ReuseDecision $decision, public ?float $amount, public RunUnit $unit, public string $words)
    {
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $decision = $data->get('decision')->choice(ReuseDecision::class);
        $words = trim($data->maybe('words')?->text(1000) ?? '');
        $amount = $decision === ReuseDecision::KeepWithLimit ? $data->get('amount')->number() : null;
        if ($amount !== null && ($amount <= 0 || $amount > self::LONGEST)) {
            throw BadDocument::at('/amount', sprintf('a limit of %s is none; accepted is more than 0, to 1,000,000.', $amount));
        }
        if ($words === '' && in_array($decision, [ReuseDecision::Keep, ReuseDecision::KeepWithLimit], true)) {
            throw BadDocument::at('/words', 'a part that stays in needs the reason: left in because …');
        }

        return new self($decision, $amount, $data->maybe('unit')?->choice(RunUnit::class) ?? RunUnit::Hours, $words);
    }

    public static function slot(string $place, Part $part): Slot
    {
        return new Slot($place, $part->value, self::ITEM);
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return ['decision' => $this->decision->value]
            + ($this->amount === null ? [] : ['amount' => $this->amount, 'unit' => $this->unit->value])
            + ($this->words === '' ? [] : ['words' => $this->words]);
    }
}
