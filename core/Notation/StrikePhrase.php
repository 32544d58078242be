<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/**
 * A phrase for one strike, such as "hard left low kick", "double jab", "three hooks" or "fake 1". Whatever depends on
 * the stance, the numbering or earlier items is decided later. It has a noun or a number.
 */
final readonly class StrikePhrase
{
    /**
     * @param Span $head the noun or the number alone
     * @param Span $span all of it
     * @param int $next place of the token after it
     * @param string $noun as {@see StrikePhraseParser} knows it; empty where there is a number
     * @param string $code a number of a numbering; empty where there is a noun
     * @param string $letters the letters directly after the number: "b" in "3b"
     * @param Role|null $role said beside a left or right, as in "lead left hook": the two have to agree; without one it
     *                        follows from the side of the thigh, "inside low kick"
     * @param string|null $targetWord a key of {@see Vocabulary::TARGETS}
     * @param int $times how often it is thrown: 2 for "double jab"
     * @param bool $inTurn resolved separately each time, as in "four uppercuts", which alternate; otherwise the same
     *                     strike again
     * @param bool $switched after a switch of the feet that is said with it, as in "switch front kick"
     * @param bool $openTarget the target stands between two strikes and could belong to either
     * @param string|null $secondTarget the target of the second of two, as in "double hook, body and head"
     */
    public function __construct(
        public Span $head,
        public Span $span,
        public int $next,
        public string $noun = '',
        public string $code = '',
        public string $letters = '',
        public Role|Side|null $side = null,
        public ?Role $role = null,
        public ?string $targetWord = null,
        public Effort $effort = Effort::Plain,
        public bool $feint = false,
        public bool $landsForward = false,
        public int $times = 1,
        public bool $inTurn = false,
        public bool $switched = false,
        public bool $openTarget = false,
        public ?string $secondTarget = null,
    ) {
    }

    /** Returns the second of two strikes with a target of its own. */
    public function second(): self
    {
        return new self(
            noun: $this->noun,
            code: $this->code,
            letters: $this->letters,
            side: $this->side,
            role: $this->role,
            targetWord: $this->secondTarget,
            effort: $this->effort,
            feint: $this->feint,
            landsForward: $this->landsForward,
            head: $this->head,
            span: $this->span,
            next: $this->next,
        );
    }

    /** Returns the target that the words name. */
    public function target(): ?Target
    {
        return null === $this->targetWord ? null : Vocabulary::TARGETS[$this->targetWord];
    }

    /** Returns the named target as this strike has it; null when none was named. The strike may not reach it. */
    public function targetOf(Strike $strike): ?Target
    {
        // For a punch, "low" means under the guard.
        return 'low' === $this->targetWord && !\in_array(Target::Leg, $strike->targets, true)
            ? Target::Body
            : $this->target();
    }

    /** Returns the same phrase with that role. */
    public function withRole(Role $role): self
    {
        return new self(
            noun: $this->noun,
            code: $this->code,
            letters: $this->letters,
            side: $role,
            targetWord: $this->targetWord,
            effort: $this->effort,
            feint: $this->feint,
            landsForward: $this->landsForward,
            times: $this->times,
            inTurn: $this->inTurn,
            switched: $this->switched,
            openTarget: $this->openTarget,
            secondTarget: $this->secondTarget,
            head: $this->head,
            span: $this->span,
            next: $this->next,
        );
    }
}
