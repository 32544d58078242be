<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\Validator\Constraints as Assert;

/** Whom the head coach invites, and as what. */
final readonly class InviteRequest
{
    public function __construct(
        #[Assert\Choice(callback: [GymRole::class, 'words'], message: 'A role is one of {{ choices }}.')]
        public string $role = 'coach',
        /** For whom the link is meant, to tell links apart. */
        #[Assert\Length(max: 80, maxMessage: 'Say for whom in at most {{ limit }} characters.')]
        public string $meantFor = '',
    ) {
    }

    public function role(): GymRole
    {
        return GymRole::ofWord($this->role);
    }
}
