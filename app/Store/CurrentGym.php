<?php

declare(strict_types=1);

namespace Periplus\App\Store;

use Symfony\Component\DependencyInjection\Attribute\Autowire;
use Symfony\Contracts\Service\ResetInterface;

/**
 * The gym that this request, command or message is about. Where one installation has several, each has a database,
 * caches and folders of its own, and nothing is read or written before it is known which is meant.
 */
final class CurrentGym implements ResetInterface
{
    private ?GymPlace $place = null;

    public function __construct(#[Autowire('%env(bool:GYMS_BY_HOST)%')] private readonly bool $isOneOfSeveral)
    {
    }

    public function isOneOfSeveral(): bool
    {
        return $this->isOneOfSeveral;
    }

    public function choose(GymPlace $place): void
    {
        $this->place = $place;
    }

    /** @return GymPlace|null null where an installation has one gym */
    public function place(): ?GymPlace
    {
        if ($this->isOneOfSeveral && null === $this->place) {
            throw new \LogicException('This installation has several gyms, and none was chosen.');
        }

        return $this->place;
    }

    /** Returns a word that no other gym of the installation has, empty where there is one. */
    public function space(): string
    {
        return $this->isOneOfSeveral ? $this->place->name ?? '-' : '';
    }

    /** Returns the folder of this gym inside one of the installation. */
    public function folder(string $folder): string
    {
        $place = $this->place();

        return null === $place ? $folder : $folder.'/gyms/'.$place->name;
    }

    /** Returns the address under which this gym is asked for: that of the installation, with the gym's own host. */
    public function address(string $address): string
    {
        $place = $this->place();

        return null === $place
            ? $address
            : (string) preg_replace('~^(\w+://)[^/:]+~', '${1}'.$place->host, $address);
    }

    public function reset(): void
    {
        $this->place = null;
    }
}
