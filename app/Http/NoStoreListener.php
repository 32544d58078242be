<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** Marks API responses as not cacheable by browsers and proxies. */
#[AsEventListener(priority: -2000)]
final readonly class NoStoreListener
{
    public function __invoke(ResponseEvent $event): void
    {
        $event->getResponse()->headers->set('Cache-Control', 'no-store');
    }
}
