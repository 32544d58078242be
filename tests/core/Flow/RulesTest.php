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
use Periplus\Core\Flow\Rule\Rule;
use Periplus\Core\Flow\Rule\RuleContext;
use Periplus\Core\Flow\Rule\RuleExample;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Rules\RuleRegistry;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;
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
    #[TestWith(['unannounced-kick', '1 / 14l', [2]])]
    #[TestWith(['unannounced-kick', '11', []])]
    #[TestWith(['unannounced-kick', '11 14', []])]
    #[TestWith(['unannounced-kick', '(1) 14', []])]
    #[TestWith(['unannounced-kick', '13 14', [0, 1]])]
    #[TestWith(['unannounced-kick', '22', [0]])]
    #[TestWith(['kick-on-line', '14l', []])]
    #[TestWith(['kick-on-line', '1 slip-lead 14l', []])]
    #[TestWith(['kick-on-line', '1 duck 14l', [2]])]
    #[TestWith(['kick-on-line', '1 15', []])]
    #[TestWith(['kick-on-line', '1 +14', []])]
    #[TestWith(['kick-on-line', '1 step-in 14l', [2]])]
    #[TestWith(['kick-on-line', '1 2 3 14l', []])]
    #[TestWith(['kick-on-line', '1 post 14l', []])]
    #[TestWith(['kick-on-line', '1 pull 14l', []])]
    #[TestWith(['angle-taken', '1 step-across 2', []])]
    #[TestWith(['cold-open', '31 32', []])]
    #[TestWith(['static-head', '1 2 3 4', []])]
    #[TestWith(['static-head', '1 2 3 / 4 3 2', []])]
    #[TestWith(['static-head', '1 2 3 step-in 4 3 2', [0]])]
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
    #[TestWith(['accelerates', '1 2 3!', [2]])]
    #[TestWith(['head-then-body', '1 slip-lead 3b', [2]])]
    #[TestWith(['body-then-head', '(1b) 2', []])]
    #[TestWith(['range-jump', '31 14h', [1]])]
    #[TestWith(['range-jump', '31 push 14h', []])]
    public function testRuleMatchesAtTheNamedPlaces(string $id, string $chain, array $places): void
    {
        foreach (RuleRegistry::all() as $rule) {
            if ($rule->definition()->id === $id) {
                self::assertSame(
                    $places,
                    array_column(self::matchesOf($rule, new RuleExample($chain), 'all-limbs'), 'at'),
                );

                return;
            }
        }
        self::fail('There is no rule '.$id);
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

    public function testAFindingAtMustBreaksAChainThatFlows(): void
    {
        $result = Check::builtIn()->run(
            Chains::inStance('1 15h exit'),
            new CheckOptions(BuiltInHouseRules::named('kickboxing'), group: Group::Youth),
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

    /** @return list<\Periplus\Core\Flow\Rule\RuleMatch> */
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
