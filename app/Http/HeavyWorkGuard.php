<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerEvent;
use Symfony\Component\HttpKernel\Event\TerminateEvent;
use Symfony\Component\Lock\LockFactory;
use Symfony\Component\Lock\SharedLockInterface;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Contracts\Service\ResetInterface;

use function Periplus\Core\Language\t;

/**
 * Limits heavy requests of one account and of all together, so that there is always a process to answer a coach who
 * types.
 */
final class HeavyWorkGuard implements ResetInterface
{
    private const MAX_PER_ACCOUNT = 2;
    /** Two of six processes stay free for everything else; see pm.max_children in bin/servers.sh. */
    private const MAX_TOTAL = 4;

    /** @var list<SharedLockInterface> */
    private array $taken = [];

    public function __construct(private readonly LockFactory $locks, private readonly TokenStorageInterface $tokens)
    {
    }

    #[AsEventListener]
    public function begin(ControllerEvent $event): void
    {
        if (!$event->isMainRequest() || [] === $event->getAttributes(HeavyWork::class)) {
            return;
        }
        $account = $this->tokens->getToken()?->getUserIdentifier() ?? '';
        if (!$this->take('account.'.hash('xxh64', $account), self::MAX_PER_ACCOUNT)) {
            throw new ApiProblem(
                429,
                'busy',
                t('Two of your long tasks are running. Wait for one of them, then try again.'),
            );
        }
        if (!$this->take('gym', self::MAX_TOTAL)) {
            $this->end();
            throw new ApiProblem(503, 'busy', t('The gym is busy with other long tasks. Try again in a moment.'));
        }
    }

    /** Runs after the response was sent, because a streamed response is busy until then. */
    #[AsEventListener(TerminateEvent::class)]
    public function end(): void
    {
        foreach ($this->taken as $lock) {
            $lock->release();
        }
        $this->taken = [];
    }

    /** Before the same request is handled again. */
    public function reset(): void
    {
        $this->end();
    }

    private function take(string $name, int $most): bool
    {
        for ($place = 1; $place <= $most; ++$place) {
            $lock = $this->locks->createLock("heavy.$name.$place", ttl: null);
            if ($lock->acquire()) {
                $this->taken[] = $lock;

                return true;
            }
        }

        return false;
    }
}
