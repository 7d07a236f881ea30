<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use Doctrine\DBAL\Connection;
use MuteTapper\App\Knowledge\ShopKnowledge;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Gauge\RegisteredGauge;

/** Limits, stock, links and gauges as the shop's shelves have them. Versions are only ever added, so their number tells whether any changed. */
final readonly class ShelvedKnowledge implements ShopKnowledge
{
    public function __construct(private Connection $database)
    {
    }

    public function stamp(): int
    {
        $count = $this->database->fetchOne("SELECT COUNT(*) FROM library_version WHERE shelf IN ('limits', 'gauges', 'stock', 'links')");

        return is_numeric($count) ? (int) $count : 0;
    }

    public function own(): array
    {
        $own = [];
        foreach ([Shelf::Limits, Shelf::Stock, Shelf::Links] as $shelf) {
            foreach ($this->on($shelf) as [$code, $content]) {
                $own[$shelf->value][$code] = $content->map();
            }
        }

        return $own;
    }

    public function gauges(array $kinds): array
    {
        $gauges = [];
        foreach ($this->on(Shelf::Gauges) as [$code, $content, $name]) {
            $gauges[$code] = RegisteredGauge::fromNode($code, $name, $content, $kinds);
        }

        return $gauges;
    }

    /** @return list<array{string, Node, string}> code, content and name */
    private function on(Shelf $shelf): array
    {
        $rows = $this->database->fetchAllAssociative(
            'SELECT code, name, content FROM library_version v WHERE shelf = ? AND content IS NOT NULL AND version = (SELECT MAX(version) '.
            'FROM library_version w WHERE w.shelf = v.shelf AND w.code = v.code) ORDER BY name, code', [$shelf->value],
        );

        return array_map(static function (array $row): array {
            $node = Node::root($row);

            return [
                $node->get('code')->word(), Node::root(json_decode($node->get('content')->text(), true, 64, \JSON_THROW_ON_ERROR)),
                $node->get('name')->word(),
            ];
        }, $rows);
    }
}
