<?php

declare(strict_types=1);

namespace Periplus\App\Wall;

/** A screen of the gym that shows a session; told by the key in its address. */
final readonly class Wall
{
    /**
     * @param bool $hasKeys whether a keyboard or a button at it may pause, go on and jump
     * @param int|null $run that it shows
     * @param \DateTimeImmutable|null $seenAt when it last asked
     */
    public function __construct(
        public int $id,
        public string $name,
        public string $key,
        public bool $hasKeys,
        public ?int $run,
        public ?\DateTimeImmutable $seenAt,
    ) {
    }

    /** @return array<string, mixed> */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'key' => $this->key,
            'hasKeys' => $this->hasKeys,
            'run' => $this->run,
            'seenAt' => $this->seenAt?->format(\DATE_ATOM),
        ];
    }
}
