<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Psr\Cache\CacheItemInterface;
use Symfony\Component\Cache\Adapter\AbstractAdapter;
use Symfony\Component\Cache\Adapter\AdapterInterface;
use Symfony\Component\Cache\CacheItem;
use Symfony\Component\Cache\ResettableInterface;
use Symfony\Contracts\Cache\CacheInterface;

/** A cache in which each gym of an installation finds its own values only. */
final class GymCache implements AdapterInterface, CacheInterface, ResettableInterface
{
    /** @var array<string, AbstractAdapter> by gym */
    private array $pools = [];

    public function __construct(private readonly AbstractAdapter $all, private readonly CurrentGym $gym)
    {
    }

    /** @param array<mixed> $metadata */
    public function get(string $key, callable $callback, ?float $beta = null, ?array &$metadata = null): mixed
    {
        return $this->own()->get($key, $callback, $beta, $metadata);
    }

    public function delete(string $key): bool
    {
        return $this->own()->delete($key);
    }

    public function getItem(mixed $key): CacheItem
    {
        return $this->own()->getItem($key);
    }

    public function getItems(array $keys = []): iterable
    {
        return $this->own()->getItems($keys);
    }

    public function hasItem(string $key): bool
    {
        return $this->own()->hasItem($key);
    }

    public function clear(string $prefix = ''): bool
    {
        return $this->own()->clear($prefix);
    }

    public function deleteItem(string $key): bool
    {
        return $this->own()->deleteItem($key);
    }

    public function deleteItems(array $keys): bool
    {
        return $this->own()->deleteItems($keys);
    }

    public function save(CacheItemInterface $item): bool
    {
        return $this->own()->save($item);
    }

    public function saveDeferred(CacheItemInterface $item): bool
    {
        return $this->own()->saveDeferred($item);
    }

    public function commit(): bool
    {
        return $this->own()->commit();
    }

    public function reset(): void
    {
        foreach ($this->pools as $pool) {
            $pool->reset();
        }
    }

    private function own(): AbstractAdapter
    {
        $space = $this->gym->space();

        return $this->pools[$space] ??= '' === $space ? $this->all : $this->all->withSubNamespace($space);
    }
}
