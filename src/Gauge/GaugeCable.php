<?php

declare(strict_types=1);

namespace MuteTapper\App\Gauge;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Knowledge\KnowledgeFiles;
use MuteTapper\App\Record\Writing;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Gauge\GaugeLine;
use Psr\Clock\ClockInterface;

/** Where lines of gauges arrive, and from where listeners take them. */
final readonly class GaugeCable
{
    /** Lines that nobody took are forgotten after so long. */
    private const KEPT = '-1 day';
    private const MOST_AT_ONCE = 500;

    public function __construct(
        private EntityManagerInterface $entities,
        private Connection $database,
        private Writing $writing,
        private KnowledgeFiles $knowledge,
        private ClockInterface $clock,
    ) {
    }

    /**
     * Takes lines over: all of them or none.
     *
     * @return int how many
     *
     * @throws BadDocument naming the line
     */
    public function receive(string $text): int
    {
        $lines = [];
        foreach (explode("\n", $text) as $i => $one) {
            if (trim($one) === '') {
                continue;
            }
            $line = GaugeLine::parse($one, $i + 1);
            $gauge = $this->knowledge->gauge($line->gauge)
                ?? throw BadDocument::at('/line/'.($i + 1), sprintf('the library has no gauge “%s”.', $line->gauge));
            if ($gauge->unit->dimension() !== $line->unit->dimension()) {
                throw BadDocument::at(
                    '/line/'.($i + 1), sprintf('“%s” reads in %s, not in %s.', $gauge->label, $gauge->unit->value, $line->unit->value),
                );
            }
            $lines[] = $line;
            if (count($lines) > self::MOST_AT_ONCE) {
                throw BadDocument::at('/line/'.($i + 1), sprintf('at most %d lines are taken at once.', self::MOST_AT_ONCE));
            }
        }
        $this->writing->together(function () use ($lines): void {
            $this->database->executeStatement(
                'DELETE FROM gauge_line WHERE received_at < ?', [$this->clock->now()->modify(self::KEPT)->format('Y-m-d H:i:s')],
            );
            foreach ($lines as $line) {
                $this->entities->persist(ReceivedLine::of($line, $this->clock->now()));
            }
        });

        return count($lines);
    }

    /** The number of the newest line: who begins to listen now hears what comes after it. */
    public function newest(): int
    {
        $newest = $this->database->fetchOne('SELECT MAX(id) FROM gauge_line');

        return is_numeric($newest) ? (int) $newest : 0;
    }

    /** @return list<GaugeLineView> lines after this one, in the order in which they came */
    public function after(int $id): array
    {
        return array_map(static function (array $row): GaugeLineView {
            $line = Node::root($row);

            return new GaugeLineView(
                $line->get('id')->whole(0, \PHP_INT_MAX), $line->get('gauge')->word(), $line->get('number')->whole(0, \PHP_INT_MAX),
                $line->get('value')->word(), $line->get('unit')->word(), $line->maybe('height')?->word(),
                $line->get('simulated')->whole(0, 1) === 1,
            );
        }, $this->database->fetchAllAssociative('SELECT * FROM gauge_line WHERE id > ? ORDER BY id LIMIT 200', [$id]));
    }
}
