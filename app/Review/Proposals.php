<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Store\NotFound;

/**
 * Finds proposals and their steps.
 *
 * @extends ServiceEntityRepository<Proposal>
 */
final class Proposals extends ServiceEntityRepository
{
    public const MISSING = 'There is no such proposal. It may have been typed wrongly.';
    /** Number of proposals on a page. */
    public const PAGE_SIZE = 50;
    /** Maximum number of proposals with the same chain that are listed. */
    private const MAX_SAME = 10;

    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Proposal::class);
    }

    public function get(int $id): Proposal
    {
        return $this->find($id) ?? throw new NotFound(self::MISSING);
    }

    /**
     * @param non-empty-list<ProposalState> $states
     *
     * @return array{
     *     list<Proposal>,
     *     int,
     * } a page of them, and how many there are: the one that waits longest first; of what is decided, the newest first
     */
    public function in(array $states, ?int $author = null, ?int $combination = null, int $page = 1): array
    {
        $proposals = $this->createQueryBuilder('p')->where('p.state IN (:states)')->setParameter('states', $states);
        if (null !== $author) {
            $proposals->andWhere('p.author = :author')->setParameter('author', $author);
        }
        if (null !== $combination) {
            $proposals->andWhere('p.combination = :combination')->setParameter('combination', $combination);
        }
        $total = (int) (clone $proposals)->select('COUNT(p.id)')->getQuery()->getSingleScalarResult();
        $way = $states[0]->isDecided() ? 'DESC' : 'ASC';
        /** @var list<Proposal> $page */
        $page = $proposals->addSelect('u, c')->join('p.author', 'u')->leftJoin('p.combination', 'c')
            ->orderBy('p.updatedAt', $way)->addOrderBy('p.id', $way)
            ->setFirstResult(($page - 1) * self::PAGE_SIZE)->setMaxResults(self::PAGE_SIZE)
            ->getQuery()->getResult();

        return [$page, $total];
    }

    /** Returns how many proposals of that author are undecided. */
    public function countUndecidedOf(int $author): int
    {
        return $this->count(['author' => $author, 'state' => [ProposalState::Open, ProposalState::Returned]]);
    }

    /**
     * @return array{
     *     open: int,
     *     returned: int,
     *     approved: int,
     *     rejected: int,
     * } how many wait for the head coach and how many for that author; and how many of that author's were approved, and
     * rejected by somebody else
     */
    public function waiting(int $author): array
    {
        $rejected = $this->getEntityManager()
            ->createQuery(
                'SELECT COUNT(DISTINCT p.id) FROM '
                    .ProposalStep::class
                    .' s JOIN s.proposal p WHERE p.author = :author AND p.state = :withdrawn AND s.kind = :step AND '
                    .'s.user <> p.author',
            )
            ->setParameter('author', $author)
            ->setParameter('withdrawn', ProposalState::Withdrawn)
            ->setParameter('step', ProposalStepKind::Withdrawn)
            ->getSingleScalarResult();

        return [
            'open' => $this->count(['state' => ProposalState::Open]),
            'returned' => $this->count(['state' => ProposalState::Returned, 'author' => $author]),
            'approved' => $this->count(['state' => ProposalState::Approved, 'author' => $author]),
            'rejected' => (int) $rejected,
        ];
    }

    /**
     * @return list<array{
     *     id: int,
     *     name: string,
     *     author: string,
     * }> other proposals that wait with the same chain, the oldest first
     */
    public function sameChain(Proposal $proposal): array
    {
        if (ProposalKind::Retirement === $proposal->kind() || $proposal->state()->isDecided()) {
            return [];
        }
        /** @var list<array{id: int, name: string, author: string}> $same */
        $same = $this->createQueryBuilder('p')->join('p.author', 'u')
            ->select("p.id, JSON_VALUE(p.content, '$.name') AS name, u.name AS author")
            ->where('p.state IN (:states) AND p.id <> :id AND p.kind <> :retirement')
            ->andWhere("JSON_VALUE(p.content, '$.notation') = :notation")
            ->setParameter('states', [ProposalState::Open, ProposalState::Returned])
            ->setParameter('id', $proposal->id())
            ->setParameter('retirement', ProposalKind::Retirement)
            ->setParameter('notation', $proposal->content()->notation)
            ->orderBy('p.id')->setMaxResults(self::MAX_SAME)
            ->getQuery()->getResult();

        return $same;
    }

    /** @return list<ProposalStep> in their order */
    public function steps(Proposal $proposal): array
    {
        /** @var list<ProposalStep> $steps */
        $steps = $this->getEntityManager()
            ->createQuery(
                'SELECT s, u FROM '
                    .ProposalStep::class
                    .' s JOIN s.user u WHERE s.proposal = :proposal ORDER BY s.id',
            )
            ->setParameter('proposal', $proposal)
            ->getResult();

        return $steps;
    }

    /**
     * Returns the last step of each proposal that is closed.
     *
     * @param list<Proposal> $proposals
     *
     * @return array<int, ProposalStep> by id of the proposal
     */
    public function answers(array $proposals): array
    {
        /** @var list<ProposalStep> $steps */
        $steps = $this->getEntityManager()
            ->createQuery(
                \sprintf(
                    'SELECT s, u FROM %1$s s JOIN s.user u JOIN s.proposal p WHERE s.id IN (SELECT MAX(l.id) '
                        .'FROM %1$s l WHERE l.proposal IN (:proposals) GROUP BY l.proposal) AND p.state <> :open',
                    ProposalStep::class,
                ),
            )
            ->setParameter('proposals', $proposals)
            ->setParameter('open', ProposalState::Open)
            ->getResult();
        $answers = [];
        foreach ($steps as $step) {
            $answers[$step->proposal()->id()] = $step;
        }

        return $answers;
    }
}
