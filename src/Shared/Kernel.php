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

    /** What was derived by one build of the core is not shown by another: the hash of its code is part of every key. */
    protected function build(ContainerBuilder $container): void
    {
        $core = new GlobResource($this->getProjectDir().'/core', '/**/*.php', true);
        $files = [];
        foreach ($core as $path => $file) {
            $files[$path] = hash_file('sha256', $path);
        }
        ksort($files);
        $container->addResource($core);
        $container->setParameter('mute_tapper.core_hash', hash('sha256', implode("\n", array_values($files))));
    }
}
