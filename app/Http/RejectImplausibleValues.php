<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Periplus\App\Store\Invalid;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;

use function Periplus\Core\Language\t;

/**
 * Rejects JSON that no client of ours sends: a null in a list, and numbers out of range. Controllers need not handle
 * them.
 */
#[AsEventListener(priority: 17)]
final readonly class RejectImplausibleValues
{
    /** Greater than any time in ms, and small enough for floats to be exact integers. */
    private const MAX_NUMBER = 1e15;
    private const MAX_DEPTH = 64;

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        if (!$event->isMainRequest() || 'json' !== $request->getContentTypeFormat()) {
            return;
        }
        // Invalid or too deeply nested JSON is rejected where the request is read.
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
                $index = self::place($place, $key, $isList);
                $message =
                    null === $value ? t('There is nothing at this place of the list.') : t('This number is too large.');
                throw Invalid::field($index, t('{index}: {value}', index: $index, value: $message), $message);
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
