<?php

declare(strict_types=1);

namespace Periplus\App\Security;

use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Authorization\Voter\Vote;
use Symfony\Component\Security\Core\Authorization\Voter\Voter;

/**
 * Grants the permissions of a coach's roles.
 *
 * @extends Voter<string, mixed>
 */
final class PermissionVoter extends Voter
{
    protected function supports(string $attribute, mixed $subject): bool
    {
        return null !== Permission::tryFrom($attribute);
    }

    protected function voteOnAttribute(
        string $attribute,
        mixed $subject,
        TokenInterface $token,
        ?Vote $vote = null,
    ): bool {
        foreach ($token->getRoleNames() as $role) {
            if (\in_array(Permission::from($attribute), GymRole::tryFrom($role)?->permissions() ?? [], true)) {
                return true;
            }
        }

        return false;
    }
}
