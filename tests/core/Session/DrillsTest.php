<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Session\Drill\Beside;
use Periplus\Core\Session\Drill\CueKind;
use Periplus\Core\Session\Drill\Drill;
use Periplus\Core\Session\Drill\DrillCue;
use Periplus\Core\Session\Drill\DrillExample;
use Periplus\Core\Session\Drill\DrillRun;
use Periplus\Core\Session\Drill\MinuteTheme;
use Periplus\Core\Session\Drill\Parameters;
use Periplus\Core\Session\Drill\PlannedCombination;
use Periplus\Core\Session\Drill\Portion;
use Periplus\Core\Session\Drill\Rungs;
use Periplus\Core\Session\Drills\DrillRegistry;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class DrillsTest extends TestCase
{
    /** @return iterable<string, array{Drill, DrillExample}> */
    public static function examples(): iterable
    {
        foreach (DrillRegistry::all() as $id => $drill) {
            foreach ($drill->definition()->examples as $number => $example) {
                yield $id.' '.($number + 1) => [$drill, $example];
            }
        }
    }

    #[DataProvider('examples')]
    public function testTheExampleComesOutAsItSays(Drill $drill, DrillExample $example): void
    {
        $run = self::drilled($drill, $example->combinations, $example->parameters, $example->seconds);
        $cues = array_map(
            static fn (DrillCue $cue): array => [$cue->atMs, $cue->kind->value, $cue->text],
            [...$drill->cues($run)],
        );

        self::assertSame([], [...$drill->problems($run)]);
        self::assertSame($example->cues, \array_slice($cues, 0, \count($example->cues)));
        self::assertCount($example->count ?? \count($example->cues), $cues);
    }

    #[DataProvider('examples')]
    public function testNothingHappensAfterTheEndAndAllOfTheWorkIsCounted(Drill $drill, DrillExample $example): void
    {
        $run = self::drilled($drill, $example->combinations, $example->parameters, $example->seconds);
        $times = array_map(static fn (DrillCue $cue): int => $cue->atMs, [...$drill->cues($run)]);
        $sorted = $times;
        sort($sorted);

        self::assertSame($sorted, $times, 'in order');
        self::assertNotSame([], $times);
        self::assertLessThan($run->ms(), max($times));
        $worked = array_sum(array_column([...$drill->portions($run)], 'ms'));
        self::assertLessThanOrEqual($run->ms() + 1, $worked);
    }

    /** Each counted part of the work starts with what the wall shows at that time. */
    #[DataProvider('examples')]
    public function testTheCountedWorkStartsWithWhatTheWallShows(Drill $drill, DrillExample $example): void
    {
        $run = self::drilled($drill, $example->combinations, $example->parameters, $example->seconds);
        $standing = array_filter(
            [...$drill->cues($run)],
            static fn (DrillCue $cue): bool => $cue->kind->stands() && [] !== self::chains($cue),
        );
        $from = 0.0;
        foreach ($drill->portions($run) as $portion) {
            $begun = array_filter($standing, static fn (DrillCue $cue): bool => $cue->atMs <= $from + $portion->ms / 2);
            $last = max([0, ...array_column($begun, 'atMs')]);
            // Calls are random, and counted in equal parts.
            $now =
                'calls' === $drill->definition()->id
                    ? $standing
                    : array_filter($begun, static fn (DrillCue $cue): bool => $cue->atMs === $last);
            $thrown = null === $portion->chain ? null : $run->write($portion->chain);
            $texts = array_map($run->write(...), array_merge(...array_map(self::chains(...), $now)));
            self::assertTrue(
                null === $thrown
                    || [] !== array_filter($texts, static fn (string $text): bool => str_starts_with($thrown, $text)),
                $thrown.' is thrown, and what stands is '.implode(', ', $texts),
            );
            $from += $portion->ms;
        }
    }

    /** @return list<Chain> what a cue shows, and what is to choose from */
    private static function chains(DrillCue $cue): array
    {
        return [
            ...(null === $cue->chain ? [] : [$cue->chain]),
            ...array_map(static fn (Beside $one): Chain => $one->chain, $cue->beside),
        ];
    }

    /** A chain that is neither would not be visible anywhere. */
    #[DataProvider('examples')]
    public function testEveryChainIsShownOrIsAStepOrIsAnnounced(Drill $drill, DrillExample $example): void
    {
        $found = [
            ...$drill->cues(
                self::drilled($drill, $example->combinations, $example->parameters, $example->seconds),
            ),
        ];
        foreach ($found as $cue) {
            self::assertTrue(
                null === $cue->chain || $cue->kind->stands() || $cue->kind->isStep() || CueKind::Next === $cue->kind,
                $cue->kind->value,
            );
        }
    }

    public function testThereIsADrillForEachRowOfTheTable(): void
    {
        self::assertSame(
            [
                'repeat',
                'repetitions',
                'set-list',
                'ladder',
                'builder',
                'pyramid',
                'thirds',
                'bursts',
                'one-side',
                'other-stance',
                'alternate',
                'themes',
                'menu',
                'setup-free',
                'free',
                'return-fire',
                'exchange',
                'calls',
                'balance',
                'conditioning',
                'exercise',
                'demonstration',
                'talk',
            ],
            array_keys(DrillRegistry::all()),
        );
    }

    /** @param list<string> $rungs */
    #[TestWith(['1 2 3', ['1', '1 2', '1 2 3']])]
    #[TestWith(['slip-lead 3 2 exit', ['slip-lead 3', 'slip-lead 3 2 exit']])]
    #[TestWith(['1 2 +14l 3', ['1', '1 2 +14l', '1 2 +14l 3']])]
    #[TestWith(['(1) 2', ['(1)', '(1) 2']])]
    #[TestWith(['slip-lead', ['slip-lead']])]
    public function testAChainIsCutAfterEachStrikeAndEachFeint(string $chain, array $rungs): void
    {
        $run = self::drilled(DrillRegistry::all()['ladder'], [$chain], [], 60);

        self::assertSame($rungs, array_map($run->write(...), Rungs::cut(Chains::read($chain))));
    }

    /** @param non-empty-list<string> $chains */
    #[TestWith([['1 2', '1 2 3 2', 'slip-lead 3', '14l'], 7])]
    #[TestWith([['1', '2'], 8])]
    #[TestWith([['1 2 3b 2 3 2 exit'], 9])]
    public function testNoCallStartsBeforeTheOneBeforeIsOverAndTheShortestSilenceIsPast(array $chains, int $seed): void
    {
        $drill = DrillRegistry::all()['calls'];
        $silences = [];
        foreach (range($seed, $seed + 30) as $each) {
            $run = self::drilled($drill, $chains, ['least' => 2, 'most' => 4], 180, $each);
            $cues = [...$drill->cues($run)];
            foreach ($cues as $index => $cue) {
                self::assertNotNull($cue->lengthMs);
                self::assertLessThanOrEqual($run->ms(), $cue->atMs + $cue->lengthMs, 'it can be finished');
                $next = $cues[$index + 1] ?? null;
                if (null !== $next) {
                    $silences[] = $next->atMs - $cue->atMs - $cue->lengthMs;
                }
                self::assertSame(null === $next ? 'last-call' : 'call', $cue->kind->value);
            }
        }

        self::assertNotSame([], $silences);
        self::assertGreaterThanOrEqual(2000, min($silences));
        self::assertLessThanOrEqual(4000, max($silences));
        self::assertGreaterThan(20, \count(array_unique($silences)), 'nobody can foresee it');
    }

    public function testCallsGrowByAChainAMinute(): void
    {
        $drill = DrillRegistry::all()['calls'];
        $cues = [...$drill->cues(self::drilled($drill, ['1', '2', '3'], ['grows' => true], 180))];
        foreach ($cues as $cue) {
            $known = ['1', '2', '3'];
            self::assertContains($cue->text, \array_slice($known, 0, 1 + intdiv($cue->atMs, 60_000)));
        }
        self::assertContains('3', array_map(static fn (DrillCue $cue): string => $cue->text, $cues));
    }

    public function testTheCallsThatAreCountedAreThoseThatAreCalled(): void
    {
        $drill = DrillRegistry::all()['calls'];
        $run = self::drilled($drill, ['1 2', '3 2'], [], 120);

        self::assertEqualsWithDelta(
            \count([...$drill->cues($run)]),
            array_sum(
                array_map(
                    static fn (Portion $portion): float => $portion->repetitions ?? 0.0,
                    [...$drill->portions($run)],
                ),
            ),
            1e-9,
        );
    }

    /**
     * @param list<string> $chains
     * @param array<string, mixed> $parameters
     */
    #[TestWith(['set-list', ['1 2', '1 2 3'], ['seconds' => [30]], 120, '1 times are given for 2 combinations'])]
    #[TestWith(['set-list', ['1 2', '1 2 3'], ['seconds' => [30, 40]], 120, 'does not fill 120 s'])]
    #[TestWith(['set-list', ['1 2', '1 2 3', '1 6'], [], 100, 'cannot be shared equally'])]
    #[TestWith(['ladder', ['1 2 3'], ['rung' => 30], 60, 'the whole is never reached. Shorten the rungs to 20 s'])]
    #[TestWith(['builder', ['1 2', '3 2'], [], 60, '3 2 does not grow from 1 2'])]
    #[TestWith(['thirds', [], ['seconds' => 40], 100, 'does not fill 100 s'])]
    #[TestWith(['return-fire', ['slip-lead'], [], 60, 'Nothing of this chain lands'])]
    #[TestWith(['calls', ['1'], ['least' => 9, 'most' => 3], 60, 'longer than the longest'])]
    #[TestWith(['balance', ['13'], [], 60, 'take 120 s, and the set has 60 s'])]
    public function testADrillThatCannotWorkAsPlannedIsReported(
        string $id,
        array $chains,
        array $parameters,
        int $seconds,
        string $part,
    ): void {
        $drill = DrillRegistry::all()[$id];
        $problems = [...$drill->problems(self::drilled($drill, $chains, $parameters, $seconds))];

        self::assertNotSame([], $problems);
        self::assertStringContainsString($part, $problems[0]->message);
    }

    public function testARungThatBreaksByItselfIsReported(): void
    {
        $drill = DrillRegistry::all()['ladder'];
        $problems = [...$drill->problems(self::drilled($drill, ['1 step-back 31 exit 1'], [], 60))];

        self::assertStringContainsString('Rung 2, 1 step-back 31, breaks by itself', $problems[0]->message);
        self::assertFalse($problems[0]->stops);
    }

    #[TestWith(['jab', '1 1 2', true])]
    #[TestWith(['jab', '1 2', false])]
    #[TestWith(['rear-hand', '2 3 2', true])]
    #[TestWith(['slipping', '1 slip-lead 3', true])]
    #[TestWith(['slipping', '1 duck 3', false])]
    #[TestWith(['ducking', '1 duck 3', true])]
    #[TestWith(['inside', '5 6', true])]
    #[TestWith(['inside', '1 2', false])]
    #[TestWith(['body', '1b 2b', true])]
    public function testThemeHolds(string $theme, string $chain, bool $holds): void
    {
        self::assertSame($holds, MinuteTheme::from($theme)->holds(Chains::read($chain)));
    }

    #[TestWith(['rung', 'three', '"A rung (0: own pace)" is a whole number of seconds from 0 to 300.'])]
    #[TestWith(['rung', 301, '"A rung (0: own pace)" is a whole number of seconds from 0 to 300.'])]
    #[TestWith(['steps', 2, 'This drill has no "steps"; it has rung.'])]
    public function testAnInvalidParameterIsReportedAndReplacedByTheDefault(
        string $name,
        mixed $value,
        string $sentence,
    ): void {
        $read = Parameters::read(DrillRegistry::all()['ladder']->definition()->parameters, [
            $name => $value,
        ]);

        self::assertSame([$name => $sentence], $read->problems);
        self::assertSame(0, $read->values->whole('rung'));
    }

    /**
     * @param list<string> $chains
     * @param array<string, mixed> $parameters
     */
    private static function drilled(
        Drill $drill,
        array $chains,
        array $parameters,
        int $seconds,
        int $seed = 1,
    ): DrillRun {
        $read = Parameters::read($drill->definition()->parameters, $parameters);
        self::assertSame([], $read->problems);

        return new DrillRun(
            array_map(
                static fn (string $chain): PlannedCombination => new PlannedCombination(
                    $chain,
                    new ChainInStance(Chains::read($chain), Stance::Orthodox),
                ),
                $chains,
            ),
            $read->values,
            $seconds,
            new CheckOptions(BuiltInHouseRules::named('all-limbs')),
            Numbering::named('parity'),
            seed: $seed,
        );
    }
}
