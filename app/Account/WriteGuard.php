<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\LargeBody;
use Periplus\App\Store\NotAllowed;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

use function Periplus\Core\Language\t;

/**
 * Rejects writes without the session's CSRF token and request bodies that are too large: after the router, which knows
 * how large a body the route takes, and before the firewall, which reads the body of a sign-in.
 */
#[AsEventListener(priority: 20)]
final readonly class WriteGuard
{
    private const MB = 1_000_000;

    public function __construct(private RequestToken $token)
    {
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        $largest = LargeBody::maxBytes($request);
        if (
            (int) $request->headers->get('Content-Length', '0') > $largest
            || \strlen($request->getContent()) > $largest
        ) {
            throw new ApiProblem(
                413,
                'too-large',
                t(
                    'This is larger than the {largest} the server takes at a time.',
                    largest: $largest < self::MB ? ($largest / 1024).' kB' : intdiv($largest, self::MB).' MB',
                ),
            );
        }
        // Screens and phones authenticate by the key in their URL, which no other site knows; sessions are ignored
        // there.
        $hasKey = 1 === preg_match('#^/api/(screens|athlete-sessions)/#', $request->getPathInfo());
        if (!$hasKey && !$this->token->isValid($request)) {
            throw new NotAllowed(t('This page is out of date. Reload it and try again.'), 'token-missing');
        }
    }
}
