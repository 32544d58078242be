<?php

declare(strict_types=1);

namespace Periplus\App\Directory;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Store\CurrentGym;
use Psr\Clock\ClockInterface;

/**
 * Passes on what gyms of one group offer each other, by the directory: no gym reads the database of another.
 *
 * @extends ServiceEntityRepository<GroupDocument>
 */
final class GroupDocuments extends ServiceEntityRepository
{
    public function __construct(
        ManagerRegistry $registry,
        private readonly CurrentGym $current,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, GroupDocument::class);
    }

    /** @return string|null the group of the gym that is meant; null when it has none */
    public function group(): ?string
    {
        return $this->current->place()?->group;
    }

    /** @return list<GroupDocument> of the other gyms of its group that are in use, by their names */
    public function ofOthers(): array
    {
        $gym = $this->current->place();
        if (null === $gym?->group) {
            return [];
        }
        /** @var list<GroupDocument> $documents */
        $documents = $this->createQueryBuilder('d')
            ->join(HostedGym::class, 'g', 'WITH', 'g.name = d.gym')
            ->where('g.group = :group')->andWhere('g.state <> :archived')->andWhere('g.name <> :gym')
            ->setParameter('group', $gym->group)->setParameter('gym', $gym->name)
            ->setParameter('archived', HostedState::Archived)
            ->orderBy('d.gym')->getQuery()->getResult();

        return $documents;
    }

    /** @param string|null $json null where it offers nothing */
    public function publish(?string $json): void
    {
        $gym = $this->current->place();
        if (null === $gym?->group) {
            return;
        }
        $entities = $this->getEntityManager();
        $published = $this->find($gym->name);
        $digest = hash('xxh128', (string) $json);
        if (null === $json) {
            if (null !== $published) {
                $entities->remove($published);
            }
        } elseif (null === $published) {
            $entities->persist(new GroupDocument($gym->name, $digest, $json, $this->clock->now()));
        } elseif ($published->digest() !== $digest) {
            $published->replace($digest, $json, $this->clock->now());
        }
        $entities->flush();
    }
}
