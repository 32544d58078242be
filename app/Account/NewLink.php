<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** A link that was just created; the only time its token is known. */
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
