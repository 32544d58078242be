<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Combination\Combination;
use Periplus\App\Gym\Gyms;
use Periplus\App\Gym\HasQuota;
use Symfony\Component\DependencyInjection\Attribute\AutowireIterator;

/** Counts what a gym contains, so that a restored copy can be compared with the gym in use. */
final readonly class GymSummary
{
    private const MAX_NAMES = 5000;

    /** @param iterable<HasQuota> $keepers */
    public function __construct(
        private EntityManagerInterface $entities,
        private Gyms $gyms,
        #[AutowireIterator(HasQuota::class)] private iterable $keepers,
    ) {
    }

    public function read(): GymCounts
    {
        $counts = [
            'combinations' => $this->entities->getRepository(Combination::class)->count(['archivedAt' => null]),
            'coaches' => $this->entities->getRepository(User::class)->count(),
        ];
        foreach ($this->keepers as $keeper) {
            $quota = $keeper->quota();
            if ('' === $quota->unit) {
                $counts[$quota->what] = $quota->used;
            }
        }
        /** @var list<string> $names */
        $names = $this->entities
            ->createQuery('SELECT c.name FROM '.Combination::class.' c WHERE c.archivedAt IS NULL ORDER BY c.name')
            ->setMaxResults(self::MAX_NAMES)
            ->getSingleColumnResult();

        return new GymCounts($this->gyms->get()->name(), $counts, $names);
    }
}
