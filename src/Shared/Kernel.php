<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\Config\Resource\GlobResource;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

final class Kernel extends BaseKernel
{
    use MicroKernelTrait;

    /**
     * What was derived by one build of the core is not shown by another: the hash of its code is part of every key. A paper follows from
     * what lays it out as well.
     */
    protected function build(ContainerBuilder $container): void
    {
        $core = $this->hashOf($container, 'core', 'php');
        $container->setParameter('mute_tapper.core_hash', $core);
        $container->setParameter('mute_tapper.paper_hash', hash(
            'sha256', $core.$this->hashOf($container, 'src', 'php').$this->hashOf($container, 'templates', 'twig'),
        ));
    }

    private function hashOf(ContainerBuilder $container, string $folder, string $extension): string
    {
        $found = new GlobResource($this->getProjectDir().'/'.$folder, '/**/*.'.$extension, true);
        $files = [];
        foreach ($found as $path => $file) {
            $files[$path] = hash_file('sha256', $path);
        }
        ksort($files);
        $container->addResource($found);

        return hash('sha256', implode("\n", array_values($files)));
    }
}
