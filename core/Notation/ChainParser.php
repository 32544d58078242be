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
use Periplus\Core\Technique\MoveKind;
use Periplus\Core\Technique\Role;
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
    private Stance $running;
    /** @var list<Item> */
    private array $items = [];
    /** @var list<Span> */
    private array $spans = [];
    /** Index of the first token after the last stop, and the number of phrases read since. */
    private int $clauseFrom = 0;
    private int $phrases = 0;
    private readonly Diagnostics $diagnostics;
    private readonly StrikeResolver $resolver;
    private readonly MoveResolver $moveResolver;

    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Vocabulary $vocabulary,
        private readonly StrikePhraseParser $strikes,
        private readonly MovePhraseParser $moves,
        private readonly Numbering $numbering,
        Stance $stance,
        private readonly TokenStream $tokens,
    ) {
        $this->running = $tokens->running = $stance;
        $this->diagnostics = new Diagnostics();
        $this->resolver = new StrikeResolver($catalogue, $vocabulary, $numbering, $this->diagnostics);
        $this->moveResolver = new MoveResolver(
            catalogue: $catalogue,
            vocabulary: $vocabulary,
            strikes: $strikes,
            moves: $moves,
            numbering: $numbering,
            tokens: $tokens,
            diagnostics: $this->diagnostics,
        );
    }

    public function reading(): Reading
    {
        $this->chain();
        if ([] === $this->items && !$this->diagnostics->hasProblems()) {
            $this->diagnostics->problem($this->tokens->whole(), t('There is no strike here yet.'), $this->aStrike(), [
                '1 2',
            ]);
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
            '+' => $this->joined(),
            '/' => $this->slash(),
            '*' => $this->free(),
            '!', '~', '>' => $this->suffix(),
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
            $this->add(new Beat(), $slash->span);
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
            $this->addFree($free->count, $free->span);
        } elseif (isset(Vocabulary::BEATS[$word])) {
            $this->add(new Beat(), $this->tokens->take()->span);
        } elseif (isset(Vocabulary::BEFORE_WITH[$word]) && 'with' === $this->tokens->word(1)) {
            $this->tokens->take();
            $this->tokens->take();
        } elseif ('with' === $word || 'plus' === $word) {
            $this->joined();
        } elseif (null !== $strike && !$this->isHookKick($strike)) {
            $this->strike($strike, false, false);
        } elseif (null !== $strike || !$this->move()) {
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
        $last = \count($this->items) - 1;
        $item = $this->items[$last] ?? null;
        if (null === $item) {
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
            $this->again($item, $this->spans[$last], $times - 1);
        }

        return true;
    }

    private function again(Item $item, Span $span, int $times): void
    {
        if ($item instanceof StrikeItem) {
            $item = $item->with(joined: false);
        }
        for ($time = 0; $time < $times && $this->add($item, $span); ++$time) {
        }
    }

    /**
     * Reads the phrase and adds its strike as often as it is thrown; an unreadable phrase adds a problem and no item.
     *
     * @param Span|null $sign a sign before it that belongs to it
     */
    private function strike(StrikePhrase $phrase, bool $feint, bool $joined, ?Span $sign = null): void
    {
        $index = $this->tokens->position();
        $this->tokens->moveTo($phrase->next);
        $this->offThe();
        $span = null === $sign ? $phrase->span : $sign->until($phrase->span);
        if ($phrase->switched) {
            $this->add(new MoveItem($this->catalogue->move('switch')), $span);
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
        $isOneOfBoth =
            'and' === ($this->tokens->words[$index - 1] ?? '')
            && isset(Vocabulary::SIDES[$this->tokens->words[$index - 2] ?? '']);
        if ($phrase->inTurn && 1 === $times && !$isOneOfBoth) {
            $this->diagnostics->note($phrase->span, t('More than one without a count is read as two.'));
            $times = 2;
        }
        $first = null;
        for ($time = 0; $time < $times; ++$time) {
            if (null === $first || $phrase->inTurn) {
                $first = $this->resolved(
                    null === $first ? $phrase : $this->inTurn($phrase, $first),
                    $feint,
                    $joined && 0 === $time,
                    $span,
                );
            } elseif (null !== $phrase->secondTarget) {
                $first = $this->resolved($phrase->withRole($first->strike->role)->second(), $feint, false, $span);
            } else {
                $first = $first->with(joined: false);
            }
            if (null === $first || !$this->add($first, $span)) {
                return;
            }
        }
        if (Vocabulary::CHECK_HOOK === $phrase->noun) {
            $this->diagnostics->note($phrase->span, t('A check hook is read as a lead hook and a pivot.'));
            $this->add(new MoveItem($this->catalogue->move('pivot-out')), $span);
        }
    }

    private function resolved(StrikePhrase $phrase, bool $feint, bool $joined, Span $span): ?StrikeItem
    {
        $item = $this->resolver->resolve($phrase, $this->running, $this->items);
        try {
            return $item?->with(feint: $feint || $item->feint, joined: $joined);
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), $this->aStrike());

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
                ChainInStance::after($before, $this->running) === $this->running
                    ? $before->strike->role->other()
                    : $before->strike->role,
            );
    }

    /** Reads "left hook off the jab": the jab is named after the hook and thrown before it. */
    private function offThe(): void
    {
        $index = $this->tokens->position();
        if ('off' !== $this->tokens->word() || !isset(Vocabulary::ARTICLES[$this->tokens->word(1)])) {
            return;
        }
        $strike = $this->strikes->parse($this->tokens, $index + 2);
        if (null === $strike && null === $this->moves->parse($this->tokens, $index + 2)) {
            return;
        }
        $before = $this->items[\count($this->items) - 1] ?? null;
        $count = \count($this->items);
        $this->tokens->moveTo($index + 2);
        null === $strike ? $this->move() : $this->strike($strike, false, false);
        if (
            $before instanceof StrikeItem
            && $count + 1 === \count($this->items)
            && $this->items[$count]->key() === $before->key()
        ) {
            // "Jab, hook off the jab" names the jab that was just thrown.
            array_pop($this->items);
            array_pop($this->spans);
        }
        $this->diagnostics->note(
            $this->tokens->span($index, $this->tokens->position()),
            t('The strike after "off" is thrown first.'),
        );
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
        $this->strike($phrase, true, false);
        while ($this->tokens->isSign('!', '~', '>')) {
            $this->suffix();
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
        $this->widen($open->span->until($close->span));
    }

    /** Tells whether the phrase is only a side: "hook (left)" gives the side of the hook. */
    private function isBareSide(StrikePhrase $phrase): bool
    {
        return null !== $phrase->side
            && 'straight' === $phrase->noun
            && isset(Vocabulary::SIDES[$this->tokens->word()])
            && $phrase->next === $this->tokens->position() + 1;
    }

    private function joined(): void
    {
        $index = $this->tokens->position();
        $plus = $this->tokens->take();
        while (TokenKind::Word === $plus->kind && isset(Vocabulary::ARTICLES[$this->tokens->word()])) {
            $this->tokens->take();
        }
        $phrase = $this->strikes->parse($this->tokens, $this->tokens->position());
        if (
            TokenKind::Word === $plus->kind
            && !(($this->items[\count($this->items) - 1] ?? null) instanceof StrikeItem)
            && null !== $phrase
        ) {
            // "Step in with a jab".
            return;
        }
        if (null === $phrase) {
            if (
                TokenKind::Word === $plus->kind
                && null !== $this->moves->parse($this->tokens, $this->tokens->position())
            ) {
                return;
            }
            $this->diagnostics->problem(
                $plus->span,
                t('A + joins the strike after it, and there is none.'),
                $this->aStrike(),
                ['+14'],
            );

            return;
        }
        $before = $this->items[\count($this->items) - 1] ?? null;
        // Written in words, joined strikes have a comma before "with".
        $apart =
            TokenKind::Word === $plus->kind
                ? TokenKind::Stop !== $this->tokens->at($index - 1)?->kind
                : $this->standsBetweenBlanks($index);
        if ($apart && $before instanceof StrikeItem && !$this->landsTogether($before, $phrase)) {
            $this->diagnostics->note(
                $plus->span,
                t('"{plus}" is read as "then": these two cannot land together.', plus: $plus->text),
            );
            $this->strike($phrase, false, false);

            return;
        }
        $this->strike($phrase, false, true, $plus->span);
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
        $from = \count($this->items);
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
        $items = \array_slice($this->items, $from);
        $spans = \array_slice($this->spans, $from);
        for ($round = 1; $round < $count; ++$round) {
            foreach ($items as $index => $item) {
                if (!$this->add($item, $spans[$index])) {
                    return;
                }
            }
        }
    }

    /** Reads free strikes: "*" or "*3". */
    private function free(): void
    {
        $star = $this->tokens->take();
        $count = $this->tokens->peek();
        if (null === $count || TokenKind::Number !== $count->kind || $count->span->at !== $star->span->at + 1) {
            $this->add(new FreeStrikes(1), $star->span);

            return;
        }
        $this->tokens->take();
        $this->addFree($count->text, $star->span->until($count->span));
    }

    private function addFree(string $count, Span $span): void
    {
        if (1 !== preg_match('/^(\d{1,3})([hbl]?)$/i', $count, $parts)) {
            $this->diagnostics->problem(
                $span,
                t('"{excerpt}" is not a count of free strikes.', excerpt: Diagnostics::excerpt($count)),
                t('a count, such as *3'),
                ['*3'],
            );

            return;
        }
        try {
            $this->add(
                new FreeStrikes((int) $parts[1], '' === $parts[2] ? null : Target::from(strtolower($parts[2]))),
                $span,
            );
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem($span, $invalid->getMessage(), t('a count, such as *3'), ['*3']);
        }
    }

    private function aStrike(): string
    {
        return t('a strike, such as 2 or "cross"');
    }

    /** Reads ! ~ or > after a strike. */
    private function suffix(): void
    {
        $token = $this->tokens->take();
        $last = \count($this->items) - 1;
        $item = $this->items[$last] ?? null;
        $name = match ($token->text) {
            '!' => t('A ! marks a hard strike'),
            '~' => t('A ~ marks a light strike'),
            default => t('A > marks a kick that lands forward'),
        };
        if (
            '>' === $token->text
            && $item instanceof StrikeItem
            && !StrikeItem::canLandForward($item->strike)
            && null !== $this->tokens->peek()
        ) {
            // Without blanks, "jab>cross" is an arrow from one strike to the next.
            return;
        }
        if (!($item instanceof StrikeItem) || $this->spans[$last]->at > $token->span->at) {
            $this->diagnostics->problem(
                $token->span,
                t('{sign} and directly follows it.', sign: $name),
                t('a strike before it'),
                ['2'.$token->text],
            );

            return;
        }
        try {
            $changed = match ($token->text) {
                '!' => $item->with(effort: Effort::Hard),
                '~' => $item->with(effort: Effort::Light),
                default => $item->with(landsForward: true),
            };
        } catch (InvalidChain $invalid) {
            $this->diagnostics->problem(
                $token->span,
                $invalid->getMessage(),
                t('a kick or knee of the rear leg before it'),
                ['14>'],
            );

            return;
        }
        if ($changed->changesStance() && !$item->changesStance()) {
            $this->running = $this->tokens->running = $this->running->other();
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
        $moves = $this->moveResolver->resolve($phrase, $this->running, $this->items);
        foreach ($moves as $move) {
            $this->add(new MoveItem($move), $phrase->span);
        }
        if ([] !== $moves && MoveKind::Defence === $moves[0]->kind) {
            $this->opponents();
        }

        return true;
    }

    /** Reads "slip the jab" or "roll under the hook": the strike named belongs to the opponent and is not thrown. */
    private function opponents(): void
    {
        $index = $this->tokens->position();
        $past = $this->moveResolver->pastTheOpponents($index);
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

    /** @return bool false when the chain is full */
    private function add(Item $item, Span $span): bool
    {
        if (\count($this->items) >= Chain::MAX_ITEMS) {
            $this->diagnostics->problem($span, InvalidChain::tooLong()->getMessage(), t('a shorter line'));
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
            $this->diagnostics->problem(
                $span,
                $invalid->getMessage(),
                t('a strike of another limb, directly after a delivered strike'),
                ['1 +14'],
            );

            return true;
        }
        $this->running = $this->tokens->running = ChainInStance::after($item, $this->running);

        return true;
    }

    /** Extends the place of the last item by a sign beside it. */
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
        $this->diagnostics->problem($token->span, $message, $expected);
    }
}
