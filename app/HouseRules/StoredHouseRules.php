<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Doctrine\ORM\Mapping as ORM;
use Periplus\App\Account\User;
use Periplus\App\Store\HasVersion;
use Periplus\App\Store\Versioned;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;

use function Periplus\Core\Language\t;

/** One set of a gym's house rules. The first migrations created a row for each. */
#[ORM\Entity(repositoryClass: GymHouseRules::class)]
#[ORM\Table(name: 'house_rules')]
class StoredHouseRules implements Versioned
{
    use HasVersion;

    #[ORM\Id, ORM\Column(length: 20)]
    private string $id;

    /** @var array<string, mixed>|null null while it is as it came */
    #[ORM\Column(nullable: true)]
    private ?array $content = null;

    #[ORM\Column(nullable: true)]
    private ?\DateTimeImmutable $updatedAt = null;

    #[ORM\ManyToOne]
    private ?User $editor = null;

    public function id(): string
    {
        return $this->id;
    }

    /** @return array<string, mixed>|null as it was written; null while it is as it came */
    public function content(): ?array
    {
        return $this->content;
    }

    public function change(HouseRules $rules, User $editor, \DateTimeImmutable $now): void
    {
        // Values that equal the built-in rules are not stored as a change.
        $content = $rules->jsonSerialize();
        $this->content = $content === BuiltInHouseRules::named($this->id)->jsonSerialize() ? null : $content;
        $this->editor = $editor;
        $this->updatedAt = $now;
    }

    public function changedMeanwhile(): string
    {
        return t('These house rules were changed meanwhile. Nothing was overwritten; look at the newest and make the '
            .'change again.');
    }
}
