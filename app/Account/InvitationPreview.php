<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** What a link is for, as whoever opens it sees it. */
final readonly class InvitationPreview
{
    public function __construct(
        public InvitationKind $kind,
        public string $role,
        public ?string $name,
        public ?string $email,
        public string $gym,
    ) {
    }
}
