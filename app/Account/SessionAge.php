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
        $request = $event->getRequest();
        // Whether the server is alive is answered without a database, whatever cookie is sent.
        $hasSession = str_starts_with($request->getPathInfo(), '/api/') && $request->hasPreviousSession();
        if (!$event->isMainRequest() || !$hasSession) {
            return;
        }
        $session = $request->getSession();
        $session->start();
        if ($session->getMetadataBag()->getCreated() < $this->clock->now()->getTimestamp() - self::MAX_AGE_SECONDS) {
            $session->invalidate();
        }
    }
}
