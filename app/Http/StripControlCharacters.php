<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Cleans every text of a request with {@see PlainText}. */
#[AsEventListener(priority: 18)]
final readonly class StripControlCharacters
{
    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $content = $request->getContent();
        // A file is not text, whatever content type the request says it has.
        if (!$event->isMainRequest() || '' === $content || LargeBody::isFile($request)) {
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
