<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared\OpenApi;

use OpenApi\Attributes as OA;
use OpenApi\Generator;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Input\InputOption;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes the OpenAPI description of the API from the PHP code. The front end's types are made from it. */
#[OA\Info(version: '1', title: 'Mute Tapper', description: 'Everything the screens do. Errors are application/problem+json.')]
#[OA\Server(url: '/')]
#[AsCommand(name: 'app:openapi', description: 'Print the OpenAPI description as JSON')]
final class OpenApiCommand extends Command
{
    public function __construct(private readonly string $projectFolder)
    {
        parent::__construct();
    }

    protected function configure(): void
    {
        $this->addOption('schema', null, InputOption::VALUE_REQUIRED, 'Print this schema alone, as a JSON Schema');
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $generator = new Generator();
        $processors = $generator->getProcessors();
        // Before anything else looks at schemas and operations: what their classes and paths say already.
        $generator->setProcessors([new DeclaredProperties(), new PathParameters(), ...$processors]);
        $api = $generator->generate([$this->projectFolder.'/src']);
        if ($api === null) {
            return Command::FAILURE;
        }
        $flags = \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE;
        $json = $api->toJson($flags);
        $name = $input->getOption('schema');
        if (is_string($name)) {
            $description = json_decode($json, true, 64, \JSON_THROW_ON_ERROR);
            $schema = is_array($description) ? JsonSchema::of($description, $name) : null;
            if ($schema === null) {
                $output->writeln(sprintf('There is no schema “%s”.', $name));

                return Command::INVALID;
            }
            $json = json_encode($schema, $flags | \JSON_THROW_ON_ERROR);
        }
        $output->writeln($json, OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }
}
