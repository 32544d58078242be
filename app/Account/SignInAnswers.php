<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Connection;
use Periplus\App\Http\ProblemResponse;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authentication\AuthenticationFailureHandlerInterface;
use Symfony\Component\Security\Http\Authentication\AuthenticationSuccessHandlerInterface;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;
use Symfony\Component\Security\Http\Event\LogoutEvent;

/** What the API says when someone signs in, fails to, has to, or signs out. */
final readonly class SignInAnswers implements AuthenticationSuccessHandlerInterface, AuthenticationFailureHandlerInterface, AuthenticationEntryPointInterface
{
    public function __construct(private SessionView $view, private Connection $connection, private ClockInterface $clock)
    {
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token): Response
    {
        $user = $token->getUser();
        if ($user instanceof User) {
            $this->connection->update('user', ['last_sign_in' => $this->clock->now()->format('Y-m-d H:i:s')], ['id' => $user->id()]);
        }

        return $this->view->response($user instanceof User ? $user : null);
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        return $exception instanceof TooManyLoginAttemptsAuthenticationException
            ? ProblemResponse::of(429, 'too-many-tries', 'Too many tries. Wait a minute, then sign in again.')
            : ProblemResponse::of(401, 'sign-in-failed', 'The e-mail address or the password is not right.');
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return ProblemResponse::of(401, 'sign-in-needed', 'Sign in first.');
    }

    #[AsEventListener]
    public function signedOut(LogoutEvent $event): void
    {
        $event->setResponse(new Response(status: 204));
    }
}
