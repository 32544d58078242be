<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\HouseRules;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rule\RuleDefinition;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Ending;
use Periplus\Core\HouseRules\HardStrikes;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\LeadHook;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** House rules assign severities; they do not change the timing of the links. */
final class HouseRulesTest extends TestCase
{
    use TestTrait;

    public function testRuleThatIsOffIsNotReportedAndChangesNoVerdict(): void
    {
        $silent = self::house(Severity::Off);
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($silent): void {
            $result = Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), new CheckOptions($silent));
            self::assertSame(
                [],
                array_filter(
                    $result->findings,
                    static fn (Finding $finding): bool => Severity::Credit !== $finding->severity,
                ),
            );
            self::assertSame($result->linkVerdict, $result->verdict);
        });
    }

    public function testAMustBreaksAndAHintDoesNot(): void
    {
        [$hints, $musts] = [self::house(Severity::Hint), self::house(Severity::Must)];
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($hints, $musts): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            $hint = Check::builtIn()->run($inStance, new CheckOptions($hints));
            $must = Check::builtIn()->run($inStance, new CheckOptions($musts));
            // A finding that is at most a tip, such as a spin in the air, stays one.
            $found = array_filter(
                $must->findings,
                static fn (Finding $finding): bool => Severity::Must === $finding->severity,
            );
            self::assertCount(\count($hint->findings), $must->findings);

            self::assertSame($hint->linkVerdict, $hint->verdict);
            self::assertSame([] === $found ? $must->linkVerdict : Verdict::Breaks, $must->verdict);
            self::assertEquals($hint->timing, $must->timing, 'Severities do not move a millisecond.');
        });
    }

    public function testAHigherThresholdNeverFindsMore(): void
    {
        $strict = self::house(Severity::Hint, [
            'static-head' => 3,
            'one-height' => 3,
            'same-side-run' => 2,
            'overcommitted' => 2,
            'range-jump' => 1,
            'tempo-limit' => 0.05,
        ]);
        $lenient = self::house(Severity::Hint, [
            'static-head' => 6,
            'one-height' => 6,
            'same-side-run' => 4,
            'overcommitted' => 4,
            'range-jump' => 3,
            'tempo-limit' => 0.4,
        ]);
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($strict, $lenient): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            foreach ([1.0, 0.8] as $tempo) {
                $count = static fn (HouseRules $rules): int => \count(
                    Check::builtIn()->run($inStance, new CheckOptions($rules, $tempo))->findings,
                );
                self::assertGreaterThanOrEqual($count($lenient), $count($strict));
            }
        });
    }

    public function testFindingsAreSortedBySeverity(): void
    {
        $order = ['must', 'should', 'hint', 'credit'];
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($order): void {
            $findings = Check::builtIn()->run(
                new ChainInStance($chain, Stance::Southpaw),
                new CheckOptions(BuiltInHouseRules::named('kickboxing')),
            )->findings;
            $ranks = array_map(
                static fn (Finding $finding): int => (int) array_search($finding->severity->value, $order, true),
                $findings,
            );
            $sorted = $ranks;
            sort($sorted);
            self::assertSame($sorted, $ranks);
        });
    }

    public function testTheSetsOfTheSportsDifferInWhatTheyAllow(): void
    {
        self::assertSame([Limb::Hand], BuiltInHouseRules::named('boxing')->allows);
        self::assertNotContains(Limb::Elbow, BuiltInHouseRules::named('kickboxing')->allows);
        self::assertEqualsCanonicalizing(Limb::cases(), BuiltInHouseRules::named('all-limbs')->allows);
        self::assertSame(
            Severity::Hint,
            BuiltInHouseRules::named('boxing')->severity('a-rule-of-next-year'),
            'What a set does not know yet is a hint.',
        );
    }

    /** After a back-foot hook the standing foot has no weight, after a front-foot hook it has. */
    #[TestWith(['1 2 3 14h', 'reload', 'flows'])]
    #[TestWith(['3 14h', 'reload', 'flows'])]
    #[TestWith(['1 2 3 2', 'flows', 'flows'])]
    public function testTheSchoolOfTheLeadHookDecidesTheKickAfterIt(
        string $chain,
        string $backFoot,
        string $frontFoot,
    ): void {
        $kickboxing = BuiltInHouseRules::named('kickboxing');
        $verdict = static fn (HouseRules $rules): string => Check::builtIn()->run(
            Chains::inStance($chain),
            new CheckOptions($rules),
        )->linkVerdict->value;

        self::assertSame($backFoot, $verdict($kickboxing));
        self::assertSame($frontFoot, $verdict($kickboxing->inSchools(new Schools(LeadHook::FrontFoot))));
    }

    #[TestWith(['kick', '1 2 14 exit', '1 14 2 exit'])]
    #[TestWith(['lead-hand', '1 2 3', '1 2'])]
    #[TestWith(['move', '1 2 3 2 3 2 exit', '1 2 3 2 3 2'])]
    public function testEndingSchoolDecidesWhichEndingIsAFinding(string $ending, string $good, string $bad): void
    {
        $rules = BuiltInHouseRules::named('kickboxing')->inSchools(new Schools(ending: Ending::from($ending)));
        $ids = static fn (string $chain): array => array_column(
            Check::builtIn()->run(Chains::inStance($chain), new CheckOptions($rules))->findings,
            'id',
        );

        self::assertNotContains('no-exit', $ids($good));
        self::assertContains('no-exit', $ids($bad));
    }

    public function testRuleIsSilentWhereTheGymTakesNoSide(): void
    {
        $any = BuiltInHouseRules::named('kickboxing')->inSchools(
            new Schools(ending: Ending::Any, hardStrikes: HardStrikes::Every),
        );
        $this->forAll(Chains::any())->then(static function (Chain $chain) use ($any): void {
            $ids = array_column(
                Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), new CheckOptions($any))->findings,
                'id',
            );
            self::assertSame([], array_intersect(['no-exit', 'all-hard', 'hand-before-kick', 'hand-and-kick'], $ids));
        });
    }

    public function testHouseRulesAreReadBackUnchanged(): void
    {
        foreach (BuiltInHouseRules::all() as $rules) {
            self::assertEquals($rules, HouseRules::of($rules->jsonSerialize()));
        }
        $withThreshold = array_filter(
            RuleRegistry::weighed(),
            static fn (RuleDefinition $rule): bool => null !== $rule->threshold,
        );
        self::assertSame(
            array_column($withThreshold, 'id'),
            array_keys(BuiltInHouseRules::named('boxing')->jsonSerialize()['thresholds']),
        );
    }

    /** @param array<string, int|float> $thresholds */
    private static function house(Severity $severity, array $thresholds = []): HouseRules
    {
        $severities = [];
        foreach (RuleRegistry::all() as $rule) {
            $severities[$rule->definition()->id] = $severity;
        }

        return new HouseRules('own', 'Own', [Limb::Hand], new Schools(), $severities, $thresholds);
    }
}
