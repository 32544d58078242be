<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Store\Instant;

/** A link that was just created; the only time its token is known. */
final readonly class NewLink
{
    public function __construct(#[\SensitiveParameter] public string $token, public Instant $expiresAt)
    {
    }
}
