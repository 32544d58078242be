<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Periplus\App\Gym\GymSettings;
use Symfony\Component\HttpFoundation\JsonResponse;

/** Who is signed in, and the token that every write has to send back. */
final readonly class SessionView
{
    public function __construct(private RequestToken $token, private GymSettings $gym)
    {
    }

    public function response(?User $user): JsonResponse
    {
        return new JsonResponse([
            'user' => null === $user ? null : ['id' => $user->id(), 'name' => $user->name(), 'email' => $user->getUserIdentifier(), 'role' => $user->role()->word(), 'numbering' => $user->numbering()],
            'csrfToken' => $this->token->of($user),
            'timeZone' => null === $user ? null : $this->gym->timeZone()->getName(),
        ]);
    }
}
