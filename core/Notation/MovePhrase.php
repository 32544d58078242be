<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/**
 * A phrase for one move, such as "slip left" or "step off to the left". Whatever depends on the stance is decided
 * later.
 */
final readonly class MovePhrase
{
    /**
     * @param string $name id of a move, the bare word of moves that go to a side, or a key of {@see
     *                     Vocabulary::SEQUENCES}
     * @param array{lead: string, rear: string}|null $sides ids of the moves of that bare word
     * @param string $said the words themselves, without the side
     * @param int $next place of the token after it
     */
    public function __construct(
        public string $name,
        public ?array $sides,
        public Role|Side|null $side,
        public string $said,
        public Span $span,
        public int $next,
    ) {
    }

    public function role(Stance $running): ?Role
    {
        return $this->side instanceof Side ? $running->roleOf($this->side) : $this->side;
    }
}
