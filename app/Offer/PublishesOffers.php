<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Periplus\App\Directory\GroupDocuments;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\TerminateEvent;

/**
 * Shows the other gyms of the group what is offered, after every write of which it may be changed. The coach does not
 * wait for it; what failed is made good by the next write.
 */
#[AsEventListener]
final readonly class PublishesOffers
{
    private const WRITES = '#^/api/(audit-log|combinations|courses|gym|house-rules|imports|numberings|offerings|offers'
        .'|proposals|rule-previews|themes|verdict-changes)\b#';

    public function __construct(
        private GroupDocuments $group,
        private OfferWriter $writer,
        private LoggerInterface $logger,
    ) {
    }

    public function __invoke(TerminateEvent $event): void
    {
        $request = $event->getRequest();
        if (
            $request->isMethodSafe()
            || !$event->getResponse()->isSuccessful()
            || 1 !== preg_match(self::WRITES, $request->getPathInfo())
            || null === $this->group->group()
        ) {
            return;
        }
        try {
            $document = $this->writer->write();
            $this->group->publish([] === $document->things() ? null : Digest::json($document));
        } catch (\Throwable $failed) {
            $this->logger->error('What the gym offers could not be passed on to its group.', ['exception' => $failed]);
        }
    }
}
