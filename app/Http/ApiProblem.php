<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/**
 * Refuses a request for what it is as a request: too large, too often, without a version. What is refused for other
 * reasons is {@see \Periplus\App\Store\Refused}.
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
