<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\HearingData;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\Span;
use Periplus\Core\Notation\Vocabulary;
use Periplus\Core\Notation\WordData;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Lines as coaches say them: words that carry nothing, and that no word which carries something is lost. */
final class HearingTest extends TestCase
{
    use TestTrait;

    private const PHRASE_MAKERS = ['in', 'out', 'up', 'down', 'the', 'back', 'off', 'to', 'over', 'with', 'one'];
    private const TENS = ['twenty' => true, 'thirty' => true, 'forty' => true, 'fifty' => true, 'sixty' => true];

    public function testGlueBetweenTheWordsOfALineChangesNothing(): void
    {
        // "12-6" is a name.
        $lines = array_values(
            array_filter(
                self::lines('spoken', 'spoken-more'),
                static fn (array $line): bool => !str_starts_with($line[0], '12'),
            ),
        );
        // "Step" and "through" together are a move, and so are "get" and "out".
        $names = array_merge(
            ...array_map(
                static fn (string $phrase): array => explode(' ', $phrase),
                array_keys(WordData::read()->moves + HearingData::read()->means),
            ),
        );
        // "Show me" asks for a strike, and "show" alone feints it.
        $names[] = 'me';
        // With a word of the line they make a phrase: "the opponent", "breathe out", "in sequence".
        foreach (array_keys(HearingData::read()->glue) as $phrase) {
            $parts = explode(' ', $phrase);
            $names = [] === array_intersect($parts, self::PHRASE_MAKERS) ? $names : [...$names, ...$parts];
        }
        $glue = array_values(
            array_filter(
                array_diff(array_keys(HearingData::read()->glue), $names),
                static fn (string $phrase): bool => !str_contains($phrase, ' '),
            ),
        );
        $this->shrinkingTimeLimit(5)
            ->limitTo(3000)
            ->forAll(
                Generators::choose(0, \count($lines) - 1),
                Generators::vector(12, Generators::choose(0, 1_000_000)),
            )
            ->then(static function (int $line, array $draws) use ($lines, $glue): void {
                /** @var list<int> $draws */
                [$said, $canonical, $stance] = $lines[$line];
                $words = explode(' ', $said);
                $filled = array_shift($words);
                foreach ($words as $place => $word) {
                    if (isset(self::TENS[$words[$place - 1] ?? explode(' ', $said)[0]])) {
                        // "Thirty two" is one number.
                        $filled .= ' '.$word;
                        continue;
                    }
                    $draw = $draws[$place % 12];
                    $filler = $glue[$draw % \count($glue)];
                    $filled .= (0 === $draw % 3 ? ' '.$filler : '').' '.$word;
                }

                self::assertSame($canonical, self::canonical($filled, $stance), "$filled\n$said");
            });
    }

    public function testNoWordThatCarriesSomethingIsLost(): void
    {
        $words = self::words();
        $vocabulary = new Vocabulary(Catalogue::builtIn());
        $accepted = 0;
        $this->shrinkingTimeLimit(5)
            ->limitTo(6000)
            ->forAll(Generators::vector(6, Generators::choose(0, \count($words) - 1)), Generators::choose(2, 6))
            ->then(static function (array $draws, int $length) use ($words, $vocabulary, &$accepted): void {
                /** @var list<int> $draws */
                $said = implode(' ', array_map(
                    static fn (int $draw): string => $words[$draw],
                    \array_slice($draws, 0, $length),
                ));
                $reading = Reader::builtIn()->read($said, Numbering::named('parity'), Stance::Orthodox);
                if (null === $reading->chain) {
                    return;
                }
                ++$accepted;
                preg_match_all('/[\w\']+/u', $said, $found, \PREG_OFFSET_CAPTURE);
                foreach ($found[0] as [$word, $at]) {
                    $place = mb_strlen(substr($said, 0, $at));
                    if ($vocabulary->carries($word)) {
                        self::assertTrue(
                            self::isCovered($reading, $place, mb_strlen($word)),
                            "\"$word\" of \"$said\" is lost.",
                        );
                    }
                }
            });
        self::assertGreaterThan(500, $accepted);
    }

