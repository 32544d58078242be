<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Thrown when the account may not do that. */
final class NotAllowed extends Refused
{
    public function __construct(string $message, string $type = 'not-allowed')
    {
        parent::__construct($message, $type);
    }
}
