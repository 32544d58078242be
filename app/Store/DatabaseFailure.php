<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\DBAL\Exception\RetryableException;

/** Classifies an error of the database: a deadlock, a lost connection, a full disk, or read-only. */
final readonly class DatabaseFailure
{
    /**
     * Errors of a server that is down or went away: not reached, gone, lost during a query, shutting down; 1047 is a
     * node that does not belong to its cluster at the moment.
     */
    public const AWAY = [1047, 1053, 2002, 2006, 2013, 4031];
    /** Full table or disk; 28 is the storage engine's own number for it. */
    private const FULL = [1021, 1114];
    private const ENGINE = 1030;
    /** During an upgrade the database is read-only. */
    private const READ_ONLY = 1290;
    /**
     * A deadlock; a cluster also says so at commit, when another node has written the same row meanwhile. The
     * transaction is rolled back, and can be done again.
     */
    private const DEADLOCK = 1213;

    private function __construct(private \Throwable $cause, private int $code)
    {
    }

    /** Returns the first database error among an error and its causes; null when there is none. */
    public static function of(\Throwable $error): ?self
    {
        for ($cause = $error; null !== $cause; $cause = $cause->getPrevious()) {
            if ($cause instanceof \PDOException && is_numeric($cause->errorInfo[1] ?? null)) {
                return new self($cause, (int) $cause->errorInfo[1]);
            }
            if ($cause instanceof DriverException) {
                return new self($cause, $cause->getCode());
            }
        }

        return null;
    }

    public function isDeadlock(): bool
    {
        return self::DEADLOCK === $this->code
            || ($this->cause instanceof RetryableException && !$this->cause instanceof LockWaitTimeoutException);
    }

    public function isAway(): bool
    {
        return $this->cause instanceof ConnectionException || \in_array($this->code, self::AWAY, true);
    }

    /** Tells whether it could not be read or written for now, for whatever reason. */
    public function isTemporary(): bool
    {
        return $this->isAway() || $this->isDeadlock() || $this->cause instanceof RetryableException;
    }

    public function isFull(): bool
    {
        return \in_array($this->code, self::FULL, true)
            || (self::ENGINE === $this->code && str_contains($this->cause->getMessage(), '28'));
    }

    public function isReadOnly(): bool
    {
        return self::READ_ONLY === $this->code;
    }
}
