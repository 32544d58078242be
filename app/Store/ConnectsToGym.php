<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\Bundle\DoctrineBundle\Attribute\AsMiddleware;
use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Middleware;

/** Connects to the database of the gym that is meant. */
#[AsMiddleware(connections: ['default'])]
final readonly class ConnectsToGym implements Middleware
{
    public function __construct(private CurrentGym $gym)
    {
    }

    public function wrap(Driver $driver): Driver
    {
        return new GymDriver($driver, $this->gym);
    }
}
