<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

/**
 * The second stage of the reader: takes words that carry nothing out of the line, and puts words that the grammar reads
 * in the place of others that mean the same. A name of a strike or move is left alone, whatever words it has.
 */
final readonly class SpokenForms
{
    /** The beginning of the word that stands for a drill; no typed word has a sign in it. */
    public const DRILL = 'drill:';

    /** Numbers that are parts of phrases: "this one". */
    private const NUMBERS = ['1' => 'one', '2' => 'two', '3' => 'three'];

    /** @var array<string, string> phrase to the words in its place; empty for glue */
    private array $forms;
    /** @var array<string, int> how many words the longest phrase has that begins with that word */
    private array $longest;

    public function __construct(private Vocabulary $vocabulary, public Glue $glue = new Glue())
    {
        $data = HearingData::read();
        $forms = $data->means + array_fill_keys(array_keys($glue->phrases()), '');
        foreach ($data->drills as $phrase => $drill) {
            $forms[$phrase] = self::DRILL.$drill;
        }
        $longest = [];
        foreach ($forms as $phrase => $_) {
            $space = strpos($phrase, ' ');
            $first = false === $space ? $phrase : substr($phrase, 0, $space);
            $count = false === $space ? 1 : 1 + substr_count($phrase, ' ');
            if ($count > ($longest[$first] ?? 0)) {
                $longest[$first] = $count;
            }
        }
        $this->forms = $forms;
        $this->longest = $longest;
    }

    /** @param list<Token> $tokens */
    public function heard(array $tokens): HeardLine
    {
        $words = $spoken = [];
        $first = null;
        foreach ($tokens as $index => $token) {
            $words[] = $word = $token->word();
            if ('' === $word && $token->calledOut) {
                $word = self::NUMBERS[$token->text] ?? '';
            }
            $spoken[] = $word;
            if (null === $first && isset($this->longest[$word])) {
                $first = $index;
            }
        }
        if (null === $first) {
            return new HeardLine($tokens, $words, []);
        }
        $heard = \array_slice($tokens, 0, $first);
        $read = \array_slice($words, 0, $first);
        $passedOver = [];
        $leadsOn = false;
        $count = \count($tokens);
        for ($index = $first; $index < $count; $index += $length) {
            $length = $this->length($spoken, $index);
            if (
                $length > 1
                && 'one' === $spoken[$index + $length - 1]
                && TokenKind::Number === ($tokens[$index + $length] ?? null)?->kind
            ) {
                // "First one two" is "first" and a 1 2.
                $length = isset($this->forms[$spoken[$index]]) ? 1 : 0;
            }
            if ($leadsOn && 'with' === $words[$index]) {
                // "Finish him with a low kick" joins nothing.
                $passedOver[] = $tokens[$index]->span;
                $length = 1;
                $leadsOn = false;
                continue;
            }
            if (0 === $length) {
                $leadsOn = false;
                $heard[] = $tokens[$index];
                $read[] = $words[$index];
                $length = 1;
                continue;
            }
            $span = $tokens[$index]->span->until($tokens[$index + $length - 1]->span);
            $instead = $this->forms[implode(' ', \array_slice($spoken, $index, $length))];
            if ('' === $instead) {
                $passedOver[] = $span;
                $leadsOn = $leadsOn || isset($this->forms[$words[$index + $length - 1].' with']);
            }
            foreach ('' === $instead ? [] : explode(' ', $instead) as $word) {
                $heard[] = ctype_digit($word)
                    ? new Token(TokenKind::Number, $word, $span, calledOut: true)
                    : new Token(TokenKind::Word, $word, $span);
                $read[] = ctype_digit($word) ? '' : $word;
            }
        }

        return new HeardLine($heard, $read, $passedOver);
    }

    /**
     * Returns how many words the longest phrase has that starts there; 0 when there is none, or when it is a part of a
     * name in the vocabulary.
     *
     * @param list<string> $words
     */
    private function length(array $words, int $index): int
    {
        $longest = min($this->longest[$words[$index]] ?? 0, \count($words) - $index);
        for ($length = $longest; $length > 0; --$length) {
            $phrase = 1 === $length ? $words[$index] : implode(' ', \array_slice($words, $index, $length));
            if (isset($this->forms[$phrase]) && !$this->isPartOfAName($words, $index, $length)) {
                return $length;
            }
        }

        return 0;
    }

    /** @param list<string> $words */
    private function isPartOfAName(array $words, int $index, int $length): bool
    {
        $end = $index + $length;
        for ($from = max(0, $index - 3); $from < $end; ++$from) {
            $name = max(
                $this->vocabulary->noun($words, $from)->count ?? 0,
                $this->vocabulary->move($words, $from)->count ?? 0,
            );
            if ($from === $index ? $name >= $length : $from + $name > ($from < $index ? $index : $end)) {
                return true;
            }
        }

        return false;
    }
}
