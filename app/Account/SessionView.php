<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Exception\ConnectionException;
use Periplus\App\Gym\GymKind;
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
            'user' => null === $user
                    ? null
                    : [
                        'id' => $user->id(),
                        'name' => $user->name(),
                        'email' => $user->getUserIdentifier(),
                        'role' => $user->role()->word(),
                        'permissions' => $user->role()->permissions(),
                        'numbering' => $user->numbering(),
                    ],
            'csrfToken' => $this->token->forUser($user),
            'gym' => null === $user ? null : $this->gym(),
        ]);
    }

    /** @return array<string, mixed>|null null while the database is away */
    private function gym(): ?array
    {
        try {
            $gym = $this->gyms->get();
        } catch (ConnectionException) {
            return null;
        }

        return [
            'name' => $gym->name(),
            'isDemo' => GymKind::Demo === $gym->kind(),
            'isBeingSetUp' => $gym->isBeingSetUp(),
            'timeZone' => $gym->timeZone()->getName(),
            'firstWeekday' => $gym->firstWeekday(),
        ];
    }
}
