<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Http\ApiProblem;
use Periplus\App\Store\NotAllowed;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

use function Periplus\Core\Language\t;

/** Rejects writes without the session's CSRF token and request bodies that are too large. */
#[AsEventListener(priority: 20)]
final readonly class WriteGuard
{
    /** Maximum size of a request body, in bytes. */
    public const MAX_BYTES = 65_536;
    /** Maximum size of an imported file, in bytes. */
    public const MAX_IMPORT_BYTES = 4_194_304;
    /** Maximum size of a recording of a bag or pads, in bytes: a minute at 16,000 samples per second. */
    public const MAX_RECORDING_BYTES = 2_097_152;
    /** Maximum size of a voice clip, in bytes. */
    public const MAX_CLIP_BYTES = 1_048_576;

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
            '/api/imports', '/api/logbook/import' => self::MAX_IMPORT_BYTES,
            '/api/onsets' => self::MAX_RECORDING_BYTES,
            '/api/voice/clips' => self::MAX_CLIP_BYTES,
            default => self::MAX_BYTES,
        };
        if (
            (int) $request->headers->get('Content-Length', '0') > $largest
            || \strlen($request->getContent()) > $largest
        ) {
            throw new ApiProblem(
                413,
                'too-large',
                t('This is larger than the {largest} kB the server takes at a time.', largest: $largest / 1024),
            );
        }
        // A screen authenticates by the key in its URL, which no other site knows; sessions are ignored there.
        if (!str_starts_with($request->getPathInfo(), '/api/screens/') && !$this->token->isValid($request)) {
            throw new NotAllowed(t('This page is out of date. Reload it and try again.'), 'token-missing');
        }
    }
}
