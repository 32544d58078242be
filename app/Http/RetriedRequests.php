<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Store\DatabaseFailure;
use Periplus\App\Store\TransactionOutcome;
use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\AsDecorator;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\DependencyInjection\Attribute\AutowireDecorated;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\DependencyInjection\ServicesResetterInterface;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\HttpKernel;
use Symfony\Component\HttpKernel\HttpKernelInterface;
use Symfony\Component\HttpKernel\TerminableInterface;

/**
 * Handles a request again, as a whole, when the database has refused its transaction: a deadlock, a commit that a
 * cluster refuses because another node has written the same rows, or a node that went away before the commit. Nothing
 * is repeated once something was stored, or may have been.
 */
#[AsDecorator('http_kernel')]
final class RetriedRequests implements HttpKernelInterface, TerminableInterface
{
    /** Fewer than the tries to sign in that a minute allows, since each counts as one: see framework.yaml. */
    private const MAX_TRIES = 6;
    /** Wait after a deadlock, in s: random up to this for each try before, so that two do not meet again. */
    private const DEADLOCK_WAIT_SECONDS = 0.02;
    /** Wait for another node, in s; twice as long after each try. */
    private const AWAY_WAIT_SECONDS = 0.2;

    private ?DatabaseFailure $failure = null;

    /** @param float $failoverSeconds how long to wait for another node of a cluster; 0 where there is none */
    public function __construct(
        #[AutowireDecorated] private readonly HttpKernel $inner,
        private readonly TransactionOutcome $outcome,
        #[Autowire(service: 'services_resetter')] private readonly ServicesResetterInterface $resetter,
        private readonly EntityManagerInterface $entities,
        private readonly LoggerInterface $logger,
        #[Autowire('%env(float:DATABASE_FAILOVER_SECONDS)%')] private readonly float $failoverSeconds,
    ) {
    }

    public function handle(Request $request, int $type = self::MAIN_REQUEST, bool $catch = true): Response
    {
        if (self::MAIN_REQUEST !== $type) {
            return $this->inner->handle($request, $type, $catch);
        }
        $until = microtime(true) + $this->failoverSeconds;
        $unused = clone $request;
        for ($try = 1; true; ++$try) {
            $this->failure = null;
            $response = $this->inner->handle(1 === $try ? $request : clone $unused, $type, $catch);
            $wait = $this->wait($try, $until);
            if (null === $wait) {
                return $response;
            }
            $this->logger->notice('The database refused a request, which is handled again.', ['try' => $try]);
            usleep((int) (1_000_000 * $wait));
            $this->resetter->reset();
            // Where a node went away, the next connection leads to another.
            $this->entities->getConnection()->close();
        }
    }

    #[AsEventListener(priority: 300)]
    public function note(ExceptionEvent $event): void
    {
        if ($event->isMainRequest()) {
            $this->failure = DatabaseFailure::of($event->getThrowable());
        }
    }

    public function terminate(Request $request, Response $response): void
    {
        $this->inner->terminate($request, $response);
    }

    /** @return float|null how long to wait until the next try, in s; null when there is none */
    private function wait(int $try, float $until): ?float
    {
        $isDone = $this->outcome->isWritten() || $this->outcome->isUnknown();
        if (null === $this->failure || $isDone || $try >= self::MAX_TRIES) {
            return null;
        }
        if ($this->failure->isDeadlock()) {
            return $try * self::DEADLOCK_WAIT_SECONDS * random_int(1, 100) / 100;
        }
        $left = $until - microtime(true);

        return $this->failure->isAway() && $left > 0
            ? min($left, self::AWAY_WAIT_SECONDS * 2 ** ($try - 1))
            : null;
    }
}
