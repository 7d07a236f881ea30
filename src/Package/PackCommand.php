<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Record\Cases;
use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Pack a case with its evidence. */
#[AsCommand(name: 'case:pack', description: 'Pack a case with its pictures, logs, tables and report into a BagIt ZIP.')]
final class PackCommand extends JsonCommand
{
    public function __construct(private readonly Cases $cases, private readonly CasePackage $package)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('case', InputArgument::REQUIRED, 'number or id')->addArgument('file', InputArgument::REQUIRED, 'ZIP to write');
    }

    protected function result(InputInterface $input): mixed
    {
        $case = $this->cases->wanted(self::word($input, 'case'));
        $path = self::word($input, 'file');
        $this->package->pack($case, $path, static function (): void {
        });

        return ['file' => $path, 'case' => $case->name, 'bytes' => (int) filesize($path), 'sha256' => hash_file('sha256', $path)];
    }
}
