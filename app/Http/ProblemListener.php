<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Doctrine\ORM\OptimisticLockException;
use Periplus\App\Store\ChangedMeanwhile;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\DatabaseFailure;
use Periplus\App\Store\DiskFull;
use Periplus\App\Store\Gone;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotAllowed;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;
use Periplus\App\Store\TransactionOutcome;
use Periplus\Core\Session\Programme\ProgrammeTooLarge;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Authentication\Token\Storage\TokenStorageInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Validator\Exception\ValidationFailedException;

use function Periplus\Core\Language\t;

/** Turns every exception into an answer that tells a coach what to do. */
#[AsEventListener(priority: 2)]
final readonly class ProblemListener
{
    /** The status of each kind of refusal. */
    private const STATUS = [
        NotAllowed::class => 403,
        NotFound::class => 404,
        Conflict::class => 409,
        Gone::class => 410,
        ChangedMeanwhile::class => 412,
        Invalid::class => 422,
        DiskFull::class => 503,
    ];

    public function __construct(
        private LoggerInterface $logger,
        private TokenStorageInterface $tokens,
        private TransactionOutcome $outcome,
    ) {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $event->setResponse($this->answer($event->getThrowable()));
    }

    private function answer(\Throwable $error): ProblemResponse
    {
        if ($error instanceof Refused) {
            return ProblemResponse::of(self::STATUS[$error::class], $error->type, $error->getMessage(), $error->more);
        }
        if ($error instanceof ApiProblem) {
            return ProblemResponse::of($error->status, $error->type, $error->getMessage(), $error->more);
        }
        if ($error instanceof ProgrammeTooLarge) {
            return ProblemResponse::of(422, 'programme-too-large', $error->getMessage());
        }
        if ($error instanceof OptimisticLockException) {
            return ProblemResponse::of(
                412,
                'changed-meanwhile',
                t('Somebody else changed this meanwhile. Nothing was overwritten; look at the newest and make the '
                    .'change again.'),
            );
        }
        if ($error->getPrevious() instanceof ValidationFailedException) {
            return $this->invalid($error->getPrevious());
        }
        // Answered before the firewall, which would store a session for an anonymous visitor to return to this URL.
        if ($error instanceof AuthenticationException || $error instanceof AccessDeniedException) {
            return null === $this->tokens->getToken()?->getUser()
                ? ProblemResponse::of(401, 'sign-in-needed', t('Sign in first.'))
                : ProblemResponse::of(403, 'not-allowed', t('Your role does not allow this.'));
        }
        $failure = DatabaseFailure::of($error);
        $response = null === $failure ? null : $this->ofDatabase($failure);
        if (null !== $response) {
            $response->headers->set('Retry-After', '3');

            return $response;
        }
        if ($error instanceof HttpExceptionInterface) {
            return $this->http($error);
        }
        $this->logger->critical('Unexpected: '.$error->getMessage(), ['exception' => $error]);

        return ProblemResponse::of(
            500,
            'unexpected',
            t('Something went wrong on our side. Nothing was saved; try again.'),
        );
    }

    /** Returns the answer for database errors that will pass, such as a restart or a full disk. */
    private function ofDatabase(DatabaseFailure $failure): ?ProblemResponse
    {
        $mayBeSaved = $this->outcome->isUnknown() || $this->outcome->isWritten();

        return match (true) {
            $failure->isTemporary() && $mayBeSaved => ProblemResponse::of(
                503,
                'outcome-unknown',
                t('The connection to the library broke while this was saved, so it may be saved or not. Look '
                    .'whether it is there before you try again.'),
            ),
            $failure->isTemporary() => ProblemResponse::of(
                503,
                'database-away',
                t('The library is unavailable right now. Nothing was saved; try again shortly.'),
            ),
            $failure->isFull() => ProblemResponse::of(503, DiskFull::TYPE, DiskFull::sentence()),
            $failure->isReadOnly() => ProblemResponse::of(
                503,
                'upgrade-under-way',
                t('Periplus is being brought up to date. Nothing was saved; try again in a minute.'),
            ),
            default => null,
        };
    }

    private function invalid(ValidationFailedException $failed): ProblemResponse
    {
        $violations = [];
        foreach ($failed->getViolations() as $violation) {
            $violations[] = ['field' => $violation->getPropertyPath(), 'message' => (string) $violation->getMessage()];
        }

        return ProblemResponse::of(
            422,
            'invalid',
            t('Some fields are invalid: {messages}', messages: implode(' ', array_column($violations, 'message'))),
            ['violations' => $violations],
        );
    }

    private function http(HttpExceptionInterface $error): ProblemResponse
    {
        $response = match ($error->getStatusCode()) {
            400 => ProblemResponse::of(400, 'unreadable-request', t('This request is not JSON that can be read.')),
            404 => ProblemResponse::of(404, 'not-found', t('This page does not exist. It may have been moved.')),
            405 => ProblemResponse::of(405, 'wrong-method', t('This address does not take that kind of request.')),
            413 => ProblemResponse::of(413, 'too-large', t('This is larger than the server accepts.')),
            415 => ProblemResponse::of(415, 'not-json', 'Send JSON, with Content-Type: application/json.'),
            default => ProblemResponse::of($error->getStatusCode(), 'refused', t('The server refused this request.')),
        };
        $response->headers->add($error->getHeaders());
        $response->headers->set('Content-Type', 'application/problem+json');

        return $response;
    }
}
