<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Notation\Note;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Reading;
use Periplus\Core\Notation\ReadingProblem;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Ambiguous spoken lines: which side, which target, how often, and what the reader asks. */
final class SpokenReadingTest extends TestCase
{
    #[TestWith(['left right left hook right low kick', '1 2 3 14l'])]
    #[TestWith(['left right hook hook', '1 4 3'])]
    #[TestWith(['hook left hook right', '3 4'])]
    #[TestWith(['uppercut left hook right cross', '6 3 2'])]
    #[TestWith(['hook left cross', '3 2'])]
    #[TestWith(['hook left cross', '3 2', 'southpaw'])]
    #[TestWith(['front kick rear leg', '12'])]
    #[TestWith(['overhand right liver hook low kick', '8 3b 14l'])]
    #[TestWith(['left and right hooks', '3 4'])]
    #[TestWith(['lead left hook', '3'])]
    public function testNoSpokenSideIsDropped(string $said, string $canonical, string $stance = 'orthodox'): void
    {
        self::assertReads($canonical, $said, Stance::from($stance));
    }

    #[TestWith(['lead hook body cross', '3b 2'])]
    #[TestWith(['jab low jab high cross', '1b 1 2'])]
    #[TestWith(['low kick high kick low kick', '14l 14h 14l'])]
    #[TestWith(['jab leg check left', '1 check-lead'])]
    #[TestWith(['hook the body, hook the head', '3b 4'])]
    #[TestWith(['double left hook body and head', '3b 3'])]
    public function testATargetGoesToItsStrike(string $said, string $canonical): void
    {
        self::assertReads($canonical, $said);
    }

    #[TestWith(['slip the jab, right hand', 'slip-rear 2'])]
    #[TestWith(['roll under the hook, left hook', 'roll-lead 3'])]
    #[TestWith(['check the kick, return low kick', 'check-lead 14l'])]
    #[TestWith(['roll under, left hook', 'roll-lead 3'])]
    #[TestWith(['slip inside, left hook', 'slip-lead 3'])]
    public function testWhatTheOpponentThrowsIsNotThrown(string $said, string $canonical): void
    {
        self::assertReads($canonical, $said);
    }

    #[TestWith(['four uppercuts', '5 6 5 6'])]
    #[TestWith(['two jabs, one cross', '1 1 2'])]
    #[TestWith(['one jab', '1'])]
    #[TestWith(['hooks', '3 4'])]
    #[TestWith(['jab, hook off the jab', '1 3'])]
    #[TestWith(['check hook', '3 pivot-out'])]
    #[TestWith(['jab/cross/hook', '1 2 3'])]
    #[TestWith(['1 / 2', '1 / 2'])]
    #[TestWith(['step in with a jab', 'step-in 1'])]
    #[TestWith(['1 + 14', '1 +14'])]
    #[TestWith(['1 + 2', '1 2'])]
    #[TestWith(['14>2', '14> 2'])]
    #[TestWith(['jab>cross', '1 2'])]
    #[TestWith(['any three punches to the body, exit', '*3b exit'])]
    #[TestWith(['*3b', '*3b'])]
    #[TestWith(['any strike to the head', '*1h'])]
    public function testCountsAndSigns(string $said, string $canonical): void
    {
        self::assertReads($canonical, $said);
    }

    #[TestWith(['hook kick'])]
    #[TestWith(['left hook kick'])]
    #[TestWith(['lead right hook'])]
    public function testWhatIsNotClearIsRefusedAndNothingElseIsOffered(string $said): void
    {
        foreach (self::read($said)->problems as $problem) {
            self::assertNotContains($said, $problem->nearest, 'The refused words are not offered again.');
            self::assertOffersCanBeRead($said, $problem);
        }
        self::assertNotSame([], self::read($said)->problems);
    }

    /** @param list<string> $choices */
    #[TestWith(['jab, hook', []])]
    #[TestWith(['jab, hook, hook', ['rear hook', 'lead hook']])]
    #[TestWith(['low kick, high kick', ['rear kick', 'lead kick']])]
    #[TestWith(['slip', ['slip-lead', 'slip-rear']])]
    #[TestWith(['long guard', ['cover', 'post']])]
    #[TestWith(['duck left', ['duck', 'roll-lead']])]
    #[TestWith(['1 2 x3', ['[1 2]x3', '1 2, cross, cross']])]
    public function testWhereTwoReadingsAreLikelyBothAreOffered(string $said, array $choices): void
    {
        $notes = self::read($said)->notes;
        $offered = array_values(array_filter(array_map(static fn (Note $note): array => $note->choices, $notes)));

        self::assertSame([] === $choices ? [] : [$choices], $offered);
        foreach ($notes as $note) {
            foreach ($note->choices as $choice) {
                $chosen = mb_substr($said, 0, $note->at).$choice.mb_substr($said, $note->at + $note->length);
                self::assertNotNull(self::read($chosen)->chain, $chosen);
                self::assertLessThan(
                    \count($notes),
                    \count(self::read($chosen)->notes),
                    'A choice leaves less open: '.$chosen,
                );
            }
        }
    }

    public function testEveryDefaultIsInTheNotes(): void
    {
        foreach (Catalogue::builtIn()->families() as $family) {
            $befores = ['', 'jab, ', 'cross, ', 'lead hook, ', 'slip left, ', 'rear round kick, ', 'switch, '];
            foreach ($befores as $before) {
                $reading = self::read($before.$family);
                self::assertNotNull($reading->chain, $before.$family);
                $isOpen =
                    2
                    === \count(
                        array_filter(
                            Catalogue::builtIn()->strikes,
                            static fn ($strike): bool => $strike->family === $family,
                        ),
                    );
                self::assertSame($isOpen, [] !== $reading->notes, $before.$family);
            }
        }
    }

    public function testANameBeforeAColonIsAName(): void
    {
        $reading = self::read('Double trouble: 1 2 3');

        self::assertReads('1 2 3', 'Double trouble: 1 2 3');
        self::assertSame('"Double trouble" is read as a name.', $reading->notes[0]->message);
        self::assertSame(16, $reading->spans[0]->at, 'Places count from the start of the line.');
    }

    private static function assertOffersCanBeRead(string $said, ReadingProblem $problem): void
    {
        foreach ($problem->nearest as $nearest) {
            $mended = mb_substr($said, 0, $problem->at).$nearest.mb_substr($said, $problem->at + $problem->length);
            self::assertNotNull(self::read($mended)->chain, $mended);
        }
    }

    private static function assertReads(string $canonical, string $said, Stance $stance = Stance::Orthodox): void
    {
        $reading = self::read($said, $stance);
        self::assertNotNull($reading->chain, \sprintf('"%s": %s', $said, $reading->problems[0]->message ?? ''));
        self::assertSame(
            $canonical,
            (new Writer(Numbering::named('parity')))->write(new ChainInStance($reading->chain, $stance)),
            $said,
        );
    }

    private static function read(string $said, Stance $stance = Stance::Orthodox): Reading
    {
        return Reader::builtIn()->read($said, Numbering::named('parity'), $stance);
    }
}
