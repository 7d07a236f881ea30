<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\App\Shared\JsonBody;
use MuteTapper\App\Shared\JsonCommand;
use MuteTapper\App\Shared\Problem;
use MuteTapper\Core\Assessment\Calculations;
use MuteTapper\Core\Calculation\Calculation;
use MuteTapper\Core\Quantity\UnitSystem;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputArgument;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;

/** Run a calculation of the bench, or list them. */
#[AsCommand(name: 'calc', description: 'Run a calculation of the bench, or list them.')]
final class CalcCommand extends JsonCommand
{
    protected function configure(): void
    {
        $this->addArgument('name', InputArgument::OPTIONAL, 'calculation')
            ->addOption('list', null, InputOption::VALUE_NONE, 'list all calculations')
            ->addOption('input', null, InputOption::VALUE_REQUIRED, 'JSON file with the inputs')
            ->addOption('units', null, InputOption::VALUE_REQUIRED, 'inch or metric', 'inch');
    }

    protected function result(InputInterface $input): mixed
    {
        if ((bool) $input->getOption('list')) {
            return CalculationView::all();
        }
        $name = self::word($input, 'name');
        $calculation = Calculations::named($name)
            ?? throw Problem::notFound(sprintf('There is no calculation “%s”; calc --list names them.', $name));
        $path = self::word($input, 'input', true);
        $units = UnitSystem::tryFrom(self::word($input, 'units', true)) ?? throw Problem::invalid('Units are inch or metric.');

        return TraceView::of(Calculations::run($calculation, JsonBody::decode(self::file($path), $path)), $units);
    }
}
