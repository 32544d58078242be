<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reads targets that stand alone, as in "jab, body, head" or "high low high": the pattern goes on with straights of the
 * hands in turn, or with the same kick of the legs in turn.
 *
 * @internal to {@see ChainParser}
 */
final readonly class TargetRowReader
{
    /** Heights that are said only in such a row. */
    private const HEIGHTS = ['up' => Target::Head, 'down' => Target::Body];

    public function __construct(
        private Catalogue $catalogue,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private StrikePhraseParser $strikes,
        private MovePhraseParser $moves,
    ) {
    }

    /** @return bool whether there was a target that stands alone */
    public function read(): bool
    {
        $index = $this->tokens->position();
        $target = $this->at($index);
        if (null === $target) {
            return false;
        }
        $token = $this->tokens->take();
        $last = LastStrike::in($this->draft->items);
        $family = null !== $last && $last->item->isLegStrike() ? $last->item->strike->family : 'straight';
        $role = null === $last ? Role::Lead : $last->role->other();
        $strike = $this->catalogue->inFamily($family, $role) ?? $this->catalogue->inFamily($family, $role->other());
        if (null === $strike) {
            return true;
        }
        if (Target::Leg === $target && !\in_array(Target::Leg, $strike->targets, true)) {
            $target = Target::Body;
        }
        try {
            $this->draft->add(new StrikeItem($strike, $target), $token->span);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($token->span, $invalid->getMessage(), t('another target'));

            return true;
        }
        $other = $this->catalogue->inFamily($family, $role->other());
        $this->diagnostics->note(
            $token->span,
            t('A target alone is read as {strike}, in turn.', strike: $strike->name),
            array_map(
                static fn (string $name): string => $name.' to the '.$target->word(),
                null === $other ? [$strike->name] : [$strike->name, $other->name],
            ),
        );

        return true;
    }

    private function at(int $index): ?Target
    {
        $word = $this->tokens->words[$index] ?? '';
        if (!isset(Vocabulary::TARGETS[$word]) && !isset(self::HEIGHTS[$word])) {
            return null;
        }
        $target = Vocabulary::TARGETS[$word] ?? ($this->isRow($index) ? self::HEIGHTS[$word] ?? null : null);

        $isName =
            null !== $this->moves->parse($this->tokens, $index)
            || (!isset(self::HEIGHTS[$word]) && null !== $this->strikes->parse($this->tokens, $index));

        return $isName ? null : $target;
    }

    /** Tells whether "down" stands beside this "up", or the other way round. */
    private function isRow(int $index): bool
    {
        foreach ([-2, -1, 1, 2] as $step) {
            $word = $this->tokens->words[$index + $step] ?? '';
            if (isset(self::HEIGHTS[$word]) && $word !== $this->tokens->words[$index]) {
                return true;
            }
        }

        return false;
    }
}
