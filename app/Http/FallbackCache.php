<?php

declare(strict_types=1);

namespace Periplus\App\Http;

use Doctrine\DBAL\Exception\ConnectionException;
use Psr\Cache\CacheItemPoolInterface;

/** Caches values from the database: they are fresh for a moment, and are still used while the database is down. */
final readonly class FallbackCache
{
    public function __construct(private CacheItemPoolInterface $copiesCache)
    {
    }

    /**
     * @param int $fresh s within which it is not read again
     * @param \Closure(): mixed $read
     *
     * @throws ConnectionException when the database is away and nothing was read before
     * @throws \Throwable what $read throws
     */
    public function read(string $key, int $fresh, \Closure $read): mixed
    {
        $copy = $this->copy($key);
        if (\is_array($copy) && $copy[0] > time() - $fresh) {
            return $copy[1];
        }
        try {
            $value = $read();
        } catch (ConnectionException $away) {
            return \is_array($copy) ? $copy[1] : throw $away;
        }
        $this->keep($key, [time(), $value]);

        return $value;
    }

    /** @return mixed null when there is none */
    public function copy(string $key): mixed
    {
        return $this->copiesCache->getItem($key)->get();
    }

    /** @param int|null $seconds how long it is good for; until it is forgotten when null */
    public function keep(string $key, mixed $value, ?int $seconds = null): void
    {
        $this->copiesCache->save($this->copiesCache->getItem($key)->set($value)->expiresAfter($seconds));
    }

    /** Clears the cached value after a change. */
    public function forget(string $key): void
    {
        $this->copiesCache->deleteItem($key);
    }
}
