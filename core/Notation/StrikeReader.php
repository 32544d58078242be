<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\StrikeTrait;

use function Periplus\Core\Language\t;

/**
 * Adds the strike of a phrase to the chain, once for each time it is thrown. A switch that is named with it is added
 * before it, and so is the strike after "off", as in "hook off the jab".
 *
 * @internal to {@see ChainParser}
 */
final readonly class StrikeReader
{
    public function __construct(
        private Catalogue $catalogue,
        private Vocabulary $vocabulary,
        private TokenStream $tokens,
        private Diagnostics $diagnostics,
        private ChainDraft $draft,
        private StrikePhraseParser $strikes,
        private StrikeResolver $resolver,
        private MovePhraseParser $moves,
        private Readers $readers,
    ) {
    }

    /**
     * Adds nothing but a problem when the phrase cannot be resolved.
     *
     * @param Span|null $sign a sign before it that belongs to it
     */
    public function add(StrikePhrase $phrase, bool $feint, bool $joined, ?Span $sign = null): void
    {
        $index = $this->tokens->position();
        $isSaidAfter = $phrase->legUp && 'leg-up' === ($this->tokens->words[$phrase->next - 1] ?? '');
        if ($isSaidAfter && 1 === $phrase->times && !$this->followsALeg()) {
            // "Low kick without putting it down, high kick": that is said of the kick that comes.
            $phrase = $phrase->with(legUp: false, next: $phrase->next - 1);
        }
        $this->tokens->moveTo($phrase->next);
        foreach ($phrase->passedOver as $passedOver) {
            $this->diagnostics->passOver($passedOver);
        }
        $this->offThe($phrase);
        $span = null === $sign ? $phrase->span : $sign->until($phrase->span);
        if ($phrase->switched) {
            $this->draft->add(new MoveItem($this->catalogue->move('switch')), $span);
        }
        if ($phrase->openTarget) {
            $this->diagnostics->note(
                $phrase->span,
                t(
                    '"{targetWord}" is read as the target of the strike before it. Put a comma before it to make it '
                        .'the target of the next strike.',
                    targetWord: (string) $phrase->targetWord,
                ),
            );
        }
        $times = $phrase->times;
        if ($phrase->inTurn && 1 === $times && !$this->isSecondOfBoth($index, null !== $phrase->side)) {
            $this->diagnostics->note($phrase->span, t('More than one without a count is read as two.'));
            $times = 2;
        }
        $phrase = $this->beginsRow($phrase, $times);
        $isRow = $phrase->inTurn && $times > 1 && null === $phrase->side;
        $resolver = $isRow ? $this->readers->silentResolver() : $this->resolver;
        $first = null;
        $row = [];
        for ($time = 0; $time < $times; ++$time) {
            if (null === $first || $phrase->inTurn) {
                $first = $this->resolved(
                    null === $first ? $phrase : $this->inTurn(
                        null === $phrase->secondTarget ? $phrase : $phrase->with(targetWord: $phrase->secondTarget),
                        $first,
                    ),
                    $feint,
                    $joined && 0 === $time,
                    $span,
                    $resolver,
                );
                if (null === $first && $isRow) {
                    // Once more for the problem that it leaves.
                    $this->resolver->resolve($phrase, $this->draft->running, $this->draft->items);
                }
            } elseif ($phrase->legUp) {
                $first = $first->with(legUp: true);
            } elseif (null !== $phrase->secondTarget) {
                $first = $this->resolved(
                    $phrase->withRole($first->strike->role)->second(),
                    $feint,
                    false,
                    $span,
                    $resolver,
                );
            } else {
                $first = $first->with(joined: false);
            }
            if (null === $first) {
                return;
            }
            $first = $phrase->effortLeads ? $first : $this->readers->spread->over($first, $span);
            if (!$this->draft->add($first, $span)) {
                return;
            }
            $row[] = $first;
            if ($phrase->effortLeads && 0 === $time && !$first->feint) {
                $this->readers->spread->begin($first->effort, $first, $span);
            }
        }
        if ($isRow && [] !== $row) {
            $this->noteRow($row, $phrase, $index);
        }
        if (Vocabulary::CHECK_HOOK === $phrase->noun) {
            $this->diagnostics->note($phrase->span, t('A check hook is read as a lead hook and a pivot.'));
            $this->draft->add(new MoveItem($this->catalogue->move('pivot-out')), $span);
        }
    }

    /**
     * Says how several of one strike were read, and offers them the other way round.
     *
     * @param non-empty-list<StrikeItem> $row
     */
    private function noteRow(array $row, StrikePhrase $phrase, int $from): void
    {
        $whole = new CountedRow($row, $this->catalogue);
        $this->diagnostics->note(
            $phrase->span,
            $whole->message($this->tokens->text($from, $phrase->next)),
            array_map(
                fn (string $text): string => $this->tokens->apart($text, $from, $phrase->next),
                $whole->choices(),
            ),
        );
    }

    private function followsALeg(): bool
    {
        $last = $this->draft->last();

        return $last instanceof StrikeItem && $last->isLegStrike();
    }

    /** Tells whether the other side stands before it: "left and right hooks", "left low, right high kicks". */
    private function isSecondOfBoth(int $index, bool $hasSide): bool
    {
        $words = $this->tokens->words;
        --$index;
        if ('and' === ($words[$index] ?? '') || ($hasSide && TokenKind::Stop === $this->tokens->at($index)?->kind)) {
            --$index;
            $index -= isset(Vocabulary::TARGETS[$words[$index] ?? '']) ? 1 : 0;
        }

        return isset(Vocabulary::SIDES[$words[$index] ?? '']);
    }

    /** Starts a row at the beginning of a chain with the lead side: "ten straights", "hook hook". */
    private function beginsRow(StrikePhrase $phrase, int $times): StrikePhrase
    {
        if (
            [] !== $this->draft->items
            || '' === $phrase->noun
            || null !== $phrase->side
            || isset($this->vocabulary->fixed[$phrase->noun])
            || isset($this->vocabulary->hands[$phrase->noun])
            || $this->vocabulary->isOneSided($phrase->noun)
            || null !== $this->catalogue->roleWith(StrikeTrait::Usual, $this->vocabulary->nouns[$phrase->noun])
            || isset(Vocabulary::ORGANS[$phrase->targetWord ?? ''])
        ) {
            return $phrase;
        }
        $next = $this->strikes->parse($this->tokens, $this->pastStops($phrase->next));
        if ($phrase->inTurn && $times > 1) {
            // Only the first is settled; the others follow in turn.
            return $phrase->with(startsWith: Role::Lead);
        }
        if ($phrase->noun !== $next?->noun || null !== $next->side || 1 !== $times || $phrase->switched) {
            return $phrase;
        }
        $this->diagnostics->note($phrase->span, t('Several of the same strike alternate, the lead side first.'), [
            'lead '.$phrase->noun,
            'rear '.$phrase->noun,
        ]);

        return $phrase->with(startsWith: Role::Lead);
    }

    private function pastStops(int $index): int
    {
        while (
            TokenKind::Stop === $this->tokens->at($index)?->kind
            || isset(Vocabulary::FILLERS[$this->tokens->words[$index] ?? ''])
        ) {
            ++$index;
        }

        return $index;
    }

    private function resolved(
        StrikePhrase $phrase,
        bool $feint,
        bool $joined,
        Span $span,
        StrikeResolver $resolver,
    ): ?StrikeItem {
        $item = $resolver->resolve($phrase, $this->draft->running, $this->draft->items);
        if (!$feint && !$joined && !$phrase->legUp) {
            return $item;
        }
        try {
            return $item?->with(
                feint: $feint || $item->feint,
                joined: $joined,
                legUp: $phrase->legUp && 1 === $phrase->times,
            );
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), t('a strike, such as 2 or "cross"'));

            return null;
        }
    }

    /**
     * Returns the next of several alternating strikes: the other side when the first named one, otherwise the phrase
     * again.
     */
    private function inTurn(StrikePhrase $phrase, StrikeItem $before): StrikePhrase
    {
        return null === $phrase->side
            ? $phrase
            : $phrase->withRole(
                ChainInStance::after($before, $this->draft->running) === $this->draft->running
                    ? $before->strike->role->other()
                    : $before->strike->role,
            );
    }

    /** Reads "left hook off the jab" and "knee from the clinch": what is named after the strike comes before it. */
    private function offThe(StrikePhrase $phrase): void
    {
        $index = $this->tokens->position();
        if (
            !\in_array($this->tokens->word(), ['off', 'from'], true)
            || !isset(Vocabulary::ARTICLES[$this->tokens->word(1)])
        ) {
            return;
        }
        $strike = $this->strikes->parse($this->tokens, $index + 2);
        $move = null === $strike ? $this->moves->parse($this->tokens, $index + 2) : null;
        if (null === $strike && null === $move) {
            return;
        }
        $before = $this->draft->last();
        $count = \count($this->draft->items);
        $this->tokens->moveTo($index + 2);
        if (null !== $strike) {
            $this->add($strike, false, false);
        } else {
            $this->readers->move()->addBefore($move, $phrase);
        }
        if (
            $before instanceof StrikeItem
            && $count + 1 === \count($this->draft->items)
            && $this->draft->items[$count]->key() === $before->key()
        ) {
            // "Jab, hook off the jab" names the jab that was just thrown.
            $this->draft->removeLast();
        }
        $this->diagnostics->note(
            $this->tokens->span($index, $this->tokens->position()),
            t('What is named after "off" or "behind" comes first.'),
        );
    }
}
