<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Driver;
use Doctrine\DBAL\Driver\API\ExceptionConverter;
use Doctrine\DBAL\Driver\Middleware\AbstractDriverMiddleware;

final class WatchedDriver extends AbstractDriverMiddleware
{
    public function __construct(Driver $driver, private readonly TransactionOutcome $outcome)
    {
        parent::__construct($driver);
    }

    public function connect(#[\SensitiveParameter] array $params): WatchedConnection
    {
        return new WatchedConnection(parent::connect($params), $this->outcome);
    }

    public function getExceptionConverter(): ExceptionConverter
    {
        return new LostConnectionConverter(parent::getExceptionConverter());
    }
}
