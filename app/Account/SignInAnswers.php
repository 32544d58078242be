<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Http\ProblemResponse;
use Periplus\App\Security\GymRole;
use Psr\Clock\ClockInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\PasswordHasher\Exception\InvalidPasswordException;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\TooManyLoginAttemptsAuthenticationException;
use Symfony\Component\Security\Http\Authentication\AuthenticationFailureHandlerInterface as FailureHandler;
use Symfony\Component\Security\Http\Authentication\AuthenticationSuccessHandlerInterface as SuccessHandler;
use Symfony\Component\Security\Http\Event\LogoutEvent;
use Symfony\Component\Security\Http\SecurityRequestAttributes;

use function Periplus\Core\Language\t;

/** Answers a sign-in, a failed sign-in and a sign-out; the first two are written to the audit log. */
final readonly class SignInAnswers implements SuccessHandler, FailureHandler
{
    public function __construct(
        private SessionView $view,
        private Accounts $accounts,
        private EntityManagerInterface $entities,
        private UserPasswordHasherInterface $hasher,
        private AuditLog $audit,
        private SignInLimiter $limiter,
        private ClockInterface $clock,
    ) {
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token): Response
    {
        $user = $token->getUser();
        if ($user instanceof User) {
            $this->accounts->find($user->id())?->signedIn($this->clock->now());
            $this->entities->flush();
            $this->audit->add($user->id(), 'sign-in.succeeded', t('signed in'), 'coaches/'.$user->id());
        }

        return $this->view->response($user instanceof User ? $user : null);
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        if ($exception instanceof TooManyLoginAttemptsAuthenticationException) {
            // One row for a period, not one for each attempt.
            $this->audit->addOnce('sign-in.held-back', t('Attempts to sign in were refused: there were too many'), 600);

            return ProblemResponse::of(429, 'too-many-tries', t('Too many tries. Wait a minute, then sign in again.'));
        }
        $this->limiter->failed($request);
        $name = $request->attributes->get(SecurityRequestAttributes::LAST_USERNAME);
        $account = \is_string($name) ? $this->accounts->withEmail(EmailAddress::normalize($name)) : null;
        $isActive = true === $account?->isActive();
        if (!$isActive) {
            $this->takeAsLong($request);
        }
        if (null === $account) {
            $this->audit->addOnce(
                'sign-in.failed',
                t('Somebody failed to sign in under a name that is not known here'),
                60,
            );
        } else {
            $this->audit->add(
                $account->id(),
                'sign-in.failed',
                $isActive
                    ? t('failed to sign in: the password was wrong')
                    : t('failed to sign in: the account is blocked'),
                'coaches/'.$account->id(),
            );
        }

        return ProblemResponse::of(401, 'sign-in-failed', t('The e-mail address or the password is not right.'));
    }

    #[AsEventListener]
    public function signedOut(LogoutEvent $event): void
    {
        $event->setResponse(new Response(status: 204));
    }

    /** A password is hashed even without an account, so that the response time does not reveal who has one. */
    private function takeAsLong(Request $request): void
    {
        $body = json_decode($request->getContent(), true);
        $password = \is_array($body) && \is_string($body['password'] ?? null) ? $body['password'] : '';
        try {
            $this->hasher->hashPassword(new User('nobody@nowhere.example', '', GymRole::Coach), $password);
        } catch (InvalidPasswordException) {
            // Too long to be a password: rejected at once, for existing accounts as well.
        }
    }
}
