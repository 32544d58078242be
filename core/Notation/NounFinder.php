<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Role;

/**
 * Finds the noun of a strike, or a side with its limb, at a place in a line of words.
 *
 * @internal to {@see StrikePhraseParser}
 */
final readonly class NounFinder
{
    /**
     * @param array<string, mixed> $more single words that are nouns here as well, and go before the vocabulary's own
     *                                   single words
     */
    public function __construct(private Vocabulary $vocabulary, private array $more)
    {
    }

    /**
     * Returns the longest noun that starts there, unless it is the limb of the noun after it.
     *
     * @param list<string> $words
     */
    public function noun(array $words, int $index): ?FoundNoun
    {
        $found = $this->vocabulary->noun($words, $index);
        if (null !== $found && $this->isLimbOfTheNext($words, $index, $found)) {
            return null;
        }

        return (null === $found || 1 === $found->count) && isset($this->more[$words[$index] ?? ''])
            ? new FoundNoun($words[$index], 1, str_ends_with($words[$index], 's'))
            : $found;
    }

    /**
     * Parses a side with its limb, if named: "left", "lead leg", "back hand".
     *
     * @param list<string> $words
     */
    public function side(array $words, int $index): ?FoundSide
    {
        $word = $words[$index] ?? '';
        $limb = $words[$index + 1] ?? '';
        $side = Vocabulary::SIDES[$word] ?? ('back' === $word && isset(Vocabulary::LIMBS[$limb]) ? Role::Rear : null);
        if (null === $side || !isset(Vocabulary::LIMBS[$limb])) {
            return null === $side ? null : new FoundSide($side, $index + 1);
        }
        $noun =
            $this->noun($words, $index + 2)
            ?? ('switch' === ($words[$index + 2] ?? '') ? $this->noun($words, $index + 3) : null);
        $named =
            null !== $noun
            && $this->vocabulary->isOfLeg($noun->name) !== Vocabulary::LIMBS[$limb];

        return new FoundSide($side, $index + ($named || !isset(Vocabulary::TARGETS[$limb]) ? 2 : 1));
    }

    /**
     * In "left hand hook" the hand is the limb of the hook and no strike of its own.
     *
     * @param list<string> $words
     */
    private function isLimbOfTheNext(array $words, int $index, FoundNoun $found): bool
    {
        if (!isset($this->vocabulary->hands[$found->name]) || 'hand' !== ($words[$index + 1] ?? '')) {
            return false;
        }
        $next = $this->vocabulary->noun($words, $index + 2);

        return null !== $next
            && !isset($this->vocabulary->fixed[$next->name])
            && !isset($this->vocabulary->hands[$next->name])
            && !$this->vocabulary->isOfLeg($next->name);
    }
}
