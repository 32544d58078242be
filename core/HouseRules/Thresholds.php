<?php

declare(strict_types=1);

namespace Periplus\Core\HouseRules;

/** From how many on a finding holds; units and limits in core/data/house-rules.json. */
final readonly class Thresholds
{
    public function __construct(
        public int $staticHead,
        public int $oneHeight,
        public int $sameSide,
        public int $drives,
        public int $rangeJump,
        public float $tempoLoss,
    ) {
    }

    /** @param array{staticHead: int, oneHeight: int, sameSide: int, drives: int, rangeJump: int, tempoLoss: float} $row */
    public static function of(array $row): self
    {
        return new self(...$row);
    }

    /** @return array{staticHead: int, oneHeight: int, sameSide: int, drives: int, rangeJump: int, tempoLoss: float} */
    public function toArray(): array
    {
        return [
            'staticHead' => $this->staticHead,
            'oneHeight' => $this->oneHeight,
            'sameSide' => $this->sameSide,
            'drives' => $this->drives,
            'rangeJump' => $this->rangeJump,
            'tempoLoss' => $this->tempoLoss,
        ];
    }
}
