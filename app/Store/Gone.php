<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** A link that opened something once opens nothing any more. */
final class Gone extends Refused
{
    public function __construct(string $message)
    {
        parent::__construct($message, 'key-revoked');
    }
}
