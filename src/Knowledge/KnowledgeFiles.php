<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Shared\WholeFile;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Entry\Gauge;
use MuteTapper\Core\Gauge\RegisteredGauge;
use MuteTapper\Core\Knowledge\Knowledge;
use Psr\Clock\ClockInterface;
use Symfony\Component\HttpKernel\CacheWarmer\CacheWarmerInterface;
use Symfony\Component\VarExporter\VarExporter;

/** The knowledge of the trade, compiled to PHP when the application is built; and each content that judged a case, kept. */
final class KnowledgeFiles implements CacheWarmerInterface
{
    private ?Knowledge $shipped = null;
    private ?Knowledge $knowledge = null;
    /** State of the shop's own that the knowledge was put together with. */
    private int $stamp = -1;
    /** @var array<string, RegisteredGauge> */
    private array $gauges = [];
    /** @var array<string, true> hashes known to be kept */
    private array $kept = [];

    public function __construct(
        private readonly string $projectFolder,
        private readonly string $cacheFolder,
        private readonly EntityManagerInterface $entities,
        private readonly ClockInterface $clock,
        private readonly ShopKnowledge $shop,
    ) {
    }

    /** The knowledge that judges: as shipped, with what the shop has set otherwise. */
    public function current(): Knowledge
    {
        $stamp = $this->shop->stamp();
        if ($this->knowledge === null || $stamp !== $this->stamp) {
            $own = $stamp === 0 ? [] : $this->shop->own();
            $this->gauges = $stamp === 0 ? [] : $this->shop->gauges($this->shipped()->gauges);
            $this->knowledge = $own === [] ? $this->shipped() : $this->withOwn($own);
            $this->stamp = $stamp;
        }

        return $this->knowledge;
    }

    public function shipped(): Knowledge
    {
        return $this->shipped ??= self::read(self::compiled($this->cacheFolder)) ?? Knowledge::fromArray($this->shippedContent());
    }

    /**
     * @param string $file name of what holds it: limits, stock
     *
     * @return array<string, mixed>|null one thing as it is shipped
     */
    public function shippedOf(string $file, string $code): ?array
    {
        return Node::root($this->shippedContent())->get($file)->get($file)->maybe($code)?->map();
    }

    /** A gauge by its code: one of the shop's own, or any of a kind. */
    public function gauge(string $code): ?Gauge
    {
        return $this->current()->gauges[$code] ?? $this->registered()[$code]->gauge ?? null;
    }

    /** @return array<string, RegisteredGauge> those that the shop owns */
    public function registered(): array
    {
        $this->current();

        return $this->gauges;
    }

    /** What a screen has of the knowledge is as old as this. */
    public function tag(): string
    {
        return $this->current()->hash.'-'.$this->stamp;
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
        $knowledge = Knowledge::fromArray($this->shippedContent());
        file_put_contents(self::compiled($cacheDir), self::written($knowledge));

        return [];
    }

    /** @return array<string, mixed> decoded content by name of the file, with what the shop has set otherwise */
    public function content(): array
    {
        return $this->contentWith($this->shop->own());
    }

    /**
     * @param array<string, array<string, array<string, mixed>>> $own by file and code
     *
     * @return array<string, mixed>
     */
    private function contentWith(array $own): array
    {
        $content = $this->shippedContent();
        foreach ($own as $file => $changed) {
            if ($file === 'links') {
                $content['links'] = $changed; // by what the network is made of: they stand in two files
                continue;
            }
            if (!is_array($content[$file] ?? null) || !is_array($content[$file][$file] ?? null)) {
                continue;
            }
            foreach ($changed as $code => $one) {
                $shipped = $content[$file][$file][$code] ?? null;
                if (is_array($shipped)) {
                    $content[$file][$file][$code] = $one + $shipped;
                }
            }
        }

        return $content;
    }

    /**
     * Put together once and kept beside the application, as the shipped one is.
     *
     * @param array<string, array<string, array<string, mixed>>> $own by file and code
     */
    private function withOwn(array $own): Knowledge
    {
        $file = sprintf('%s/knowledge-%s.php', $this->cacheFolder, hash('xxh128', json_encode($own, \JSON_THROW_ON_ERROR)));
        $knowledge = self::read($file);
        if ($knowledge === null) {
            $knowledge = Knowledge::fromArray($this->contentWith($own));
            WholeFile::write($file, self::written($knowledge));
        }

        return $knowledge;
    }

    private static function read(string $file): ?Knowledge
    {
        $knowledge = is_file($file) ? require $file : null;

        return $knowledge instanceof Knowledge ? $knowledge : null;
    }

    private static function written(Knowledge $knowledge): string
    {
        return "<?php\n\nreturn ".VarExporter::export($knowledge).";\n";
    }

    /** @return array<string, mixed> decoded content by name of the file */
    private function shippedContent(): array
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
