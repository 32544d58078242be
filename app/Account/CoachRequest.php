<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Security\GymRole;
use Symfony\Component\Validator\Constraints as Assert;

/** A change of an account by the head coach; null leaves a field unchanged. */
final readonly class CoachRequest
{
    public function __construct(
        #[Assert\Choice(callback: [GymRole::class, 'words'], message: 'A role is one of {{ choices }}.')]
        public ?string $role = null,
        public ?bool $active = null,
    ) {
    }

    public function role(): ?GymRole
    {
        return null === $this->role ? null : GymRole::ofWord($this->role);
    }
}
