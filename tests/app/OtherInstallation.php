<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Symfony\Component\HttpClient\Exception\TransportException;
use Symfony\Component\HttpClient\Response\MockResponse;

/** Answers as the installation of another gym does when its offers are asked for. */
final class OtherInstallation
{
    public const LINK = 'https://north.example/api/shared-offers/0123456789abcdef0123456789abcdef';

    /** @var array<mixed>|null null while it cannot be reached */
    public ?array $document = null;
    public int $status = 200;
    /** @var list<int> the status of every answer so far */
    public array $answered = [];

    /** @param array{normalized_headers: array<string, list<string>>} $options */
    public function __invoke(string $method, string $url, array $options): MockResponse
    {
        if (null === $this->document) {
            throw new TransportException('Could not connect.');
        }
        $body = json_encode($this->document, \JSON_THROW_ON_ERROR);
        $etag = '"'.md5($body).'"';
        $isSame = ['If-None-Match: '.$etag] === ($options['normalized_headers']['if-none-match'] ?? []);
        $status = 200 === $this->status && $isSame ? 304 : $this->status;
        $this->answered[] = $status;

        return new MockResponse(200 === $status ? $body : '', [
            'http_code' => $status,
            'response_headers' => ['ETag' => $etag, 'Location' => 'https://elsewhere.example/'],
        ]);
    }
}
