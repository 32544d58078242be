<?php

declare(strict_types=1);

namespace Periplus\Core\Session\Plan;

/** A part of a session. */
final readonly class Block
{
    /**
     * @param list<Round> $rounds
     * @param int $changeover s after it, for gloves and water
     * @param string $note what to do before it begins, such as "Wrap hands, gloves on"; may be empty
     */
    public function __construct(
        public string $place,
        public BlockKind $kind,
        public string $name,
        public array $rounds,
        public int $changeover,
        public string $note = '',
    ) {
    }
}
