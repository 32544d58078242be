<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Thrown when somebody else has changed the entity meanwhile; nothing was overwritten. */
final class ChangedMeanwhile extends Refused
{
    /** @param array<string, mixed> $more */
    public function __construct(string $message, array $more = [])
    {
        parent::__construct($message, 'changed-meanwhile', $more);
    }
}
