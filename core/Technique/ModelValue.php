<?php

declare(strict_types=1);

namespace Periplus\Core\Technique;

/** A built-in number of the model: its meaning, its source, and the range within which a gym may change it. */
final readonly class ModelValue
{
    /**
     * @param string $key what it is known by: "body.turnRate", "cross.needs.turn.to", "slip-lead.duration"
     * @param string $of whose it is: "body", or the id of a strike or move
     * @param string $name in words, without whose it is
     * @param float $step by which it is moved by hand
     * @param string|null $note a remark on all numbers of that strike or move
     */
    public function __construct(
        public string $key,
        public string $of,
        public string $name,
        public float $value,
        public string $unit,
        public string $meaning,
        public string $source,
        public float $least,
        public float $most,
        public float $step,
        public ?string $note = null,
    ) {
    }
}
