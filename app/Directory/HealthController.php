<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Doctrine\Migrations\DependencyFactory;
use Periplus\App\Store\CurrentGym;
use Psr\Cache\CacheItemPoolInterface;
use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Routing\Attribute\Route;

/** Tells a load balancer what it may send to this web server. */
final readonly class HealthController
{
    private const OK = 'ok';
    private const AWAY = 'away';
    private const OUTDATED = 'outdated';
    private const PROBE_SECONDS = 10;

    public function __construct(
        #[Autowire(service: 'doctrine.migrations.dependency_factory')] private DependencyFactory $migrations,
        #[Autowire(service: 'cache.app')] private CacheItemPoolInterface $cache,
        private CurrentGym $current,
        private HostedGyms $gyms,
    ) {
    }

    /** Answers as long as there is a process to do so. */
    #[Route('/health/live', methods: 'GET')]
    public function live(): Response
    {
        return new Response(status: 204);
    }

    /** Answers 200 also while the cache is away, since everything works without it, and 503 without the database. */
    #[Route('/health/ready', methods: 'GET')]
    public function ready(): JsonResponse
    {
        $tables = $this->tables();
        $isReady = self::OK === $tables;

        return new JsonResponse([
            'ready' => $isReady,
            'database' => self::AWAY === $tables ? self::AWAY : self::OK,
            'tables' => $tables,
            'cache' => $this->cache(),
        ], $isReady ? 200 : 503);
    }

    /** Tells whether the tables are as this version of the code needs them; of several gyms each says so itself. */
    private function tables(): string
    {
        try {
            if ($this->current->isOneOfSeveral()) {
                $this->gyms->count([]);

                return self::OK;
            }
            $missing = $this->migrations->getMigrationStatusCalculator()->getNewMigrations();
        } catch (\Doctrine\DBAL\Exception) {
            return self::AWAY;
        }

        return 0 === \count($missing) ? self::OK : self::OUTDATED;
    }

    private function cache(): string
    {
        $item = $this->cache->getItem('health')->set(true)->expiresAfter(self::PROBE_SECONDS);

        return $this->cache->save($item) ? self::OK : self::AWAY;
    }
}
