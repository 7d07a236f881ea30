<?php

declare(strict_types=1);

namespace MuteTapper\App\Door;

use MuteTapper\App\Shared\WholeFile;

/** The words that let people and programs in, and the secret that marks known devices: made once for a shop, kept beside its data. */
final readonly class ShopKeys
{
    private const SHOP_WORD = 'shop-word';
    private const DEVICE_WORD = 'device-word';
    private const SECRET = 'secret';
    /** Letters that are not taken for one another when read aloud. */
    private const LETTERS = 'abcdefghjkmnpqrstuvwxyz';
    private const MODE = 0o600;

    public function __construct(private string $dataFolder)
    {
    }

    /** Asked of each device once where the shop is open to its network: four groups of four letters, 72 bits. */
    public function shopWord(): string
    {
        return $this->kept(self::SHOP_WORD, static fn (): string => implode('-', array_map(
            static fn (): string => implode('', array_map(
                static fn (): string => self::LETTERS[random_int(0, strlen(self::LETTERS) - 1)], range(1, 4),
            )),
            range(1, 4),
        )));
    }

    /** What a program that is no browser shows: a gauge, a tester, a script. */
    public function deviceWord(): string
    {
        return $this->kept(self::DEVICE_WORD, static fn (): string => bin2hex(random_bytes(16)));
    }

    /** The mark that a device keeps once it was let in; nobody can make it without the secret. */
    public function mark(): string
    {
        $device = bin2hex(random_bytes(12));

        return $device.'.'.$this->sealOf($device);
    }

    public function knows(string $mark): bool
    {
        [$device, $seal] = explode('.', $mark, 2) + [1 => ''];

        return hash_equals($this->sealOf($device), $seal);
    }

    private function sealOf(string $device): string
    {
        return hash_hmac('sha256', $device.$this->shopWord(), $this->kept(self::SECRET, static fn (): string => bin2hex(random_bytes(32))));
    }

    /** @param \Closure(): string $make */
    private function kept(string $name, \Closure $make): string
    {
        $path = $this->dataFolder.'/'.$name;
        if (!is_file($path)) {
            WholeFile::write($path, $make()."\n");
            chmod($path, self::MODE);
        }

        return trim((string) file_get_contents($path));
    }
}
