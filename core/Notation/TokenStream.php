<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Technique\Stance;

/** The tokens of a text and the current position. */
final class TokenStream
{
    private int $next = 0;
    /** The running stance at the current position; null where it is unknown. */
    public ?Stance $running = null;
    /** Whether targets come after nouns in this line; computed by {@see StrikePhraseParser} on first use. */
    public ?bool $targetsStandBehind = null;
    /** @var list<string> lower-case words by token; an empty string for what is no word, and so ends a phrase */
    public readonly array $words;

    /** @var list<Token> */
    private readonly array $tokens;

    public function __construct(HeardLine $line)
    {
        [$this->tokens, $this->words] = [$line->tokens, $line->words];
    }

    /** Returns the index of the next token, from 0. */
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

    /** Returns a stream of that token and those from that position on. */
    public function after(Token $first, int $from): self
    {
        return new self(new HeardLine(
            [$first, ...\array_slice($this->tokens, $from)],
            [$first->word(), ...\array_slice($this->words, $from)],
            [],
        ));
    }

    /** Returns the number at that position, or null. */
    public function numberAt(int $position): ?string
    {
        $token = $this->at($position);

        return TokenKind::Number === $token?->kind ? $token->text : null;
    }

    /** Returns the tokens between two positions as one could type them. */
    public function text(int $from, int $to): string
    {
        return implode(
            ' ',
            array_map(static fn (Token $token): string => $token->text,
                \array_slice($this->tokens, $from, $to - $from)),
        );
    }

    /** Tells whether the next token is one of these signs. */
    public function isSign(string ...$signs): bool
    {
        return \in_array($this->peek()?->text, $signs, true);
    }

    /** Returns the lower-case word that many tokens ahead; empty where there is none. */
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

    /** Returns the range from the token at one position to the last one before the other. */
    public function span(int $from, int $to): Span
    {
        $first = $this->tokens[$from]->span;

        return $to === $from + 1 ? $first : $first->until($this->tokens[$to - 1]->span);
    }

    /** Returns a text with the commas that it needs in the place of the tokens from one position to another. */
    public function apart(string $text, int $from, int $next): string
    {
        return ($this->isPhrase($from - 1) ? ', ' : '').$text.($this->isPhrase($next) ? ',' : '');
    }

    private function isPhrase(int $position): bool
    {
        $kind = $this->at($position)?->kind;

        return TokenKind::Number === $kind
            || (TokenKind::Word === $kind && !isset(Vocabulary::FILLERS[$this->words[$position]]));
    }

    public function whole(): Span
    {
        return [] === $this->tokens ? new Span(0, 0) : $this->span(0, \count($this->tokens));
    }
}
