<?php

declare(strict_types=1);

namespace Periplus\App\Account;

/** What a link is for, as shown to the person who opens it. */
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
