<?php

declare(strict_types=1);

namespace MuteTapper\App\Library;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\Writing;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Document\BadDocument;
use MuteTapper\Core\Document\Node;
use Psr\Clock\ClockInterface;

/** The shelves of the shop: what stands there, who put it there, and every state it had before. */
final readonly class Library
{
    private const FORMAT = 'mute-tapper/library';
    private const EDITION = 1;
    private const CODE = '/^[a-z0-9][a-z0-9_.-]{0,79}$/';

    public function __construct(
        private EntityManagerInterface $entities,
        private Writing $writing,
        private ShelfRules $rules,
        private ClockInterface $clock,
    ) {
    }

    /** @return list<ShelvedVersion> what stands on a shelf, by name */
    public function on(Shelf $shelf): array
    {
        /** @var list<ShelvedVersion> $versions */
        $versions = $this->entities->createQuery(
            'SELECT v FROM '.ShelvedVersion::class.' v WHERE v.shelf = :shelf AND v.content IS NOT NULL AND v.version = (SELECT '.
            'MAX(w.version) FROM '.ShelvedVersion::class.' w WHERE w.shelf = v.shelf AND w.code = v.code) ORDER BY v.name, v.code',
        )->setParameter('shelf', $shelf)->getResult();

        return $versions;
    }

    public function current(Shelf $shelf, string $code): ?ShelvedVersion
    {
        return $this->history($shelf, $code)[0] ?? null;
    }

    /** @return list<ShelvedVersion> newest first */
    public function history(Shelf $shelf, string $code): array
    {
        return $this->entities->getRepository(ShelvedVersion::class)->findBy(['shelf' => $shelf, 'code' => $code], ['version' => 'DESC']);
    }

    /**
     * Puts something on its shelf, or with no content takes it off.
     *
     * @param int $seen version that the change was made on, 0 for something new
     *
     * @throws BadDocument
     */
    public function put(Shelf $shelf, string $code, string $name, ?Node $content, int $seen, string $by): ShelvedVersion
    {
        $kept = $this->checked($shelf, $code, $name, $content);

        return $this->writing->together(function () use ($shelf, $code, $name, $kept, $seen, $by): ShelvedVersion {
            $current = $this->current($shelf, $code);
            $version = $current === null ? 0 : $current->version;
            $stands = $current !== null && $current->content !== null;
            if ($stands ? $version !== $seen : $seen !== 0 && $seen !== $version) {
                throw Problem::conflict(
                    sprintf('“%s” stands in the library as of %s, put there by %s: look at it first.', $current->name ?? $code,
                        $current?->at->format('Y-m-d') ?? '', $current->by ?? ''),
                    ['version' => $version],
                );
            }

            return $this->keep($shelf, $code, $version + 1, $name, $kept, $by);
        });
    }

    /** @return array<string, mixed> everything that stands on the shelves */
    public function document(): array
    {
        $items = [];
        foreach (Shelf::cases() as $shelf) {
            foreach ($this->on($shelf) as $one) {
                $items[] = ['shelf' => $shelf->value, 'code' => $one->code, 'name' => $one->name, 'content' => $one->content];
            }
        }

        return ['format' => self::FORMAT, 'version' => self::EDITION, 'items' => $items];
    }

    /**
     * Takes over what a document has: all of it or nothing. What stands there already stays in its history.
     *
     * @return int how many things are new or other than before
     *
     * @throws BadDocument naming the place in the document
     */
    public function import(Node $document, string $by): int
    {
        if ($document->get('format')->word() !== self::FORMAT || $document->get('version')->whole(1, 1000) !== self::EDITION) {
            throw BadDocument::at('/format', sprintf('this is no library of version %d.', self::EDITION));
        }
        $read = [];
        foreach ($document->get('items')->items(10000) as $item) {
            $shelf = $item->get('shelf')->choice(Shelf::class);
            $code = $item->get('code')->word(80);
            $name = $item->get('name')->word(120);
            try {
                $read[] = [$shelf, $code, $name, $this->checked($shelf, $code, $name, $item->get('content'))];
            } catch (BadDocument $problem) {
                throw str_starts_with($problem->pointer, $item->pointer) ? $problem
                    : BadDocument::at($item->pointer.$problem->pointer, $problem->reason);
            }
        }

        return $this->writing->together(function () use ($read, $by): int {
            $changed = 0;
            foreach ($read as [$shelf, $code, $name, $content]) {
                $current = $this->current($shelf, $code);
                if ($current === null || $current->content !== $content || $current->name !== $name) {
                    $this->keep($shelf, $code, ($current->version ?? 0) + 1, $name, $content, $by);
                    ++$changed;
                }
            }

            return $changed;
        });
    }

    /** @return array<string, mixed>|null the content as it is kept */
    private function checked(Shelf $shelf, string $code, string $name, ?Node $content): ?array
    {
        if (preg_match(self::CODE, $code) !== 1) {
            throw BadDocument::at('/code', 'small letters, digits, points and strokes are accepted, at most 80.');
        }

        return $content === null ? null : $this->rules->checked($shelf, $code, $name, $content);
    }

    /** @param array<string, mixed>|null $content */
    private function keep(Shelf $shelf, string $code, int $version, string $name, ?array $content, string $by): ShelvedVersion
    {
        $kept = new ShelvedVersion($shelf, $code, $version, $name, $content, $by, $this->clock->now());
        $this->entities->persist($kept);
        $this->entities->flush();

        return $kept;
    }
}
