<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Symfony\Component\HttpFoundation\Response;

/** A decoded answer of the API. */
final readonly class Answer
{
    /** @param array<string, mixed> $body empty when there is none */
    private function __construct(
        public int $status,
        public string $contentType,
        public string $raw,
        public array $body,
        public ?string $etag,
        public ?string $retryAfter,
    ) {
    }

    /** @param string|null $raw the body, where the response is streamed and does not hold it */
    public static function of(Response $response, ?string $raw = null): self
    {
        $raw ??= (string) $response->getContent();
        /** @var array<string, mixed> $body */
        $body =
            '' === $raw || 1 !== preg_match('#[/+]json#', (string) $response->headers->get('Content-Type'))
                ? []
                : json_decode($raw, true, flags: \JSON_THROW_ON_ERROR);

        return new self(
            $response->getStatusCode(),
            (string) $response->headers->get('Content-Type'),
            $raw,
            $body,
            $response->headers->get('ETag'),
            $response->headers->get('Retry-After'),
        );
    }

    /** Returns the sentence of a refusal. */
    public function title(): string
    {
        $title = $this->body['title'] ?? '';

        return \is_string($title) ? $title : '';
    }

    public function type(): string
    {
        $type = $this->body['type'] ?? '';

        return \is_string($type) ? $type : '';
    }

    public function id(): int
    {
        $id = $this->body['id'] ?? null;

        return \is_int($id) ? $id : throw new \LogicException('This answer has no id: '.$this->raw);
    }
}
