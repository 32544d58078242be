<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/**
 * Base of domain refusals, with a message for coaches. It knows nothing of HTTP: ProblemListener assigns the status.
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
