<?php

declare(strict_types=1);

namespace Periplus\Core\Balance;

/** A body segment as measured in a sample of people; of a paired one, one side. */
final readonly class BodySegment
{
    /**
     * @param float $mass share of the mass of the body, 0..1
     * @param float $centre where its centre of mass lies, share of its length from its first end
     * @param float $length share of the body height
     */
    public function __construct(
        public string $id,
        public float $mass,
        public float $centre,
        public float $length,
        public bool $paired,
    ) {
    }

    /** Returns the distance from the first end to the centre of mass, as a share of the body height. */
    public function arm(): float
    {
        return $this->centre * $this->length;
    }
}
