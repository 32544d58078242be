<?php

declare(strict_types=1);

namespace Periplus\App\Audit;

use Doctrine\DBAL\Connection;
use Psr\Clock\ClockInterface;

/** the log of everything that changed the library or the gym: who, when, what. Written in the transaction of the change. */
final readonly class AuditLog
{
    private const LONGEST = 400;

    public function __construct(private Connection $connection, private ClockInterface $clock)
    {
    }

    /**
     * @param string $what stable, such as "combination.updated"
     * @param string $says what was done, to be read after the name of who did it
     * @param string|null $subject what it was done to, such as "combination/12"
     */
    public function add(?int $user, string $what, string $says, ?string $subject = null): void
    {
        $this->connection->insert('audit_log', [
            'created_at' => $this->clock->now()->format('Y-m-d H:i:s'),
            'user_id' => $user,
            'what' => $what,
            'says' => mb_substr($says, 0, self::LONGEST),
            'subject' => $subject,
        ]);
    }

    /** What anybody can bring about without signing in as often as they like is written at most once in that many seconds. */
    public function addOnce(string $what, string $says, int $seconds): void
    {
        $since = $this->clock->now()->modify('-'.$seconds.' seconds')->format('Y-m-d H:i:s');
        if (false === $this->connection->fetchOne('SELECT id FROM audit_log WHERE what = ? AND says = ? AND created_at > ? ORDER BY id DESC LIMIT 1', [$what, $says, $since])) {
            $this->add(null, $what, $says);
        }
    }

    /**
     * @param string $what the first part of what was done; without it everything but who signed in and when, which
     *                     would crowd out the rest
     *
     * @return array{entries: list<array<string, mixed>>, total: int} the newest first
     */
    public function page(int $page, int $size, string $what = ''): array
    {
        $where = '' === $what ? "r.what NOT LIKE 'sign-in.%'" : 'r.what LIKE '.$this->connection->quote(addcslashes($what, '%_\\').'.%');
        $rows = $this->connection->fetchAllAssociative(
            'SELECT r.id, r.created_at, r.what, r.says, r.subject, u.name FROM audit_log r LEFT JOIN user u ON u.id = r.user_id WHERE '.$where.' ORDER BY r.id DESC LIMIT '.$size.' OFFSET '.(($page - 1) * $size),
        );
        /** @var int|string $total */
        $total = $this->connection->fetchOne('SELECT COUNT(*) FROM audit_log r WHERE '.$where);
        /** @var list<array{id: int|string, created_at: string, what: string, says: string, subject: string|null, name: string|null}> $rows */

        return [
            'entries' => array_map(static fn (array $row): array => [
                'id' => (int) $row['id'],
                'at' => (new \DateTimeImmutable($row['created_at']))->format(\DATE_ATOM),
                'who' => $row['name'],
                'what' => $row['what'],
                'says' => $row['says'],
                'subject' => $row['subject'],
            ], $rows),
            'total' => (int) $total,
        ];
    }
}
