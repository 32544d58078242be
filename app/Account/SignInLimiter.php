<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\RateLimiter\RequestRateLimiterInterface;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\RateLimiter\LimiterInterface;
use Symfony\Component\RateLimiter\RateLimit;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

/**
 * Tries at one account from one address. A try counts before its password is looked at, so that many at once are no way
 * around it; a gym shares one address, so that tries at one name lock out nobody else.
 */
final readonly class SignInLimiter implements RequestRateLimiterInterface
{
    public function __construct(#[Autowire(service: 'limiter.sign_in')] private RateLimiterFactoryInterface $tries)
    {
    }

    public function consume(Request $request): RateLimit
    {
        return $this->tries($request)->consume();
    }

    public function reset(Request $request): void
    {
        $this->tries($request)->reset();
    }

    private function tries(Request $request): LimiterInterface
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME);

        return $this->tries->create(EmailAddress::of(\is_string($name) ? $name : '').' '.$request->getClientIp());
    }
}
