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
 * Limits sign-in attempts. Attempts for one account from one address are counted before the password is checked, so
 * that many parallel attempts do not help; others behind the same address can still sign in. Failures from one address
 * and from all addresses together are limited too, whatever the names: a refused attempt costs no hash.
 */
final readonly class SignInLimiter implements RequestRateLimiterInterface
{
    public function __construct(
        #[Autowire(service: 'limiter.sign_in')] private RateLimiterFactoryInterface $tries,
        #[Autowire(service: 'limiter.failed_sign_ins_of_address')]
        private RateLimiterFactoryInterface $failuresOfAddress,
        #[Autowire(service: 'limiter.failed_sign_ins')] private RateLimiterFactoryInterface $failures,
    ) {
    }

    public function consume(Request $request): RateLimit
    {
        foreach ($this->failures($request) as $limiter) {
            $limit = $limiter->consume(0);
            if (0 === $limit->getRemainingTokens()) {
                return new RateLimit(0, $limit->getRetryAfter(), false, $limit->getLimit());
            }
        }

        return $this->tries($request)->consume();
    }

    public function reset(Request $request): void
    {
        $this->tries($request)->reset();
    }

    /** Counts a failed attempt. */
    public function failed(Request $request): void
    {
        foreach ($this->failures($request) as $limiter) {
            $limiter->consume();
        }
    }

    private function tries(Request $request): LimiterInterface
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME);

        return $this->tries->create(
            EmailAddress::normalize(\is_string($name) ? $name : '').' '.$request->getClientIp(),
        );
    }

    /** @return list<LimiterInterface> */
    private function failures(Request $request): array
    {
        return [$this->failuresOfAddress->create((string) $request->getClientIp()), $this->failures->create('all')];
    }
}
