<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow;

use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Options\Group;
use Periplus\Core\Flow\Options\Purpose;
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rule\RuleMatch;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Ending;
use Periplus\Core\HouseRules\HandSide;
use Periplus\Core\HouseRules\HandTiming;
use Periplus\Core\HouseRules\HardStrikes;
use Periplus\Core\HouseRules\HouseRules;
use Periplus\Core\HouseRules\Schools;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class RulesTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{Rule}> */
    public static function rules(): iterable
    {
        foreach (RuleRegistry::all() as $rule) {
            yield $rule->definition()->id => [$rule];
        }
    }

    #[DataProvider('rules')]
    public function testRuleMatchesItsOwnExamples(Rule $rule): void
    {
        // Boxing allows only hands, so an elbow or a kick is outside its rules.
        $sets = 'outside-rules' === $rule->definition()->id ? 'kickboxing' : 'all-limbs';

        self::assertNotSame(
            [],
            self::matchesOf($rule, $rule->definition()->shows, $sets),
            $rule->definition()->shows->chain,
        );
        self::assertSame(
            [],
            self::matchesOf($rule, $rule->definition()->doesNotShow, $sets),
            $rule->definition()->doesNotShow->chain,
        );
        self::assertMatchesRegularExpression('/^[a-z]+(-[a-z]+)*$/', $rule->definition()->id);
        self::assertLessThanOrEqual(6, \count(explode(' ', $rule->definition()->title)));
        self::assertStringEndsWith('.', $rule->definition()->reason);
    }

    /** @param list<int|null> $places */
    #[TestWith(['unannounced-kick', '1 / 14l 2 3', [2]])]
    #[TestWith(['unannounced-kick', '1 / 14l 2', []])]
    #[TestWith(['unannounced-kick', '11 2 3 2', []])]
    #[TestWith(['unannounced-kick', '11 14 2 3', []])]
    #[TestWith(['unannounced-kick', '(1) 14 2 3 2', []])]
    #[TestWith(['unannounced-kick', '13 14 2 3', [0, 1]])]
    #[TestWith(['unannounced-kick', '22', []])]
    #[TestWith(['kick-on-line', '14l', []])]
    #[TestWith(['kick-on-line', '1 slip-lead 14l', []])]
    #[TestWith(['kick-on-line', '1 duck 14l', [2]])]
    #[TestWith(['kick-on-line', '1 15', []])]
    #[TestWith(['kick-on-line', '1 +14', []])]
    #[TestWith(['kick-on-line', '1 step-in 14l', [2]])]
    #[TestWith(['kick-on-line', 'step-in 14l', [1]])]
    #[TestWith(['kick-on-line', '1 2 3 step-in 14l', [4]])]
    #[TestWith(['kick-on-line', 'step-in / 14l', []])]
    #[TestWith(['kick-on-line', 'step-in step-out 14l', []])]
    #[TestWith(['kick-on-line', 'clinch 14l', []])]
    #[TestWith(['kick-on-line', '1 2 3 14l', []])]
    #[TestWith(['kick-on-line', '1 post 14l', []])]
    #[TestWith(['kick-on-line', '1 pull 14l', []])]
    #[TestWith(['angle-taken', '1 step-across 2', []])]
    #[TestWith(['cold-open', '31 32', []])]
    #[TestWith(['static-head', '1 2 3 4', []])]
    #[TestWith(['static-head', '1 2 3 / 4 3 2', []])]
    #[TestWith(['static-head', '1 2 3 step-in 4 3 2', [1]])]
    #[TestWith(['static-head', '1 2 3 step-back 4 3 2', []])]
    #[TestWith(['static-head', '1 2 3 switch 4 3 2', []])]
    #[TestWith(['static-head', '2 1 3 1 2 1 3 2', [0]])]
    #[TestWith(['static-head', '1 1 1 1 1 1', []])]
    #[TestWith(['static-head', '1 2 3b 2 3 2', []])]
    #[TestWith(['static-head', '1 2 8 1 2', []])]
    #[TestWith(['static-head', '1 2 3 14l 1 2 3', []])]
    #[TestWith(['one-height', '1 2 (3b) 3 2 4', [null]])]
    #[TestWith(['same-side-run', '3 1 3 5', [0]])]
    #[TestWith(['same-side-run', '1 2 1 2 1 2', []])]
    #[TestWith(['same-side-run', '2 (3) 2 11 4', [0]])]
    #[TestWith(['same-side-run', '3 roll-lead 3 5', []])]
    #[TestWith(['same-side-run', '1 1 1', []])]
    #[TestWith(['overcommitted', '2 2 2', [2]])]
    #[TestWith(['overcommitted', '2 slip-rear 2 2', []])]
    #[TestWith(['overcommitted', '2 1 2 2', []])]
    #[TestWith(['cold-open', 'slip-rear 2', []])]
    #[TestWith(['cold-open', '(2) 2', []])]
    #[TestWith(['cold-open', '11 2', []])]
    #[TestWith(['no-exit', '1 2 3 2 3b 2 *3', [6]])]
    #[TestWith(['no-exit', '1 2 roll-rear', []])]
    #[TestWith(['spin-unsecured', 'post 1 38', [2]])]
    #[TestWith(['spin-unsecured', 'push 18', []])]
    #[TestWith(['square-stance', 'step-across step-in 2', []])]
    #[TestWith(['square-stance', 'step-across duck 2', [2]])]
    #[TestWith(['all-hard', '1 2 3', []])]
    #[TestWith(['all-hard', '1 2! 3', [null]])]
    #[TestWith(['all-hard', '1~ 2~ 1~ 2~', []])]
    #[TestWith(['all-hard', '1~ 2! 3~', [null]])]
    #[TestWith(['all-hard', '14! 14! 14!', []])]
    #[TestWith(['accelerates', '1 2 3!', [2]])]
    #[TestWith(['head-then-body', '1 slip-lead 3b', [2]])]
    #[TestWith(['body-then-head', '(1b) 2', []])]
    #[TestWith(['range-jump', '31 14h', [1]])]
    #[TestWith(['range-jump', '31 push 14h', []])]
    public function testRuleMatchesAtTheNamedPlaces(string $id, string $chain, array $places): void
    {
        self::assertSame(
            $places,
            array_column(self::matchesOf(self::rule($id), new RuleExample($chain), 'all-limbs'), 'at'),
        );
    }

    /** The gym sets from where a rule holds: the number that is just reached, and the next. */
    #[TestWith(['same-side-run', '3b 3 5 3', 4, 5])]
    #[TestWith(['static-head', '1 2 3 4 3 2', 5, 6])]
    #[TestWith(['unannounced-kick', '14l', 1, 2])]
    #[TestWith(['overcommitted', '2 2 2 2', 4, 5])]
    #[TestWith(['range-jump', '1 31', 2, 3])]
    #[TestWith(['no-exit', '1 2 3b 2', 4, 5])]
    public function testARuleHoldsFromItsThresholdOn(string $id, string $chain, int $reached, int $missed): void
    {
        self::assertNotSame([], self::matchesFrom($id, $chain, $reached), (string) $reached);
        self::assertSame([], self::matchesFrom($id, $chain, $missed), (string) $missed);
    }

    #[TestWith(['bag', '1 2 3 4 3 2 3', false])]
    #[TestWith(['shadow', '1 2 3 4 3', false])]
    #[TestWith(['shadow', '1 2 3 4 3 2', true])]
    #[TestWith(['pads', '1 2 3 4 3 2', true])]
    #[TestWith(['partner', '1 2', true])]
    #[TestWith(['partner', '1 2 exit', false])]
    public function testWhetherAChainHasToEndWithAMoveDependsOnWhatIsHit(
        string $medium,
        string $chain,
        bool $matches,
    ): void {
        $example = new RuleExample($chain, Medium::from($medium));

        self::assertSame($matches, [] !== self::matchesOf(self::rule('no-exit'), $example, 'all-limbs'));
    }

    #[TestWith([Ending::Move, '1 2 3b 2 3 14l', true])]
    #[TestWith([Ending::Kick, '1 2 3b 2 3 14l', false])]
    #[TestWith([Ending::Kick, '1 2 3', true])]
    #[TestWith([Ending::Kick, '1 2 14l exit', false])]
    #[TestWith([Ending::LeadHand, '1 2 3', false])]
    #[TestWith([Ending::LeadHand, '1 2', true])]
    #[TestWith([Ending::Any, '1 2 3b 2 3 2', false])]
    public function testTheSchoolDecidesHowAChainEnds(Ending $ending, string $chain, bool $matches): void
    {
        $example = new RuleExample($chain, schools: new Schools(ending: $ending));

        self::assertSame($matches, [] !== self::matchesOf(self::rule('no-exit'), $example, 'all-limbs'));
    }

    #[TestWith([HandSide::Any, '1 2 14', false])]
    #[TestWith([HandSide::Opposite, '1 2 14', true])]
    #[TestWith([HandSide::Opposite, '1 3 14', false])]
    #[TestWith([HandSide::Same, '1 2 14', false])]
    #[TestWith([HandSide::Same, '1 3 14', true])]
    public function testTheSchoolDecidesWhichHandGoesBeforeAKick(HandSide $side, string $chain, bool $matches): void
    {
        $example = new RuleExample($chain, schools: new Schools(handSide: $side));

        self::assertSame($matches, [] !== self::matchesOf(self::rule('hand-before-kick'), $example, 'all-limbs'));
    }

    #[TestWith([HandTiming::Any, '1 +14h', false])]
    #[TestWith([HandTiming::Apart, '1 +14h', true])]
    #[TestWith([HandTiming::Apart, '1 14h', false])]
    #[TestWith([HandTiming::Together, '1 14h', true])]
    #[TestWith([HandTiming::Together, '1 +14h', false])]
    public function testTheSchoolDecidesWhetherHandAndKickLandTogether(
        HandTiming $timing,
        string $chain,
        bool $matches,
    ): void {
        $example = new RuleExample($chain, schools: new Schools(handTiming: $timing));

        self::assertSame($matches, [] !== self::matchesOf(self::rule('hand-and-kick'), $example, 'all-limbs'));
    }

    #[TestWith([HardStrikes::Last, true])]
    #[TestWith([HardStrikes::Every, false])]
    public function testAGymThatThrowsEveryStrikeHardGetsNoHintToAccelerate(HardStrikes $school, bool $matches): void
    {
        $example = new RuleExample('1! 2! 3!', schools: new Schools(hardStrikes: $school));

        self::assertSame($matches, [] !== self::matchesOf(self::rule('all-hard'), $example, 'all-limbs'));
    }

    #[TestWith(['open', '31', false])]
    #[TestWith(['youth', '31', true])]
    #[TestWith(['beginners', '31', true])]
    #[TestWith(['youth', '(31)', false])]
    #[TestWith(['youth', '14h', true])]
    #[TestWith(['youth', '14b', false])]
    #[TestWith(['youth', '1 *(2,14h)', true])]
    #[TestWith(['youth', '1 *(2,14)', false])]
    #[TestWith(['beginners', '1 2 3', false])]
    public function testElbowsAndKicksToTheHeadAreNotForEveryGroup(string $group, string $chain, bool $matches): void
    {
        $example = new RuleExample($chain, group: Group::from($group));

        self::assertSame($matches, [] !== self::matchesOf(self::rule('youth-limits'), $example, 'all-limbs'));
    }

    public function testSeverityIsAssignedByTheHouseRules(): void
    {
        $boxing = self::findings('1 14l', 'boxing');
        $kickboxing = self::findings('1 14l', 'kickboxing');

        self::assertSame(Severity::Must, $boxing['outside-rules']->severity);
        self::assertArrayNotHasKey('kick-on-line', $boxing);
        self::assertSame(Severity::Hint, $kickboxing['kick-on-line']->severity);
        self::assertArrayNotHasKey('outside-rules', $kickboxing);
    }

    /** What has to do with the opponent is a tip where power is trained; what has to do with the body is not. */
    #[TestWith(['1 2 3 4 3 2', 'static-head', Purpose::Power, Severity::Hint])]
    #[TestWith(['1 2 3 4 3 2', 'static-head', Purpose::Technique, Severity::Should])]
    #[TestWith(['1 2 3 4 3 2', 'static-head', null, Severity::Should])]
    #[TestWith(['2 2 2', 'overcommitted', Purpose::Power, Severity::Should])]
    #[TestWith(['2 2 2', 'overcommitted', Purpose::Conditioning, Severity::Should])]
    #[TestWith(['1 31', 'range-jump', Purpose::Speed, Severity::Should])]
    public function testThePurposeDecidesWhatIsATip(
        string $chain,
        string $rule,
        ?Purpose $purpose,
        Severity $expected,
    ): void {
        $findings = Check::builtIn()->run(
            Chains::inStance($chain),
            new CheckOptions(BuiltInHouseRules::named('all-limbs'), purpose: $purpose),
        )->findings;

        self::assertSame([$expected], array_values(array_map(
            static fn (Finding $finding): Severity => $finding->severity,
            array_filter($findings, static fn (Finding $finding): bool => $finding->id === $rule),
        )));
    }

    public function testAFindingAtMustBreaksAChainThatFlows(): void
    {
        $result = Check::builtIn()->run(
            Chains::inStance('1 15h exit'),
            new CheckOptions(BuiltInHouseRules::named('kickboxing'), medium: Medium::LongPads, group: Group::Youth),
        );

        self::assertSame(Verdict::Flows, $result->linkVerdict);
        self::assertSame(Verdict::Breaks, $result->verdict);
        self::assertSame('youth-limits', $result->findings[0]->id, 'What must be mended stands first.');
    }

    public function testFindingsLieInTheChainAndDoNotDependOnTheStance(): void
    {
        $this->forAll(Chains::any())->then(static function (Chain $chain): void {
            $inStance = new ChainInStance($chain, Stance::Orthodox);
            foreach (BuiltInHouseRules::all() as $rules) {
                $result = Check::builtIn()->run($inStance, new CheckOptions($rules));
                foreach ($result->findings as $finding) {
                    self::assertTrue(null === $finding->at || isset($inStance->chain->items[$finding->at]));
                    self::assertNotSame(Severity::Off, $finding->severity);
                }
                self::assertGreaterThanOrEqual($result->linkVerdict->rank(), $result->verdict->rank());
                self::assertEquals(
                    $result->findings,
                    Check::builtIn()->run($inStance->mirror(), new CheckOptions($rules))->findings,
                );
            }
        });
    }

    /** @return array<string, Finding> by id */
    private static function findings(string $chain, string $rules): array
    {
        return array_column(
            Check::builtIn()->run(Chains::inStance($chain), new CheckOptions(BuiltInHouseRules::named($rules)))
                ->findings,
            null,
            'id',
        );
    }

    private static function rule(string $id): Rule
    {
        foreach (RuleRegistry::all() as $rule) {
            if ($rule->definition()->id === $id) {
                return $rule;
            }
        }
        self::fail('There is no rule '.$id);
    }

    /** @return list<RuleMatch> with that threshold */
    private static function matchesFrom(string $id, string $chain, int $threshold): array
    {
        $row = BuiltInHouseRules::named('all-limbs')->jsonSerialize();
        $options = new CheckOptions(HouseRules::of([...$row, 'thresholds' => [$id => $threshold]]));
        $inStance = Chains::inStance($chain);
        $timing = (new FlowModel())->timing($inStance->chain, $options->rules, $options->tempo);

        return iterator_to_array(self::rule($id)->matches(new RuleContext($inStance, $timing, $options)), false);
    }

    /** @return list<RuleMatch> */
    private static function matchesOf(Rule $rule, RuleExample $example, string $rules): array
    {
        $inStance = Chains::inStance($example->chain);
        $options = new CheckOptions(
            null === $example->schools
                ? BuiltInHouseRules::named($rules)
                : BuiltInHouseRules::named($rules)->inSchools($example->schools),
            $example->tempo,
            $example->medium,
            $example->group,
        );
        $timing = (new FlowModel())->timing($inStance->chain, $options->rules, $options->tempo);

        return iterator_to_array($rule->matches(new RuleContext($inStance, $timing, $options)), false);
    }
}
