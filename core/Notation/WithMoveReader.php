<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;

use function Periplus\Core\Language\t;

/**
 * Reads a move that goes with a strike or around it: "jab stepping left", "cross out of the slip", "slip and cross at
 * once", "pivot off the hook", "jab in and out".
 *
 * @internal to {@see ChainParser}
 */
final readonly class WithMoveReader
{
    public function __construct(
        private Catalogue $catalogue,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private MovePhraseParser $moves,
        private MoveResolver $resolver,
        private MoveReader $moveReader,
        private StrikePhraseParser $strikes,
        private StrikeReader $strikeReader,
    ) {
    }

    /**
     * @param int $clause place of the first token after the last comma
     *
     * @return bool whether there was something of the kind
     */
    public function read(int $clause): bool
    {
        return match ($this->tokens->word()) {
            'while' => $this->during($clause),
            'together' => $this->together(),
            'out' => 'of' === $this->tokens->word(1) && $this->outOf(),
            'in' => $this->in($clause),
            default => false,
        };
    }

    /** Reads "jab stepping left"; before its strike a move comes first, and only "while" ties the two. */
    private function during(int $clause): bool
    {
        $index = $from = $this->tokens->position();
        while ('while' === ($this->tokens->words[$from] ?? '')) {
            ++$from;
        }
        $phrase = $this->moves->parse($this->tokens, $from);
        if (null === $phrase) {
            return false;
        }
        if ($index > $clause && $this->draft->last() instanceof StrikeItem) {
            $this->tokens->moveTo($phrase->next);
            $this->before($phrase);

            return true;
        }
        $this->tokens->moveTo($from);

        return $this->moveReader->read();
    }

    /** Reads "jab with a step in": the two are one action. */
    public function withMove(): bool
    {
        $index = $this->tokens->position() + 1;
        $index += isset(Vocabulary::ARTICLES[$this->tokens->words[$index] ?? '']) ? 1 : 0;
        $phrase =
            null === $this->strikes->parse($this->tokens, $index)
                ? $this->moves->parse($this->tokens, $index)
                : null;
        if (null === $phrase || !$this->draft->last() instanceof StrikeItem) {
            return false;
        }
        $this->tokens->moveTo($phrase->next);
        $this->before($phrase);

        return true;
    }

    /** Reads "cross out of the slip": the two are one action. */
    private function outOf(): bool
    {
        $index = $this->tokens->position() + 2;
        $index += isset(Vocabulary::ARTICLES[$this->tokens->words[$index] ?? '']) ? 1 : 0;
        $phrase = $this->moves->parse($this->tokens, $index);
        if (null === $phrase || !$this->draft->last() instanceof StrikeItem) {
            return false;
        }
        $this->tokens->moveTo($phrase->next);
        $this->before($phrase);

        return true;
    }

    /** Reads "slip left and cross at once": the last strike goes with what is before it. */
    private function together(): bool
    {
        $token = $this->tokens->take();
        $item = $this->draft->last();
        $place = \count($this->draft->items) - 1;
        if ($item instanceof StrikeItem && $place > 0) {
            if (!$item->joined && !$this->draft->change($place, $item->with(joined: true))) {
                $this->diagnostics->note($token->span, t('These two cannot land together; they follow each other.'));
            } else {
                $this->draft->widen($token->span);
            }

            return true;
        }
        $phrase = $item instanceof MoveItem ? $this->strikes->parse($this->tokens, $this->tokens->position()) : null;
        if (null !== $phrase) {
            $this->strikeReader->add($phrase, false, true, $token->span);

            return true;
        }
        if ($item instanceof MoveItem && $this->moveWithStrikeBefore($item)) {
            $this->draft->widen($token->span);

            return true;
        }
        $this->diagnostics->passOver($token->span);

        return true;
    }

    /** Reads "hook and pivot together": the last move goes with the strike before it. */
    private function moveWithStrikeBefore(MoveItem $move): bool
    {
        $place = \count($this->draft->items) - 2;
        $strike = $this->draft->items[$place] ?? null;
        if (!$strike instanceof StrikeItem || $strike->joined || $strike->legUp) {
            return false;
        }
        $spans = $this->draft->spans;
        $both = $spans[$place]->until($spans[$place + 1]);

        return $this->draft->rebuild(
            [...\array_slice($this->draft->items, 0, $place), $move, $strike->with(joined: true)],
            [...\array_slice($spans, 0, $place), $spans[$place + 1], $both],
        );
    }

    /** Reads "in, jab, out" and "jab in and out": a step in, before the punches of its phrase. */
    private function in(int $clause): bool
    {
        $index = $this->tokens->position();
        $token = $this->tokens->take();
        $last = $this->draft->last();
        $next = $this->tokens->at($index + 1);
        $endsHere =
            null === $next || TokenKind::Stop === $next->kind || \in_array($next->word(), ['and', 'out', 'with'], true);
        $isPunchNext = null !== $this->strikes->parse($this->tokens, $index + 1);
        if ($index === $clause && ($endsHere || $isPunchNext)) {
            $this->draft->add(new MoveItem($this->catalogue->move('step-in')), $token->span);
            $this->diagnostics->note($token->span, t('"in" is read as step in.'));

            return true;
        }
        if (
            (!$endsHere && !$isPunchNext)
            || !$last instanceof StrikeItem
            || 'straight' !== $last->strike->family
        ) {
            $this->diagnostics->passOver($token->span);

            return true;
        }
        $this->insert($this->repeats(), new MoveItem($this->catalogue->move('step-in')), $token->span);
        $this->diagnostics->note($token->span, t('"in" is read as a step in before the punch.'), ['stepping in', '']);

        return true;
    }

    /** Reads "pivot off the hook": the hook is thrown first, and the pivot leaves from it. */
    public function offStrike(MovePhrase $move): bool
    {
        $index = $this->tokens->position();
        $words = $this->tokens->words;
        $off = $move->next + ('off' === ($words[$move->next] ?? '') ? 1 : 0);
        $isOff = $off > $move->next || str_ends_with($move->said, ' off');
        $strike =
            $isOff && isset(Vocabulary::ARTICLES[$words[$off] ?? ''])
                ? $this->strikes->parse($this->tokens, $off + 1)
                : null;
        if (null === $strike) {
            return false;
        }
        $before = $this->draft->last();
        $count = \count($this->draft->items);
        $this->strikeReader->add($strike, false, false);
        if (
            $before instanceof StrikeItem
            && $count + 1 === \count($this->draft->items)
            && $this->draft->items[$count]->key() === $before->key()
        ) {
            // "Hook, pivot off the hook" names the hook that was just thrown.
            $this->draft->removeLast();
        }
        $ended = $move->endingAt($this->tokens->position());
        foreach ($this->resolver->all($ended, $this->draft->running, $this->draft->items) as $item) {
            $this->draft->add(new MoveItem($item), $move->span);
        }
        $this->diagnostics->note(
            $this->tokens->span($index, $this->tokens->position()),
            t('What is named after "off" or "behind" comes first.'),
        );

        return true;
    }

    /** Puts a move before the last strike, which goes with it. */
    private function before(MovePhrase $phrase): void
    {
        $place = \count($this->draft->items) - 1;
        $strike = $this->draft->items[$place];
        if (!$strike instanceof StrikeItem) {
            return;
        }
        $move = $this->resolver->with($phrase, $this->draft->running, $strike->strike);
        $before = $this->draft->items[$place - 1] ?? null;
        $items = $this->draft->items;
        $spans = $this->draft->spans;
        $isSaid = $before instanceof MoveItem && $before->move === $move;
        array_splice($items, $place, 1, [
            ...$isSaid || null === $move ? [] : [new MoveItem($move)],
            $strike->with(joined: true),
        ]);
        array_splice($spans, $place, 1, [
            ...$isSaid || null === $move ? [] : [$phrase->span],
            $spans[$place]->until($phrase->span),
        ]);
        if (null === $move || !$this->draft->rebuild($items, $spans)) {
            $this->diagnostics->problem(
                $phrase->span,
                t('The {strike} does not go with that move.', strike: $strike->strike->name),
                t('the move before it or after it, with a comma between'),
            );
        }
    }

    /** Returns the place of the first of the same strikes that were said at the place of the last one. */
    private function repeats(): int
    {
        $place = \count($this->draft->items) - 1;
        while ($place > 0 && $this->draft->spans[$place - 1]->at === $this->draft->spans[$place]->at) {
            --$place;
        }

        return $place;
    }

    private function insert(int $place, MoveItem $item, Span $span): void
    {
        $items = $this->draft->items;
        $spans = $this->draft->spans;
        array_splice($items, $place, 0, [$item]);
        array_splice($spans, $place, 0, [$span]);
        $this->draft->rebuild($items, $spans);
    }
}
