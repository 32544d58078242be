<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Thrown when a link is no longer valid. */
final class Gone extends Refused
{
    public function __construct(string $message)
    {
        parent::__construct($message, 'key-revoked');
    }
}
