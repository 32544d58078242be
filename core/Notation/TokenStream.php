<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Stance;

/** The tokens of a text and how far they are taken. */
final class TokenStream
{
    private int $next = 0;
    /** The running stance where the reading has come to, for what depends on it; null where it is not known. */
    public ?Stance $running = null;
    /**
     * Whether a target stands behind its noun in this line; worked out by {@see StrikePhraseParser} when it is asked
     * for.
     */
    public ?bool $targetsStandBehind = null;
    /** @var list<string> lower-case words by token; an empty string for what is no word, and so ends a phrase */
    public readonly array $words;

    /** @param list<Token> $tokens */
    public function __construct(private readonly array $tokens)
    {
        $this->words = array_map(
            static fn (Token $token): string => TokenKind::Word === $token->kind
                ? Vocabulary::INITIALS[$token->text] ?? mb_strtolower($token->text)
                : '',
            $tokens,
        );
    }

    /** Place of the next token, counted from 0. */
    public function position(): int
    {
        return $this->next;
    }

    public function at(int $position): ?Token
    {
        return $this->tokens[$position] ?? null;
    }

    public function peek(): ?Token
    {
        return $this->tokens[$this->next] ?? null;
    }

    public function take(): Token
    {
        return $this->tokens[$this->next++];
    }

    /** The number at that place, if there is one. */
    public function numberAt(int $position): ?string
    {
        $token = $this->at($position);

        return TokenKind::Number === $token?->kind ? $token->text : null;
    }

    /** The tokens between two places as they could be typed. */
    public function text(int $from, int $to): string
    {
        return implode(
            ' ',
            array_map(static fn (Token $token): string => $token->text,
                \array_slice($this->tokens, $from, $to - $from)),
        );
    }

    /** The next one is of that sign. */
    public function isSign(string ...$signs): bool
    {
        return \in_array($this->peek()?->text, $signs, true);
    }

    /** The lower-case word so far ahead; empty where there is none. */
    public function word(int $ahead = 0): string
    {
        return $this->words[$this->next + $ahead] ?? '';
    }

    public function moveTo(int $position): void
    {
        $this->next = $position;
    }

    public function moveToEnd(): void
    {
        $this->next = \count($this->tokens);
    }

    /** From the token at one place to the last one before the other. */
    public function span(int $from, int $to): Span
    {
        return $this->tokens[$from]->span->until($this->tokens[$to - 1]->span);
    }

    public function whole(): Span
    {
        return [] === $this->tokens ? new Span(0, 0) : $this->span(0, \count($this->tokens));
    }
}
