<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Driver\Connection;
use Doctrine\DBAL\Driver\Exception;
use Doctrine\DBAL\Driver\Middleware\AbstractConnectionMiddleware;
use Doctrine\DBAL\Driver\Statement;

final class WatchedConnection extends AbstractConnectionMiddleware
{
    private const READS = '/^\s*(?:SELECT|SHOW|SET|EXPLAIN|SAVEPOINT|RELEASE|ROLLBACK)\b/i';

    private bool $isInTransaction = false;

    public function __construct(Connection $connection, private readonly TransactionOutcome $outcome)
    {
        parent::__construct($connection);
    }

    public function prepare(string $sql): Statement
    {
        $this->note($sql);

        return parent::prepare($sql);
    }

    public function exec(string $sql): int|string
    {
        $this->note($sql);

        return parent::exec($sql);
    }

    public function beginTransaction(): void
    {
        parent::beginTransaction();
        $this->isInTransaction = true;
    }

    public function commit(): void
    {
        try {
            parent::commit();
        } catch (Exception $failed) {
            if (true !== DatabaseFailure::of($failed)?->isDeadlock()) {
                $this->outcome->unknown();
            }
            throw $failed;
        } finally {
            $this->isInTransaction = false;
        }
        $this->outcome->written();
    }

    public function rollBack(): void
    {
        $this->isInTransaction = false;
        parent::rollBack();
    }

    /** A single statement outside a transaction is a transaction of its own. */
    private function note(string $sql): void
    {
        if (!$this->isInTransaction && 1 !== preg_match(self::READS, $sql)) {
            $this->outcome->written();
        }
    }
}
