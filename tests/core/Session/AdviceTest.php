<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Session\Advice\Advice;
use Periplus\Core\Session\Advice\Reminder;
use Periplus\Core\Session\Advice\ReminderChoice;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** The choice of reminders, and the exercises of warm-up and cool-down. */
final class AdviceTest extends TestCase
{
    /** @param list<string> $topics the first ones */
    #[TestWith(['1 2', ['jab', 'straight', 'cross', 'jab-cross', 'all']])]
    #[TestWith(['2', ['cross', 'straight', 'all']])]
    #[TestWith(['1 2 3b', ['liver-hook', 'body-hook', 'hook', 'jab']])]
    #[TestWith(['1 14l', ['low-kick', 'round kick']])]
    #[TestWith(['(1) 2', ['feint', 'jab']])]
    #[TestWith(['slip-lead 3', ['slip', 'head-movement', 'hook']])]
    #[TestWith(['1 2 push 18', ['spinning']])]
    #[TestWith(['clinch 22', ['knee']])]
    #[TestWith(['step-in 31', ['elbow']])]
    #[TestWith(['7 8', ['uppercut', 'overhand']])]
    #[TestWith(['1 step-back 31', ['cause:range', 'elbow']])]
    #[TestWith(['2 2', ['cause:turn']])]
    public function testWhatIsSpecialAboutAChainComesFirst(string $chain, array $topics): void
    {
        self::assertSame($topics, \array_slice(ReminderChoice::topics(self::check($chain)), 0, \count($topics)));
    }

    public function testALoneCrossIsNotRemindedOfTheJabAndAnUppercutOfTheBagOnlyAtABag(): void
    {
        self::assertNotContains('jab', ReminderChoice::topics(self::check('2 3')));
        self::assertNotContains('jab-cross', ReminderChoice::topics(self::check('2 1')));
        self::assertNotContains('bag-uppercut', ReminderChoice::topics(self::check('6'), Medium::Shadow));
        self::assertNotContains('bag-uppercut', ReminderChoice::topics(self::check('6'), Medium::RoundBag));
        self::assertContains('bag-uppercut', ReminderChoice::topics(self::check('6'), Medium::Bag));
    }

    public function testEveryTopicHasAReminderAndNoReminderIsForAnotherTopic(): void
    {
        $for = array_unique(
            array_map(static fn (Reminder $reminder): string => $reminder->for, Advice::builtIn()->reminders),
        );

        self::assertEqualsCanonicalizing(Reminder::TOPICS, $for);
    }

    /** @return iterable<string, array{string}> */
    public static function strikes(): iterable
    {
        foreach (Catalogue::builtIn()->strikes as $strike) {
            yield $strike->name => [$strike->name];
        }
    }

    #[DataProvider('strikes')]
    public function testEveryStrikeHasReminders(string $strike): void
    {
        $result = self::check($strike);
        $chosen = (new ReminderChoice(Advice::builtIn()))->for($result);

        self::assertCount(ReminderChoice::MAX_REMINDERS, $chosen);
        self::assertContains($chosen[0]->for, ReminderChoice::topics($result));
    }

    public function testOverASessionEveryReminderOfATopicHasItsTurn(): void
    {
        $advice = Advice::of(
            [
                ['id' => 'a', 'for' => 'straight', 'text' => 'one'],
                ['id' => 'b', 'for' => 'straight', 'text' => 'two'],
                ['id' => 'c', 'for' => 'straight', 'text' => 'three'],
            ],
            [],
            [],
        );
        $choice = new ReminderChoice($advice);
        $shown = [];
        for ($time = 0; $time < 3; ++$time) {
            array_push(
                $shown,
                ...array_map(static fn (Reminder $reminder): string => $reminder->id, $choice->for(self::check('1 2'))),
            );
        }

        self::assertSame(['a', 'b', 'c', 'a', 'b', 'c'], $shown);
    }

    public function testAGymWithoutRemindersShowsNone(): void
    {
        self::assertSame([], (new ReminderChoice(Advice::of([], [], [])))->for(self::check('1 2')));
    }

    public function testEveryReminderIsShortEnoughForTheWall(): void
    {
        foreach (Advice::builtIn()->reminders as $reminder) {
            self::assertLessThanOrEqual(60, mb_strlen($reminder->text), $reminder->text);
        }
    }

    #[TestWith(['warm-up', 300])]
    #[TestWith(['warm-up', 600])]
    #[TestWith(['warm-up', 61])]
    #[TestWith(['conditioning', 300])]
    #[TestWith(['cool-down', 120])]
    #[TestWith(['cool-down', 400])]
    public function testAPartLastsExactlyAsLongAsItIsGiven(string $part, int $seconds): void
    {
        $plan = (new PlanReader())->read(['blocks' => [Advice::builtIn()->part($part, $seconds)]]);

        self::assertSame([], $plan->problems);
        self::assertSame($seconds, $plan->plan->seconds());
    }

    public function testWhatIsAskedForFirstComesFirst(): void
    {
        $plan = (new PlanReader())->read(['blocks' => [Advice::builtIn()->part('warm-up', 300, ['leg-swings'])]])->plan;

        self::assertSame('leg-swings', $plan->sets()[0]->parameters->text('exercise'));
    }

    #[TestWith(['jumps', 'knees'])]
    #[TestWith(['lunges', 'knees'])]
    #[TestWith(['push-ups', 'wrists'])]
    #[TestWith(['skipping', 'space'])]
    public function testWhatCanHurtSaysSo(string $exercise, string $of): void
    {
        self::assertStringContainsString($of, Advice::builtIn()->exercises[$exercise]->caution);
    }

    private static function check(string $chain): CheckResult
    {
        return Check::builtIn()->run(
            new ChainInStance(Chains::read($chain), Stance::Orthodox),
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
        );
    }
}
