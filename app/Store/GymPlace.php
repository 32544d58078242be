<?php

declare(strict_types=1);

namespace Periplus\App\Store;

/** Where one of several gyms of an installation is kept. */
final readonly class GymPlace
{
    /**
     * @param string $name lower case letters and digits; names its database and folders
     * @param string $host by which it is asked for
     * @param string|null $server of its database, as host:port; null for that of the installation
     * @param string|null $group of gyms that share what they offer
     */
    public function __construct(
        public string $name,
        public string $host,
        public ?string $server = null,
        public ?string $group = null,
    ) {
    }

    public function database(): string
    {
        return 'periplus_'.$this->name;
    }

    /** @return array{dbname: string, host?: string, port?: int} what a connection to its database has of its own */
    public function parameters(): array
    {
        if (null === $this->server) {
            return ['dbname' => $this->database()];
        }
        [$host, $port] = [...explode(':', $this->server, 2), '3306'];

        return ['dbname' => $this->database(), 'host' => $host, 'port' => (int) $port];
    }
}
