<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Notation\Note;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Search\ItemsClause;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Combinations as coaches call them. Common practice, no source. */
final class SpokenTest extends TestCase
{
    /** @return iterable<string, array{string, string, string}> */
    public static function calls(): iterable
    {
        yield from self::lines('spoken');
        yield from self::lines('spoken-more');
        yield from self::lines('said-more');
    }

    /**
     * @return iterable<string, array{
     *     string,
     *     string,
     *     string,
     * }> those in which nothing turns on what comes before or after
     */
    public static function searches(): iterable
    {
        yield from self::lines('spoken');
    }

    /** @return iterable<string, array{string, string, string}> */
    private static function lines(string $file): iterable
    {
        foreach (explode("\n", trim((string) file_get_contents(__DIR__.'/data/'.$file.'.tsv'))) as $line) {
            if (!str_starts_with($line, '#')) {
                [$said, $canonical, $stance] = explode("\t", $line);
                yield "$said, $stance" => [$said, $canonical, $stance];
            }
        }
    }

    #[DataProvider('calls')]
    public function testSpokenLineIsRead(string $said, string $canonical, string $stance): void
    {
        $stance = Stance::from($stance);

        self::assertSame(
            $canonical,
            (new Writer(Numbering::named('parity')))->write(new ChainInStance(Chains::read($said, $stance), $stance)),
        );
    }

    /**
     * Lines as they are really said, labelled before they were read. A few are read otherwise than labelled; none of
     * them without a note or a problem.
     */
    public function testLinesAsTheyAreSaidAreReadAsMeant(): void
    {
        $otherwise = $silent = [];
        foreach (self::lines('said') as [$said, $canonical, $stance]) {
            $stance = Stance::from($stance);
            $reading = Reader::builtIn()->read($said, Numbering::named('parity'), $stance);
            $read =
                null === $reading->chain
                    ? 'refused'
                    : (new Writer(Numbering::named('parity')))->write(new ChainInStance($reading->chain, $stance));
            if ($read !== $canonical) {
                $otherwise[$said] = $read;
                $silent += [] === $reading->notes && [] === $reading->problems ? [$said => $read] : [];
            }
        }

        self::assertLessThanOrEqual(5, \count($otherwise), print_r($otherwise, true));
        self::assertSame([], $silent);
    }

    /** Every other reading that is offered can be read in its place, and at least one of them changes the line. */
    public function testWhatIsOfferedInItsPlaceCanBeRead(): void
    {
        $offered = 0;
        foreach (['spoken', 'spoken-more', 'said', 'said-more'] as $file) {
            foreach (self::lines($file) as [$said, , $stance]) {
                $reading = Reader::builtIn()->read($said, Numbering::named('parity'), Stance::from($stance));
                foreach (null === $reading->chain ? [] : $reading->notes as $note) {
                    $chains = [];
                    foreach ($note->choices as $choice) {
                        $chains[] = Chains::read(self::withChoice($said, $note, $choice), Stance::from($stance));
                    }
                    $offered += \count($chains);
                    $others = array_filter($chains, static fn (Chain $chain): bool => $chain !== $reading->chain);
                    self::assertNotSame([] === $chains, [] !== $others, $said.': '.$note->message);
                }
            }
        }
        self::assertGreaterThan(150, $offered);
    }

    #[TestWith(['ten straights', '2 1 2 1 2 1 2 1 2 1'])]
    #[TestWith(['jab, three knees, exit', '1 21 22 21 exit'])]
    #[TestWith(['hook hook cross', '4 3 2'])]
    #[TestWith(['two hooks to the body, jab', '4b 3b 1'])]
    #[TestWith(['hooks high and low', '4 3b'])]
    #[TestWith(['two teeps', '11 12'])]
    #[TestWith(['high low high', '2 1b 2'])]
    #[TestWith(['slip slip roll', 'slip-rear slip-lead roll-rear'])]
    public function testOnePressFlipsARow(string $said, string $flipped): void
    {
        $writer = new Writer(Numbering::named('parity'));
        $reading = Reader::builtIn()->read($said, Numbering::named('parity'), Stance::Orthodox);
        $offered = [];
        foreach ($reading->notes as $note) {
            foreach ($note->choices as $choice) {
                $chain = Chains::read(self::withChoice($said, $note, $choice));
                $offered[] = $writer->write(new ChainInStance($chain, Stance::Orthodox));
            }
        }

        self::assertContains($flipped, $offered);
    }

    private static function withChoice(string $said, Note $note, string $choice): string
    {
        return mb_substr($said, 0, $note->at).$choice.mb_substr($said, $note->at + $note->length);
    }

    /** A spoken line is found by a search for it, and is longer than its own beginning. */
    #[DataProvider('searches')]
    public function testSpokenLineIsFoundBySearch(string $said, string $canonical, string $stance): void
    {
        // A comma ends a clause of a search.
        $search = (new SearchReader(Numbering::named('parity'), Catalogue::builtIn()))->read(
            'from '.$stance.' starts '.str_replace(',', '', $said),
        );
        self::assertSame([], $search->problems);
        self::assertCount(2, $search->clauses);
        $clause = $search->clauses[1];
        self::assertInstanceOf(ItemsClause::class, $clause);
        $chain = Chains::read($canonical);

        self::assertTrue($clause->matches(Sequence::of($chain)), $clause->says());
        self::assertCount(\count($chain), $clause->runs[0]);
        self::assertFalse($clause->matches(Sequence::of(Chain::of(\array_slice($chain->items, 1)))), $clause->says());
    }
}
