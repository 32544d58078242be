<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Driver\API\ExceptionConverter;
use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Exception\ConnectionLost;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Query;

/** Recognises every way in which a database goes away as a lost connection; DBAL knows only some of them. */
final readonly class LostConnectionConverter implements ExceptionConverter
{
    public function __construct(private ExceptionConverter $inner)
    {
    }

    public function convert(Exception $exception, ?Query $query): DriverException
    {
        $known = $this->inner->convert($exception, $query);

        return DriverException::class === $known::class && \in_array($exception->getCode(), DatabaseFailure::AWAY, true)
            ? new ConnectionLost($exception, $query)
            : $known;
    }
}
