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
     * @param Role|Side|null $second the side of a second one: "slip left and right"
     * @param int $times how often it is made: "two slips" go to both sides in turn
     */
    public function __construct(
        public string $name,
        public ?array $sides,
        public Role|Side|null $side,
        public string $said,
        public Span $span,
        public int $next,
        public Role|Side|null $second = null,
        public int $times = 1,
    ) {
    }

    /** Returns the same phrase, as if it ended before that token. */
    public function endingAt(int $next): self
    {
        return new self(
            name: $this->name,
            sides: $this->sides,
            side: $this->side,
            said: $this->said,
            span: $this->span,
            next: $next,
            second: $this->second,
            times: $this->times,
        );
    }

    public function role(Stance $running): ?Role
    {
        return $this->side instanceof Side ? $running->roleOf($this->side) : $this->side;
    }
}
