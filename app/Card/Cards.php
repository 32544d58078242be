<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Store\Gone;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds and stores cards for athletes: combinations to take home, under a link that needs no account and can be
 * revoked.
 *
 * @extends ServiceEntityRepository<Card>
 */
final class Cards extends ServiceEntityRepository implements HasQuota
{
    private const LIMIT = 2000;
    private const MAX_LISTED = 200;

    public function __construct(
        ManagerRegistry $registry,
        private readonly CombinationTable $combinations,
        private readonly GymNumberings $numberings,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Card::class);
    }

    public function quota(): Quota
    {
        return new Quota(t('cards'), $this->count(['revokedAt' => null]), self::LIMIT);
    }

    public function create(CardRequest $request, User $creator): Card
    {
        $this->quota()->require();
        $this->numberings->named($request->numbering);
        $combinations = array_map(
            static fn (CombinationSummary $summary): CardCombination => new CardCombination(
                $summary->id,
                $summary->content->name,
                $summary->content->notation,
                $summary->content->stance,
                $summary->content->rules,
            ),
            $this->combinations->summaries($request->combinations),
        );
        if ([] === $combinations) {
            throw Invalid::field('combinations', t('There is no such combination in the library.'));
        }
        $content = new CardContent($request->stance, $request->numbering, $request->group, $combinations);

        return $this->getEntityManager()->wrapInTransaction(function () use ($request, $content, $creator): Card {
            $card = new Card(trim($request->name), $content, $this->accounts->managed($creator), $this->clock->now());
            $this->getEntityManager()->persist($card);
            $this->getEntityManager()->flush();
            $this->audit->add(
                $creator->id(),
                'card.created',
                t('made the card “{card}”', card: $card->name()),
                'cards/'.$card->id(),
            );

            return $card;
        });
    }

    /** @return list<Card> the newest first, revoked ones last */
    public function all(): array
    {
        /** @var list<Card> $cards */
        $cards = $this->createQueryBuilder('c')->addSelect('u')->join('c.creator', 'u')
            ->addSelect('CASE WHEN c.revokedAt IS NULL THEN 0 ELSE 1 END AS HIDDEN revoked')
            ->orderBy('revoked')->addOrderBy('c.id', 'DESC')
            ->setMaxResults(self::MAX_LISTED)->getQuery()->getResult();

        return $cards;
    }

    /** @throws NotFound */
    public function get(int $id): Card
    {
        return $this->find($id) ?? throw new NotFound(t('There is no such card.'));
    }

    /** @throws Gone when the key opens nothing, or nothing any more */
    public function withKey(string $key): Card
    {
        return $this->findOneBy(['key' => $key, 'revokedAt' => null])
            ?? throw new Gone(t('This card is no longer available. Ask your coach for a new one.'));
    }

    public function revoke(int $id, User $coach): Card
    {
        $card = $this->get($id);
        if (!$card->isRevoked()) {
            $card->revoke($this->clock->now());
            $this->audit->add(
                $coach->id(),
                'card.revoked',
                t('revoked the card “{card}”', card: $card->name()),
                'cards/'.$id,
            );
        }

        return $card;
    }
}
