<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Psr\Clock\ClockInterface;

/** Who has a plan open at the moment. */
final readonly class PlanPresence
{
    /** s after which somebody who does not say so any more is gone */
    private const GONE = 25;

    public function __construct(private Connection $connection, private ClockInterface $clock)
    {
    }

    /** @return list<string> the names of the others */
    public function seen(int $plan, User $user): array
    {
        $now = $this->clock->now();
        $since = $now->modify('-'.self::GONE.' seconds')->format('Y-m-d H:i:s');
        $this->connection->executeStatement('INSERT INTO plan_presence (plan_id, user_id, seen_at) VALUES (?, ?, ?) ON DUPLICATE KEY UPDATE seen_at = VALUES(seen_at)', [$plan, $user->id(), $now->format('Y-m-d H:i:s')]);
        /** @var list<string> $names */
        $names = $this->connection->fetchFirstColumn('SELECT u.name FROM plan_presence p JOIN user u ON u.id = p.user_id WHERE p.plan_id = ? AND p.user_id <> ? AND p.seen_at > ? ORDER BY u.name', [$plan, $user->id(), $since]);

        return $names;
    }
}
