<?php

declare(strict_types=1);

namespace MuteTapper\App\Knowledge;

use MuteTapper\App\Shared\JsonCommand;
use MuteTapper\Core\Document\Node;
use MuteTapper\Core\Knowledge\Knowledge;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;

/** Writes the present catalogue down among its editions: a clear look made by it denies its signs for ever, and no later ones. */
#[AsCommand(
    name: 'knowledge:edition',
    description: 'Write the present catalogue of signs down as an edition, after the knowledge was changed.',
)]
final class WriteEditionCommand extends JsonCommand
{
    public function __construct(private readonly KnowledgeFiles $files)
    {
        parent::__construct();
    }

    protected function result(InputInterface $input): mixed
    {
        $content = $this->files->content();
        $knowledge = Knowledge::fromArray($content);
        $editions = Node::root($content)->get('editions')->get('editions');
        $listed = $written = [];
        foreach ($editions->items() as $edition) {
            $added = $edition->get('added')->words();
            $dropped = $edition->get('dropped')->words();
            $listed = array_diff([...$listed, ...$added], $dropped);
            $written[] = ['hash' => $edition->get('hash')->word(64), 'added' => $added, 'dropped' => $dropped];
        }
        if (!$knowledge->isEdition()) {
            $codes = array_keys($knowledge->signs);
            $written[] = [
                'hash' => $knowledge->hash, 'added' => array_values(array_diff($codes, $listed)),
                'dropped' => array_values(array_diff($listed, $codes)),
            ];
            file_put_contents(
                $this->files->path('editions'), json_encode(['editions' => $written], \JSON_PRETTY_PRINT | \JSON_THROW_ON_ERROR)."\n",
            );
        }

        return ['hash' => $knowledge->hash, 'editions' => count($written)];
    }
}
