<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Check a package against its manifests. */
#[AsCommand(name: 'case:verify', description: 'Check a package of a case against its manifests; a changed byte is named.')]
final class VerifyCommand extends JsonCommand
{
    public function __construct(private readonly CasePackage $package)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'package');
    }

    protected function result(InputInterface $input): mixed
    {
        $path = self::word($input, 'file');
        $problems = $this->package->verify($path);
        if ($problems !== []) {
            throw BadPackage::because(...$problems);
        }

        return ['file' => $path, 'asPacked' => true];
    }
}
