<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Periplus\App\Http\ApiProblem;
use Periplus\App\Store\CurrentGym;
use Symfony\Component\Console\Event\ConsoleCommandEvent;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

use function Periplus\Core\Language\t;

/** Chooses the gym that is meant: by the host name of a request, and by PERIPLUS_GYM for a command. */
final readonly class ChoosesGym
{
    /** Where a load balancer asks, which means no gym. */
    private const HEALTH = '/health/';

    public function __construct(
        private CurrentGym $current,
        private Lookup $lookup,
        #[Autowire('%env(PERIPLUS_GYM)%')] private string $gymOfCommands,
    ) {
    }

    /** Before anything reads a session or a row. */
    #[AsEventListener(priority: 1024)]
    public function ofRequest(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $isForGym = $event->isMainRequest() && !str_starts_with($request->getPathInfo(), self::HEALTH);
        if (!$isForGym || !$this->current->isOneOfSeveral()) {
            return;
        }
        $found = $this->lookup->withHost(strtolower($request->getHost()));
        if (null === $found) {
            throw new ApiProblem(421, 'unknown-gym', t('There is no gym under this name.'));
        }
        if (HostedState::Archived === $found->state) {
            throw new ApiProblem(410, 'gym-archived', t('This gym has been archived. Ask who runs this server.'));
        }
        if (HostedState::ReadOnly === $found->state && !$request->isMethodSafe()) {
            throw new ApiProblem(
                503,
                'upgrade-under-way',
                t('Periplus is being brought up to date. Nothing was saved; try again in a minute.'),
            );
        }
        $this->current->choose($found->place);
    }

    #[AsEventListener(priority: 1024)]
    public function ofCommand(ConsoleCommandEvent $event): void
    {
        if ($this->current->isOneOfSeveral() && '' !== $this->gymOfCommands) {
            $found = $this->lookup->named($this->gymOfCommands);
            if (null === $found) {
                throw new \RuntimeException(\sprintf('There is no gym “%s”.', $this->gymOfCommands));
            }
            $this->current->choose($found->place);
        }
    }
}
