<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Cause;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\Fault;
use Periplus\Core\Session\Advice\FaultChoice;
use Periplus\Core\Technique\Catalogue;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\TestCase;

/** The faults that coaches look for, in a chain and at its links. */
final class FaultsTest extends TestCase
{
    public function testEveryTopicHasTwoOrThreeFaultsAndNoFaultIsOfAnotherTopic(): void
    {
        $counted = array_count_values(array_column(
            array_map(static fn (Fault $fault): array => ['for' => $fault->for], Advice::builtIn()->faults),
            'for',
        ));

        self::assertEqualsCanonicalizing(Fault::TOPICS, array_keys($counted));
        foreach ($counted as $topic => $times) {
            self::assertContains($times, [2, 3], $topic);
        }
    }

    public function testEveryStrikeAndEveryCauseHasFaults(): void
    {
        $choice = new FaultChoice(Advice::builtIn());
        foreach (Catalogue::builtIn()->strikes as $strike) {
            self::assertGreaterThanOrEqual(2, \count($choice->for(self::check($strike->name))), $strike->name);
        }
        foreach (Cause::cases() as $cause) {
            self::assertContains('cause:'.$cause->value, Fault::TOPICS);
        }
    }

    public function testALinkThatStopsHasTheFaultsOfItsCauseFirst(): void
    {
        $choice = new FaultChoice(Advice::builtIn());
        self::assertSame(['cause:turn', 'cross'], self::topics($choice->atLink(self::check('2 2'), 0), 2));
        // It flows, so what comes is looked at first, then what was before.
        self::assertSame(
            ['liver-hook', 'body-hook', 'hook'],
            self::topics($choice->atLink(self::check('1 2 3b'), 1), 3),
        );
        self::assertSame(['footwork', 'hook'], self::topics($choice->atLink(self::check('3 exit'), 0), 9));
    }

    public function testAChainSaysAtMostThreeAndNotThreeOfOneTopic(): void
    {
        $faults = (new FaultChoice(Advice::builtIn()))->for(self::check('1 2 3b 14l'));
        self::assertCount(FaultChoice::MAX_FAULTS, $faults);
        self::assertCount(3, array_unique(array_map(static fn (Fault $fault): string => $fault->for, $faults)));
    }

    public function testAGymWithoutFaultsLooksForNone(): void
    {
        $choice = new FaultChoice(Advice::of([], [], []));
        self::assertSame([], $choice->for(self::check('1 2')));
        self::assertSame([], $choice->atLink(self::check('1 2'), 0));
    }

    /**
     * @param list<Fault> $faults
     *
     * @return list<string> each topic once
     */
    private static function topics(array $faults, int $most): array
    {
        $topics = array_map(static fn (Fault $fault): string => $fault->for, $faults);

        return \array_slice(array_values(array_unique($topics)), 0, $most);
    }

    private static function check(string $chain): CheckResult
    {
        return Check::builtIn()->run(
            Chains::inStance($chain),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
    }
}
