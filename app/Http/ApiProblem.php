<?php

declare(strict_types=1);

namespace Periplus\App\Http;

/** Something the API refuses, thrown anywhere and answered as a {@see ProblemResponse}. */
final class ApiProblem extends \RuntimeException
{
    /** @param array<string, mixed> $more */
    public function __construct(public readonly int $status, public readonly string $type, string $title, public readonly array $more = [])
    {
        parent::__construct($title);
    }
}
