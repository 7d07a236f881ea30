<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use OpenApi\Annotations\OpenApi;
use OpenApi\Annotations\Schema;
use OpenApi\Attributes as OA;
use OpenApi\Generator;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** Writes the OpenAPI description of the API from the PHP code. The front end's types are made from it. */
#[OA\Info(version: '1', title: 'Mute Tapper', description: 'Everything the screens do. Errors are application/problem+json.')]
#[AsCommand(name: 'app:openapi', description: 'Print the OpenAPI description as JSON')]
final class OpenApiCommand extends Command
{
    public function __construct(private readonly string $projectFolder)
    {
        parent::__construct();
    }

    protected function execute(InputInterface $input, OutputInterface $output): int
    {
        $api = (new Generator())->generate([$this->projectFolder.'/src', $this->projectFolder.'/core']);
        if ($api === null) {
            return Command::FAILURE;
        }
        self::requireAll($api);
        $output->writeln($api->toJson(\JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE), OutputInterface::OUTPUT_RAW);

        return Command::SUCCESS;
    }

    /** What a view class declares is always sent: nullable, but never missing. */
    private static function requireAll(OpenApi $api): void
    {
        if (!is_array($api->components->schemas)) {
            return;
        }
        foreach ($api->components->schemas as $schema) {
            if ($schema instanceof Schema && is_array($schema->properties) && !is_array($schema->required)) {
                $schema->required = array_map(static fn ($property): string => $property->property, $schema->properties);
            }
        }
    }
}
