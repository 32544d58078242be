<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Exception\ConnectionException;
use Periplus\App\Gym\Gyms;
use Symfony\Component\HttpFoundation\JsonResponse;

/** Serializes who is signed in, in which gym, and the CSRF token for writes. */
final readonly class SessionView
{
    public function __construct(private RequestToken $token, private Gyms $gyms)
    {
    }

    public function response(?User $user): JsonResponse
    {
        return new JsonResponse([
            'user' => null === $user ? null : new SignedInCoach($user),
            'csrfToken' => $this->token->forUser($user),
            'gym' => null === $user ? null : $this->gym(),
        ]);
    }

    /** Returns null while the database is away. */
    private function gym(): ?SessionGym
    {
        try {
            return new SessionGym($this->gyms->get());
        } catch (ConnectionException) {
            return null;
        }
    }
}
