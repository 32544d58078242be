<?php

declare(strict_types=1);

namespace Periplus\App\Plan;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;

/** A coach who has a plan open, and when their page last reported it. */
#[ORM\Entity(repositoryClass: PlanPresences::class)]
#[ORM\Table(name: 'plan_presence')]
#[ORM\Index(name: 'by_user', columns: ['user_id'])]
class PlanPresence
{
    public function __construct(
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private Plan $plan,
        #[ORM\Id, ORM\ManyToOne, ORM\JoinColumn(onDelete: 'CASCADE')]
        private User $user,
        #[ORM\Column]
        private \DateTimeImmutable $seenAt,
    ) {
    }

    public function seen(\DateTimeImmutable $now): void
    {
        $this->seenAt = $now;
    }
}
