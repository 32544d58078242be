<?php

declare(strict_types=1);

namespace Periplus\App\Account;

final readonly class PasswordRequest
{
    public function __construct(
        #[\SensitiveParameter] public string $current,
        #[\SensitiveParameter] public string $new,
    ) {
    }
}
