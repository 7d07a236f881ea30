<?php

declare(strict_types=1);

namespace MuteTapper\Core\Photograph;

use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Slot;
use MuteTapper\Core\Quantity\Typed;
use MuteTapper\Core\Quantity\Unit;

/**
 * A drawing on a photograph, kept as a W3C Web Annotation [pub: W3C Web Annotation Data Model, 2017] with an SVG selector in
 * the pixels of the original as shown. The shape is a tag, what is known of a scale's length a description.
 */
final readonly class Annotation
{
    public const ITEM = 'annotation';
    private const CONTEXT = 'http://www.w3.org/ns/anno.jsonld';

    /** @param list<array{float, float}> $points in pixels of the original, x to the right, y down */
    private function __construct(
        public string $sha256,
        public Shape $shape,
        public array $points,
        public string $words,
        public ?Typed $known,
    ) {
    }

    /**
     * @param list<array{float, float}> $points
     *
     * @throws BadDocument when the points do not make the shape
     */
    public static function of(string $sha256, Shape $shape, array $points, string $words, ?Typed $known): self
    {
        [$least, $most] = $shape->points();
        if (count($points) < $least || count($points) > $most) {
            throw BadDocument::at(
                '/points',
                sprintf(
                    'a %s takes %s; %d were given.', $shape->value,
                    $least === $most ? $least.($least === 1 ? ' point' : ' points') : "$least to $most points", count($points),
                ),
            );
        }
        if ($shape === Shape::Scale && $known === null) {
            throw BadDocument::at('/text', 'a scale needs the distance between its two points, such as 10 mm or 0.500 in.');
        }
        if ($known !== null && $known->quantity()->base <= 0) {
            throw BadDocument::at('/text', 'the distance of a scale is more than nought.');
        }
        if (($shape === Shape::Scale || $shape === Shape::Length) && $points[0] === $points[1]) {
            throw BadDocument::at('/points', 'the two points are the same one.');
        }

        return new self($sha256, $shape, $points, $words, $known);
    }

    /** @throws BadDocument */
    public static function fromNode(Node $data): self
    {
        $annotation = $data->get('annotation');
        $target = $annotation->get('target');
        $source = $target->get('source')->word();
        if (preg_match('/^urn:sha256:([0-9a-f]{64})$/', $source, $match) !== 1) {
            throw BadDocument::at($target->pointer.'/source', sprintf('“%s” does not name a photograph by its checksum.', $source));
        }
        $bodies = [];
        foreach ($annotation->get('body')->items() as $body) {
            $bodies[$body->get('purpose')->word()] = $body->get('value')->text(2000);
        }
        $shape = Shape::tryFrom($bodies['tagging'] ?? '')
            ?? throw BadDocument::at($annotation->pointer.'/body', 'no body tags the annotation with its shape.');

        return self::of(
            $match[1], $shape, self::points($target->get('selector')->get('value')), $bodies['commenting'] ?? '',
            self::known($bodies['describing'] ?? null, $annotation),
        );
    }

    /** The slot of a drawing beside that of its photograph. */
    public static function slot(Slot $photograph, string $id): Slot
    {
        return new Slot($photograph->place, $photograph->part, self::ITEM, $id);
    }

    /** @return array<string, mixed> in the shape that fromNode reads */
    public function toArray(): array
    {
        $body = [['type' => 'TextualBody', 'purpose' => 'tagging', 'value' => $this->shape->value]];
        if ($this->words !== '') {
            $body[] = ['type' => 'TextualBody', 'purpose' => 'commenting', 'value' => $this->words];
        }
        if ($this->known !== null) {
            $body[] = [
                'type' => 'TextualBody', 'purpose' => 'describing',
                'value' => number_format($this->known->number, $this->known->decimals, '.', '').' '.$this->known->unit->value,
            ];
        }
        $path = implode(' ', array_map(static fn (array $point): string => sprintf('%.1F,%.1F', $point[0], $point[1]), $this->points));

        return ['annotation' => [
            '@context' => self::CONTEXT, 'type' => 'Annotation', 'body' => $body,
            'target' => [
                'source' => 'urn:sha256:'.$this->sha256,
                'selector' => [
                    'type' => 'SvgSelector',
                    'value' => '<svg xmlns="http://www.w3.org/2000/svg"><polyline points="'.$path.'"/></svg>',
                ],
            ],
        ]];
    }

    /** @return list<array{float, float}> */
    private static function points(Node $svg): array
    {
        if (preg_match('/<polyline points="([-0-9., ]+)"/', $svg->text(), $match) !== 1) {
            throw BadDocument::at($svg->pointer, 'the selector holds no polyline with points.');
        }
        $points = [];
        foreach (explode(' ', trim($match[1])) as $pair) {
            $xy = explode(',', $pair);
            if (count($xy) !== 2 || !is_numeric($xy[0]) || !is_numeric($xy[1])) {
                throw BadDocument::at($svg->pointer, sprintf('“%s” is not a point.', $pair));
            }
            $points[] = [(float) $xy[0], (float) $xy[1]];
        }

        return $points;
    }

    private static function known(?string $text, Node $at): ?Typed
    {
        if ($text === null) {
            return null;
        }
        if (preg_match('/^(\d+(?:\.(\d+))?) (\S+)$/', $text, $match) !== 1 || ($unit = Unit::tryFrom($match[3])) === null) {
            throw BadDocument::at($at->pointer.'/body', sprintf('“%s” is not a distance.', $text));
        }

        return new Typed((float) $match[1], $unit, strlen($match[2]));
    }
}
