<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Security\GymRole;
use Periplus\App\Store\Instant;

/** A link that invites a coach or gives a new password, as it is listed. */
final readonly class InvitationRow
{
    public string $role;
    public Instant $madeAt;
    public Instant $expiresAt;

    /** @param string|null $madeBy null for a link that was made on the machine itself */
    public function __construct(
        public int $id,
        public InvitationKind $kind,
        GymRole $role,
        public string $meantFor,
        public ?string $madeBy,
        \DateTimeImmutable $madeAt,
        \DateTimeImmutable $expiresAt,
    ) {
        $this->role = $role->word();
        $this->madeAt = new Instant($madeAt);
        $this->expiresAt = new Instant($expiresAt);
    }
}
