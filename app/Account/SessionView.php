<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\Security\Csrf\CsrfTokenManagerInterface;

/** Who is signed in, and the token that every write has to send back. */
final readonly class SessionView
{
    public const TOKEN_ID = 'api';

    public function __construct(private CsrfTokenManagerInterface $tokens)
    {
    }

    public function response(?User $user): JsonResponse
    {
        return new JsonResponse([
            'user' => null === $user ? null : ['id' => $user->id(), 'name' => $user->name(), 'email' => $user->getUserIdentifier(), 'role' => $user->role()->word(), 'scheme' => $user->scheme()],
            'csrfToken' => $this->tokens->getToken(self::TOKEN_ID)->getValue(),
        ]);
    }
}
