<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Technique\MoveKind;

use function Periplus\Core\Language\t;

/**
 * Reads the move at the current position and adds it to the chain. A strike named after a defence, as in "slip the
 * jab", belongs to the opponent.
 *
 * @internal to {@see ChainParser}
 */
final readonly class MoveReader
{
    public function __construct(
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private MovePhraseParser $moves,
        private MoveResolver $resolver,
    ) {
    }

    /** @return bool whether a move began here, well formed or not */
    public function read(): bool
    {
        $phrase = $this->moves->parse($this->tokens, $this->tokens->position());
        if (null !== $phrase) {
            $this->add($phrase);
        }

        return null !== $phrase;
    }

    public function add(MovePhrase $phrase): void
    {
        $this->tokens->moveTo($phrase->next);
        $moves = $this->resolver->all($phrase, $this->draft->running, $this->draft->items);
        foreach ($moves as $move) {
            $this->draft->add(new MoveItem($move), $phrase->span);
        }
        if ([] !== $moves && MoveKind::Defence === $moves[0]->kind) {
            $this->opponents($phrase);
        }
    }

    /** Adds the move that a strike was thrown off; without a side it goes where that strike needs it. */
    public function addBefore(MovePhrase $phrase, StrikePhrase $thrown): void
    {
        $strike =
            null !== $phrase->sides && null === $phrase->side && 1 === $phrase->times
                ? $this->resolver->strikeOf($thrown, $this->draft->running, $this->draft->items)
                : null;
        $move = null === $strike ? null : $this->resolver->with($phrase, $this->draft->running, $strike);
        if (null === $move) {
            $this->add($phrase);

            return;
        }
        $this->tokens->moveTo($phrase->next);
        $this->draft->add(new MoveItem($move), $phrase->span);
    }

    /** Reads "slip the jab" or "roll under the hook": the strike named belongs to the opponent and is not thrown. */
    private function opponents(MovePhrase $phrase): void
    {
        $index = $this->tokens->position();
        $past = $this->resolver->pastTheOpponents($phrase);
        if ($past > $index) {
            $this->diagnostics->note(
                $this->tokens->span($index, $past),
                t('This strike belongs to the opponent, not to the chain.'),
            );
            $this->tokens->moveTo($past);
        } elseif (
            isset(Vocabulary::UNDER[$this->tokens->word()])
            && TokenKind::Word !== $this->tokens->at($index + 1)?->kind
        ) {
            $this->tokens->take();
        }
    }
}
