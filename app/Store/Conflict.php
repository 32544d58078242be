<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Thrown when the request conflicts with the current state. */
final class Conflict extends Refused
{
    /** @param array<string, mixed> $more */
    public function __construct(string $type, string $message, array $more = [])
    {
        parent::__construct($message, $type, $more);
    }
}
