<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\RetryableException;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use Symfony\Component\Security\Core\Exception\AccessDeniedException;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Validator\Exception\ValidationFailedException;

/** Turns every exception into an answer that a person can act on. */
#[AsEventListener]
final readonly class ProblemListener
{
    /** What MariaDB's client says when the server went in the middle: gone away, lost during a query, shutting down. */
    private const CUT_OFF = [2006, 2013, 1053, 4031];

    public function __construct(private LoggerInterface $logger)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $error = $event->getThrowable();
        // The firewall answers these two itself: with the sign-in sentence, or by coming back here as 403.
        if ($error instanceof AuthenticationException || $error instanceof AccessDeniedException) {
            return;
        }
        $event->setResponse($this->answer($error));
    }

    private function answer(\Throwable $error): ProblemResponse
    {
        if ($error instanceof Problem) {
            return ProblemResponse::of($error->status, $error->type, $error->getMessage(), $error->more);
        }
        if ($error->getPrevious() instanceof ValidationFailedException) {
            return $this->invalid($error->getPrevious());
        }
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof ConnectionException || $cause instanceof RetryableException || ($cause instanceof DriverException && \in_array($cause->getCode(), self::CUT_OFF, true))) {
                $response = ProblemResponse::of(503, 'database-away', 'The library is not to be reached for the moment. Nothing was saved; try again shortly.');
                $response->headers->set('Retry-After', '3');

                return $response;
            }
        }
        if ($error instanceof HttpExceptionInterface) {
            return $this->http($error);
        }
        $this->logger->critical('Unexpected: '.$error->getMessage(), ['exception' => $error]);

        return ProblemResponse::of(500, 'unexpected', 'Something went wrong on our side. Nothing was saved; try again.');
    }

    private function invalid(ValidationFailedException $failed): ProblemResponse
    {
        $violations = [];
        foreach ($failed->getViolations() as $violation) {
            $violations[] = ['field' => $violation->getPropertyPath(), 'message' => (string) $violation->getMessage()];
        }

        return ProblemResponse::of(422, 'invalid', 'Some of this cannot be taken as it is: '.implode(' ', array_column($violations, 'message')), ['violations' => $violations]);
    }

    private function http(HttpExceptionInterface $error): ProblemResponse
    {
        $response = match ($error->getStatusCode()) {
            400 => ProblemResponse::of(400, 'unreadable-request', 'This request is not JSON that can be read.'),
            403 => ProblemResponse::of(403, 'not-allowed', 'Your role does not allow this.'),
            404 => ProblemResponse::of(404, 'not-found', 'There is nothing here. It may have been moved.'),
            405 => ProblemResponse::of(405, 'wrong-method', 'This address does not take that kind of request.'),
            413 => ProblemResponse::of(413, 'too-large', 'This is larger than the server takes.'),
            415 => ProblemResponse::of(415, 'not-json', 'Send JSON, with Content-Type: application/json.'),
            default => ProblemResponse::of($error->getStatusCode(), 'refused', 'The server refused this request.'),
        };
        $response->headers->add($error->getHeaders());
        $response->headers->set('Content-Type', 'application/problem+json');

        return $response;
    }
}
