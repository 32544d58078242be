<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Numbering\GymNumberings;
use Psr\Clock\ClockInterface;

/** Cards for athletes: combinations to take home, under a link that needs no account and can be revoked. Nobody else asks the table. */
final readonly class Cards implements HasQuota
{
    private const LIMIT = 2000;

    public function __construct(private Connection $connection, private CombinationTable $combinations, private GymNumberings $numberings, private AuditLog $audit, private ClockInterface $clock)
    {
    }

    public function quota(): Quota
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM athlete_card WHERE revoked_at IS NULL');

        return new Quota('cards', (int) $count, self::LIMIT);
    }

    public function create(CardRequest $request, User $creator): Card
    {
        $this->quota()->require();
        $this->numberings->named($request->numbering);
        $rows = [];
        foreach ($this->combinations->summaries($request->combinations) as $summary) {
            // As it is now: what an athlete took home does not change under their hands.
            $rows[] = ['id' => $summary->id, 'name' => $summary->content->name, 'notation' => $summary->content->notation, 'stance' => $summary->content->stance->value, 'rules' => $summary->content->rules];
        }
        if ([] === $rows) {
            throw new ApiProblem(422, 'invalid', 'There is no such combination in the library.', ['violations' => [['field' => 'combinations', 'message' => 'There is no such combination in the library.']]]);
        }
        $id = 0;
        $this->connection->transactional(function () use ($request, $rows, $creator, &$id): void {
            $this->connection->insert('athlete_card', ['card_key' => bin2hex(random_bytes(16)), 'name' => trim($request->name), 'content' => json_encode(['stance' => $request->stance->value, 'numbering' => $request->numbering, 'group' => $request->group->value, 'combinations' => $rows], \JSON_THROW_ON_ERROR | \JSON_UNESCAPED_UNICODE), 'creator_id' => $creator->id(), 'created_at' => $this->clock->now()->format('Y-m-d H:i:s')]);
            $id = (int) $this->connection->lastInsertId();
            $this->audit->add($creator->id(), 'card.created', \sprintf('made the card “%s”', trim($request->name)), 'cards/'.$id);
        });

        return $this->get($id);
    }

    /** @return list<Card> the newest first, revoked ones last */
    public function all(): array
    {
        return $this->select('1 = 1 ORDER BY c.revoked_at IS NOT NULL, c.id DESC LIMIT 200', []);
    }

    /** @throws ApiProblem when there is none */
    public function get(int $id): Card
    {
        return $this->select('c.id = ?', [$id])[0] ?? throw new ApiProblem(404, 'not-found', 'There is no such card.');
    }

    /** @throws ApiProblem when the key opens nothing, or nothing any more */
    public function withKey(string $key): Card
    {
        return $this->select('c.card_key = ? AND c.revoked_at IS NULL', [$key])[0] ?? throw new ApiProblem(410, 'key-revoked', 'This card is not to be had any more. Ask your coach for a new one.');
    }

    public function revoke(int $id, User $coach): Card
    {
        $card = $this->get($id);
        if (null === $card->revokedAt) {
            $this->connection->update('athlete_card', ['revoked_at' => $this->clock->now()->format('Y-m-d H:i:s')], ['id' => $id]);
            $this->audit->add($coach->id(), 'card.revoked', \sprintf('revoked the card “%s”', $card->name), 'cards/'.$id);
        }

        return $this->get($id);
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<Card>
     */
    private function select(string $where, array $values): array
    {
        /** @var list<array{id: int|string, card_key: string, name: string, content: string, creator: string, created_at: string, revoked_at: string|null}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT c.*, u.name AS creator FROM athlete_card c JOIN user u ON u.id = c.creator_id WHERE '.$where, $values);

        return array_map(static function (array $row): Card {
            /** @var array{stance: string, numbering: string, group: string, combinations: list<array{id: int, name: string, notation: string, stance: string, rules: string}>} $content */
            $content = json_decode($row['content'], true, flags: \JSON_THROW_ON_ERROR);

            return new Card((int) $row['id'], $row['card_key'], $row['name'], $content['stance'], $content['numbering'], $content['group'], $content['combinations'], $row['creator'], $row['created_at'], $row['revoked_at']);
        }, $rows);
    }
}
