<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Tells open screens that something changed, by way of the web server, which holds their connections. What they are told
 * is only that, or the state of the session; a screen that is not told asks by itself a little later.
 */
final readonly class Push
{
    /** s that a command waits for it at most */
    private const PATIENCE = 0.5;

    /** @param string $socket on which the web server takes messages; empty where there is none */
    public function __construct(#[Autowire('%env(default::PERIPLUS_PUSH)%')] private ?string $socket, private LoggerInterface $logger)
    {
    }

    /** That the screen with this key asks again. */
    public function changed(string $key): void
    {
        $this->send($key, ['changed' => true]);
    }

    /** @param array<string, mixed> $run as screens are told of it */
    public function run(string $key, array $run): void
    {
        $this->send($key, ['run' => $run]);
    }

    /** @param array<string, mixed> $message */
    private function send(string $key, array $message): void
    {
        if (null === $this->socket || '' === $this->socket) {
            return;
        }
        $connection = @stream_socket_client('unix://'.$this->socket, $number, $error, self::PATIENCE);
        if (false === $connection) {
            $this->logger->warning('Screens could not be told of a change: '.$error);

            return;
        }
        stream_set_timeout($connection, 0, (int) (1_000_000 * self::PATIENCE));
        $body = json_encode($message, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        fwrite($connection, "POST /publish/$key HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\nContent-Length: ".\strlen($body)."\r\nConnection: close\r\n\r\n$body");
        // Read to its end, so that the command is answered once they are told.
        stream_get_contents($connection);
        fclose($connection);
    }
}
