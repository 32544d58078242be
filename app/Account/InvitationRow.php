<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Security\GymRole;

/** A valid link as shown to head coaches, without its token. */
final readonly class InvitationRow implements \JsonSerializable
{
    /** @param string|null $madeBy null for a link that was made on the machine itself */
    public function __construct(
        public int $id,
        public InvitationKind $kind,
        public GymRole $role,
        public string $meantFor,
        public ?string $madeBy,
        public \DateTimeImmutable $madeAt,
        public \DateTimeImmutable $expiresAt,
    ) {
    }

    /** @return array<mixed> */
    public function jsonSerialize(): array
    {
        return [
            ...get_object_vars($this),
            'role' => $this->role->word(),
            'madeAt' => $this->madeAt->format(\DATE_ATOM),
            'expiresAt' => $this->expiresAt->format(\DATE_ATOM),
        ];
    }
}
