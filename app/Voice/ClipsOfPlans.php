<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Periplus\App\Plan\PlanCheck;
use Periplus\App\Plan\PlanRequest;
use Periplus\Core\Session\Wall\WallSerializer;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ControllerArgumentsEvent;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/** Prepares the clips of a planned session after the response was sent, so that no session waits for one. */
final class ClipsOfPlans
{
    private ?PlanRequest $planned = null;

    public function __construct(
        private readonly PlanCheck $check,
        private readonly Clips $clips,
        private readonly LoggerInterface $logger,
    ) {
    }

    #[AsEventListener]
    public function remember(ControllerArgumentsEvent $event): void
    {
        foreach ($event->getArguments() as $argument) {
            if ($argument instanceof PlanRequest && $event->isMainRequest()) {
                $this->planned = $argument;
            }
        }
    }

    #[AsEventListener]
    public function make(TerminateEvent $event): void
    {
        $planned = $this->planned;
        $this->planned = null;
        if (null === $planned || !$event->getResponse()->isSuccessful()) {
            return;
        }
        try {
            $this->clips->prepare(WallSerializer::spoken(
                $this->check->programme($planned->content),
                $this->clips->settings()->style(),
            ));
        } catch (\Throwable $failed) {
            $this->logger->error('Calls could not be spoken: '.$failed->getMessage());
        }
    }
}
