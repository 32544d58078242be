<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** The word in a link. It stands in the body of a request, which no log keeps, and never in an address. */
final readonly class LinkRequest
{
    public function __construct(#[\SensitiveParameter] public string $token)
    {
    }
}
