<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Generate\GenerationCriteria;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Session\Compose\Aim;
use Periplus\Core\Session\Compose\Candidate;
use Periplus\Core\Session\Compose\Composer;
use Periplus\Core\Session\Compose\Composition;
use Periplus\Core\Session\Compose\Wishes;
use Periplus\Core\Session\Load\LoadCounter;
use Periplus\Core\Session\Plan\PlanReader;
use Periplus\Core\Session\Plan\WrittenPlan;
use Periplus\Core\Session\Programme\ProgrammeBuilder;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class ComposerTest extends TestCase
{
    /** @param non-empty-list<int> $levels */
    #[TestWith([60, [2], 'due', null, 1])]
    #[TestWith([60, [1, 2, 3], 'due', null, 2])]
    #[TestWith([45, [3], 'theme', 'body-work', 3])]
    #[TestWith([90, [2], 'weapon', 'leg', 4])]
    #[TestWith([15, [1], 'due', null, 5])]
    #[TestWith([30, [2], 'theme', 'kicks-off-hands', 6])]
    public function testAGeneratedSessionFitsItsMinutesAndCanBeRun(
        int $minutes,
        array $levels,
        string $kind,
        ?string $value,
        int $seed,
    ): void {
        $composition = self::compose($minutes, $levels, Aim::of($kind, $value), $seed);
        $reading = (new PlanReader())->read($composition->plan);

        self::assertSame([], $reading->problems);
        $seconds = $reading->plan->seconds();
        self::assertLessThanOrEqual(60 * $minutes, $seconds);
        self::assertGreaterThan(60 * $minutes - 300, $seconds, 'at most one round is left over');
        self::assertSame('warm-up', $reading->plan->blocks[0]->kind->value);
        self::assertSame('cool-down', $reading->plan->blocks[\count($reading->plan->blocks) - 1]->kind->value);
    }

    public function testTheSameWishesGiveTheSameSessionAndAnotherSeedAnother(): void
    {
        $aim = Aim::of('due', null);

        self::assertEquals(self::compose(60, [2], $aim, 7), self::compose(60, [2], $aim, 7));
        self::assertNotEquals(
            self::compose(60, [2], $aim, 7)->plan['blocks'],
            self::compose(60, [2], $aim, 8)->plan['blocks'],
        );
    }

    public function testWhatMeetsTheAimIsChosenWhereThereIsEnough(): void
    {
        $aim = Aim::of('weapon', 'leg');
        $composition = self::compose(30, [3], $aim, 3);
        $meant = array_map(
            static fn (int $id): bool => $aim->isMetBy(self::candidates()[$id]),
            array_unique(self::ids($composition->plan)),
        );

        self::assertNotSame([], $meant);
        // When other combinations fill the session, it says so.
        self::assertSame([] === $composition->unmet, !\in_array(false, $meant, true));
        self::assertContains(true, $meant);
    }

    public function testAnAimThatNothingMeetsIsReported(): void
    {
        $composition = self::compose(30, [1], Aim::of('weapon', 'elbow'), 1);

        self::assertStringContainsString('fits the aim elbows', $composition->unmet[0]);
        self::assertNotSame([], self::ids($composition->plan));
    }

    public function testAnEmptyLibraryGivesFreeRoundsAndSaysSo(): void
    {
        $composition = Composer::compose(self::wishes(30, [2], Aim::of('due', null), 1), []);

        self::assertStringContainsString('Nothing in the library fits for level 2', $composition->unmet[0]);
        self::assertSame(
            [],
            array_filter(
                (new PlanReader())->read($composition->plan)->problems,
                static fn ($problem): bool => $problem->stops,
            ),
        );
    }

    public function testACourseWithoutASessionBeginsWithWhatAsksForLeastAlsoWhereAllAskForMore(): void
    {
        $long = array_filter(self::candidates(), static fn (Candidate $one): bool => \count($one->links()) >= 4);
        $composition = Composer::compose(self::wishes(60, [3], Aim::of('due', null), 1), array_values($long));
        $held = Composer::compose(
            self::wishes(60, [3], Aim::of('due', null), 1, ['jab.h cross.h']),
            array_values($long),
        );

        self::assertNotSame([], self::ids($composition->plan));
        self::assertSame([], $composition->unmet);
        // A course with past sessions gets nothing with more than two new links, and free work says why.
        if ([] === self::ids($held->plan)) {
            self::assertContains(
                'Free work, because nothing in the library fits.',
                array_column($held->reasons, 'message'),
            );
        }
    }

    public function testWhatWasDrilledLeastComesFirst(): void
    {
        $candidates = array_map(
            static fn (Candidate $one): Candidate => new Candidate(
                id: $one->id,
                version: $one->version,
                name: $one->name,
                text: $one->text,
                inStance: $one->inStance,
                level: $one->level,
                themes: $one->themes,
                times: 0 === $one->id % 2 ? 5 : 0,
                last: 0 === $one->id % 2 ? '2026-11-01' : null,
            ),
            self::candidates(),
        );
        $composition = Composer::compose(self::wishes(60, [3], Aim::of('due', null), 1), array_values($candidates));

        self::assertSame(
            [1],
            array_values(array_unique(array_map(static fn (int $id): int => $id % 2, self::ids($composition->plan)))),
        );
    }

    public function testACombinationAsksForAtMostTwoLinksBeyondWhatTheCourseKnows(): void
    {
        $known = array_values(
            array_unique(
                array_merge(
                    ...array_map(
                        static fn (Candidate $one): array => $one->level <= 2 ? $one->links() : [],
                        array_values(self::candidates()),
                    ),
                ),
            ),
        );
        $composition = Composer::compose(
            self::wishes(60, [3], Aim::of('due', null), 4, $known),
            array_values(self::candidates()),
        );
        $new = array_map(
            static fn (int $id): int => \count(array_diff(self::candidates()[$id]->links(), $known)),
            self::ids($composition->plan),
        );

        self::assertNotSame([], $new);
        // Links from earlier combinations of the session count as known.
        self::assertLessThanOrEqual(
            2 * \count(array_unique(self::ids($composition->plan))),
            \count(
                array_unique(
                    array_merge(
                        ...array_map(
                            static fn (int $id): array => array_diff(self::candidates()[$id]->links(), $known),
                            self::ids($composition->plan),
                        ),
                    ),
                ),
            ),
        );
        self::assertStringNotContainsString(
            '3 links are new',
            implode('', array_column($composition->reasons, 'message')),
        );
    }

    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    public function testStancesAlternateSoThatSidesBalance(int $seed): void
    {
        $plan = (new PlanReader())->read(self::compose(60, [3], Aim::of('due', null), $seed)->plan)->plan;
        $load = LoadCounter::load(ProgrammeBuilder::build($plan), null, Stance::Orthodox);

        self::assertLessThan(0.56, $load->heavierShare());
    }

    public function testLockedPartsStayAndAreNotChosenAgain(): void
    {
        $first = self::compose(60, [2], Aim::of('due', null), 1);
        $plan = new WrittenPlan($first->plan);
        $blocks = $plan->blocks();
        /** @var list<array<string, mixed>> $rounds */
        $rounds = $blocks[1]['rounds'];
        $rounds[2]['locked'] = true;
        $blocks[1]['rounds'] = $rounds;
        $blocks[0]['locked'] = true;
        $second = Composer::compose(
            self::wishes(60, [2], Aim::of('due', null), 2, locked: $plan->withBlocks($blocks)->content),
            array_values(self::candidates()),
        );
        $made = (new WrittenPlan($second->plan))->blocks();

        self::assertEquals($blocks[0], $made[0]);
        /** @var list<array<string, mixed>> $madeRounds */
        $madeRounds = $made[1]['rounds'];
        self::assertEquals($rounds[2], $madeRounds[2]);
        self::assertNotEquals($rounds[1], $madeRounds[1]);
    }

    public function testEveryCombinationHasItsReason(): void
    {
        $composition = self::compose(60, [2], Aim::of('due', null), 1);
        $said = implode("\n", array_column($composition->reasons, 'message'));
        foreach (array_unique(self::ids($composition->plan)) as $id) {
            self::assertStringContainsString(self::candidates()[$id]->name.': in no session of this course yet', $said);
        }
    }

    public function testYouthGetNothingThatIsNotForThem(): void
    {
        $composition = Composer::compose(
            self::wishes(60, [3], Aim::of('weapon', 'leg'), 1, group: Group::Youth),
            array_values(self::candidates()),
        );
        $options = new CheckOptions(BuiltInHouseRules::named('kickboxing'), group: Group::Youth);
        foreach (self::ids($composition->plan) as $id) {
            self::assertSame(
                'flows',
                Check::builtIn()->run(self::candidates()[$id]->inStance, $options)->verdict->value,
            );
        }
    }

    #[TestWith(['theme', 'dancing', 'The theme is one of'])]
    #[TestWith(['weapon', null, 'The weapon is one of'])]
    #[TestWith(['mood', null, 'The aim is one of'])]
    public function testAnAimThatIsNotKnownIsRefused(string $kind, ?string $value, string $sentence): void
    {
        $this->expectExceptionMessage($sentence);
        Aim::of($kind, $value);
    }

    /** @param non-empty-list<int> $levels */
    private static function compose(int $minutes, array $levels, Aim $aim, int $seed): Composition
    {
        return Composer::compose(self::wishes($minutes, $levels, $aim, $seed), array_values(self::candidates()));
    }

    /**
     * @param non-empty-list<int> $levels
     * @param list<string> $known
     * @param array<array-key, mixed> $locked
     */
    private static function wishes(
        int $minutes,
        array $levels,
        Aim $aim,
        int $seed,
        array $known = [],
        array $locked = [],
        Group $group = Group::Open,
    ): Wishes {
        return new Wishes(
            course: 'Tuesday',
            minutes: $minutes,
            aim: $aim,
            seed: $seed,
            rules: BuiltInHouseRules::named('kickboxing'),
            group: $group,
            medium: Medium::Pads,
            levels: $levels,
            known: $known,
            locked: $locked,
        );
    }

    /**
     * @param array<array-key, mixed> $plan
     *
     * @return list<int>
     */
    private static function ids(array $plan): array
    {
        return array_values(array_filter(array_column((new WrittenPlan($plan))->combinations(), 'id'), \is_int(...)));
    }

    /** @return array<int, Candidate> generated ones, by id */
    private static function candidates(): array
    {
        /** @var array<int, Candidate>|null $candidates */
        static $candidates = null;
        if (null === $candidates) {
            $candidates = [];
            $chains = array_map(static fn (string $text): ChainInStance => Chains::inStance($text), [
                '1 2',
                '1 1 2',
                '2 3',
                '1 2 3',
                '1 2 3 2',
                '1b 2',
                '1 2b',
                '11 2',
                '1 14l',
            ]);
            foreach ([[Limb::Hand], [Limb::Hand, Limb::Leg]] as $weapons) {
                foreach (range(2, 6) as $length) {
                    $made = CheckServices::load()->generator->generate(
                        new GenerationCriteria(
                            new CheckOptions(BuiltInHouseRules::named('kickboxing')),
                            $length,
                            $weapons,
                            seed: 5,
                            count: 12,
                        ),
                    );
                    array_push(
                        $chains,
                        ...array_map(static fn ($result): ChainInStance => $result->inStance, $made->results),
                    );
                }
            }
            $writer = new Writer(Numbering::named('parity'));
            foreach ($chains as $id => $inStance) {
                $level = Scale::builtIn()->difficulty(
                    Check::builtIn()->run($inStance, new CheckOptions(BuiltInHouseRules::named('kickboxing'))),
                )->level;
                $candidates[$id + 1] = new Candidate(
                    $id + 1,
                    1,
                    'Number '.($id + 1),
                    $writer->write($inStance),
                    $inStance,
                    $level,
                );
            }
        }

        return $candidates;
    }
}
