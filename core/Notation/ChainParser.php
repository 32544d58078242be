<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * The last stage of the reader: builds a chain from strikes, moves, brackets and marks. It tracks the running stance,
 * on which left and right depend. One instance parses one text.
 *
 * @internal use {@see Reader}
 */
final class ChainParser
{
    /** Maximum nesting of [ ]. */
    public const MAX_NESTING = 3;
    /** Maximum repeats of a [ ]. */
    public const MAX_REPEATS = 20;

    private int $depth = 0;
    /** Index of the first token after the last stop, and the number of phrases read since. */
    private int $clauseFrom = 0;
    private int $phrases = 0;
    private readonly Diagnostics $diagnostics;
    private readonly ChainDraft $draft;
    private readonly MoveReader $moveReader;
    private readonly StrikeReader $strikeReader;
    private readonly JoinedReader $joinedReader;
    private readonly MarkReader $marks;

    public function __construct(
        Catalogue $catalogue,
        private readonly Vocabulary $vocabulary,
        private readonly StrikePhraseParser $strikes,
        MovePhraseParser $moves,
        private readonly Numbering $numbering,
        Stance $stance,
        private readonly TokenStream $tokens,
    ) {
        $this->diagnostics = new Diagnostics();
        $this->draft = new ChainDraft($tokens, $this->diagnostics, $stance);
        $this->marks = new MarkReader($tokens, $this->diagnostics, $this->draft);
        $this->moveReader = new MoveReader(
            $tokens,
            $this->diagnostics,
            $this->draft,
            $moves,
            new MoveResolver(
                catalogue: $catalogue,
                vocabulary: $vocabulary,
                strikes: $strikes,
                moves: $moves,
                numbering: $numbering,
                tokens: $tokens,
                diagnostics: $this->diagnostics,
            ),
        );
        $this->strikeReader = new StrikeReader(
            catalogue: $catalogue,
            tokens: $tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            strikes: $strikes,
            resolver: new StrikeResolver($catalogue, $vocabulary, $numbering, $this->diagnostics),
            moves: $moves,
            moveReader: $this->moveReader,
        );
        $this->joinedReader = new JoinedReader(
            catalogue: $catalogue,
            vocabulary: $vocabulary,
            numbering: $numbering,
            tokens: $tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
            strikes: $strikes,
            moves: $moves,
            strikeReader: $this->strikeReader,
        );
    }

