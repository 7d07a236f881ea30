<?php

declare(strict_types=1);

namespace MuteTapper\App\Simulated;

use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Lets the simulated data logger write a run to the standard output. */
#[AsCommand(name: 'simulated:log', description: 'Write a made-up run of the simulated data logger as CSV')]
final class WriteLogCommand extends Command
{
    public function __construct(private readonly DataLogger $logger)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('seconds', null, InputOption::VALUE_REQUIRED, 'length of the run', '120')
            ->addOption('rate', null, InputOption::VALUE_REQUIRED, 'rows a second', '50')
            ->addOption('limiter', null, InputOption::VALUE_REQUIRED, 'turns a minute at which the limiter cuts', '7600')
            ->addOption(
                'missed-shift', null, InputOption::VALUE_REQUIRED | InputOption::VALUE_IS_ARRAY, 'second at which a shift is missed', [],
            )
            ->addOption('oil-drops', null, InputOption::VALUE_REQUIRED, 'second from which the oil pressure falls away');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $number = static fn (mixed $value): float => is_numeric($value) ? (float) $value : throw new \InvalidArgumentException(
            'A number is wanted.',
        );
        $missed = $input->getOption('missed-shift');
        $oil = $input->getOption('oil-drops');
        $lines = $this->logger->run(
            (int) $number($input->getOption('seconds')), (int) $number($input->getOption('rate')), $number($input->getOption('limiter')),
            is_array($missed) ? array_values(array_map($number, $missed)) : [], $oil === null ? null : $number($oil),
        );
        foreach ($lines as $line) {
            $output->write($line, false, OutputInterface::OUTPUT_RAW);
        }

        return self::SUCCESS;
    }
}
