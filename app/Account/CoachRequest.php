<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\Validator\Constraints as Assert;

/** What the head coach changes of an account, or invites someone as. */
final readonly class CoachRequest
{
    public function __construct(
        #[Assert\Choice(choices: ['head-coach', 'coach'], message: 'A role is head-coach or coach.')]
        public string $role = 'coach',
        public bool $active = true,
    ) {
    }

    public function role(): GymRole
    {
        return 'head-coach' === $this->role ? GymRole::HeadCoach : GymRole::Coach;
    }
}
