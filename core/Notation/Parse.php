<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\Beat;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Effort;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\InvalidChain;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Combination\Voice;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Core\Technique\Strike;
use Periplus\Core\Technique\Target;

/**
 * One run of the reader over one text. Walks the running stance as it goes, since left and right depend on it.
 *
 * @internal use {@see Reader}
 */
final class Parse
{
    /** Deepest nesting of [ ]. */
    public const DEEPEST = 3;
    /** Most repeats of a [ ]. */
    public const MOST_REPEATS = 20;
    /** More problems than these help nobody. */
    private const MOST_PROBLEMS = 20;
    private const A_STRIKE = 'a strike, such as 2 or "cross"';

    private int $next = 0;
    private int $depth = 0;
    private Stance $running;
    /** @var list<Item> */
    private array $items = [];
    /** @var list<Span> */
    private array $spans = [];
    /** @var list<Problem> */
    private array $problems = [];
    /** @var list<Note> */
    private array $notes = [];
    /** @var list<string> lower-case words by token; an empty string ends a phrase */
    private array $words;

    /** @var list<Token> */
    private readonly array $tokens;

    /** @param list<Token> $tokens */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly Vocabulary $vocabulary,
        private readonly Scheme $scheme,
        Stance $stance,
        array $tokens,
    ) {
        $this->running = $stance;
        $this->tokens = array_map(static function (Token $token): Token {
            $called = TokenKind::Word === $token->kind ? Vocabulary::NUMBERS[mb_strtolower($token->text)] ?? null : null;

            return null === $called ? $token : new Token(TokenKind::Number, $called, $token->span);
        }, $tokens);
        $this->words = array_map(
            static fn (Token $token): string => TokenKind::Word === $token->kind ? mb_strtolower($token->text) : '',
            $this->tokens,
        );
    }

    public function reading(): Reading
    {
        $this->chain();
        if ([] === $this->items && [] === $this->problems) {
            $this->problem($this->whole(), 'There is no strike here yet.', self::A_STRIKE, ['1 2']);
        }
        usort($this->problems, static fn (Problem $a, Problem $b): int => $a->at <=> $b->at);
        $readable = [] === $this->problems;

        return new Reading(
            $readable ? Chain::of($this->items) : null,
            $readable ? $this->spans : [],
            $this->problems,
            $this->notes,
        );
    }

    private function chain(): void
    {
        while (null !== ($token = $this->peek())) {
            if (TokenKind::Mark === $token->kind && ']' === $token->text && $this->depth > 0) {
                return;
            }
            match ($token->kind) {
                TokenKind::Stop => $this->take(),
                TokenKind::Number => $this->strike(false, false),
                TokenKind::Word => $this->phrase(),
                TokenKind::Mark => $this->mark($token),
                TokenKind::Times => $this->complain('"%s" repeats nothing.', '[ ] around what repeats, such as [1 2]x3'),
                TokenKind::Stranger => $this->stranger(),
            };
        }
    }

    private function mark(Token $token): void
    {
        match ($token->text) {
            '(' => $this->feint(),
            '[' => $this->group(),
            '+' => $this->joined(),
            '/' => $this->add(new Beat(), $this->take()->span),
            '*' => $this->free(),
            '!', '~', '>' => $this->suffix(),
            ')' => $this->complain('This ) closes a bracket that was never opened.', 'a ( before the feinted strike'),
            default => $this->complain('This ] closes a bracket that was never opened.', 'a [ before what repeats'),
        };
    }

    /** A number or words for a strike; what cannot be read leaves a problem and no item. */
    private function strike(bool $feint, bool $joined): void
    {
        $start = $this->peek();
        if (null === $start) {
            return;
        }
        $item = TokenKind::Number === $start->kind ? $this->number() : $this->strikeWords();
        if (null === $item) {
            return;
        }
        $last = $this->tokens[$this->next - 1];
        try {
            $this->add($item->with(feint: $feint || $item->feint, joined: $joined || $item->joined), $start->span->until($last->span));
        } catch (InvalidChain $invalid) {
            $this->problem($start->span->until($last->span), $invalid->getMessage(), self::A_STRIKE);
        }
    }

    private function number(): ?StrikeItem
    {
        $token = $this->take();
        $letters = preg_replace('/^[a-z]*[0-9]+/i', '', $token->text) ?? '';
        $code = substr($token->text, 0, \strlen($token->text) - \strlen($letters));
        $entry = $this->scheme->entry($code);
        if (null === $entry) {
            $this->unknownNumber($token, $code, $letters);

            return null;
        }
        $strike = $this->catalogue->inFamily($entry->family, $entry->role($this->running));
        if (null === $strike) {
            $side = $entry->position->value;
            $this->problem($token->span, \sprintf('%s is the %s %s, and in %s that limb has none.', $entry->code, $side, $entry->family, $this->running->value), 'a number of the other hand, or a switch before it');

            return null;
        }
        $target = $entry->target ?? $strike->defaultTarget();
        if ('' !== $letters) {
            $named = Target::tryFrom(strtolower($letters));
            if (null === $named) {
                $this->problem($token->span, \sprintf('"%s" is not a target.', $letters), 'h for head, b for body or l for leg', array_map(static fn (Target $t): string => $code.$t->value, $strike->targets));

                return null;
            }
            $target = $named;
        }

        return $this->item($strike, $this->targetAfter() ?? $target, $token->span, $code);
    }

    private function unknownNumber(Token $token, string $code, string $letters): void
    {
        $codes = array_map(strval(...), array_keys($this->scheme->entries));
        $near = array_values(array_filter($codes, static fn (string $known): bool => \strlen($code) < 6 && 1 === levenshtein(strtoupper($code), $known)));
        if (ctype_digit($code) && \strlen($code) > 1 && \strlen($code) < 8 && '' === $letters) {
            $single = str_split($code);
            if ([] === array_filter($single, fn (string $digit): bool => null === $this->scheme->entry($digit))) {
                array_unshift($near, implode('-', $single));
            }
        }
        if (1 === preg_match('/^x\d{1,2}$/i', $token->text)) {
            $this->problem($token->span, \sprintf('"%s" repeats what stands in [ ] before it, and there is none.', $token->text), '[ ] around what repeats, such as [1 2]'.strtolower($token->text));

            return;
        }
        $first = $codes[0] ?? '';
        $last = [] === $codes ? '' : $codes[\count($codes) - 1];
        $this->problem($token->span, \sprintf('There is no number %s in %s numbering.', self::excerpt($code), $this->scheme->name), \sprintf('one of its numbers, %s to %s', $first, $last), \array_slice($near, 0, 4));
    }

    /** Makes the item or says why that strike does not go there. */
    private function item(Strike $strike, Target $target, Span $span, ?string $code, Effort $effort = Effort::Plain, bool $feint = false): ?StrikeItem
    {
        try {
            return new StrikeItem($strike, $target, $effort, $feint);
        } catch (InvalidChain $invalid) {
            $near = null === $code ? [$strike->name] : array_map(static fn (Target $t): string => $code.$t->value, $strike->targets);
            $this->problem($span, $invalid->getMessage(), implode(' or ', array_map(static fn (Target $t): string => $t->word(), $strike->targets)), $near);

            return null;
        }
    }

    private function feint(): void
    {
        $open = $this->take();
        if (!$this->isStrike()) {
            $this->problem($open->span, 'A bracket holds one feinted strike, and there is none after it.', '(3) or (cross)', ['(3)']);

            return;
        }
        $this->strike(true, false);
        while (\in_array($this->peek()?->text, ['!', '~'], true)) {
            $this->suffix();
        }
        if (')' !== $this->peek()?->text) {
            $this->problem($open->span, 'This ( is not closed after one strike.', '), directly after the feinted strike; what repeats stands in [ ]');

            return;
        }
        $close = $this->take();
        $this->widen($open->span->until($close->span));
    }

    private function joined(): void
    {
        $plus = $this->take();
        if (!$this->isStrike()) {
            $this->problem($plus->span, 'A + joins the strike after it, and there is none.', self::A_STRIKE, ['+14']);

            return;
        }
        $before = \count($this->items);
        $this->strike(false, true);
        if (\count($this->items) > $before) {
            $this->widen($plus->span->until($this->tokens[$this->next - 1]->span));
        }
    }

    private function group(): void
    {
        $open = $this->take();
        if ($this->depth >= self::DEEPEST) {
            $this->problem($open->span, \sprintf('Brackets stand inside each other more than %d deep.', self::DEEPEST), 'a flatter line');
            $this->next = \count($this->tokens);

            return;
        }
        ++$this->depth;
        $from = \count($this->items);
        $this->chain();
        --$this->depth;
        if (']' !== $this->peek()?->text) {
            if ([] === $this->problems) {
                $this->problem($open->span, 'This [ is not closed.', '] and a count, such as ]x3');
            }

            return;
        }
        $close = $this->take();
        $times = $this->peek();
        if (null === $times || TokenKind::Times !== $times->kind) {
            $this->problem($close->span, 'A repeat needs its count after the bracket.', 'x and a count, such as ]x3', [']x2', ']x3']);

            return;
        }
        $this->take();
        $digits = preg_replace('/[^0-9]/', '', $times->text) ?? '';
        $count = \strlen($digits) > 4 ? \PHP_INT_MAX : (int) $digits;
        if ($count < 1 || $count > self::MOST_REPEATS) {
            $this->problem($times->span, \sprintf('A repeat is 1 to %d times.', self::MOST_REPEATS), 'a smaller count', ['x2', 'x3']);

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

    private function free(): void
    {
        $star = $this->take();
        $count = $this->peek();
        if (null === $count || TokenKind::Number !== $count->kind || $count->span->at !== $star->span->at + 1) {
            $this->add(new FreeStrikes(1), $star->span);

            return;
        }
        $this->take();
        $this->addFree($count, $star->span->until($count->span));
    }

    private function addFree(Token $count, Span $span): void
    {
        if (!ctype_digit($count->text) || \strlen($count->text) > 3) {
            $this->problem($span, \sprintf('"%s" is not a count of free strikes.', self::excerpt($count->text)), 'a count, such as *3', ['*3']);

            return;
        }
        try {
            $this->add(new FreeStrikes((int) $count->text), $span);
        } catch (InvalidChain $invalid) {
            $this->problem($span, $invalid->getMessage(), 'a count, such as *3', ['*3']);
        }
    }

    /** ! ~ or > after a strike. */
    private function suffix(): void
    {
        $token = $this->take();
        $last = \count($this->items) - 1;
        $item = $this->items[$last] ?? null;
        $name = match ($token->text) {
            '!' => 'A ! marks a hard strike',
            '~' => 'A ~ marks a light strike',
            default => 'A > marks a kick that lands forward',
        };
        if (!$item instanceof StrikeItem || $this->spans[$last]->at > $token->span->at) {
            $this->problem($token->span, $name.' and stands directly after it.', 'a strike before it', ['2'.$token->text]);

            return;
        }
        try {
            $changed = match ($token->text) {
                '!' => $item->with(effort: Effort::Hard),
                '~' => $item->with(effort: Effort::Light),
                default => $item->with(landsForward: true),
            };
        } catch (InvalidChain $invalid) {
            $this->problem($token->span, $invalid->getMessage(), 'a kick or knee of the rear leg before it', ['14>']);

            return;
        }
        if ($changed->landsForward && !$item->landsForward && !$item->feint) {
            $this->running = $this->running->other();
        }
        $this->items[$last] = $changed;
        $this->widen($this->spans[$last]->until($token->span));
    }

    private function phrase(): void
    {
        $word = $this->words[$this->next];
        $number = $this->tokens[$this->next + 1] ?? null;
        if (isset(Vocabulary::BEATS[$word])) {
            $this->add(new Beat(), $this->take()->span);
        } elseif (('any' === $word || 'free' === $word) && null !== $number && TokenKind::Number === $number->kind) {
            $start = $this->take();
            $this->take();
            $end = \in_array($this->word(0), ['strikes', 'strike'], true) ? $this->take() : $number;
            $this->addFree($number, $start->span->until($end->span));
        } elseif ('with' === $word || 'plus' === $word) {
            $this->joined();
        } elseif (TokenKind::Number === $number?->kind && (isset(Vocabulary::FEINT[$word]) || isset(Vocabulary::EFFORTS[$word]))) {
            $this->spoken($word);
        } elseif (isset(Vocabulary::REPEATS[$word]) && $this->isStrike(1)) {
            $this->repeated(Vocabulary::REPEATS[$word]);
        } elseif (null !== StrikePhrase::ahead($this->vocabulary, $this->words, $this->next)) {
            $this->strike(false, false);
        } elseif (!$this->move()) {
            if (isset(Vocabulary::FILLERS[$word])) {
                $this->take();

                return;
            }
            $token = $this->take();
            $near = $this->vocabulary->nearest($word);
            $this->problem($token->span, \sprintf('"%s" is not a strike or a move.', self::excerpt($token->text)), 'a number, or words such as "lead hook body" or "slip left"', $near);
        }
    }

    /** "fake 1", "hard 2": the mark of a number, in a word before it. */
    private function spoken(string $word): void
    {
        $start = $this->take();
        $before = \count($this->items);
        $this->strike(isset(Vocabulary::FEINT[$word]), false);
        $item = $this->items[$before] ?? null;
        if ($item instanceof StrikeItem) {
            $this->items[$before] = $item->with(effort: Vocabulary::EFFORTS[$word] ?? $item->effort);
            $this->widen($start->span);
        }
    }

    /** "double jab": the strike after the word, so many times. */
    private function repeated(int $times): void
    {
        $word = $this->take();
        $before = \count($this->items);
        $this->strike(false, false);
        if (\count($this->items) > $before) {
            $this->widen($word->span);
            [$item, $span] = [$this->items[$before], $this->spans[$before]];
            while (--$times > 0 && $this->add($item, $span)) {
            }
        }
    }

    /** @return bool whether a move began here, well formed or not */
    private function move(): bool
    {
        $from = $this->next;
        $side = Vocabulary::SIDES[$this->words[$from]] ?? null;
        $found = $this->vocabulary->move($this->words, null === $side ? $from : $from + 1);
        if (null === $found) {
            return false;
        }
        [$id, $count] = $found;
        $this->next = $from + $count + (null === $side ? 0 : 1);
        $side ??= $this->sideAfter(isset($this->vocabulary->bases[$id]));
        $span = $this->tokens[$from]->span->until($this->tokens[$this->next - 1]->span);
        $role = $side instanceof Side ? $this->running->roleOf($side) : $side;

        $base = $this->vocabulary->bases[$id] ?? null;
        if (null !== $base) {
            if (null === $role) {
                $this->problem($span, \sprintf('%s to which side?', ucfirst(strtr($id, '-', ' '))), 'lead, rear, left or right after it', array_values($base));

                return true;
            }
            $id = $base[$role->value];
        }
        $move = $this->catalogue->move($id);
        if (null !== $role && null !== $move->toward && $role !== $move->toward) {
            $this->problem($span, \sprintf('In %s, %s goes to the %s.', $this->running->value, $move->words(), $this->running->sideOf($move->toward)->value), 'the side it goes to, or no side', [$move->id, $move->carry]);

            return true;
        }
        $this->add(new MoveItem($move), $span);

        return true;
    }

    /** "left", or "to the left"; the short form only after a move that asks for its side. */
    private function sideAfter(bool $asks): Role|Side|null
    {
        $skip = 'to' === $this->word(0) ? ('the' === $this->word(1) ? 2 : 1) : 0;
        $side = Vocabulary::SIDES[$this->word($skip)] ?? null;
        if (null === $side || (0 === $skip && !$asks)) {
            return null;
        }
        $this->next += $skip + 1;
        if ($skip > 0 && 'side' === $this->word(0)) {
            $this->take();
        }

        return $side;
    }

    private function strikeWords(): ?StrikeItem
    {
        $from = $this->next;
        $ahead = StrikePhrase::ahead($this->vocabulary, $this->words, $from);
        if (null === $ahead) {
            $token = $this->take();
            $this->problem($token->span, \sprintf('"%s" is not a strike.', self::excerpt($token->text)), self::A_STRIKE, $this->vocabulary->nearest($this->words[$from]));

            return null;
        }
        $this->next = $ahead->next;
        $noun = $ahead->noun;
        $family = Vocabulary::NOUNS[$noun];
        $side = $ahead->side ?? $this->straightSide($noun);
        $target = $this->targetAfter() ?? $ahead->target;
        $lands = \in_array($this->word(0), ['landing', 'land'], true) && 'forward' === $this->word(1);
        if ($lands) {
            $this->next += 2;
        }
        $span = $this->tokens[$from]->span->until($this->tokens[$this->next - 1]->span);
        $role = $this->roleOf($noun, $family, $side instanceof Side ? $this->running->roleOf($side) : $side, $span);
        $strike = $this->catalogue->inFamily($family, $role);
        $fixed = Vocabulary::FIXED[$noun] ?? $role;
        if (null === $strike || $fixed !== $role) {
            $other = $this->catalogue->inFamily($family, $fixed) ?? $this->catalogue->inFamily($family, $role->other());
            $this->problem($span, \sprintf('There is no %s %s in %s.', $side instanceof Side ? $side->value : $role->value, $noun, $this->running->value), 'the strike of the other side', array_values(array_filter([$strike?->name, $other?->name], is_string(...))));

            return null;
        }
        // "low" and "leg" for a hand mean under the guard.
        $target = Target::Leg === $target && !\in_array(Target::Leg, $strike->targets, true) && \in_array('low', \array_slice($this->words, $from, $this->next - $from), true) ? Target::Body : $target;
        $item = $this->item($strike, $target ?? $strike->defaultTarget(), $span, null, $ahead->effort, $ahead->feint);
        if (null !== $item && $lands) {
            try {
                return $item->with(landsForward: true);
            } catch (InvalidChain $invalid) {
                $this->problem($span, $invalid->getMessage(), 'a kick or knee of the rear leg', ['rear '.$family]);

                return null;
            }
        }

        return $item;
    }

    /** "straight left" and "overhand right" put the side behind the noun, unless that side begins the next strike. */
    private function straightSide(string $noun): Role|Side|null
    {
        $side = isset(Vocabulary::SIDE_AFTER[$noun]) ? Vocabulary::SIDES[$this->word(0)] ?? null : null;
        if (null === $side || null !== StrikePhrase::ahead($this->vocabulary, $this->words, $this->next)) {
            return null;
        }
        $this->take();

        return $side;
    }

    private function roleOf(string $noun, string $family, ?Role $said, Span $span): Role
    {
        if (null !== $said) {
            return $said;
        }
        if (isset(Vocabulary::FIXED[$noun])) {
            return Vocabulary::FIXED[$noun];
        }
        $lead = $this->catalogue->inFamily($family, Role::Lead);
        $rear = $this->catalogue->inFamily($family, Role::Rear);
        if (null === $lead || null === $rear) {
            return null === $lead ? Role::Rear : Role::Lead;
        }
        for ($at = \count($this->items) - 1; $at >= 0; --$at) {
            $before = $this->items[$at];
            if ($before instanceof StrikeItem) {
                $role = $before->strike->role->other();
                $this->notes[] = new Note($span->at, $span->length, \sprintf('"%s" is read as %s %s, opposite to the %s before it.', $noun, $role->value, $family, $before->strike->name));

                return $role;
            }
        }
        $role = $lead->limb->isArm() ? Role::Lead : Role::Rear;
        $this->notes[] = new Note($span->at, $span->length, \sprintf('"%s" is read as %s %s. Say lead or rear to be sure.', $noun, $role->value, $family));

        return $role;
    }

    /** "body", "to the body", "to body" after a strike; a bare target that belongs to the next strike is left alone. */
    private function targetAfter(): ?Target
    {
        $skip = 'to' === $this->word(0) ? ('the' === $this->word(1) ? 2 : 1) : 0;
        $target = Vocabulary::TARGETS[$this->word($skip)] ?? null;
        if (null === $target || (0 === $skip && $this->isOfNext($this->next))) {
            return null;
        }
        $this->next += $skip + 1;

        return $target;
    }

    /**
     * Whether a bare target there belongs to the noun after it, "body hook": not so when that noun has a bare target of
     * its own after it, "hook body hook head".
     */
    private function isOfNext(int $at): bool
    {
        $noun = $this->vocabulary->noun($this->words, $at + 1);
        if (null === $noun) {
            return false;
        }
        $after = $at + 1 + $noun[1];

        return !isset(Vocabulary::TARGETS[$this->words[$after] ?? '']) || $this->isOfNext($after);
    }

    private function isStrike(int $ahead = 0): bool
    {
        $token = $this->tokens[$this->next + $ahead] ?? null;

        return null !== $token && (TokenKind::Number === $token->kind || (TokenKind::Word === $token->kind && null !== StrikePhrase::ahead($this->vocabulary, $this->words, $this->next + $ahead)));
    }

    private function stranger(): void
    {
        $first = $this->take();
        $last = $first;
        while (TokenKind::Stranger === $this->peek()?->kind) {
            $last = $this->take();
        }
        $shown = 1 === preg_match('/^\p{C}$/u', $first->text) ? \sprintf('The invisible character U+%04X', mb_ord($first->text)) : \sprintf('"%s"', $first->text);
        $this->problem($first->span->until($last->span), $shown.' stands for nothing in a combination.', 'numbers, words, ( ) [ ] + / *');
    }

    /** @return bool false when the chain is full */
    private function add(Item $item, Span $span): bool
    {
        if (\count($this->items) >= Chain::MOST) {
            $this->problem($span, InvalidChain::tooLong()->getMessage(), 'a shorter line');
            $this->next = \count($this->tokens);

            return false;
        }
        $this->items[] = $item;
        $this->spans[] = $span;
        try {
            Chain::require($this->items, \count($this->items) - 1);
        } catch (InvalidChain $invalid) {
            array_pop($this->items);
            array_pop($this->spans);
            $this->problem($span, $invalid->getMessage(), 'a strike of another limb, directly after a delivered strike', ['1 +14']);

            return true;
        }
        $this->running = Voice::after($item, $this->running);

        return true;
    }

    private function widen(Span $span): void
    {
        $last = array_pop($this->spans);
        if (null !== $last) {
            $this->spans[] = $last->at < $span->at ? $last->until($span) : $span->until($last);
        }
    }

    private function complain(string $message, string $expected): void
    {
        $token = $this->take();
        $this->problem($token->span, \sprintf($message, self::excerpt($token->text)), $expected);
    }

    /** @param list<string> $nearest */
    private function problem(Span $span, string $message, string $expected, array $nearest = []): void
    {
        $this->problems[] = new Problem($span->at, $span->length, $message, $expected, array_values(array_unique($nearest)));
        if (\count($this->problems) >= self::MOST_PROBLEMS) {
            $this->next = \count($this->tokens);
        }
    }

    /** @phpstan-impure */
    private function peek(): ?Token
    {
        return $this->tokens[$this->next] ?? null;
    }

    /** @phpstan-impure */
    private function take(): Token
    {
        return $this->tokens[$this->next++];
    }

    /** @phpstan-impure */
    private function word(int $ahead): string
    {
        return $this->words[$this->next + $ahead] ?? '';
    }

    private function whole(): Span
    {
        return [] === $this->tokens ? new Span(0, 0) : $this->tokens[0]->span->until($this->tokens[\count($this->tokens) - 1]->span);
    }

    private static function excerpt(string $text): string
    {
        return mb_strlen($text) > 24 ? mb_substr($text, 0, 24).'…' : $text;
    }
}
