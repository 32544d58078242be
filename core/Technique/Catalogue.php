<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** All strikes and moves and the body that makes them. Read once from core/data, never changed. */
final readonly class Catalogue
{
    /** @var array<string, array<string, Strike>> by family and role */
    private array $families;

    /**
     * @param array<string, Strike> $strikes by id, in the order of the data
     * @param array<string, Move> $moves by id, in the order of the data
     */
    public function __construct(public array $strikes, public array $moves, public Body $body)
    {
        $families = [];
        foreach ($strikes as $strike) {
            $families[$strike->family][$strike->role->value] = $strike;
        }
        $this->families = $families;
    }

    /** Returns the built-in catalogue. */
    public static function builtIn(): self
    {
        /** @var self|null $catalogue */
        static $catalogue = null;

        return $catalogue ??= (new CatalogueData())->read();
    }

    public function strike(string $id): Strike
    {
        return $this->strikes[$id] ?? throw UnknownTechnique::named($id);
    }

    public function move(string $id): Move
    {
        return $this->moves[$id] ?? throw UnknownTechnique::named($id);
    }

    /** Returns the role of the family's strike with that trait; null when none has it. */
    public function roleWith(StrikeTrait $trait, string $family): ?Role
    {
        foreach ($this->families[$family] ?? [] as $strike) {
            if ($strike->has($trait)) {
                return $strike->role;
            }
        }

        return null;
    }

    public function inFamily(string $family, Role $role): ?Strike
    {
        return $this->families[$family][$role->value] ?? null;
    }

    /** @return list<string> in the order of the data */
    public function families(): array
    {
        return array_keys($this->families);
    }

    public function hasFamily(string $family): bool
    {
        return isset($this->families[$family]);
    }
}
