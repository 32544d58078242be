<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Exception\UnsupportedMediaTypeHttpException;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

final readonly class SessionController
{
    public function __construct(private SessionView $view)
    {
    }

    #[Route('/api/session', methods: 'GET')]
    public function read(#[CurrentUser] ?User $user): Response
    {
        return $this->view->response($user);
    }

    /** The firewall handles this route, except for requests that are not JSON. */
    #[Route('/api/session', name: 'sign_in', methods: 'POST')]
    public function signIn(): never
    {
        throw new UnsupportedMediaTypeHttpException();
    }

    #[Route('/api/session/end', name: 'sign_out', methods: 'POST')]
    public function signOut(): never
    {
        throw new \LogicException('The firewall signs out.');
    }
}
