<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Role;

use function Periplus\Core\Language\t;

/**
 * Reads free strikes as they are said, and the strikes to choose from: "any three strikes", "any two of jab, cross,
 * hook", "jab or cross", and the brackets of "*(1,2)".
 *
 * @internal to {@see ChainParser}
 */
final readonly class ChoiceReader
{
    public function __construct(
        private Vocabulary $vocabulary,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private StrikePhraseParser $strikes,
        private StrikeResolver $resolver,
    ) {
    }

    /** @return bool whether free strikes began here, well formed or not */
    public function read(ChainDraft $draft): bool
    {
        $index = $this->tokens->position();
        $word = $this->tokens->word();
        if ('' !== $word && 'or' !== $word && 'freestyle' !== $word && !isset(Vocabulary::CHOICE[$word])) {
            return false;
        }
        if ($this->ofOneNoun($draft)) {
            return true;
        }
        $phrase = FreePhrase::at($this->tokens, $index);
        if (null !== $phrase) {
            $this->tokens->moveTo($phrase->next);
            $choice = $phrase->names ? $this->listed($draft) : [];
            $span = $this->tokens->span($index, $this->tokens->position());
            $this->add(
                $draft,
                static fn (): FreeStrikes => new FreeStrikes($phrase->count, $phrase->target, $phrase->effort, $choice),
                $span,
            );
            if (!$phrase->isCounted && [] === $choice) {
                $this->diagnostics->note($span, t('Free strikes without a count are read as one.'), [
                    'any 1 strike',
                    'any 2 strikes',
                    'any 3 strikes',
                ]);
            }

            return true;
        }

        return $this->orAnother($draft);
    }

    /**
     * Reads the strikes in the brackets of "*(1,2)3".
     *
     * @return list<StrikeItem>|null null leaves a problem
     */
    public function inBrackets(ChainDraft $draft): ?array
    {
        $open = $this->tokens->take();
        $choice = $this->listed($draft);
        if (!$this->tokens->isSign(')')) {
            $this->diagnostics->problem(
                $open->span,
                t('This ( is not closed after the strikes to choose from.'),
                t('), after strikes with commas between them, such as *(1,2)3'),
            );

            return null;
        }
        $this->tokens->take();

        return $choice;
    }

    /**
     * Reads strikes with commas, "and" or "or" between them. After "or" and "and" a comma ends the list.
     *
     * @return list<StrikeItem>
     */
    private function listed(ChainDraft $draft): array
    {
        $choice = [];
        $hasOr = false;
        while (true) {
            $index = $this->past($this->tokens->position());
            $between = $this->tokens->position() === $index ? null : $this->tokens->at($index - 1);
            if ($hasOr && TokenKind::Stop === $this->tokens->peek()?->kind) {
                break;
            }
            $hasOr = $hasOr || ([] !== $choice && TokenKind::Word === $between?->kind);
            $phrase = $this->strikes->parse($this->tokens, $index);
            if (null === $phrase || \count($choice) > FreeStrikes::MAX_CHOICE) {
                break;
            }
            $item = $this->resolver->resolve($phrase, $draft->running, $draft->items);
            if (null !== $item) {
                $choice[] = new StrikeItem($item->strike, $item->target);
            }
            $this->tokens->moveTo($phrase->next);
        }

        return $choice;
    }

    /** Skips what stands between the strikes of a list. */
    private function past(int $index): int
    {
        while (
            TokenKind::Stop === $this->tokens->at($index)?->kind
            || \in_array($this->tokens->words[$index] ?? '', ['or', 'and', 'the', 'a', 'an'], true)
        ) {
            ++$index;
        }

        return $index;
    }

    /** Reads "any three hooks": of both sides. */
    private function ofOneNoun(ChainDraft $draft): bool
    {
        $index = $this->tokens->position();
        if (!isset(Vocabulary::CHOICE[$this->tokens->word()])) {
            return false;
        }
        $count = $this->tokens->numberAt($index + 1);
        $noun = $this->vocabulary->noun($this->tokens->words, $index + (null === $count ? 1 : 2));
        $word = $this->tokens->words[$index + (null === $count ? 1 : 2)] ?? '';
        if (null === $noun || isset(Vocabulary::FREE[$word]) || (null !== $count && !ctype_digit($count))) {
            return false;
        }
        $this->tokens->moveTo($index + (null === $count ? 1 : 2) + $noun->count);
        $span = $this->tokens->span($index, $this->tokens->position());
        $phrase = new StrikePhrase(head: $span, span: $span, next: $this->tokens->position(), noun: $noun->name);
        $choice = [];
        foreach (isset($this->vocabulary->fixed[$noun->name]) ? [] : Role::cases() as $role) {
            $item = $this->resolver->resolve($phrase->withRole($role), $draft->running, $draft->items);
            if (null !== $item) {
                $choice[] = $item;
            }
        }
        $this->add($draft, static fn (): FreeStrikes => new FreeStrikes((int) ($count ?? 1), choice: $choice), $span);

        return true;
    }

    /** Reads "or cross" after a jab: one of the two. */
    private function orAnother(ChainDraft $draft): bool
    {
        $last = $draft->last();
        if ('or' !== $this->tokens->word()) {
            return false;
        }
        $index = $this->past($this->tokens->position());
        $phrase = $this->strikes->parse($this->tokens, $index);
        $before = match (true) {
            $last instanceof StrikeItem => [new StrikeItem($last->strike, $last->target)],
            $last instanceof FreeStrikes => $last->choice,
            default => [],
        };
        if (null === $phrase || [] === $before) {
            $or = $this->tokens->take();
            $this->diagnostics->problem(
                $or->span,
                t('"or" stands between two strikes, of which the athlete throws one.'),
                t('a strike before it and after it'),
                ['jab or cross'],
            );

            return true;
        }
        $from = \array_slice($draft->items, 0, -1);
        $item = $this->resolver->resolve($phrase, $draft->running, $from);
        $this->tokens->moveTo($phrase->next);
        if (null !== $item) {
            $span = ($draft->lastSpan() ?? $phrase->span)->until($phrase->span);
            $draft->removeLast();
            $choice = [...$before, new StrikeItem($item->strike, $item->target)];
            $this->add($draft, static fn (): FreeStrikes => new FreeStrikes(1, choice: $choice), $span);
        }

        return true;
    }

    /** @param \Closure(): FreeStrikes $make */
    private function add(ChainDraft $draft, \Closure $make, Span $span): void
    {
        try {
            $draft->add($make(), $span);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), t('a count, such as *3'), ['*3']);
        }
    }
}
