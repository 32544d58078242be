<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/**
 * Refuses something in words that a coach understands. It knows nothing of HTTP: the API's listener gives each kind its
 * status.
 */
abstract class Refused extends \RuntimeException
{
    /**
     * @param string $type stable, in lower case with hyphens
     * @param array<string, mixed> $more further members of the answer, described in docs/openapi.yaml
     */
    protected function __construct(string $message, public readonly string $type, public readonly array $more = [])
    {
        parent::__construct($message);
    }
}
