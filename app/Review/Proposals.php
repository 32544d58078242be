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
     */
    public function in(array $states, ?int $author = null, ?int $combination = null, int $page = 1): ProposalPage
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

        return new ProposalPage($page, $total);
    }

    /** Returns how many proposals of that author are undecided. */
    public function countUndecidedOf(int $author): int
    {
        return $this->count(['author' => $author, 'state' => [ProposalState::Open, ProposalState::Returned]]);
    }

    public function waiting(int $author): WaitingProposals
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

        return new WaitingProposals(
            $this->count(['state' => ProposalState::Open]),
            $this->count(['state' => ProposalState::Returned, 'author' => $author]),
            $this->count(['state' => ProposalState::Approved, 'author' => $author]),
            (int) $rejected,
        );
    }

    /** @return list<SameChain> the oldest first */
    public function sameChain(Proposal $proposal): array
    {
        if (ProposalKind::Retirement === $proposal->kind() || $proposal->state()->isDecided()) {
            return [];
        }
        /** @var list<SameChain> $same */
        $same = $this->createQueryBuilder('p')->join('p.author', 'u')
            ->select(\sprintf("NEW %s(p.id, JSON_VALUE(p.content, '$.name'), u.name)", SameChain::class))
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
