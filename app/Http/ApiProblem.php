<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/**
 * Rejects a request for formal reasons: too large, too frequent, without a version. Refusals by the domain are {@see
 * \Periplus\App\Store\Refused}.
 */
final class ApiProblem extends \RuntimeException
{
    /** @param array<string, mixed> $more */
    public function __construct(
        public readonly int $status,
        public readonly string $type,
        string $title,
        public readonly array $more = [],
    ) {
        parent::__construct($title);
    }
}
