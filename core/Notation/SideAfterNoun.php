<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;

/**
 * Finds the side that is said after a strike, as in "hook left" or "uppercut with the right".
 *
 * @internal to {@see StrikePhraseParser}
 */
final readonly class SideAfterNoun
{
    public function __construct(
        private Vocabulary $vocabulary,
        private NounFinder $nouns,
        private StrikePhraseParser $strikes,
    ) {
    }

    /**
     * Parses "hook left" or "uppercut with the right": a side after a noun belongs to it unless the next strike needs
     * it more.
     */
    public function find(TokenStream $tokens, int $index, string $noun): ?FoundSide
    {
        $words = $tokens->words;
        if (
            'back' === ($words[$index] ?? '')
            && \in_array($words[$index + 1] ?? '', ['leg', 'foot'], true)
            && $this->vocabulary->isOfLeg($noun)
            && null === $this->nouns->noun($words, $index + 2)
        ) {
            // "Kick back leg"; elsewhere "back" is a side only behind "with".
            return new FoundSide(Role::Rear, $index + 2);
        }
        $isWith = 'with' === ($words[$index] ?? '') || $this->isOffALimb($words, $index);
        $with = $isWith ? (isset(Vocabulary::ARTICLES[$words[$index + 1] ?? '']) ? 2 : 1) : 0;
        $word = $words[$index + $with] ?? '';
        $isBack = 'back' === $word && $with > 0 && isset(Vocabulary::LIMBS[$words[$index + $with + 1] ?? '']);
        $side = $isBack ? Role::Rear : Vocabulary::SIDES[$word] ?? null;
        if (null === $side) {
            return null;
        }
        $next = $index + $with + 1;
        if ($with > 0) {
            $limb = isset(Vocabulary::LIMBS[$words[$next] ?? '']) ? 1 : 0;
            $follows = $this->strikes->parse($tokens, $index + $with);

            return null === $follows || $isBack || $follows->head->at === $tokens->at($index + $with)?->span->at
                ? new FoundSide($side, $next + $limb)
                : null;
        }
        if (null !== $this->nouns->noun($words, $index)) {
            // "Right hand" is a strike of its own.
            return null;
        }
        $limb = Vocabulary::LIMBS[$words[$next] ?? ''] ?? null;
        $isOtherLimb = null !== $limb && $limb !== $this->vocabulary->isOfLeg($noun);
        if ($isOtherLimb && null === $this->nouns->noun($words, $next + 1)) {
            // "Front kick, rear leg" without its comma.
            return new FoundSide($side, $next + 1);
        }
        $move = $this->vocabulary->move($words, $next);
        if (null !== $move && isset($this->vocabulary->bases[$move->name])) {
            // "Left slip", unless the move has its side after it.
            return isset(Vocabulary::SIDES[$words[$next + $move->count] ?? '']) ? new FoundSide($side, $next) : null;
        }
        $follows = $this->strikes->parse($tokens, $index);
        if (null === $follows || $follows->head->at === $tokens->at($index)?->span->at) {
            return new FoundSide($side, $next);
        }
        // The next strike names its own hand or has a side after it, so this side is not for it.
        $asks = isset($this->vocabulary->fixed[$follows->noun])
            ? $this->isOf($side, $this->vocabulary->fixed[$follows->noun], $tokens->running)
            : $this->asksForSide($follows->noun) && !isset(Vocabulary::ORGANS[$follows->targetWord ?? '']);

        $hasItsOwn = !$asks || null !== $this->find($tokens, $follows->next, $follows->noun);

        return $hasItsOwn ? new FoundSide($side, $next) : null;
    }

    /**
     * Tells whether "off the back leg" stands there, which names the limb.
     *
     * @param list<string> $words
     */
    private function isOffALimb(array $words, int $index): bool
    {
        return \in_array($words[$index] ?? '', ['off', 'from'], true)
            && isset(Vocabulary::ARTICLES[$words[$index + 1] ?? ''])
            && isset(Vocabulary::LIMBS[$words[$index + 3] ?? '']);
    }

    /** Tells whether a side can be the side of a jab or a cross, as in "right cross". */
    private function isOf(Role|Side $side, Role $role, ?Stance $running): bool
    {
        return $side instanceof Role ? $side === $role : null === $running || $running->roleOf($side) === $role;
    }

    /** Tells whether a noun can be thrown from either side. */
    private function asksForSide(string $noun): bool
    {
        return !isset($this->vocabulary->fixed[$noun])
            && !isset($this->vocabulary->hands[$noun])
            && !$this->vocabulary->isOneSided($noun);
    }
}
