<?php

declare(strict_types=1);

namespace MuteTapper\App\Calculation;

use MuteTapper\Core\Assessment\Calculations;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes docs/calculations.md from the declarations. */
#[AsCommand(name: 'app:document-calculations', description: 'Print the page that lists every calculation')]
final class DocumentCalculationsCommand extends Command
{
    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $page = "# Calculations\n\nMade from their declarations by `bin/console app:document-calculations`. "
            ."Each runs by `bin/console calc NAME --input FILE.json`\nand by `POST /api/calculations/NAME`. "
            ."Marks: *pub* published, *practice* common practice of the trade, *own* own computation.\n";
        foreach (Calculations::all() as $calculation) {
            $page .= sprintf(
                "\n## %s\n\n`%s` → %s\n\n%s\n\n", $calculation->title(), $calculation->name(),
                str_replace('_', ' ', $calculation->resultDimension()->value), $calculation->formula(),
            );
            foreach ($calculation->inputs() as $declared) {
                $page .= sprintf(
                    "- `%s` (%s%s): %s\n", $declared->name, $declared->isList ? 'list of ' : '',
                    str_replace('_', ' ', $declared->dimension->value), $declared->meaning,
                );
            }
            $page .= sprintf("\nSource [%s]: %s.\n", $calculation->source()->mark, rtrim($calculation->source()->text, '.'));
        }
        $output->write($page, false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
