<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Every text of a request is {@see PlainText}, in whichever field it stands. */
#[AsEventListener(priority: 18)]
final readonly class ReadableRequests
{
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $content = $request->getContent();
        // A recording is not text; this route alone takes one, whatever type a request names.
        if (!$event->isMainRequest() || '' === $content || '/api/onsets' === $request->getPathInfo()) {
            return;
        }
        $readable = PlainText::json($content);
        if ($readable !== $content) {
            $request->initialize(
                $request->query->all(),
                $request->request->all(),
                $request->attributes->all(),
                $request->cookies->all(),
                $request->files->all(),
                $request->server->all(),
                $readable,
            );
        }
    }
}
