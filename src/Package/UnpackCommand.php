<?php

declare(strict_types=1);

namespace MuteTapper\App\Package;

use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

/** Take a packed case in, with its pictures and logs. */
#[AsCommand(name: 'case:unpack', description: 'Take the case of a package in, with its pictures and logs.')]
final class UnpackCommand extends JsonCommand
{
    public function __construct(private readonly CasePackage $package)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addArgument('file', InputArgument::REQUIRED, 'package')
            ->addOption('copy', null, InputOption::VALUE_NONE, 'as a case of its own beside one that is here');
    }

    protected function result(InputInterface $input): mixed
    {
        $path = self::word($input, 'file');
        $case = $this->package->unpack($path, $input->getOption('copy') === true, 'unpacked', basename($path));

        return ['file' => $path, 'id' => $case->id, 'number' => $case->number, 'case' => $case->name];
    }
}
