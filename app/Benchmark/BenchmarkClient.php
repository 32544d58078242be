<?php

declare(strict_types=1);

namespace Periplus\App\Benchmark;

/** A coach's browser for bin/periplus benchmark: a persistent connection, the session cookie and the CSRF token. */
final class BenchmarkClient
{
    private readonly \CurlHandle $curl;
    private string $token = '';

    public function __construct(private readonly string $url)
    {
        $curl = curl_init();
        $this->curl = false === $curl ? throw new \RuntimeException('curl cannot be used.') : $curl;
        curl_setopt_array($this->curl, [
            \CURLOPT_RETURNTRANSFER => true,
            \CURLOPT_COOKIEFILE => '',
            \CURLOPT_TIMEOUT => 10,
        ]);
    }

    /** @throws \RuntimeException with a sentence when the server is away or refuses */
    public function signIn(string $email, string $password): void
    {
        $this->freshToken();
        $this->send('/api/session', ['email' => $email, 'password' => $password]);
        $this->freshToken();
    }

    /**
     * @param array<string, mixed>|null $body null asks with GET
     *
     * @return float ms from the first byte sent to the last received
     */
    public function time(string $path, ?array $body): float
    {
        $start = hrtime(true);
        $this->send($path, $body);

        return (hrtime(true) - $start) / 1e6;
    }

    /**
     * @param array<string, mixed>|null $body null asks with GET
     * @param list<string> $headers
     *
     * @return array<mixed>
     */
    public function ask(string $path, ?array $body = null, array $headers = []): array
    {
        return (array) json_decode($this->send($path, $body, $headers), true);
    }

    private function freshToken(): void
    {
        $token = $this->ask('/api/session')['csrfToken'] ?? null;
        $this->token = \is_string($token) ? $token : throw new \RuntimeException('The server sent no token.');
    }

    /**
     * @param array<string, mixed>|null $body null asks with GET
     * @param list<string> $headers
     */
    private function send(string $path, ?array $body, array $headers = []): string
    {
        curl_setopt(
            $this->curl,
            \CURLOPT_URL,
            '' === $this->url ? throw new \RuntimeException('no address is given.') : $this->url.$path,
        );
        curl_setopt($this->curl, \CURLOPT_HTTPHEADER, [
            'X-CSRF-Token: '.$this->token,
            ...null === $body ? [] : ['Content-Type: application/json'],
            ...$headers,
        ]);
        if (null === $body) {
            curl_setopt($this->curl, \CURLOPT_HTTPGET, true);
        } else {
            curl_setopt($this->curl, \CURLOPT_POST, true);
            curl_setopt($this->curl, \CURLOPT_POSTFIELDS, json_encode((object) $body, \JSON_THROW_ON_ERROR));
        }
        $answer = curl_exec($this->curl);
        if (!\is_string($answer)) {
            throw new \RuntimeException(\sprintf('nothing answers on %s. Run bin/start first.', $this->url));
        }
        $status = curl_getinfo($this->curl, \CURLINFO_RESPONSE_CODE);

        return $status < 400 ? $answer : throw new \RuntimeException(\sprintf('%s answered %d.', $path, $status));
    }
}
