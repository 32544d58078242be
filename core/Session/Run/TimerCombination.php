<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Run;

use Periplus\Core\Technique\Stance;

/** A combination of the library that a round timer shows. */
final readonly class TimerCombination
{
    /** @param string $notation in parity numbering */
    public function __construct(
        public string $notation,
        public Stance $stance,
        public string $name,
        public int $id,
        public int $version,
    ) {
    }

    /** @return array<string, mixed> a written set that repeats it */
    public function set(): array
    {
        return [
            'drill' => 'repeat',
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
