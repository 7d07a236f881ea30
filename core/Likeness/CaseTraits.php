<?php

declare(strict_types=1);

namespace MuteTapper\Core\Likeness;

use MuteTapper\Core\Cause\LaidItem;
use MuteTapper\Core\Cause\Model;
use MuteTapper\Core\Cause\SpreadClass;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Engine\Engine;

/** What of a case another is compared by: the signs that are there, how they lie, the kind of drive. */
final readonly class CaseTraits
{
    /** @param array<string, list<string>> $signs classes that the marks of each sign can be of; none where it has no place */
    private function __construct(public string $drive, public string $lash, public array $signs)
    {
    }

    public static function of(Model $model, Engine $engine): self
    {
        $signs = [];
        foreach ($model->items as $laid) {
            if ($laid->item->isPresent) {
                $signs[$laid->item->sign] = self::pattern($model, $laid);
            }
        }

        return new self($engine->drive->value, $engine->lash->value, $signs);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $node): self
    {
        return new self(
            $node->get('drive')->word(), $node->get('lash')->word(),
            array_map(static fn (Node $classes): array => $classes->words(), $node->get('signs')->members()),
        );
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        return ['drive' => $this->drive, 'lash' => $this->lash, 'signs' => (object) $this->signs];
    }

    /** @return list<string> */
    private static function pattern(Model $model, LaidItem $laid): array
    {
        return $laid->isPlaced ? array_map(
            static fn (SpreadClass $class): string => $class->value, $model->ground->classes($laid->item->site, $laid->marked, $laid->seen),
        ) : [];
    }
}
