<?php

declare(strict_types=1);

namespace MuteTapper\App\Shared;

use Symfony\Component\Console\Command\Command;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/** A command that prints one JSON document; a refusal is a problem document and a non-zero exit. */
abstract class JsonCommand extends Command
{
    abstract protected function result(InputInterface $input): mixed;

    final protected function execute(InputInterface $input, OutputInterface $output): int
    {
        try {
            $result = $this->result($input);
            $status = self::SUCCESS;
        } catch (\DomainException $contradiction) {
            $result = Problem::invalid($contradiction->getMessage())->toArray();
            $status = self::FAILURE;
        } catch (\Throwable $error) {
            $result = ProblemListener::problemOf($error);
            if ($result['status'] === 500) {
                throw $error;
            }
            $status = self::FAILURE;
        }
        $text = is_string($result)
            ? rtrim($result, "\n")
            : json_encode($result, \JSON_PRETTY_PRINT | \JSON_UNESCAPED_SLASHES | \JSON_UNESCAPED_UNICODE | \JSON_THROW_ON_ERROR);
        $output->writeln($text, OutputInterface::OUTPUT_RAW);

        return $status;
    }

    protected static function word(InputInterface $input, string $name, bool $option = false): string
    {
        $value = $option ? $input->getOption($name) : $input->getArgument($name);

        return is_string($value) ? $value : '';
    }

    protected static function file(string $path): string
    {
        if (!is_file($path) || !is_readable($path)) {
            throw Problem::notFound(sprintf('There is no readable file %s.', $path));
        }

        return (string) file_get_contents($path);
    }
}
