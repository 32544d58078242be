<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Security\GymRole;
use Symfony\Component\Validator\Constraints as Assert;

/** An invitation: the name and the role of the new coach. */
final readonly class InviteRequest
{
    public function __construct(
        #[Assert\Choice(callback: [GymRole::class, 'words'], message: 'A role is one of {{ choices }}.')]
        public string $role = 'coach',
        /** A note on whom the link is for, to tell links apart. */
        #[Assert\Length(max: 80, maxMessage: 'Say who it is for in at most {{ limit }} characters.')]
        public string $meantFor = '',
    ) {
    }

    public function role(): GymRole
    {
        return GymRole::ofWord($this->role);
    }
}
