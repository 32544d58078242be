<?php

declare(strict_types=1);

namespace Periplus\App\Maintenance;

/** A backup in the state folder. */
final readonly class Backup implements \JsonSerializable
{
    /**
     * @param string $kind "nightly", "by-hand", "before-upgrade", "before-restore" or "demo"
     * @param int $bytes its size
     */
    public function __construct(
        public string $name,
        public string $kind,
        public int $bytes,
        public \DateTimeImmutable $madeAt,
    ) {
    }

    /** @return array{name: string, kind: string, bytes: int, madeAt: string} */
    public function jsonSerialize(): array
    {
        return [
            'name' => $this->name,
            'kind' => $this->kind,
            'bytes' => $this->bytes,
            'madeAt' => $this->madeAt->format(\DATE_ATOM),
        ];
    }
}
