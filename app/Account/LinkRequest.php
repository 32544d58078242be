<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** The token of a link. It is sent in the request body, which is never logged, and not in the URL. */
final readonly class LinkRequest
{
    public function __construct(#[\SensitiveParameter] public string $token)
    {
    }
}
