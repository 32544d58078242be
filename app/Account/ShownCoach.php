<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Store\Instant;

/** An account as the head coach sees it. */
final readonly class ShownCoach
{
    public int $id;
    public string $name;
    public string $email;
    public string $role;
    public bool $active;
    public ?Instant $lastSignIn;

    public function __construct(User $user)
    {
        $this->id = $user->id();
        $this->name = $user->name();
        $this->email = $user->getUserIdentifier();
        $this->role = $user->role()->word();
        $this->active = $user->isActive();
        $this->lastSignIn = Instant::ofNullable($user->lastSignIn());
    }
}
