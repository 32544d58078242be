<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\Security\Csrf\CsrfToken;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/**
 * The CSRF token that every write sends in a header, which other sites cannot set. A signed-in coach has one in the
 * session; anonymous visitors share one, so that nothing is stored for them.
 */
final readonly class RequestToken
{
    private const ID = 'api';
    /** Session key under which the firewall keeps the signed-in user. */
    private const SIGNED_IN = '_security_api';

    public function __construct(
        private CsrfTokenManagerInterface $tokens,
        #[Autowire('%kernel.secret%')] private string $secret,
    ) {
    }

    public function forUser(?User $user): string
    {
        return null === $user ? $this->anonymous() : $this->tokens->getToken(self::ID)->getValue();
    }

    public function isValid(Request $request): bool
    {
        $token = (string) $request->headers->get('X-CSRF-Token');

        return $this->isOurs($request) && (hash_equals($this->anonymous(), $token)
            ? !$request->hasPreviousSession() || !$request->getSession()->has(self::SIGNED_IN)
            : $request->hasPreviousSession() && $this->tokens->isTokenValid(new CsrfToken(self::ID, $token)));
    }

    /** Browsers send the page a write comes from; other clients need not. */
    private function isOurs(Request $request): bool
    {
        $origin = $request->headers->get('Origin');

        return null === $origin
            || $origin === $request->getSchemeAndHttpHost()
            || parse_url($origin, \PHP_URL_HOST) === $request->getHost();
    }

    private function anonymous(): string
    {
        return hash_hmac('sha256', 'anonymous visitors', $this->secret);
    }
}
