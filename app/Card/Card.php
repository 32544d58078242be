<?php

declare(strict_types=1);

namespace Periplus\App\Card;

/** Combinations to take home. It holds nothing about the athlete but the stance. */
final readonly class Card
{
    /**
     * @param string $key in its address
     * @param list<array{id: int, name: string, notation: string, stance: string, rules: string}> $combinations as they were when it was made
     */
    public function __construct(
        public int $id,
        public string $key,
        public string $name,
        public string $stance,
        public string $numbering,
        public string $group,
        public array $combinations,
        public string $creator,
        public string $createdAt,
        public ?string $revokedAt,
    ) {
    }

    /** @return array<string, mixed> as coaches see it */
    public function row(): array
    {
        $time = static fn (?string $time): ?string => null === $time ? null : (new \DateTimeImmutable($time, new \DateTimeZone('UTC')))->format(\DATE_ATOM);

        return ['id' => $this->id, 'key' => $this->key, 'name' => $this->name, 'stance' => $this->stance, 'numbering' => $this->numbering, 'group' => $this->group, 'combinations' => array_column($this->combinations, 'name'), 'creator' => $this->creator, 'createdAt' => $time($this->createdAt), 'revokedAt' => $time($this->revokedAt)];
    }
}
