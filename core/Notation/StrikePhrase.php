<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\Landing;
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
     * @param bool $legUp by the leg that is still up from the kick before
     * @param bool|null $sameHand by the hand of the strike before it; false for the other hand, null where neither is
     *                            said
     * @param bool $repeated "twice" was said behind it, which may mean all before it as well
     * @param bool $effortLeads the effort stands before the noun, and so may be meant for what follows, too
     * @param Role|null $startsWith the role of the first of a row that opens a chain
     * @param bool $bothSides both sides were said behind it: "hooks left and right"
     * @param list<Span> $passedOver words about the manner, which a chain does not record
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
        public Landing $landing = Landing::Back,
        public int $times = 1,
        public bool $inTurn = false,
        public bool $switched = false,
        public bool $openTarget = false,
        public ?string $secondTarget = null,
        public bool $legUp = false,
        public ?bool $sameHand = null,
        public bool $repeated = false,
        public bool $effortLeads = false,
        public ?Role $startsWith = null,
        public array $passedOver = [],
        public bool $bothSides = false,
    ) {
    }

    /** Returns the second of two strikes with a target of its own. */
    public function second(): self
    {
        return $this->with(times: 1, inTurn: false, targetWord: $this->secondTarget);
    }

    /** Returns the same phrase with that role. */
    public function withRole(Role $role): self
    {
        return $this->with(by: $role);
    }

    /**
     * Returns the same phrase with other parts.
     *
     * @param Role|null $by its role, in the place of all that was said about the side
     */
    public function with(
        ?Span $span = null,
        ?int $next = null,
        ?int $times = null,
        ?bool $inTurn = null,
        ?bool $legUp = null,
        ?bool $repeated = null,
        ?Role $startsWith = null,
        ?string $targetWord = null,
        ?Role $by = null,
    ): self {
        return new self(
            head: $this->head,
            span: $span ?? $this->span,
            next: $next ?? $this->next,
            noun: $this->noun,
            code: $this->code,
            letters: $this->letters,
            side: $by ?? $this->side,
            role: null === $by ? $this->role : null,
            targetWord: $targetWord ?? $this->targetWord,
            effort: $this->effort,
            feint: $this->feint,
            landing: $this->landing,
            times: $times ?? $this->times,
            inTurn: $inTurn ?? $this->inTurn,
            switched: $this->switched,
            openTarget: $this->openTarget,
            secondTarget: $this->secondTarget,
            legUp: $legUp ?? $this->legUp,
            sameHand: null === $by ? $this->sameHand : null,
            repeated: $repeated ?? $this->repeated,
            effortLeads: $this->effortLeads,
            startsWith: $startsWith ?? $this->startsWith,
            passedOver: $this->passedOver,
            bothSides: $this->bothSides,
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
}
