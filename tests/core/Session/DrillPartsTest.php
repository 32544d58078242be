<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\FreeStrikes;
use Periplus\Core\Combination\Item;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\MinuteTheme;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\RoundStance;
use Periplus\Core\Session\Drill\Rungs;
use Periplus\Core\Session\Drill\SessionValues;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** What the drills are made of: rungs, stretches of time, themes of a minute, stances. */
final class DrillPartsTest extends TestCase
{
    use TestTrait;

    /** @param list<string> $rungs */
    #[TestWith(['1', ['1']])]
    #[TestWith(['1 2 3b', ['1', '1 2', '1 2 3b']])]
    #[TestWith(['slip-lead 2 3 exit', ['slip-lead 2', 'slip-lead 2 3 exit']])]
    #[TestWith(['1 +14h 2', ['1 +14h', '1 +14h 2']])]
    #[TestWith(['(1) 2 3', ['(1)', '(1) 2', '(1) 2 3']])]
    #[TestWith(['1 *2 2', ['1', '1 *2', '1 *2 2']])]
    #[TestWith(['exit', ['exit']])]
    public function testALadderHasARungForEachStrikeAndEachFeint(string $chain, array $rungs): void
    {
        self::assertEquals(array_map(Chains::read(...), $rungs), Rungs::cut(Chains::read($chain)));
    }

    public function testEachRungBeginsLikeTheNextAndTheLastIsTheWholeChain(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $rungs = Rungs::cut($chain);
            $strikes = array_filter(
                $chain->items,
                static fn (Item $item, int $index): bool => $item instanceof FreeStrikes
                    || ($item instanceof StrikeItem
                        && ($item->delivered() || $item->feint)
                        && !$chain->joinsStrike($index)),
                \ARRAY_FILTER_USE_BOTH,
            );

            self::assertSame($chain, $rungs[\count($rungs) - 1]);
            self::assertLessThanOrEqual(max(1, \count($strikes)), \count($rungs));
            foreach (\array_slice($rungs, 0, -1) as $number => $rung) {
                $longer = $rungs[$number + 1]->items;
                self::assertLessThan(\count($longer), \count($rung->items), "rung $number");
                self::assertEquals($rung->items, \array_slice($longer, 0, \count($rung->items)), "rung $number");
            }
        });
    }

    public function testStretchesFillTheWorkWithoutAGapAndGoRoundTheirItems(): void
    {
        $this->forAll(Generators::choose(1, 400), Generators::choose(1, 120), Generators::choose(1, 4))->then(
            static function (int $seconds, int $each, int $count): void {
                $items = range(1, $count);
                $stretches = self::drillRun($seconds)->stretches(1000 * $each, $items);
                $from = 0;
                foreach ($stretches as $number => $stretch) {
                    self::assertSame($from, $stretch->fromMs, "stretch $number");
                    self::assertSame($items[$number % $count], $stretch->of, "stretch $number");
                    $from += $stretch->ms;
                }
                self::assertSame(1000 * $seconds, $from);
                self::assertCount((int) ceil($seconds / $each), $stretches);
            },
        );
    }

    public function testThereIsNoStretchWithoutSomethingToDo(): void
    {
        self::assertSame([], self::drillRun(60)->stretches(20_000, []));
    }

    #[TestWith(['jab', '1 2 1', '1 2 3'])]
    #[TestWith(['rear-hand', '1 2 3 2', '1 2 3 14'])]
    #[TestWith(['slipping', '1 slip-lead 3', '1 duck 3'])]
    #[TestWith(['ducking', '1 duck 2', '1 pull 2'])]
    #[TestWith(['body', '1 2b 3b', '1 2 3'])]
    #[TestWith(['in-and-out', 'step-in 1 2 step-back', '1 2 3'])]
    #[TestWith(['angles', '1 2 step-out 3', '1 2 3'])]
    #[TestWith(['inside', '5b 6 31', '1 2'])]
    public function testAMinuteIsFilledWithWhatFitsItsTheme(string $theme, string $fits, string $doesNot): void
    {
        self::assertTrue(MinuteTheme::from($theme)->holds(Chains::read($fits)), $fits);
        self::assertFalse(MinuteTheme::from($theme)->holds(Chains::read($doesNot)), $doesNot);
        self::assertNotSame('', MinuteTheme::titles()[$theme]);
    }

    #[TestWith([RoundStance::Own, Stance::Southpaw, Stance::Southpaw])]
    #[TestWith([RoundStance::Other, Stance::Southpaw, Stance::Orthodox])]
    #[TestWith([RoundStance::Other, Stance::Orthodox, Stance::Southpaw])]
    public function testARoundIsInEachAthletesOwnStanceOrTheOther(
        RoundStance $round,
        Stance $athlete,
        Stance $stance,
    ): void {
        self::assertSame($stance, $round->resolve($athlete));
        self::assertSame($stance->other(), $round->flipped()->resolve($athlete));
    }

    public function testTheMoreAnAthleteCanTheShorterIsTheGapBetweenRepetitions(): void
    {
        $values = SessionValues::builtIn();

        self::assertGreaterThan($values->gapMs(2), $values->gapMs(1));
        self::assertGreaterThan($values->gapMs(3), $values->gapMs(2));
        self::assertSame(self::drillRun(60, 1)->gap(), $values->gapMs(1));
    }

    public function testARepetitionLastsItsChainAndTheGapAndLongerAtASlowerTempo(): void
    {
        $chain = Chains::read('1 2 3b');
        $run = self::drillRun(60);
        $slow = self::drillRun(60, tempo: 1.6);

        self::assertSame($run->length($chain) + $run->gap(), $run->period($chain));
        self::assertGreaterThan($run->length($chain), $slow->length($chain));
    }

    public function testEveryDrillSaysHowManyCombinationsItAsksFor(): void
    {
        foreach (DrillRegistry::definitions() as $definition) {
            [$least, $most] = $definition->combinations;

            self::assertLessThanOrEqual($most, $least, $definition->id);
            self::assertMatchesRegularExpression(
                0 === $most ? '/^no combination$/' : '/^(at most )?(one|\d+)( to \d+)? combinations?$/',
                $definition->asks(),
                $definition->id,
            );
        }
    }

    private static function drillRun(int $seconds, int $level = 2, float $tempo = 1.0): DrillRun
    {
        return new DrillRun(
            combinations: [],
            parameters: Parameters::read([], [])->values,
            seconds: $seconds,
            options: new CheckOptions(BuiltInHouseRules::named('all-limbs'), $tempo),
            numbering: Numbering::named('parity'),
            level: $level,
        );
    }
}
