<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** A link that was made just now; its word is known here alone. */
final readonly class NewLink implements \JsonSerializable
{
    public function __construct(#[\SensitiveParameter] public string $token, public \DateTimeImmutable $expiresAt)
    {
    }

    /** @return array{token: string, expiresAt: string} */
    public function jsonSerialize(): array
    {
        return ['token' => $this->token, 'expiresAt' => $this->expiresAt->format(\DATE_ATOM)];
    }
}
