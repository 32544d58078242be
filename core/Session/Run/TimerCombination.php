<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Technique\Stance;

/** A combination of the library that a round timer shows. */
final readonly class TimerCombination
{
    /**
     * @param string $notation in parity numbering
     * @param int|null $version of the library; null for a copy that follows no version
     */
    public function __construct(
        public string $notation,
        public Stance $stance,
        public string $name,
        public int $id,
        public ?int $version = null,
    ) {
    }

    /**
     * @param string $drill what is done with it
     *
     * @return array<string, mixed> a written set
     */
    public function set(string $drill = 'repeat'): array
    {
        return [
            'drill' => $drill,
            'combinations' => [
                [
                    'chain' => $this->notation,
                    'stance' => $this->stance->value,
                    'name' => $this->name,
                    'id' => $this->id,
                    'version' => $this->version,
                ],
            ],
        ];
    }
}
