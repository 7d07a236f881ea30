<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\Core\Knowledge\Knowledge;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\VarExporter\VarExporter;

/** The knowledge of the trade, compiled to PHP when the application is built; and each content that judged a case, kept. */
final class KnowledgeFiles implements CacheWarmerInterface
{
    private ?Knowledge $knowledge = null;
    /** @var array<string, true> hashes known to be kept */
    private array $kept = [];

    public function __construct(
        private readonly string $projectFolder,
        private readonly string $cacheFolder,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
    ) {
    }

    public function current(): Knowledge
    {
        $compiled = self::compiled($this->cacheFolder);
        if ($this->knowledge === null && is_file($compiled)) {
            $knowledge = require $compiled;
            $this->knowledge = $knowledge instanceof Knowledge ? $knowledge : null;
        }

        return $this->knowledge ??= Knowledge::fromArray($this->content());
    }

    /** Keeps the present content under its hash, if it is not kept yet. To be flushed by the caller. */
    public function keep(): string
    {
        $hash = $this->current()->hash;
        if (!isset($this->kept[$hash])) {
            $known = $this->entities->getConnection()->fetchOne('SELECT 1 FROM knowledge_version WHERE hash = ?', [$hash]);
            if ($known === false && $this->entities->getUnitOfWork()->tryGetById($hash, KnowledgeVersion::class) === false) {
                $content = $this->content();
                unset($content['editions']);
                $this->entities->persist(new KnowledgeVersion($hash, $content, $this->clock->now()));
            } elseif ($known !== false) {
                $this->kept[$hash] = true;
            }
        }

        return $hash;
    }

    public function isOptional(): bool
    {
        return true;
    }

    /** @return list<string> files to be preloaded */
    public function warmUp(string $cacheDir, ?string $buildDir = null): array
    {
        $knowledge = Knowledge::fromArray($this->content());
        file_put_contents(self::compiled($cacheDir), "<?php\n\nreturn ".VarExporter::export($knowledge).";\n");

        return [];
    }

    /** @return array<string, mixed> decoded content by name of the file */
    public function content(): array
    {
        $content = [];
        foreach (Knowledge::FILES as $name) {
            $content[$name] = json_decode((string) file_get_contents($this->path($name)), true, 64, \JSON_THROW_ON_ERROR);
        }

        return $content;
    }

    public function path(string $name): string
    {
        return sprintf('%s/core/Knowledge/%s.json', $this->projectFolder, $name);
    }

    private static function compiled(string $folder): string
    {
        return $folder.'/knowledge.php';
    }
}
