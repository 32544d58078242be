<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** It cannot be done as things are now. */
final class Conflict extends Refused
{
    /** @param array<string, mixed> $more */
    public function __construct(string $type, string $message, array $more = [])
    {
        parent::__construct($message, $type, $more);
    }
}
