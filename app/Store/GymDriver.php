<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

final class GymDriver extends AbstractDriverMiddleware
{
    public function __construct(Driver $driver, private readonly CurrentGym $gym)
    {
        parent::__construct($driver);
    }

    public function connect(#[\SensitiveParameter] array $params): Connection
    {
        $place = $this->gym->place();
        if (null !== $place) {
            $params = [...$params, ...$place->parameters()];
            // A process serves many gyms, and would keep a connection to each.
            unset($params['driverOptions'][\PDO::ATTR_PERSISTENT]);
        }

        return parent::connect($params);
    }
}
