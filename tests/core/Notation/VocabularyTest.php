<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Notation;

use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Vocabulary;
use Periplus\Core\Notation\WordData;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Role;
use Periplus\Core\Technique\Side;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class VocabularyTest extends TestCase
{
    public function testEveryNounIsAStrikeOfTheCatalogue(): void
    {
        $vocabulary = new Vocabulary(Catalogue::builtIn());
        foreach ($vocabulary->nouns as $noun => $family) {
            self::assertTrue(Catalogue::builtIn()->hasFamily($family), $noun);
            foreach (Role::cases() as $role) {
                if (
                    null === Catalogue::builtIn()->inFamily($family, $role)
                    || $role !== ($vocabulary->fixed[$noun] ?? $role)
                ) {
                    continue;
                }
                $hand = $vocabulary->hands[$noun] ?? null;
                $isOtherHand = $hand instanceof Side && Stance::Orthodox->roleOf($hand) !== $role;
                if ($isOtherHand && str_ends_with($noun, ' hand')) {
                    // "Lead right hand" is the right hand.
                    continue;
                }
                $item = Chains::read($role->value.' '.$noun)->items[0];
                self::assertInstanceOf(StrikeItem::class, $item);
                self::assertSame([$family, $role], [$item->strike->family, $item->strike->role], $noun);
            }
        }
    }

    public function testEveryPhraseOfAMoveLeadsToAMoveOfTheCatalogue(): void
    {
        $vocabulary = new Vocabulary(Catalogue::builtIn());
        foreach (WordData::read()->moves as $phrase => $move) {
            self::assertTrue(isset($vocabulary->bases[$move]) || $vocabulary->isMove($move), $phrase);
        }
    }

    public function testEveryNounThatNamesATargetNamesOneThatIsKnown(): void
    {
        foreach (WordData::read()->targets as $noun => $target) {
            self::assertArrayHasKey($target, Vocabulary::TARGETS, $noun);
        }
    }

    public function testEveryNameOfAStrikeReadsAsThatStrike(): void
    {
        foreach (Catalogue::builtIn()->strikes as $strike) {
            $item = Chains::read($strike->name)->items[0];
            self::assertInstanceOf(StrikeItem::class, $item);
            self::assertSame($strike, $item->strike);
            self::assertSame(
                [],
                Reader::builtIn()->read($strike->name, Numbering::named('parity'), Stance::Orthodox)->notes,
                'A full name leaves nothing open.',
            );
        }
    }

    #[TestWith(['weave left', 'roll-lead'])]
    #[TestWith(['leg check right', 'check-rear'])]
    #[TestWith(['lean back', 'pull'])]
    #[TestWith(['pull back', 'pull'])]
    #[TestWith(['duck under', 'duck'])]
    #[TestWith(['angle out', 'step-out'])]
    #[TestWith(['step off to the left', 'step-out'])]
    #[TestWith(['step forward', 'step-in'])]
    #[TestWith(['step left', 'step-lead'])]
    #[TestWith(['step to the right', 'step-rear'])]
    #[TestWith(['pivot left', 'pivot-out'])]
    #[TestWith(['pivot rear', 'pivot-in'])]
    #[TestWith(['circle to the right side', 'circle-rear'])]
    #[TestWith(['switch feet', 'switch'])]
    #[TestWith(['shift back', 'shift-back'])]
    #[TestWith(['change level', 'level'])]
    #[TestWith(['high guard', 'cover'])]
    #[TestWith(['shove', 'push'])]
    #[TestWith(['move out', 'exit'])]
    #[TestWith(['rear block', 'block-rear'])]
    #[TestWith(['SLIP-LEFT', 'slip-lead'])]
    public function testSpokenMovesAreRead(string $text, string $move): void
    {
        self::assertSame($move, Chains::read($text)->items[0]->key());
    }

    #[TestWith(['switch', 'switch'])]
    #[TestWith(['switch kick', 'switch-kick.b'])]
    #[TestWith(['switch knee to the head', 'switch-knee.h'])]
    #[TestWith(['push', 'push'])]
    #[TestWith(['push kick', 'lead-push-kick.b', 'rear'])]
    #[TestWith(['shift', 'shift'])]
    #[TestWith(['low switch kick', 'switch-kick.l'])]
    #[TestWith(['back elbow', 'spinning-back-elbow.h'])]
    public function testAMoveAndAStrikeThatBeginAlikeAreDistinguished(
        string $text,
        string $key,
        ?string $before = null,
    ): void {
        $items = Chains::read(null === $before ? $text : 'cross '.$text)->items;

        self::assertSame($key, $items[\count($items) - 1]->key());
    }

    /** @param list<string> $nearest */
    #[TestWith(['uppercutt', ['uppercut']])]
    #[TestWith(['hok', ['hook']])]
    #[TestWith(['rol', ['roll-lead', 'roll-rear']])]
    #[TestWith(['clinc', ['clinch', 'clinched']])]
    #[TestWith(['zzzzzzzz', []])]
    public function testNearestKnownWordsAreSuggested(string $word, array $nearest): void
    {
        self::assertSame($nearest, (new Vocabulary(Catalogue::builtIn()))->nearest($word));
    }
}
