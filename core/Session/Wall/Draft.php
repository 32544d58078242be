<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Wall;

/**
 * Something that wants to be said.
 *
 * @internal to {@see Script}
 */
final readonly class Draft
{
    /**
     * @param int $earliest ms before which it makes no sense
     * @param int $atMs when it is said at best
     * @param int|null $until ms at which it has to be over; null when it may last
     * @param string $short what is said where there is no time for the text
     */
    public function __construct(
        public int $earliest,
        public int $atMs,
        public ?int $until,
        public string $text,
        public string $short,
    ) {
    }
}
