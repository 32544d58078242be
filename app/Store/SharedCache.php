<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Symfony\Component\Cache\Adapter\AbstractAdapter;
use Symfony\Component\Cache\Adapter\ApcuAdapter;
use Symfony\Component\Cache\Adapter\RedisAdapter;

/**
 * Makes the caches that all processes of a gym share: the memory of one web server, or Redis where there are several.
 * While Redis is away nothing is found and nothing is kept, and everything goes on without.
 */
final readonly class SharedCache
{
    /** A request waits no longer for Redis, in s. */
    private const TIMEOUT_SECONDS = 0.5;

    /**
     * @param int $lifetime s; 0 for as long as there is room
     * @param string $dsn apcu:// or that of Redis
     * @param string $version of the code, in the name of its cache folder: another one may keep other values
     */
    public static function pool(
        string $namespace,
        int $lifetime,
        string $dsn,
        string $version,
        CurrentGym $gym,
    ): GymCache {
        return new GymCache(self::adapter($namespace, $lifetime, $dsn, $version), $gym);
    }

    private static function adapter(string $namespace, int $lifetime, string $dsn, string $version): AbstractAdapter
    {
        if (str_starts_with($dsn, 'apcu:')) {
            return new ApcuAdapter($namespace, $lifetime);
        }
        $redis = RedisAdapter::createConnection($dsn, [
            'lazy' => true,
            'timeout' => self::TIMEOUT_SECONDS,
            'read_timeout' => self::TIMEOUT_SECONDS,
        ]);

        return new RedisAdapter($redis, $namespace.hash('xxh32', basename($version)), $lifetime);
    }
}
