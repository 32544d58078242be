<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Security\Permission;

/** Who is signed in, with what they may do. */
final readonly class SignedInCoach
{
    public int $id;
    public string $name;
    public string $email;
    public string $role;
    /** @var list<Permission> */
    public array $permissions;
    /** The numbering they read in; null for the gym's. */
    public ?string $numbering;

    public function __construct(User $user)
    {
        $this->id = $user->id();
        $this->name = $user->name();
        $this->email = $user->getUserIdentifier();
        $this->role = $user->role()->word();
        $this->permissions = $user->role()->permissions();
        $this->numbering = $user->numbering();
    }
}
