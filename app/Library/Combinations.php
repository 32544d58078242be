<?php

declare(strict_types=1);

namespace Periplus\App\Library;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\ORM\Tools\Pagination\Paginator;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Http\Problem;

/** @extends ServiceEntityRepository<Combination> */
final class Combinations extends ServiceEntityRepository
{
    public function __construct(ManagerRegistry $registry)
    {
        parent::__construct($registry, Combination::class);
    }

    public function get(int $id): Combination
    {
        return $this->find($id) ?? throw new Problem(404, 'not-found', 'There is no such combination. It may have been typed wrongly.');
    }

    /** The one in use that is the same chain, effort and all, whatever its stance, scheme or name. */
    public function same(string $fingerprintWithEffort, ?int $except): ?Combination
    {
        foreach ($this->findBy(['fingerprintWithEffort' => $fingerprintWithEffort, 'archivedAt' => null], ['id' => 'ASC'], 2) as $combination) {
            if ($combination->id() !== $except) {
                return $combination;
            }
        }

        return null;
    }

    /** @return list<string> of all that are in use */
    public function fingerprints(): array
    {
        /** @var list<string> $fingerprints */
        $fingerprints = $this->getEntityManager()->getConnection()->fetchFirstColumn('SELECT DISTINCT fingerprint FROM combination WHERE archived_at IS NULL');

        return $fingerprints;
    }

    /** @return Paginator<Combination> */
    public function page(ListRequest $list): Paginator
    {
        $query = $this->createQueryBuilder('c')
            ->addSelect('author', 'editor')
            ->join('c.author', 'author')
            ->join('c.editor', 'editor')
            ->orderBy(ListRequest::SORTS[$list->sort], 'up' === $list->direction ? 'ASC' : 'DESC')
            ->addOrderBy('c.id', 'ASC')
            ->setFirstResult(($list->page - 1) * $list->size)
            ->setMaxResults($list->size);
        $query->andWhere($list->archived ? 'c.archivedAt IS NOT NULL' : 'c.archivedAt IS NULL');
        $this->filter($query, $list);

        return new Paginator($query->getQuery(), false);
    }

    private function filter(QueryBuilder $query, ListRequest $list): void
    {
        $words = preg_split('/\s+/', trim($list->q), -1, \PREG_SPLIT_NO_EMPTY);
        foreach (false === $words ? [] : $words as $place => $word) {
            $like = '%'.addcslashes($word, '%_\\').'%';
            $query->andWhere("c.name LIKE :q$place OR c.notation LIKE :q$place OR c.words LIKE :q$place OR c.themes LIKE :q$place OR c.note LIKE :q$place OR author.name LIKE :q$place")
                ->setParameter('q'.$place, $like);
        }
        if (null !== $list->weapon) {
            $query->andWhere('c.weapons LIKE :weapon')->setParameter('weapon', '%,'.$list->weapon->value.',%');
        }
        foreach (['verdict' => $list->verdict, 'rules' => $list->rules, 'level' => $list->level] as $field => $value) {
            if (null !== $value) {
                $query->andWhere("c.$field = :$field")->setParameter($field, $value);
            }
        }
    }
}