    public function reading(): Reading
    {
        $this->chain();
        if ([] === $this->draft->items && !$this->diagnostics->hasProblems()) {
            $this->diagnostics->problem(
                $this->tokens->whole(),
                t('There is no strike here yet.'),
                t('a strike, such as 2 or "cross"'),
                ['1 2'],
            );
        }
        $readable = !$this->diagnostics->hasProblems();

        return new Reading(
            $readable ? Chain::of($this->draft->items) : null,
            $readable ? $this->draft->spans : [],
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
                TokenKind::Stop => $this->stop(),
                TokenKind::Number, TokenKind::Word => $this->phrase(),
                TokenKind::Sign => $this->sign($token),
                TokenKind::Times => $this->complain(
                    t('"{text}" repeats nothing.', text: Diagnostics::excerpt($token->text)),
                    t('[ ] around what repeats, such as [1 2]x3'),
                ),
                TokenKind::Unknown => $this->unknown(),
            };
        }
    }

    private function sign(Token $token): void
    {
        match ($token->text) {
            '(' => $this->feint(),
            '[' => $this->group(),
            '+' => $this->joinedReader->read(),
            '/' => $this->slash(),
            '*' => $this->marks->free(),
            '!', '~', '>' => $this->marks->mark(),
            ')' => $this->complain(
                t('This ) closes a bracket that was never opened.'),
                t('a ( before the feinted strike'),
            ),
            default => $this->complain(
                t('This ] closes a bracket that was never opened.'),
                t('a [ before what repeats'),
            ),
        };
    }

    private function stop(): void
    {
        $this->tokens->take();
        $this->clauseFrom = $this->tokens->position();
        $this->phrases = 0;
    }

    /** A slash between blanks is a beat; without blanks it separates two strikes, "jab/cross". */
    private function slash(): void
    {
        $index = $this->tokens->position();
        [$before, $slash, $after] = [
            $this->tokens->at($index - 1),
            $this->tokens->take(),
            $this->tokens->at($index + 1),
        ];
        $isTight =
            null !== $before
            && null !== $after
            && !\in_array(TokenKind::Sign, [$before->kind, $after->kind], true)
            && $before->span->at + $before->span->length === $slash->span->at
            && $slash->span->at + 1 === $after->span->at;
        if ($isTight) {
            $this->diagnostics->note(
                $slash->span,
                t('Without blanks around it, a / is read as "then"; with blanks it is a beat.'),
                ['then', ' / '],
            );
        } else {
            $this->draft->add(new Beat(), $slash->span);
        }
    }

    private function phrase(): void
    {
        $word = $this->tokens->word();
        if ($this->times()) {
            return;
        }
        $index = $this->tokens->position();
        $free = FreePhrase::at($this->tokens, $index);
        $strike = isset(Vocabulary::BEATS[$word]) ? null : $this->strikes->parse($this->tokens, $index);
        ++$this->phrases;
        if (null !== $free) {
            $this->tokens->moveTo($free->next);
            $this->marks->addFree($free->count, $free->span);
        } elseif (isset(Vocabulary::BEATS[$word])) {
            $this->draft->add(new Beat(), $this->tokens->take()->span);
        } elseif (isset(Vocabulary::BEFORE_WITH[$word]) && 'with' === $this->tokens->word(1)) {
            $this->tokens->take();
            $this->tokens->take();
        } elseif ('with' === $word || 'plus' === $word) {
            $this->joinedReader->read();
        } elseif (null !== $strike && !$this->isHookKick($strike)) {
            $this->strikeReader->add($strike, false, false);
        } elseif (null !== $strike || !$this->moveReader->read()) {
            --$this->phrases;
            if (null === $strike && isset(Vocabulary::FILLERS[$word])) {
                $this->tokens->take();
            } elseif (null === $strike) {
                $token = $this->tokens->take();
                $this->diagnostics->problem(
                    $token->span,
                    t('"{excerpt}" is not a strike or a move.', excerpt: Diagnostics::excerpt($token->text)),
                    t('a number, or words such as "lead hook body" or "slip left"'),
                    $this->vocabulary->nearest($word),
                );
            }
        }
    }

    /** Elsewhere "hook kick" is the name of a strike; here a line of plain nouns means a hook and a kick. */
    private function isHookKick(StrikePhrase $phrase): bool
    {
        $index = $this->tokens->position();
        if (
            'hook' !== $phrase->noun
            || 'kick' !== ($this->tokens->words[$phrase->next] ?? '')
            || ($index > 0 && isset($this->vocabulary->nouns[$this->tokens->words[$index - 1]]))
        ) {
            return false;
        }
        $this->tokens->moveTo($phrase->next + 1);
        $this->diagnostics->problem(
            $this->tokens->span($index, $phrase->next + 1),
            t('A hook kick is not among the strikes here. If a hook and a kick are meant, put a comma between them.'),
            t('a strike that is known, or a comma'),
            [$this->tokens->text($index, $phrase->next).', kick'],
        );

        return true;
    }

    /** Reads "x2" or "3 times" after a strike. */
    private function times(): bool
    {
        $index = $this->tokens->position();
        $repeat = 0 === $this->phrases ? null : RepeatPhrase::at($this->tokens, $index, $this->numbering);
        if (null === $repeat) {
            return false;
        }
        [$times, $next] = [$repeat->times, $repeat->next];
        if (null === $this->draft->last()) {
            return false;
        }
        $this->tokens->moveTo($next);
        $written = $this->tokens->text($this->clauseFrom, $index);
        if ($this->phrases > 1) {
            $this->diagnostics->problem(
                $this->tokens->span($this->clauseFrom, $next),
                t(
                    '"x{times}" could repeat the last strike or all of "{excerpt}".',
                    times: $times,
                    excerpt: Diagnostics::excerpt($written),
                ),
                t('[ ] around what repeats'),
                ['['.$written.']x'.$times],
            );
        } elseif ($times < 1 || $times > self::MAX_REPEATS) {
            $this->diagnostics->problem(
                $this->tokens->span($index, $next),
                t('A repeat is 1 to {maxRepeats} times.', maxRepeats: self::MAX_REPEATS),
                t('a smaller count'),
                ['x2', 'x3'],
            );
        } else {
            $this->draft->repeatLast($times - 1);
        }

        return true;
    }

    private function feint(): void
    {
        $open = $this->tokens->take();
        $phrase = $this->strikes->parse($this->tokens, $this->tokens->position());
        if (null === $phrase || $this->isBareSide($phrase)) {
            $this->diagnostics->problem(
                $open->span,
                t('A bracket holds one feinted strike, and there is none after it.'),
                t('(3) or (cross)'),
                ['(3)'],
            );

            return;
        }
        $this->strikeReader->add($phrase, true, false);
        while ($this->tokens->isSign('!', '~', '>')) {
            $this->marks->mark();
        }
        if (!$this->tokens->isSign(')')) {
            $this->diagnostics->problem(
                $open->span,
                t('This ( is not closed after one strike.'),
                t('), directly after the feinted strike; what repeats stands in [ ]'),
            );

            return;
        }
        $close = $this->tokens->take();
        $this->draft->widen($open->span->until($close->span));
    }

    /** Tells whether the phrase is only a side: "hook (left)" gives the side of the hook. */
    private function isBareSide(StrikePhrase $phrase): bool
    {
        return null !== $phrase->side
            && 'straight' === $phrase->noun
            && isset(Vocabulary::SIDES[$this->tokens->word()])
            && $phrase->next === $this->tokens->position() + 1;
    }

    private function group(): void
    {
        $open = $this->tokens->take();
        if ($this->depth >= self::MAX_NESTING) {
            $this->diagnostics->problem(
                $open->span,
                t('Brackets are nested more than {maxNesting} deep.', maxNesting: self::MAX_NESTING),
                t('a flatter line'),
            );
            $this->tokens->moveToEnd();

            return;
        }
        ++$this->depth;
        $from = \count($this->draft->items);
        $this->chain();
        --$this->depth;
        if (!$this->tokens->isSign(']')) {
            if (!$this->diagnostics->hasProblems()) {
                $this->diagnostics->problem($open->span, t('This [ is not closed.'), t('] and a count, such as ]x3'));
            }

            return;
        }
        $close = $this->tokens->take();
        $times = $this->tokens->peek();
        if (null === $times || TokenKind::Times !== $times->kind) {
            $this->diagnostics->problem(
                $close->span,
                t('A repeat needs its count after the bracket.'),
                t('x and a count, such as ]x3'),
                [']x2', ']x3'],
            );

            return;
        }
        $this->tokens->take();
        $digits = preg_replace('/[^0-9]/', '', $times->text) ?? '';
        $count = \strlen($digits) > 4 ? \PHP_INT_MAX : (int) $digits;
        if ($count < 1 || $count > self::MAX_REPEATS) {
            $this->diagnostics->problem(
                $times->span,
                t('A repeat is 1 to {maxRepeats} times.', maxRepeats: self::MAX_REPEATS),
                t('a smaller count'),
                ['x2', 'x3'],
            );

            return;
        }
        $this->draft->repeatFrom($from, $count - 1);
    }

    private function unknown(): void
    {
        $first = $this->tokens->take();
        $last = $first;
        while (TokenKind::Unknown === $this->tokens->peek()?->kind) {
            $last = $this->tokens->take();
        }
        $shown =
            1 === preg_match('/^\p{C}$/u', $first->text)
                ? t('The invisible character {code}', code: \sprintf('U+%04X', mb_ord($first->text)))
                : \sprintf('"%s"', $first->text);
        $this->diagnostics->problem(
            $first->span->until($last->span),
            t('{sign} means nothing in a combination.', sign: $shown),
            t('numbers, words, ( ) [ ] + / *'),
        );
    }

    private function complain(string $message, string $expected): void
    {
        $token = $this->tokens->take();
        $this->diagnostics->problem($token->span, $message, $expected);
    }
}
