<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Symfony\Component\HttpFoundation\JsonResponse;

/** An error as application/problem+json: a stable type and a sentence for people. */
final class ProblemResponse extends JsonResponse
{
    /**
     * @param string $type stable, in lower case with hyphens
     * @param string $title one sentence that says what happened and what to do
     * @param array<string, mixed> $more further members, described in docs/openapi.yaml
     */
    public static function of(int $status, string $type, string $title, array $more = []): self
    {
        return new self(['type' => $type, 'title' => $title, 'status' => $status, ...$more], $status, [
            'Content-Type' => 'application/problem+json',
        ]);
    }
}
