<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Contact;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Opponent;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Facts from outside the project, each with its source. */
final class FactsOfTheTradeTest extends TestCase
{
    /**
     * The liver lies for the most part in the right hypochondrium, the spleen in the left. Source: Gray's Anatomy,
     * chapters on the liver and the spleen; from memory. What comes from our left meets the opponent's right.
     */
    #[TestWith(['3b', 'orthodox', Contact::Liver])]
    #[TestWith(['3b', 'southpaw', Contact::Spleen])]
    #[TestWith(['4b', 'orthodox', Contact::Spleen])]
    #[TestWith(['4b', 'southpaw', Contact::Liver])]
    #[TestWith(['13b', 'orthodox', Contact::Liver])]
    #[TestWith(['7b', 'orthodox', Contact::Liver])]
    public function testTheLiverIsOnTheOpponentsRight(string $strike, string $stance, Contact $organ): void
    {
        foreach (Stance::cases() as $opponent) {
            $contacts = (new Opponent($opponent))->contacts(Chains::inStance($strike, Stance::from($stance)), 0);
            self::assertContains($organ, $contacts, 'An organ does not move with the opponent\'s stance.');
        }
    }

    /** An orthodox stance leads with the left side, a southpaw stance with the right. Common practice, no source. */
    public function testOrthodoxLeadsLeftAndSouthpawRight(): void
    {
        self::assertSame(Side::Left, Stance::Orthodox->sideOf(Role::Lead));
        self::assertSame(Side::Right, Stance::Southpaw->sideOf(Role::Lead));
    }

    /** "1-2" is jab and cross, 3 the lead hook, in every numbering that goes to six. Common practice, no source. */
    public function testTheFirstSixNumbersAreEverywhereTheSame(): void
    {
        $expected = ['jab', 'cross', 'lead-hook', 'rear-hook', 'lead-uppercut', 'rear-uppercut'];
        foreach (array_keys(Numbering::builtIn()) as $numbering) {
            $strikes = Chains::read('1 2 3 4 5 6', Stance::Orthodox, $numbering)->strikes();
            self::assertSame(
                $expected,
                array_values(array_map(static fn (StrikeItem $item): string => $item->strike->id, $strikes)),
                $numbering,
            );
        }
    }

    /**
     * In an open guard both lead feet stand on one side of the line, in a closed guard the rear low kick finds the
     * outside of the thigh. Common practice, no source.
     */
    public function testTheRearLowKickAndTheGuard(): void
    {
        self::assertSame(
            [Contact::ThighOutside],
            (new Opponent(Stance::Orthodox))->contacts(Chains::inStance('14l'), 0),
        );
        self::assertSame(
            [Contact::ThighInside],
            (new Opponent(Stance::Southpaw))->contacts(Chains::inStance('14l'), 0),
        );
    }

    /** The fingerprint is SHA-256 (FIPS 180-4), read back with GNU coreutils. */
    public function testTheFingerprintIsSha256OfTheSequence(): void
    {
        $sum = shell_exec("printf %s 'jab.h cross.h lead-hook.b slip-lead' | sha256sum");

        self::assertIsString($sum);
        self::assertSame(substr($sum, 0, 32), Fingerprint::of(Chains::read('1 2 3b slip left'))->plain);
    }

    /** Places in the text count Unicode code points, compared with ICU's iterator. */
    public function testPlacesCountUnicodeCharacters(): void
    {
        $text = '1 🥊é crss';
        $problems = Reader::builtIn()->read($text, Numbering::named('parity'), Stance::Orthodox)->problems;
        $last = $problems[\count($problems) - 1];
        $iterator = \IntlBreakIterator::createCodePointInstance();
        $iterator->setText($text);
        $characters = iterator_to_array($iterator->getPartsIterator(), false);

        self::assertSame(['c', 'r', 's', 's'], \array_slice($characters, $last->at, $last->length));
    }

    /** The words of a strike name the same side after any number of mirrors. Common practice, no source. */
    public function testASouthpawsJabIsTheRightHand(): void
    {
        self::assertSame(Side::Right, (new ChainInStance(Chains::read('1'), Stance::Southpaw))->side(0));
    }
}
