<?php

declare(strict_types=1);

namespace MuteTapper\App\Door;

use MuteTapper\App\Shared\Problem;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/**
 * Who comes in. The shop answers to its own names only; where it is open to a network, a device must know the shop word first; and
 * nothing is changed by a page of another origin: a browser says where it comes from, a program shows the device word.
 */
final readonly class Door
{
    public const COOKIE = 'mute-tapper-device';
    public const DEVICE_WORD = 'X-Device-Word';
    /** Where the shop word is told, and what says that one is needed. */
    private const PORCH = '/api/door';
    private const BEFORE_ROUTING = 64;
    private const ACCEPTED = ['application/json', 'application/octet-stream'];
    /** Kept by every answer; pages and pictures that come from here run nothing. */
    private const HEADERS = [
        'X-Content-Type-Options' => 'nosniff',
        'X-Frame-Options' => 'SAMEORIGIN',
        'Referrer-Policy' => 'same-origin',
        'Cross-Origin-Resource-Policy' => 'same-origin',
        'Content-Security-Policy' => "default-src 'none'; style-src 'unsafe-inline'; img-src data:; font-src data:; base-uri 'none'; "
            ."form-action 'none'; frame-ancestors 'self'",
    ];

    public function __construct(
        private ShopKeys $keys,
        #[Autowire(env: 'MUTE_TAPPER_HOSTS')]
        private string $hosts,
        #[Autowire(env: 'bool:MUTE_TAPPER_LAN')]
        private bool $lan,
    ) {
    }

    #[AsEventListener(priority: self::BEFORE_ROUTING)]
    public function onRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!in_array($request->getHost(), explode(',', $this->hosts), true)) {
            throw Problem::misdirected(sprintf('This shop does not go by the name “%s”.', $request->getHost()));
        }
        if (!$this->isOpenTo($request) && $request->getPathInfo() !== self::PORCH) {
            throw Problem::unknownDevice('This device is not known here yet: tell it the shop word once.');
        }
        if (!$request->isMethodSafe()) {
            $this->checkOrigin($request);
            $this->checkType($request);
        }
    }

    #[AsEventListener]
    public function onResponse(ResponseEvent $event): void
    {
        foreach (self::HEADERS as $name => $value) {
            $event->getResponse()->headers->set($name, $value);
        }
    }

    /** Whether the device may read and write: anybody on this computer, and on a network whoever told the shop word. */
    public function isOpenTo(Request $request): bool
    {
        return !$this->lan || $this->keys->knows($request->cookies->getString(self::COOKIE)) || $this->hasDeviceWord($request);
    }

    public function isOnNetwork(): bool
    {
        return $this->lan;
    }

    /** @throws Problem */
    private function checkOrigin(Request $request): void
    {
        $origin = $request->headers->get('Origin');
        if ($origin === null ? !$this->hasDeviceWord($request) : $origin !== $request->getSchemeAndHttpHost()) {
            throw Problem::forbidden(
                $origin === null
                    ? 'A program that changes something shows the device word of this shop, in the header X-Device-Word.'
                    : 'Only pages of this shop may change something here.',
            );
        }
    }

    /** @throws Problem */
    private function checkType(Request $request): void
    {
        $type = strtolower(trim(explode(';', $request->headers->get('Content-Type') ?? '')[0]));
        if ($request->headers->get('Content-Length', '0') !== '0' && !in_array($type, self::ACCEPTED, true)) {
            throw Problem::unsupported(
                sprintf(
                    '“%s” is not taken here; what is sent is %s.', mb_scrub(mb_strimwidth($type, 0, 60)), implode(' or ', self::ACCEPTED),
                ),
            );
        }
    }

    private function hasDeviceWord(Request $request): bool
    {
        return hash_equals($this->keys->deviceWord(), $request->headers->get(self::DEVICE_WORD) ?? '');
    }
}
