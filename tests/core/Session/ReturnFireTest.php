<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Combination\MoveItem;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\ChainText;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Session\ReturnFire\Defence;
use Periplus\Core\Session\ReturnFire\ReturnFire;
use Periplus\Core\Session\Serializer\AnswerSerializer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ReturnFireTest extends TestCase
{
    /** @return iterable<string, array{StrikeItem}> */
    public static function strikes(): iterable
    {
        foreach (Catalogue::builtIn()->strikes as $strike) {
            foreach ($strike->targets as $target) {
                yield $strike->name.' to the '.$target->word() => [new StrikeItem($strike, $target)];
            }
        }
    }

    #[DataProvider('strikes')]
    public function testEveryStrikeHasDefencesWhoseMovesExistOnBothSides(StrikeItem $strike): void
    {
        $row = ReturnFire::builtIn()->row($strike);
        self::assertGreaterThanOrEqual(2, \count($row['defences']));
        foreach ($row['defences'] as $defence) {
            foreach ($defence['moves'] as $move) {
                foreach (['lead', 'rear'] as $side) {
                    self::assertArrayHasKey(
                        strtr($move, ['-near' => '-'.$side, '-far' => '-'.$side]),
                        Catalogue::builtIn()->moves,
                    );
                }
            }
        }
    }

    /** @param list<string> $moves against an opponent of the same stance */
    #[TestWith(['1', ['slip-rear', 'slip-lead', 'parry-rear', 'pull']])]
    #[TestWith(['2', ['slip-lead', 'slip-rear', 'parry-lead', 'pull']])]
    #[TestWith(['3', ['roll-rear', 'duck', 'block-rear']])]
    #[TestWith(['1 2 4', ['roll-lead', 'duck', 'block-lead']])]
    #[TestWith(['6', ['block-lead', 'pull', 'step-back']])]
    #[TestWith(['14b', ['check-lead', 'block-lead', 'step-back']])]
    #[TestWith(['14l', ['check-lead', 'step-back']])]
    #[TestWith(['13l', ['check-rear', 'step-back']])]
    #[TestWith(['11', ['parry-rear step-rear', 'step-back']])]
    #[TestWith(['22', ['push', 'step-back']])]
    #[TestWith(['31', ['pull', 'cover']])]
    #[TestWith(['18', ['step-back', 'cover']])]
    public function testTheSideThatTheStrikeComesFromDefends(string $chain, array $moves): void
    {
        self::assertSame($moves, self::moves($chain, Stance::Orthodox, 0));
    }

    public function testAnOpponentInTheOtherStanceComesFromTheOtherSide(): void
    {
        self::assertSame(['slip-lead', 'slip-rear', 'parry-lead', 'pull'], self::moves('1', Stance::Orthodox, 1));
    }

    public function testASouthpawDefendsByTheSameRolesAgainstTheSameStance(): void
    {
        self::assertSame(self::moves('1 2 3', Stance::Orthodox, 0), self::moves('1 2 3', Stance::Southpaw, 0));
    }

    public function testAfterASwitchTheRolesAreThoseOfTheNewStance(): void
    {
        self::assertSame('slip-lead', self::moves('switch 1', Stance::Orthodox, 0)[0]);
    }

    #[TestWith(['1 2', 'boxing'])]
    #[TestWith(['1 2 14', 'kickboxing'])]
    #[TestWith(['1 2 22', 'all-limbs'])]
    public function testCountersAreStrikesThatTheRulesLetLandSoonestFirst(string $chain, string $rules): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named($rules));
        foreach (ReturnFire::builtIn()->answers(Chains::inStance($chain), $options) as $answer) {
            foreach ($answer->defences as $defence) {
                self::assertNotSame([], $defence->counters);
                $waits = array_map(static fn ($counter): float => round($counter->wait, 3), $defence->counters);
                $sorted = $waits;
                sort($sorted);
                self::assertSame($sorted, $waits);
                foreach ($defence->counters as $counter) {
                    self::assertInstanceOf(StrikeItem::class, $counter->item);
                    self::assertContains($counter->item->strike->limb, $options->rules->allows);
                }
            }
        }
    }

    public function testCountersCanBeHeldToAWeapon(): void
    {
        $answers = ReturnFire::builtIn()->answers(
            Chains::inStance('1 2 3'),
            new CheckOptions(BuiltInHouseRules::named('kickboxing')),
            [Limb::Leg],
        );
        foreach ($answers[0]->defences as $defence) {
            foreach ($defence->counters as $counter) {
                self::assertInstanceOf(StrikeItem::class, $counter->item);
                self::assertSame(Limb::Leg, $counter->item->strike->limb);
            }
        }
    }

    #[TestWith(['slip-lead exit', 'Nothing of this chain lands'])]
    #[TestWith(['1 (2)', ''])]
    #[TestWith(['1 99', 'There is no number 99'])]
    public function testWhatCannotBeAnsweredSaysSo(string $chain, string $part): void
    {
        $document = (new AnswerSerializer(ReturnFire::builtIn()))->serialize(
            Reader::builtIn()->readText(new ChainText($chain)),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
        if ('' === $part) {
            self::assertSame('1', $document->answers[0]->text, 'the feint is no strike that landed');
        } else {
            self::assertSame([], $document->answers);
            self::assertStringContainsString($part, $document->problems[0]->message);
        }
    }

    /** @return list<string> */
    private static function moves(string $chain, Stance $stance, int $opponent): array
    {
        $answers = ReturnFire::builtIn()->answers(
            Chains::inStance($chain, $stance),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );

        return array_map(
            static fn (Defence $defence): string => implode(
                ' ',
                array_map(static fn (MoveItem $item): string => $item->move->id, $defence->moves),
            ),
            $answers[$opponent]->defences,
        );
    }
}
