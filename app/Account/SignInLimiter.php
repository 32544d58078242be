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
 * Bounds the tries to sign in. Tries at one account from one address count before the password is looked at, so that
 * sending many at once does not help; others who share that address can still sign in under their own name. Failures
 * from one address, and from all of them together, are bounded as well, whatever the names: a refused try costs no
 * hash.
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

    /** Counts a try that failed. */
    public function failed(Request $request): void
    {
        foreach ($this->failures($request) as $limiter) {
            $limiter->consume();
        }
    }

    private function tries(Request $request): LimiterInterface
    {
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME);

        return $this->tries->create(EmailAddress::of(\is_string($name) ? $name : '').' '.$request->getClientIp());
    }

    /** @return list<LimiterInterface> */
    private function failures(Request $request): array
    {
        return [$this->failuresOfAddress->create((string) $request->getClientIp()), $this->failures->create('all')];
    }
}
