<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Target;

use function Periplus\Core\Language\t;

/**
 * Reads strikes that are not named: "feint", "counter" and "same hand, upstairs" mean the likeliest one, and what "he"
 * throws is no part of the chain.
 *
 * @internal to {@see ChainParser}
 */
final class ImpliedReader
{
    /** What a clause leads to: "set up the low kick with a jab cross". */
    private ?StrikePhrase $setUp = null;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly TokenStream $tokens,
        private readonly Diagnostics $diagnostics,
        private readonly ChainDraft $draft,
        private readonly StrikePhraseParser $strikes,
        private readonly MovePhraseParser $moves,
        private readonly StrikeReader $strikeReader,
    ) {
    }

    /** @return bool whether there was something of the kind */
    public function read(): bool
    {
        $word = $this->tokens->word();

        return match (true) {
            isset(Vocabulary::FEINT[$word]) => $this->bareFeint(),
            Vocabulary::COUNTER === $word => $this->counter(),
            isset(Vocabulary::SAME_HAND[$word]) => $this->sameHand(Vocabulary::SAME_HAND[$word]),
            isset(Vocabulary::OPPONENT[$word]) => $this->opponents(),
            'under' === $word && isset(Vocabulary::ARTICLES[$this->tokens->word(1)]) => $this->opponents(),
            'switch-step' === $word => $this->switchStep(),
            'set-up' === $word => $this->setUp(),
            default => false,
        };
    }

    /** Reads "feint, cross": a feint without a strike is the likeliest one, a jab. */
    private function bareFeint(): bool
    {
        $token = $this->tokens->take();
        $span = $token->span;
        $index = $this->tokens->position();
        $aim = $index + ('to' === $this->tokens->word() ? 1 : 0);
        $aim += isset(Vocabulary::ARTICLES[$this->tokens->words[$aim] ?? '']) ? 1 : 0;
        if (null !== $this->moves->parse($this->tokens, $aim)) {
            $this->diagnostics->note($span, t('A move is not feinted here: the move itself is read.'));

            return true;
        }
        $target = $this->tokens->words[$aim] ?? '';
        if (isset(Vocabulary::TARGETS[$target])) {
            $this->tokens->moveTo($aim + 1);
            $span = $span->until($this->tokens->span($index, $aim + 1));
        }
        $jab = $this->likeliest('jab', isset(Vocabulary::TARGETS[$target]) ? [$target] : [], $span);
        if (null !== $jab) {
            $this->strikeReader->add($jab, true, false);
            $this->diagnostics->note($token->span, t('A feint without a strike is read as a jab.'), [
                'fake jab',
                'fake cross',
                'fake lead hook',
            ]);
        }

        return true;
    }

    /** Reads "pull counter": an answer without a strike is the likeliest one, a cross. */
    private function counter(): bool
    {
        $token = $this->tokens->take();
        $next = $this->tokens->peek();
        $target = $next?->word() ?? '';
        $isAimed =
            isset(Vocabulary::TARGETS[$target])
            && null === $this->strikes->parse($this->tokens, $this->tokens->position());
        if ($isAimed) {
            $this->tokens->take();
        } elseif (null !== ($his = $this->answered())) {
            $this->tokens->moveTo($his->next + 1);
            $this->diagnostics->note($his->span, t('This strike belongs to the opponent, not to the chain.'));
            $this->diagnostics->passOver($token->span);

            return true;
        } elseif (null !== $next && TokenKind::Stop !== $next->kind && 'then' !== $next->word()) {
            $this->diagnostics->passOver($token->span);

            return true;
        }
        $cross = $this->likeliest(
            'cross',
            $isAimed ? [$target] : [],
            $isAimed ? $token->span->until($next->span) : $token->span,
        );
        if (null !== $cross) {
            $this->strikeReader->add($cross, false, false);
            $this->diagnostics->note($token->span, t('An answer without a strike is read as a cross.'), [
                'cross',
                'jab',
                'lead hook',
            ]);
        }

        return true;
    }

    /** Returns the opponent's strike of "counter the jab with a cross". */
    private function answered(): ?StrikePhrase
    {
        $index = $this->tokens->position();
        $index += isset(Vocabulary::ARTICLES[$this->tokens->words[$index] ?? '']) ? 1 : 0;
        $his = $this->strikes->parse($this->tokens, $index);

        return null !== $his && 'with' === ($this->tokens->words[$his->next] ?? '') ? $his : null;
    }

    /** Reads "set up the low kick with a jab cross": the kick comes last in its clause. */
    private function setUp(): bool
    {
        $token = $this->tokens->take();
        $his = $this->answered();
        $this->diagnostics->passOver($token->span);
        if (null !== $his) {
            $this->setUp = $his;
            $this->tokens->moveTo($his->next + 1);
        }

        return true;
    }

    /** Ends a clause, with the strike that it has set up. */
    public function endClause(): void
    {
        $strike = $this->setUp;
        $this->setUp = null;
        if (null !== $strike) {
            $position = $this->tokens->position();
            $this->strikeReader->add($strike->with(next: $position), false, false);
            $this->diagnostics->note($strike->span, t('What is set up comes last.'));
        }
    }

    /** Reads "switch step, lead leg kick": the kick of the leg that has just switched to the rear; else a switch. */
    private function switchStep(): bool
    {
        $token = $this->tokens->take();
        $next = $this->tokens->position() + (TokenKind::Stop === $this->tokens->peek()?->kind ? 1 : 0);
        $switch = new Token(TokenKind::Word, 'switch', $token->span);
        $phrase = $this->strikes->parse($this->tokens->after($switch, $next), 0);
        if (null === $phrase) {
            $this->draft->add(new MoveItem($this->catalogue->move('switch')), $token->span);
        } else {
            // One token was put before those that follow.
            $this->strikeReader->add($phrase->with(next: $next + $phrase->next - 1), false, false);
        }

        return true;
    }

    /** Reads "same hand, upstairs": the strike before it once more, by the same hand or the other one. */
    private function sameHand(bool $isSame): bool
    {
        $index = $this->tokens->position();
        $last = LastStrike::in($this->draft->items);
        if (null === $last || !isset(Vocabulary::LIMBS[$this->tokens->word(1)])) {
            return false;
        }
        $next = $index + 2;
        $next += \in_array($this->tokens->words[$next] ?? '', ['to', 'at'], true) ? 1 : 0;
        $next += isset(Vocabulary::ARTICLES[$this->tokens->words[$next] ?? '']) ? 1 : 0;
        $target = Vocabulary::TARGETS[$this->tokens->words[$next] ?? ''] ?? null;
        $strike = $this->catalogue->inFamily(
            $last->item->strike->family,
            $isSame ? $last->role : $last->role->other(),
        );
        if (null === $strike) {
            return false;
        }
        $this->tokens->moveTo(null === $target ? $index + 2 : $next + 1);
        $aimed = $target ?? $last->item->target;
        $span = $this->tokens->span($index, $this->tokens->position());
        $this->draft->add(
            new StrikeItem($strike, \in_array($aimed, $strike->targets, true) ? $aimed : Target::Body),
            $span,
        );
        $this->diagnostics->note($span, t('This is read as {strike}.', strike: $strike->name));

        return true;
    }

    /** Reads "he jabs" and "kick under the jab": that strike is the opponent's and no part of the chain. */
    private function opponents(): bool
    {
        $index = $this->tokens->position();
        $next = $index + 1;
        while (isset(Vocabulary::FILLERS[$this->tokens->words[$next] ?? ''])) {
            ++$next;
        }
        $what = $this->strikes->parse($this->tokens, $next) ?? $this->moves->parse($this->tokens, $next);
        if (null === $what) {
            return false;
        }
        $this->tokens->moveTo($what->next);
        $this->diagnostics->note(
            $this->tokens->span($index, $what->next),
            t('This belongs to the opponent, not to the chain.'),
        );

        return true;
    }

    /**
     * Returns the strike that is meant where none is named.
     *
     * @param list<string> $target
     */
    private function likeliest(string $noun, array $target, Span $span): ?StrikePhrase
    {
        $words = [$noun, ...$target];
        $tokens = array_map(static fn (string $word): Token => new Token(TokenKind::Word, $word, $span), $words);

        return $this->strikes
            ->parse(new TokenStream(new HeardLine($tokens, $words, [])), 0)
            ?->with(next: $this->tokens->position());
    }
}
