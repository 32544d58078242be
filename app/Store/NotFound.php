<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Thrown when the requested entity does not exist. */
final class NotFound extends Refused
{
    public function __construct(string $message, string $type = 'not-found')
    {
        parent::__construct($message, $type);
    }
}
