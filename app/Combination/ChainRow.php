<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

/** The columns of a combination that comparing chains needs. */
final readonly class ChainRow
{
    /** @param string $sequence bytes, as of {@see \Periplus\Core\Combination\Sequence}; `$stem` too */
    public function __construct(
        public int $id,
        public string $name,
        public string $notation,
        public string $stance,
        public string $verdict,
        public string $sequence,
        public string $stem,
    ) {
    }

    /** @return array{id: int, name: string, notation: string, stance: string, verdict: string} */
    public function toArray(): array
    {
        return [
            'id' => $this->id,
            'name' => $this->name,
            'notation' => $this->notation,
            'stance' => $this->stance,
            'verdict' => $this->verdict,
        ];
    }
}
