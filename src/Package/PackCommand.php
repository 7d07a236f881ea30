<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use Doctrine\ORM\EntityManagerInterface;
use MuteTapper\App\Record\CaseRecord;
use MuteTapper\App\Shared\JsonCommand;
use MuteTapper\App\Shared\Problem;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;

/** Pack a case with its evidence. */
#[AsCommand(name: 'case:pack', description: 'Pack a case with its pictures, logs, tables and report into a BagIt ZIP.')]
final class PackCommand extends JsonCommand
{
    public function __construct(private readonly EntityManagerInterface $entities, private readonly CasePackage $package)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('case', InputArgument::REQUIRED, 'number or id')->addArgument('file', InputArgument::REQUIRED, 'ZIP to write');
    }

    protected function result(InputInterface $input): mixed
    {
        $wanted = self::word($input, 'case');
        $case = $this->entities->getRepository(CaseRecord::class)->findOneBy(
            ctype_digit($wanted) ? ['number' => (int) $wanted] : ['id' => $wanted],
        ) ?? throw Problem::notFound(sprintf('There is no case “%s” here.', $wanted));
        $path = self::word($input, 'file');
        $this->package->pack($case, $path, static function (): void {
        });

        return ['file' => $path, 'case' => $case->name, 'bytes' => (int) filesize($path), 'sha256' => hash_file('sha256', $path)];
    }
}