    /** What is left in circles is freed late, and thousands of lines a second would wait for it. */
    public function testALineThatWasReadLeavesNothingBehind(): void
    {
        $lines = ['1 2 3b', 'jab, two hooks low kick', 'jab stepping left', 'nice jab, zork', '*(1,2)3 [1 2]x2'];
        $read = static fn (): array => array_map(
            static fn (string $line): int => \count(
                Reader::builtIn()->read($line, Numbering::named('parity'), Stance::Orthodox)->problems,
            ),
            $lines,
        );
        $read();
        gc_collect_cycles();
        $read();

        self::assertSame(0, gc_collect_cycles());
    }

    public function testGlueIsNoWordOfTheTrade(): void
    {
        $vocabulary = new Vocabulary(Catalogue::builtIn());
        foreach (array_keys(HearingData::read()->glue) as $phrase) {
            self::assertFalse($vocabulary->carries($phrase), "\"$phrase\" carries something.");
        }
    }

    public function testEveryDrillThatIsNamedExists(): void
    {
        foreach (array_unique(HearingData::read()->drills) as $drill) {
            self::assertContains($drill, array_column(DrillRegistry::definitions(), 'id'));
        }
    }

    /** @param list<string> $passedOver */
    #[TestWith(['rip the jab, hit him again with the cross', ['rip', 'hit', 'him', 'again']])]
    #[TestWith(['jab nice cross', ['nice']])]
    #[TestWith(['jab cross', []])]
    #[TestWith(['JAB, NICE, nice', ['NICE', 'nice']])]
    public function testWhatIsPassedOverIsNamedOnce(string $said, array $passedOver): void
    {
        $reading = Reader::builtIn()->read($said, Numbering::named('parity'), Stance::Orthodox);
        self::assertNotNull($reading->chain);
        self::assertSame(
            $passedOver,
            array_map(
                static fn (Span $span): string => mb_substr($said, $span->at, $span->length),
                $reading->passedOver,
            ),
        );
        $notes = array_filter(
            $reading->notes,
            static fn ($note): bool => str_starts_with($note->message, 'Passed over'),
        );
        self::assertCount([] === $passedOver ? 0 : 1, $notes);
    }

    private static function isCovered(Reading $reading, int $at, int $length): bool
    {
        $spans = [...$reading->spans, ...$reading->passedOver];
        foreach ($reading->notes as $note) {
            $spans[] = new Span($note->at, $note->length);
        }
        foreach ($spans as $span) {
            if ($span->at <= $at && $at + $length <= $span->at + $span->length) {
                return true;
            }
        }

        return false;
    }

    private static function canonical(string $said, string $stance): string
    {
        $stance = Stance::from($stance);
        $reading = Reader::builtIn()->read($said, Numbering::named('parity'), $stance);

        return null === $reading->chain
            ? $reading->problems[0]->message
            : (new Writer(Numbering::named('parity')))->write(new ChainInStance($reading->chain, $stance));
    }

    /** @return list<array{string, string, string}> what was said, how it is written, and the stance */
    private static function lines(string ...$files): array
    {
        $lines = [];
        foreach ($files as $file) {
            $text = (string) file_get_contents(__DIR__."/../../reference/data/$file.tsv");
            foreach (explode("\n", trim($text)) as $line) {
                if (!str_starts_with($line, '#')) {
                    [$said, $canonical, $stance] = explode("\t", $line);
                    $lines[] = [$said, $canonical, $stance];
                }
            }
        }

        return $lines;
    }

    /** @return list<string> the words of all labelled lines, as often as they are said */
    private static function words(): array
    {
        $words = [];
        foreach (self::lines('spoken', 'spoken-more', 'said') as [$said]) {
            array_push($words, ...explode(' ', str_replace(',', ' ,', $said)));
        }

        return array_values(array_filter($words, static fn (string $word): bool => ',' !== $word && '' !== $word));
    }
}
