<?php

declare(strict_types=1);

namespace Periplus\App\Work;

use Periplus\App\Store\TransactionOutcome;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\Messenger\Exception\HandlerFailedException;
use Symfony\Component\Messenger\MessageBusInterface;

/**
 * Has slow work done: by workers where there are any (bin/worker), otherwise by the requests of the page that
 * waits for it, one part in each. Both do the same parts; what is done survives either.
 */
final readonly class Workers
{
    public function __construct(
        private MessageBusInterface $bus,
        private TransactionOutcome $outcome,
        #[Autowire('%env(MESSENGER_TRANSPORT_DSN)%')] private string $transport,
    ) {
    }

    /**
     * Called for as long as a page waits.
     *
     * @param \Closure(): bool $claim whether no worker is at it, because it was not begun or one was killed; it has
     *                                to be true once only until the work goes on
     */
    public function proceed(SlowWork $work, \Closure $claim): void
    {
        $hasWorkers = !str_starts_with($this->transport, 'sync:');
        if ($hasWorkers && !$claim()) {
            return;
        }
        try {
            $this->bus->dispatch($hasWorkers ? $work->toTheEnd() : $work);
        } catch (HandlerFailedException $failed) {
            // Parts that are done stay done.
            $this->outcome->mayBeRepeated();
            // What the work refuses is said as if there were no bus between.
            throw $failed->getPrevious() ?? $failed;
        }
    }
}
