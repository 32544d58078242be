<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

/**
 * Reads a strike that lands together with the strike or move before it: "+14", "with a low kick". Two that cannot land
 * together follow each other.
 *
 * @internal to {@see ChainParser}
 */
final readonly class JoinedReader
{
    public function __construct(
        private Catalogue $catalogue,
        private Vocabulary $vocabulary,
        private Numbering $numbering,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private StrikePhraseParser $strikes,
        private MovePhraseParser $moves,
        private StrikeReader $strikeReader,
    ) {
    }

    public function read(): void
    {
        $index = $this->tokens->position();
        $plus = $this->tokens->take();
        while (TokenKind::Word === $plus->kind && isset(Vocabulary::ARTICLES[$this->tokens->word()])) {
            $this->tokens->take();
        }
        $phrase = $this->strikes->parse($this->tokens, $this->tokens->position());
        $before = $this->draft->last();
        // Written in words, what is joined has a comma before "with".
        $apart =
            TokenKind::Word === $plus->kind
                ? TokenKind::Stop !== $this->tokens->at($index - 1)?->kind
                : $this->standsBetweenBlanks($index);
        $follows =
            $before instanceof MoveItem
                ? $apart
                : TokenKind::Word === $plus->kind && !$before instanceof StrikeItem;
        if (null !== $phrase && $follows) {
            if ($before instanceof MoveItem) {
                $this->afterMove($plus, $index);
            }

            return;
        }
        if (null === $phrase) {
            if (
                TokenKind::Word === $plus->kind
                && (null !== $this->moves->parse($this->tokens, $this->tokens->position())
                    || isset(Vocabulary::EFFORTS[$this->tokens->word()]))
            ) {
                // "With a step", "with power".
                return;
            }
            $this->diagnostics->problem(
                $plus->span,
                t('A + joins the strike after it, and there is none.'),
                t('a strike, such as 2 or "cross"'),
                ['+14'],
            );

            return;
        }
        if ($apart && $before instanceof StrikeItem && !$this->landsTogether($before, $phrase)) {
            $this->diagnostics->note(
                $plus->span,
                t('"{plus}" is read as "then": these two cannot land together.', plus: $plus->text),
            );
            $this->strikeReader->add($phrase, false, false);

            return;
        }
        $this->strikeReader->add($phrase, false, true, $plus->span);
    }

    /** Reads "step in with a jab", where the jab follows the step; that both are one is as likely. */
    private function afterMove(Token $plus, int $index): void
    {
        $move = $this->tokens->at($index - 1);
        if (null === $move || TokenKind::Stop === $move->kind) {
            return;
        }
        $this->diagnostics->note(
            $plus->span,
            t('"{plus}" is read as "then": the strike follows the move.', plus: $plus->text),
            ['then', ', with'],
        );
    }

    /** Tells whether a sign has a blank or nothing on either side. */
    private function standsBetweenBlanks(int $index): bool
    {
        [$before, $sign, $after] = [
            $this->tokens->at($index - 1),
            $this->tokens->at($index),
            $this->tokens->at($index + 1),
        ];

        return null !== $before
            && null !== $sign
            && null !== $after
            && $before->span->at + $before->span->length < $sign->span->at
            && $sign->span->at + $sign->span->length < $after->span->at;
    }

    /**
     * An arm and a leg can land together; two arms would turn the hips both ways, and two legs leave nothing to stand
     * on.
     */
    private function landsTogether(StrikeItem $before, StrikePhrase $phrase): bool
    {
        $family =
            '' === $phrase->noun
                ? $this->numbering->entry($phrase->code)?->family
                : $this->vocabulary->nouns[$phrase->noun];
        $strike =
            null === $family
                ? null
                : $this->catalogue->inFamily($family, Role::Lead) ?? $this->catalogue->inFamily($family, Role::Rear);

        return null === $strike || $strike->limb->isArm() !== $before->strike->limb->isArm();
    }
}
