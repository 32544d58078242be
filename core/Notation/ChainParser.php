<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Target;

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
    private readonly Readers $readers;
    /** Place in the chain of the first item after the last comma. */
    private int $clauseItem = 0;
    private string $text = '';

    /** @param list<Span> $passedOver what was taken out of the line before */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Vocabulary $vocabulary,
        private readonly StrikePhraseParser $strikes,
        private readonly MovePhraseParser $moves,
        private readonly Numbering $numbering,
        Stance $stance,
        private readonly TokenStream $tokens,
        array $passedOver = [],
    ) {
        $this->diagnostics = new Diagnostics($passedOver);
        $this->draft = new ChainDraft($tokens, $this->diagnostics, $stance);
        $this->readers = new Readers(
            catalogue: $catalogue,
            vocabulary: $vocabulary,
            strikes: $strikes,
            moves: $moves,
            numbering: $numbering,
            tokens: $tokens,
            diagnostics: $this->diagnostics,
            draft: $this->draft,
        );
    }

    /** @param string $text the whole line, for the words that were passed over */
    public function reading(string $text): Reading
    {
        $this->text = $text;
        $this->chain();
        $this->readers->finish();
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
            $this->diagnostics->notes($text),
            $this->diagnostics->passedOver(),
        );
    }

    /** @param int $end place of the token at which it ends */
    private function chain(int $end = \PHP_INT_MAX): void
    {
        while (
            !$this->diagnostics->isFull()
            && $this->tokens->position() < $end
            && null !== ($token = $this->tokens->peek())
        ) {
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
            '+' => $this->readers->joined()->read(),
            '/' => $this->slash(),
            '*' => $this->readers->mark()->free(),
            '!', '~', '>', '<', '_' => $this->readers->mark()->mark(),
            '^' => $this->legUp(),
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
        $this->readers->endClause();
        $this->tokens->take();
        $this->clauseFrom = $this->tokens->position();
        $this->clauseItem = \count($this->draft->items);
        $this->phrases = 0;
        $this->readers->spread->end();
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
        if ($this->times()) {
            return;
        }
        ++$this->phrases;
        $index = $this->tokens->position();
        $word = $this->tokens->words[$index];
        $isNumber = '' === $word;
        // Most lines are numbers alone.
        $isPlain = $isNumber && '' === ($this->tokens->words[$index + 1] ?? '');
        if (!$isPlain && $this->first($word)) {
            return;
        }
        $strike = isset(Vocabulary::BEATS[$word]) ? null : $this->strikes->parse($this->tokens, $index);
        if (isset(Vocabulary::BEATS[$word])) {
            $this->draft->add(new Beat(), $this->tokens->take()->span);
        } elseif ('with' === $word || 'plus' === $word) {
            if (!$this->readers->withMove()->withMove()) {
                $this->readers->joined()->read();
            }
        } elseif (null !== $strike && ($isPlain || !$this->isCountedMove())) {
            if (!$this->isHookKick($strike)) {
                $this->strike($strike);
            }
        } elseif (!$this->move()) {
            $this->other($word);
        }
    }

    /** Reads what its first word tells, before it is taken for a strike or a move. */
    private function first(string $word): bool
    {
        $maySayChoice = '' === $word || isset(Vocabulary::CHOICE[$word]);

        return match (true) {
            $maySayChoice, 'or' === $word, 'freestyle' === $word => $this->readers->choice()->read($this->draft),
            isset(Vocabulary::BESIDE_A_STRIKE[$word]) => $this->readers->withMove()->read($this->clauseFrom),
            isset(Vocabulary::HEIGHTS[$word]) => $this->readers->target()->read(),
            isset(Vocabulary::EFFORTS[$word]) => $this->readers->effortRow()->read(),
            default => false,
        };
    }

    private function move(): bool
    {
        $phrase = $this->moves->parse($this->tokens, $this->tokens->position());
        if (null !== $phrase && !$this->readers->withMove()->offStrike($phrase)) {
            $this->readers->move()->add($phrase);
        }

        return null !== $phrase;
    }

    /** Reads what is neither a strike nor a move. */
    private function other(string $word): void
    {
        if (
            !$this->readers->target()->read()
            && !$this->readers->afterwards()->read()
            && !$this->readers->implied()->read()
            && !$this->again()
        ) {
            --$this->phrases;
            $this->unread($word);
        }
    }

    /** Tells whether "two slips" comes, whose number is no strike. */
    private function isCountedMove(): bool
    {
        $index = $this->tokens->position();

        return null !== $this->tokens->numberAt($index) && null !== $this->moves->parse($this->tokens, $index);
    }

    /** Takes a word that the grammar only needs between phrases, and refuses any other. */
    private function unread(string $word): void
    {
        $token = $this->tokens->take();
        if (isset(Vocabulary::FILLERS[$word])) {
            if ('then' === $word) {
                $this->readers->spread->end();
            } elseif ('of' === $word || 'from' === $word) {
                $this->diagnostics->passOver($token->span);
            } elseif ('to' === $word && $this->isBetweenNumbers()) {
                $this->diagnostics->note($token->span, t('"to" is passed over; dictated, it may have been "two".'), [
                    'two',
                    'then',
                ]);
            }

            return;
        }
        if (str_starts_with($word, SpokenForms::DRILL)) {
            $before = $this->tokens->at($this->tokens->position() - 2);
            $this->diagnostics->problem(
                // "Ten squats": the number counts.
                TokenKind::Number === $before?->kind ? $before->span->until($token->span) : $token->span,
                t('This belongs to a drill and not to a combination: how long, how often, which side or what else.'),
                t('the combination alone; the drill is planned in a session'),
                drill: substr($word, \strlen(SpokenForms::DRILL)),
            );

            return;
        }
        // The second stage may have put another word in its place.
        $typed = mb_substr($this->text, $token->span->at, $token->span->length);
        $isPassable = mb_strtolower($typed) === $word && null === Glue::problem($word, $this->vocabulary);
        $this->diagnostics->problem(
            $token->span,
            t(
                '"{excerpt}" is not a strike or a move.',
                excerpt: Diagnostics::excerpt($typed),
            ),
            t('a number, or words such as "lead hook body" or "slip left"'),
            $this->vocabulary->nearest($word),
            unknownWord: $isPassable ? $word : null,
        );
    }

    /** Tells whether the last token stood between two numbers. */
    private function isBetweenNumbers(): bool
    {
        $index = $this->tokens->position();

        return null !== $this->tokens->numberAt($index - 2) && null !== $this->tokens->numberAt($index);
    }

    /** Adds a strike; "twice" behind several of them repeats all since the last comma. */
    private function strike(StrikePhrase $strike): void
    {
        $from = $this->clauseFrom;
        if (!$strike->repeated || 1 === $this->phrases) {
            $this->readers->strike()->add($strike, false, false);

            return;
        }
        $this->readers->strike()->add($strike->with(times: 1, repeated: false), false, false);
        $this->repeatClause($strike->times, $from, $strike->next - 1, $strike->next);
    }

    /** Repeats all since the last comma; that only the last is meant is as likely. */
    private function repeatClause(int $times, int $from, int $to, int $next): void
    {
        $written = $this->tokens->text($from, $to);
        $first = $this->draft->items[$this->clauseItem] ?? null;
        $isHeld = $first instanceof MoveItem && 'clinch' === $first->move->id;
        // "Clinch and knee twice": who holds on does not take hold again.
        $this->draft->repeatFrom($this->clauseItem + ($isHeld ? 1 : 0), $times - 1);
        $last = $this->draft->last();
        $this->diagnostics->note(
            $this->tokens->span($from, $next),
            $isHeld
                ? t('What follows the clinch is read {times} times.', times: $times)
                : t(
                    '"{excerpt}" is read {times} times, all of it.',
                    excerpt: Diagnostics::excerpt($written),
                    times: $times,
                ),
            [
                '['.$written.']x'.$times,
                ...$last instanceof StrikeItem
                    ? [$written.', '.implode(', ', array_fill(0, $times - 1, $last->strike->name))]
                    : [],
            ],
        );
    }

    /** Reads "jab, again" and "one two, again"; elsewhere "again" is passed over. */
    private function again(): bool
    {
        if ('again' !== $this->tokens->word()) {
            return false;
        }
        $index = $this->tokens->position();
        $token = $this->tokens->take();
        $next = $this->tokens->peek();
        $isLast = null === $next || TokenKind::Stop === $next->kind;
        if (!$isLast || [] === $this->draft->items) {
            $this->diagnostics->passOver($token->span);
        } elseif ($this->phrases <= 2) {
            $this->draft->repeatLast(1);
            $this->diagnostics->note($token->span, t('"again" is read as the same strike once more.'));
        } else {
            $this->repeatClause(2, $this->clauseFrom, $index, $index + 1);
        }

        return true;
    }

    /** Reads "^14": a kick of the leg that is still up. */
    private function legUp(): void
    {
        $sign = $this->tokens->take();
        $isFeint = $this->tokens->isSign('(');
        $phrase = $this->strikes->parse($this->tokens, $this->tokens->position() + ($isFeint ? 1 : 0));
        if (null === $phrase) {
            $this->diagnostics->problem(
                $sign->span,
                t('A ^ marks a kick of the leg that is still up, and there is none after it.'),
                t('a kick or knee of the leg before it'),
                ['14l ^14h'],
            );

            return;
        }
        if ($isFeint) {
            $this->feint(true);
        } else {
            $this->readers->strike()->add($phrase->with(legUp: true), false, false, $sign->span);
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
        if ($times < 1 || $times > self::MAX_REPEATS) {
            $this->refuseTimes($this->tokens->span($index, $next));
        } elseif ($this->phrases > 1) {
            $this->repeatClause($times, $this->clauseFrom, $index, $next);
        } else {
            $this->draft->widen($this->tokens->span($index, $next));
            $this->repeatLast($times - 1);
        }

        return true;
    }

    /** Repeats the last item; a move to a side goes to both in turn. */
    private function repeatLast(int $times): void
    {
        $item = $this->draft->last();
        if ($item instanceof MoveItem && null !== $item->move->toward && MoveKind::Defence === $item->move->kind) {
            $span = $this->draft->lastSpan() ?? $this->tokens->whole();
            for ($time = 0; $time < $times; ++$time) {
                $item = new MoveItem($this->catalogue->move($item->move->carry));
                $this->draft->add($item, $span);
            }

            return;
        }
        $this->draft->repeatLast($times);
    }

    /** Reads "(jab cross) x2", which is no feint: more than one strike, and a count. */
    private function repeatedInBrackets(): bool
    {
        $open = $this->tokens->position();
        $close = $open + 1;
        while (')' !== ($text = $this->tokens->at($close)?->text)) {
            if (null === $text || '(' === $text) {
                return false;
            }
            ++$close;
        }
        $repeat = RepeatPhrase::at($this->tokens, $close + 1, $this->numbering);
        $single = $this->strikes->parse($this->tokens, $open + 1);
        if (null === $repeat || $close === $open + 1 || $single?->next === $close) {
            return false;
        }
        $this->tokens->take();
        $from = \count($this->draft->items);
        $this->chain($close);
        $this->tokens->moveTo($repeat->next);
        if ($repeat->times < 1 || $repeat->times > self::MAX_REPEATS) {
            $this->refuseTimes($this->tokens->span($close + 1, $repeat->next));
        } else {
            $this->draft->repeatFrom($from, $repeat->times - 1);
            $this->draft->widen($this->tokens->span($close, $repeat->next));
        }

        return true;
    }

    private function refuseTimes(Span $span): void
    {
        $this->diagnostics->problem(
            $span,
            t('A repeat is 1 to {maxRepeats} times.', maxRepeats: self::MAX_REPEATS),
            t('a smaller count'),
            ['x2', 'x3'],
        );
    }

    /** @param bool $legUp after a ^ */
    private function feint(bool $legUp = false): void
    {
        if (!$legUp && $this->repeatedInBrackets()) {
            return;
        }
        $open = $this->tokens->take();
        if ($this->remark()) {
            return;
        }
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
        $this->readers->strike()->add($legUp ? $phrase->with(legUp: true) : $phrase, true, false);
        while ($this->tokens->isSign('!', '~', '>', '<', '_')) {
            $this->readers->mark()->mark();
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

    /** Reads "jab (body)": the target or effort of the strike before, in brackets. */
    private function remark(): bool
    {
        $index = $this->tokens->position();
        $repeat = RepeatPhrase::at($this->tokens, $index, $this->numbering);
        if (
            null !== $repeat
            && null !== $this->draft->last()
            && ')' === $this->tokens->at($repeat->next)?->text
            && $repeat->times > 0
            && $repeat->times <= self::MAX_REPEATS
        ) {
            $this->tokens->moveTo($repeat->next + 1);
            $this->repeatLast($repeat->times - 1);

            return true;
        }
        $target = Vocabulary::TARGETS[$this->tokens->word()] ?? Target::tryFrom($this->tokens->word());
        $isFeint = isset(Vocabulary::FEINT[$this->tokens->word()]);
        $effort = Vocabulary::EFFORTS[$this->tokens->word()] ?? null;
        $item = $this->draft->last();
        if (
            ')' !== $this->tokens->at($this->tokens->position() + 1)?->text
            || !$item instanceof StrikeItem
            || (null === $target && null === $effort && !$isFeint)
        ) {
            return false;
        }
        $token = $this->tokens->take();
        $this->tokens->take();
        try {
            $this->draft->replaceLast(
                null === $target
                    ? $item->with(effort: $effort, feint: $isFeint || $item->feint)
                    : $item->by($item->strike, TargetRowReader::reached($item->strike, $target) ?? $target),
                $token->span,
            );
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($token->span, $invalid->getMessage(), t('another target'));
        }

        return true;
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
            $this->refuseTimes($times->span);

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
