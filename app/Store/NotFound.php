<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** What was asked for is not there. */
final class NotFound extends Refused
{
    public function __construct(string $message, string $type = 'not-found')
    {
        parent::__construct($message, $type);
    }
}
