<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Ends a login session some time after sign-in, however much it is used; the framework ends unused ones. */
#[AsEventListener(priority: 24)]
final readonly class SessionAge
{
    /** Maximum age in s. */
    public const MAX_AGE_SECONDS = 30 * 86_400;

    public function __construct(private ClockInterface $clock)
    {
    }

    public function __invoke(RequestEvent $event): void
    {
        if (!$event->isMainRequest() || !$event->getRequest()->hasPreviousSession()) {
            return;
        }
        $session = $event->getRequest()->getSession();
        $session->start();
        if ($session->getMetadataBag()->getCreated() < $this->clock->now()->getTimestamp() - self::MAX_AGE_SECONDS) {
            $session->invalidate();
        }
    }
}
