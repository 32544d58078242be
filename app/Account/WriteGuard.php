<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Http\ApiProblem;
use Periplus\App\Store\NotAllowed;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/** Lets no write through without the session's token, and none that is larger than any form of ours. */
#[AsEventListener(priority: 20)]
final readonly class WriteGuard
{
    /** Largest body of a request, in bytes. */
    public const LARGEST = 65_536;
    /** Largest file to be imported, in bytes. */
    public const LARGEST_IMPORT = 4_194_304;
    /** Largest recording of bag or pads, in bytes: a minute of 16,000 samples a second. */
    public const LARGEST_RECORDING = 2_097_152;
    /** Largest clip of a voice, in bytes. */
    public const LARGEST_CLIP = 1_048_576;

    public function __construct(private RequestToken $token)
    {
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || $request->isMethodSafe()) {
            return;
        }
        $largest = match ($request->getPathInfo()) {
            '/api/imports', '/api/logbook/import' => self::LARGEST_IMPORT,
            '/api/onsets' => self::LARGEST_RECORDING,
            '/api/voice/clips' => self::LARGEST_CLIP,
            default => self::LARGEST,
        };
        if (
            (int) $request->headers->get('Content-Length', '0') > $largest
            || \strlen($request->getContent()) > $largest
        ) {
            throw new ApiProblem(
                413,
                'too-large',
                \sprintf('This is larger than the %d kB the server takes at a time.', $largest / 1024),
            );
        }
        // A screen is told by the key in its address, which no page of elsewhere knows; nobody's session counts there.
        if (!str_starts_with($request->getPathInfo(), '/api/screens/') && !$this->token->isValid($request)) {
            throw new NotAllowed('This page is out of date. Reload it and try again.', 'token-missing');
        }
    }
}
