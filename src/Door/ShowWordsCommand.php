<?php

declare(strict_types=1);

namespace MuteTapper\App\Door;

use MuteTapper\App\Shared\JsonCommand;
use Symfony\Component\Console\Attribute\AsCommand;
use Symfony\Component\Console\Input\InputInterface;

/** Shows the words of the shop, and makes them where there are none yet. */
#[AsCommand(name: 'door:words', description: 'Show the shop word and the device word; make them the first time.')]
final class ShowWordsCommand extends JsonCommand
{
    public function __construct(private readonly ShopKeys $keys)
    {
        parent::__construct();
    }

    protected function result(InputInterface $input): mixed
    {
        return ['shop_word' => $this->keys->shopWord(), 'device_word' => $this->keys->deviceWord()];
    }
}
