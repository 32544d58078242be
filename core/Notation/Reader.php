<?php

declare(strict_types=1);

namespace Periplus\Core\Notation;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;

use function Periplus\Core\Language\t;

/**
 * Reads a chain typed in numbers, words or both. It does not stop at the first mistake: every problem has its place,
 * what was expected and the nearest accepted text.
 */
final class Reader
{
    /** Maximum length in Unicode characters; every chain in parity numbering is shorter. */
    public const MAX_LENGTH = 1000;

    private readonly Vocabulary $vocabulary;
    private readonly StrikePhraseParser $strikes;
    private readonly MovePhraseParser $moves;
    /** Made for the words that were passed over then. */
    private ?SpokenForms $forms = null;

    /** @param GlueSource $words says what is passed over in the gym */
    public function __construct(
        private readonly Catalogue $catalogue,
        private readonly GlueSource $words = new Glue(),
    ) {
        $this->vocabulary = new Vocabulary($catalogue);
        $this->strikes = new StrikePhraseParser($this->vocabulary);
        $this->moves = new MovePhraseParser($this->vocabulary, $this->strikes);
    }

    public static function builtIn(): self
    {
        /** @var self|null $reader */
        static $reader = null;

        return $reader ??= new self(Catalogue::builtIn());
    }

    /** Reads a typed chain once for all that is computed from it. */
    public function readText(ChainText $text): ReadChain
    {
        return new ReadChain($text, $this->read($text->text, $text->numbering, $text->stance));
    }

    /** Reads a stored chain, which is in parity numbering; null when it cannot be read. */
    public function readStored(string $notation, Stance $stance): ?ChainInStance
    {
        $chain = $this->read($notation, Numbering::named('parity'), $stance)->chain;

        return null === $chain ? null : new ChainInStance($chain, $stance);
    }

    /** Tells whether a text names a strike or a move anywhere. */
    public function mentions(string $text): bool
    {
        $words = array_map(
            static fn (Token $token): string => $token->word(),
            mb_check_encoding($text, 'UTF-8') ? Lexer::tokens(mb_substr($text, 0, self::MAX_LENGTH)) : [],
        );
        foreach (array_keys($words) as $index) {
            if (null !== $this->vocabulary->noun($words, $index) || null !== $this->vocabulary->move($words, $index)) {
                return true;
            }
        }

        return false;
    }

    /** @param Stance $stance the starting stance, in which left and right are understood */
    public function read(string $text, Numbering $numbering, Stance $stance): Reading
    {
        if (!mb_check_encoding($text, 'UTF-8')) {
            return $this->refuse(0, t('This text is damaged: it is not valid UTF-8. Type it again.'));
        }
        $length = mb_strlen($text);
        if ($length > self::MAX_LENGTH) {
            return $this->refuse(
                $length,
                t(
                    'This line has {length} characters; a combination has at most {maxLength}. Split it.',
                    length: number_format($length),
                    maxLength: self::MAX_LENGTH,
                ),
            );
        }
        if ('' === trim($text)) {
            return $this->refuse(
                $length,
                t('There is no strike here yet. Type numbers or words, such as "1 2" or "jab cross".'),
            );
        }

        $name = $this->name($text);
        $heard = $this->forms()->heard(Lexer::tokens(0 === $name ? $text : mb_substr($text, $name), $name));
        $reading = (new ChainParser(
            catalogue: $this->catalogue,
            vocabulary: $this->vocabulary,
            strikes: $this->strikes,
            moves: $this->moves,
            numbering: $numbering,
            stance: $stance,
            tokens: new TokenStream($heard),
            passedOver: $heard->passedOver,
        ))->reading($text);

        if (0 === $name) {
            return $reading;
        }
        $before = rtrim(mb_substr($text, 0, $name), ": \u{00A0}");

        return $reading->with(
            1 === preg_match('/^\s*\d{1,2}[.)]$/', $before)
                ? new Note(0, $name, t('"{number}" is read as the number of a list.', number: $before), [
                    rtrim($before, '.)').', ',
                ])
                : new Note(0, $name, t('"{excerpt}" is read as a name.', excerpt: Diagnostics::excerpt($before))),
        );
    }

    private function forms(): SpokenForms
    {
        $glue = $this->words->glue();
        if (null === $this->forms || $this->forms->glue !== $glue) {
            $this->forms = new SpokenForms($this->vocabulary, $glue);
        }

        return $this->forms;
    }

    /** Returns the length of a name before the chain, with its colon: "Sea gate: 1 2 3", or of the number of a list. */
    private function name(string $text): int
    {
        if (false === strpbrk($text, ':.)')) {
            return 0;
        }
        if (1 === preg_match('/^\s*\d{1,2}[.)]\s+(?=\p{L})/u', $text, $number)) {
            return mb_strlen($number[0]);
        }
        if (1 !== substr_count($text, ':')) {
            return 0;
        }
        [$before, $after] = explode(':', $text);
        $chain = ltrim($after);

        return '' !== $chain
            && $chain !== $after
            && 1 === preg_match('/\p{L}/u', $before)
            && 1 !== preg_match('/^\s*(all|everything)\s/i', $before)
            ? mb_strlen($text) - mb_strlen($chain)
            : 0;
    }

    private function refuse(int $length, string $message): Reading
    {
        return new Reading(
            null,
            [],
            [new ReadingProblem(0, $length, $message, t('a combination in numbers or words'), ['1 2', 'jab cross'])],
            [],
        );
    }
}
