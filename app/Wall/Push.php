<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

use Psr\Log\LoggerInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;

/**
 * Notifies open screens through nginx, which holds their connections. The message is only that something changed, or
 * the state of the session; a screen that misses it polls a little later. Where there are several web servers, each is
 * told, because a screen may listen at any of them.
 */
final readonly class Push
{
    /** Maximum time in s that a command waits for one web server. */
    private const TIMEOUT_SECONDS = 0.5;

    /** @var list<string> on which the web servers take messages: unix:///path or tcp://host:port */
    private array $servers;

    /** @param string|null $servers separated by blanks; empty where there is none */
    public function __construct(
        #[Autowire('%env(default::PERIPLUS_PUSH)%')] ?string $servers,
        private LoggerInterface $logger,
    ) {
        $this->servers = '' === (string) $servers ? [] : explode(' ', (string) $servers);
    }

    /** Tells the screens with these keys to reload. */
    public function changed(string ...$keys): void
    {
        $this->send($keys, ['changed' => true]);
    }

    /**
     * @param list<string> $keys
     * @param object $run the state of the run that screens get
     */
    public function run(array $keys, object $run): void
    {
        $this->send($keys, ['run' => $run]);
    }

    /**
     * In parallel, so that no screen waits for another.
     *
     * @param array<string> $keys
     * @param array<string, mixed> $message
     */
    private function send(array $keys, array $message): void
    {
        $body = json_encode($message, \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE);
        $connections = [];
        foreach ($this->servers as $server) {
            foreach ($keys as $key) {
                $connection = @stream_socket_client($server, $number, $error, self::TIMEOUT_SECONDS);
                if (false === $connection) {
                    $this->logger->warning("Screens at $server could not be told of a change: $error");
                    continue 2;
                }
                stream_set_timeout($connection, 0, (int) (1_000_000 * self::TIMEOUT_SECONDS));
                fwrite(
                    $connection,
                    "POST /publish/$key HTTP/1.1\r\nHost: localhost\r\nContent-Type: application/json\r\n"
                        .'Content-Length: '
                        .\strlen($body)
                        ."\r\nConnection: close\r\n\r\n$body",
                );
                $connections[] = $connection;
            }
        }
        foreach ($connections as $connection) {
            // Read to the end, so that the screens are notified before the command is answered.
            stream_get_contents($connection);
            fclose($connection);
        }
    }
}
