<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ResponseEvent;

/** What the API answers is of this moment and for one coach: no browser and no proxy keeps it. */
#[AsEventListener(priority: -2000)]
final readonly class NothingKept
{
    public function __invoke(ResponseEvent $event): void
    {
        $event->getResponse()->headers->set('Cache-Control', 'no-store');
    }
}
