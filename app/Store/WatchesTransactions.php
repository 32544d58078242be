<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Middleware;

/** Notes in {@see TransactionOutcome} what every transaction of the gym's database came to. */
#[AsMiddleware(connections: ['default'])]
final readonly class WatchesTransactions implements Middleware
{
    public function __construct(private TransactionOutcome $outcome)
    {
    }

    public function wrap(Driver $driver): Driver
    {
        return new WatchedDriver($driver, $this->outcome);
    }
}
