<?php

declare(strict_types=1);

namespace Periplus\App\Offer;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Review\ProposalState;

/**
 * Finds what this gym did with offers.
 *
 * @extends ServiceEntityRepository<AnsweredOffer>
 */
final class AnsweredOffers extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, AnsweredOffer::class);
    }

    /** @return array<string, list<AnsweredOffer>> by what was offered, the earliest first */
    public function all(): array
    {
        /** @var list<AnsweredOffer> $answers */
        $answers = $this->createQueryBuilder('a')->addSelect('u, p, c')
            ->join('a.user', 'u')->leftJoin('a.proposal', 'p')->leftJoin('p.combination', 'c')
            ->orderBy('a.id')->getQuery()->getResult();
        $all = [];
        foreach ($answers as $answer) {
            $all[$answer->key()][] = $answer;
        }

        return $all;
    }

    /** Returns where a combination came from; null when it is this gym's own. */
    public function originOf(int $combination): ?AnsweredOffer
    {
        /** @var AnsweredOffer|null $origin */
        $origin = $this->createQueryBuilder('a')->addSelect('u')->join('a.user', 'u')->join('a.proposal', 'p')
            ->where('p.combination = :combination')->andWhere('p.state = :approved')
            ->setParameter('combination', $combination)->setParameter('approved', ProposalState::Approved)
            ->orderBy('a.id', 'DESC')->setMaxResults(1)->getQuery()->getOneOrNullResult();

        return $origin;
    }
}
