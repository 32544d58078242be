<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Programme;

/** A position in a plan. */
final readonly class Place
{
    /**
     * @param int|null $block counted from 0, and so on; null at the end of the session
     * @param int|null $repeat which time the round is done
     */
    public function __construct(
        public ?int $block = null,
        public ?int $round = null,
        public ?int $repeat = null,
        public ?int $set = null,
    ) {
    }

    public function withSet(int $set): self
    {
        return new self($this->block, $this->round, $this->repeat, $set);
    }
}
