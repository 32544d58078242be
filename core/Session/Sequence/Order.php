<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Sequence;

/** An order of combinations in which each shares much with the one before. */
final readonly class Order
{
    /**
     * @param list<int> $order places of the combinations as they were given
     * @param list<float> $steps how far each is from the one before; one fewer than there are combinations
     * @param float $bound no order costs less
     * @param bool $proven whether no order can cost less than this one
     */
    public function __construct(
        public array $order,
        public array $steps,
        public float $cost,
        public float $bound,
        public bool $proven,
    ) {
    }
}
