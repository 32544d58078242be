<?php

declare(strict_types=1);

namespace Periplus\App\Search;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Security\Permission;

/** A saved search: a coach's own, or shared with the gym. */
#[ORM\Entity(repositoryClass: SavedViews::class)]
#[ORM\Table(name: 'saved_view')]
#[ORM\Index(name: 'by_owner', columns: ['owner_id'])]
class SavedView implements \JsonSerializable
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    private ?int $id = null;

    public function __construct(
        #[ORM\Column(length: 60)]
        private string $name,
        #[ORM\Column(length: 500)]
        private string $address,
        #[ORM\ManyToOne, ORM\JoinColumn(nullable: false)]
        private User $owner,
        #[ORM\Column]
        private bool $shared,
    ) {
    }

    public function change(string $address, bool $shared): void
    {
        $this->address = $address;
        $this->shared = $shared;
    }

    /** Tells whether the account may delete it: its owner, or the head coach if it is shared. */
    public function mayBeRemovedBy(User $user): bool
    {
        return $this->owner->id() === $user->id() || ($this->shared && $user->may(Permission::EditLibrary));
    }

    public function jsonSerialize(): ShownView
    {
        return new ShownView((int) $this->id, $this->name, $this->address, $this->shared, $this->owner->person());
    }
}
