<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Periplus\App\Store\Invalid;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

/**
 * Refuses JSON that no request of ours has: a list with nothing at one of its places, and a number beyond all that is
 * counted here. What reads a request need not think of them.
 */
#[AsEventListener(priority: 17)]
final readonly class ReadableValues
{
    /** Above every moment in ms, and where floats are still whole. */
    private const MAX_NUMBER = 1e15;
    private const MAX_DEPTH = 64;

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || 'json' !== $request->getContentTypeFormat()) {
            return;
        }
        // Text that is not JSON, or is nested deeper, is refused where the request is read.
        $body = json_decode($request->getContent(), true, self::MAX_DEPTH);
        if (\is_array($body)) {
            self::require($body, '');
        }
    }

    /** @param array<mixed> $values */
    private static function require(array $values, string $place): void
    {
        $isList = array_is_list($values);
        foreach ($values as $key => $value) {
            if (
                (null === $value && $isList)
                || ((\is_int($value) || \is_float($value)) && !(abs($value) <= self::MAX_NUMBER))
            ) {
                $at = self::place($place, $key, $isList);
                $message =
                    null === $value ? 'There is nothing at this place of the list.' : 'This number is too large.';
                throw Invalid::field($at, \sprintf('%s: %s', $at, $message), $message);
            }
            if (\is_array($value)) {
                self::require($value, self::place($place, $key, $isList));
            }
        }
    }

    private static function place(string $of, int|string $key, bool $isList): string
    {
        $key = mb_strimwidth((string) $key, 0, 40, '…');

        return $isList ? $of.'['.$key.']' : ltrim($of.'.'.$key, '.');
    }
}
