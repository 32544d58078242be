<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;

/**
 * Last stage of the reader: puts strikes, moves, brackets and marks together to a chain. It walks the running stance as it
 * goes, since left and right depend on it. One run over one text.
 *
 * @internal use {@see Reader}
 */
final class ChainParser
{
    /** Deepest nesting of [ ]. */
    public const DEEPEST = 3;
    /** Most repeats of a [ ]. */
    public const MOST_REPEATS = 20;
    private const A_STRIKE = 'a strike, such as 2 or "cross"';

    private int $depth = 0;
    private Stance $running;
    /** @var list<Item> */
    private array $items = [];
    /** @var list<Span> */
    private array $spans = [];
    private readonly Diagnostics $diagnostics;
    private readonly StrikeResolver $resolver;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Vocabulary $vocabulary,
        private readonly StrikePhraseParser $strikes,
        private readonly MovePhraseParser $moves,
        Numbering $numbering,
        Stance $stance,
        private readonly TokenStream $tokens,
    ) {
        $this->running = $stance;
        $this->diagnostics = new Diagnostics();
        $this->resolver = new StrikeResolver($catalogue, $vocabulary, $numbering, $this->diagnostics);
    }

    public function reading(): Reading
    {
        $this->chain();
        if ([] === $this->items && !$this->diagnostics->hasProblems()) {
            $this->diagnostics->problem($this->tokens->whole(), 'There is no strike here yet.', self::A_STRIKE, ['1 2']);
        }
        $readable = !$this->diagnostics->hasProblems();

        return new Reading(
            $readable ? Chain::of($this->items) : null,
            $readable ? $this->spans : [],
            $this->diagnostics->problems(),
            $this->diagnostics->notes(),
        );
    }

    private function chain(): void
    {
        while (!$this->diagnostics->isFull() && null !== ($token = $this->tokens->peek())) {
            if (TokenKind::Sign === $token->kind && ']' === $token->text && $this->depth > 0) {
                return;
            }
            match ($token->kind) {
                TokenKind::Stop => $this->tokens->take(),
                TokenKind::Number, TokenKind::Word => $this->phrase(),
                TokenKind::Sign => $this->sign($token),
                TokenKind::Times => $this->complain('"%s" repeats nothing.', '[ ] around what repeats, such as [1 2]x3'),
                TokenKind::Unknown => $this->unknown(),
            };
        }
    }

    private function sign(Token $token): void
    {
        match ($token->text) {
            '(' => $this->feint(),
            '[' => $this->group(),
            '+' => $this->joined(),
            '/' => $this->add(new Beat(), $this->tokens->take()->span),
            '*' => $this->free(),
            '!', '~', '>' => $this->suffix(),
            ')' => $this->complain('This ) closes a bracket that was never opened.', 'a ( before the feinted strike'),
            default => $this->complain('This ] closes a bracket that was never opened.', 'a [ before what repeats'),
        };
    }

    private function phrase(): void
    {
        $word = $this->tokens->word();
        $strike = isset(Vocabulary::BEATS[$word]) ? null : $this->strikes->parse($this->tokens, $this->tokens->position());
        if (isset(Vocabulary::BEATS[$word])) {
            $this->add(new Beat(), $this->tokens->take()->span);
        } elseif (('any' === $word || 'free' === $word) && TokenKind::Number === $this->tokens->at($this->tokens->position() + 1)?->kind) {
            $this->freeWords();
        } elseif ('with' === $word || 'plus' === $word) {
            $this->joined();
        } elseif (null !== $strike) {
            $this->strike($strike, false, false);
        } elseif (!$this->move()) {
            if (isset(Vocabulary::FILLERS[$word])) {
                $this->tokens->take();

                return;
            }
            $token = $this->tokens->take();
            $this->diagnostics->problem($token->span, \sprintf('"%s" is not a strike or a move.', Diagnostics::excerpt($token->text)), 'a number, or words such as "lead hook body" or "slip left"', $this->vocabulary->nearest($word));
        }
    }

    /**
     * Takes the phrase, and adds its strike as often as it is thrown; what cannot be read leaves a problem and no item.
     *
     * @param Span|null $sign a sign before it that belongs to it
     */
    private function strike(StrikePhrase $phrase, bool $feint, bool $joined, ?Span $sign = null): void
    {
        $this->tokens->moveTo($phrase->next);
        $item = $this->resolver->resolve($phrase, $this->running, $this->items);
        if (null === $item) {
            return;
        }
        $span = null === $sign ? $phrase->span : $sign->until($phrase->span);
        try {
            $item = $item->with(feint: $feint || $item->feint, joined: $joined);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), self::A_STRIKE);

            return;
        }
        $added = true;
        for ($time = 0; $added && $time < $phrase->times; ++$time) {
            $added = $this->add(0 === $time ? $item : $item->with(joined: false), $span);
        }
    }

    private function feint(): void
    {
        $open = $this->tokens->take();
        $phrase = $this->strikes->parse($this->tokens, $this->tokens->position());
        if (null === $phrase) {
            $this->diagnostics->problem($open->span, 'A bracket holds one feinted strike, and there is none after it.', '(3) or (cross)', ['(3)']);

            return;
        }
        $this->strike($phrase, true, false);
        while ($this->tokens->isSign('!', '~')) {
            $this->suffix();
        }
        if (!$this->tokens->isSign(')')) {
            $this->diagnostics->problem($open->span, 'This ( is not closed after one strike.', '), directly after the feinted strike; what repeats stands in [ ]');

            return;
        }
        $close = $this->tokens->take();
        $this->widen($open->span->until($close->span));
    }

    private function joined(): void
    {
        $plus = $this->tokens->take();
        $phrase = $this->strikes->parse($this->tokens, $this->tokens->position());
        if (null === $phrase) {
            $this->diagnostics->problem($plus->span, 'A + joins the strike after it, and there is none.', self::A_STRIKE, ['+14']);

            return;
        }
        $this->strike($phrase, false, true, $plus->span);
    }

    private function group(): void
    {
        $open = $this->tokens->take();
        if ($this->depth >= self::DEEPEST) {
            $this->diagnostics->problem($open->span, \sprintf('Brackets stand inside each other more than %d deep.', self::DEEPEST), 'a flatter line');
            $this->tokens->moveToEnd();

            return;
        }
        ++$this->depth;
        $from = \count($this->items);
        $this->chain();
        --$this->depth;
        if (!$this->tokens->isSign(']')) {
            if (!$this->diagnostics->hasProblems()) {
                $this->diagnostics->problem($open->span, 'This [ is not closed.', '] and a count, such as ]x3');
            }

            return;
        }
        $close = $this->tokens->take();
        $times = $this->tokens->peek();
        if (null === $times || TokenKind::Times !== $times->kind) {
            $this->diagnostics->problem($close->span, 'A repeat needs its count after the bracket.', 'x and a count, such as ]x3', [']x2', ']x3']);

            return;
        }
        $this->tokens->take();
        $digits = preg_replace('/[^0-9]/', '', $times->text) ?? '';
        $count = \strlen($digits) > 4 ? \PHP_INT_MAX : (int) $digits;
        if ($count < 1 || $count > self::MOST_REPEATS) {
            $this->diagnostics->problem($times->span, \sprintf('A repeat is 1 to %d times.', self::MOST_REPEATS), 'a smaller count', ['x2', 'x3']);

            return;
        }
        $items = \array_slice($this->items, $from);
        $spans = \array_slice($this->spans, $from);
        for ($round = 1; $round < $count; ++$round) {
            foreach ($items as $at => $item) {
                if (!$this->add($item, $spans[$at])) {
                    return;
                }
            }
        }
    }

    /** "*" or "*3". */
    private function free(): void
    {
        $star = $this->tokens->take();
        $count = $this->tokens->peek();
        if (null === $count || TokenKind::Number !== $count->kind || $count->span->at !== $star->span->at + 1) {
            $this->add(new FreeStrikes(1), $star->span);

            return;
        }
        $this->tokens->take();
        $this->addFree($count, $star->span->until($count->span));
    }

    /** "any 3 strikes" or "free 3". */
    private function freeWords(): void
    {
        $start = $this->tokens->take();
        $count = $this->tokens->take();
        $end = \in_array($this->tokens->word(), ['strikes', 'strike'], true) ? $this->tokens->take() : $count;
        $this->addFree($count, $start->span->until($end->span));
    }

    private function addFree(Token $count, Span $span): void
    {
        if (!ctype_digit($count->text) || \strlen($count->text) > 3) {
            $this->diagnostics->problem($span, \sprintf('"%s" is not a count of free strikes.', Diagnostics::excerpt($count->text)), 'a count, such as *3', ['*3']);

            return;
        }
        try {
            $this->add(new FreeStrikes((int) $count->text), $span);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), 'a count, such as *3', ['*3']);
        }
    }

    /** ! ~ or > after a strike. */
    private function suffix(): void
    {
        $token = $this->tokens->take();
        $last = \count($this->items) - 1;
        $item = $this->items[$last] ?? null;
        $name = match ($token->text) {
            '!' => 'A ! marks a hard strike',
            '~' => 'A ~ marks a light strike',
            default => 'A > marks a kick that lands forward',
        };
        if (!$item instanceof StrikeItem || $this->spans[$last]->at > $token->span->at) {
            $this->diagnostics->problem($token->span, $name.' and stands directly after it.', 'a strike before it', ['2'.$token->text]);

            return;
        }
        try {
            $changed = match ($token->text) {
                '!' => $item->with(effort: Effort::Hard),
                '~' => $item->with(effort: Effort::Light),
                default => $item->with(landsForward: true),
            };
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($token->span, $invalid->getMessage(), 'a kick or knee of the rear leg before it', ['14>']);

            return;
        }
        if ($changed->changesStance() && !$item->changesStance()) {
            $this->running = $this->running->other();
        }
        $this->items[$last] = $changed;
        $this->widen($token->span);
    }

    /** @return bool whether a move began here, well formed or not */
    private function move(): bool
    {
        $phrase = $this->moves->parse($this->tokens, $this->tokens->position());
        if (null === $phrase) {
            return false;
        }
        $this->tokens->moveTo($phrase->next);
        $role = $phrase->role($this->running);
        if (null !== $phrase->sides && null === $role) {
            $this->diagnostics->problem($phrase->span, \sprintf('%s to which side?', ucfirst(strtr($phrase->name, '-', ' '))), 'lead, rear, left or right after it', array_values($phrase->sides));

            return true;
        }
        $move = $this->catalogue->move(null === $role ? $phrase->name : $phrase->sides[$role->value] ?? $phrase->name);
        if (null !== $role && null !== $move->toward && $role !== $move->toward) {
            $this->diagnostics->problem($phrase->span, \sprintf('In %s, %s goes to the %s.', $this->running->value, $move->words(), $this->running->sideOf($move->toward)->value), 'the side it goes to, or no side', [$move->id, $move->carry]);

            return true;
        }
        $this->add(new MoveItem($move), $phrase->span);

        return true;
    }

    private function unknown(): void
    {
        $first = $this->tokens->take();
        $last = $first;
        while (TokenKind::Unknown === $this->tokens->peek()?->kind) {
            $last = $this->tokens->take();
        }
        $shown = 1 === preg_match('/^\p{C}$/u', $first->text) ? \sprintf('The invisible character U+%04X', mb_ord($first->text)) : \sprintf('"%s"', $first->text);
        $this->diagnostics->problem($first->span->until($last->span), $shown.' stands for nothing in a combination.', 'numbers, words, ( ) [ ] + / *');
    }

    /** @return bool false when the chain is full */
    private function add(Item $item, Span $span): bool
    {
        if (\count($this->items) >= Chain::MOST) {
            $this->diagnostics->problem($span, InvalidChain::tooLong()->getMessage(), 'a shorter line');
            $this->tokens->moveToEnd();

            return false;
        }
        $this->items[] = $item;
        $this->spans[] = $span;
        try {
            Chain::require($this->items, \count($this->items) - 1);
        } catch (InvalidChain $invalid) {
            array_pop($this->items);
            array_pop($this->spans);
            $this->diagnostics->problem($span, $invalid->getMessage(), 'a strike of another limb, directly after a delivered strike', ['1 +14']);

            return true;
        }
        $this->running = ChainInStance::after($item, $this->running);

        return true;
    }

    /** A sign beside the last item belongs to it. */
    private function widen(Span $span): void
    {
        $last = array_pop($this->spans);
        if (null !== $last) {
            $this->spans[] = $last->at < $span->at ? $last->until($span) : $span->until($last);
        }
    }

    private function complain(string $message, string $expected): void
    {
        $token = $this->tokens->take();
        $this->diagnostics->problem($token->span, \sprintf($message, Diagnostics::excerpt($token->text)), $expected);
    }
}
