<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Periplus\App\Store\CurrentGym;
use Symfony\Component\Messenger\Envelope;
use Symfony\Component\Messenger\Exception\UnrecoverableMessageHandlingException;
use Symfony\Component\Messenger\Middleware\MiddlewareInterface;
use Symfony\Component\Messenger\Middleware\StackInterface;
use Symfony\Component\Messenger\Stamp\ConsumedByWorkerStamp;

/** Has a worker do slow work in the gym that asked for it. */
final readonly class GymOfMessage implements MiddlewareInterface
{
    public function __construct(private CurrentGym $current, private HostedGyms $gyms)
    {
    }

    public function handle(Envelope $envelope, StackInterface $stack): Envelope
    {
        $place = null === $envelope->last(ConsumedByWorkerStamp::class) ? $this->current->place() : null;
        $stamp = $envelope->last(GymStamp::class);
        if (null !== $place && null === $stamp) {
            $envelope = $envelope->with(new GymStamp($place->name));
        } elseif (null !== $stamp && null === $place) {
            $gym = $this->gyms->named($stamp->gym)
                ?? throw new UnrecoverableMessageHandlingException('The gym of this work is gone.');
            $this->current->choose($gym->place());
        }

        return $stack->next()->handle($envelope, $stack);
    }
}
