<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow\Generate;

use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Combination\StrikeItem;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Check\Finding;
use Periplus\Core\Flow\Generate\GenerationCriteria;
use Periplus\Core\Flow\Generate\Generator;
use Periplus\Core\Flow\Generate\Theme;
use Periplus\Core\Flow\Level\Scale;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Technique\Limb;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class GeneratorTest extends TestCase
{
    private const WEAPONS = [
        'boxing' => [Limb::Hand],
        'kickboxing' => [Limb::Hand, Limb::Leg],
        'all-limbs' => [Limb::Hand, Limb::Leg, Limb::Knee, Limb::Elbow],
    ];

    /** Criteria of every kind; each result is checked independently of the generator. */
    public function testEveryResultMeetsTheCriteria(): void
    {
        $made = 0;
        foreach (BuiltInHouseRules::ids() as $rules) {
            $options = new CheckOptions(BuiltInHouseRules::named($rules));
            foreach ([null, ...Theme::cases()] as $seed => $theme) {
                $weapons = 'boxing' === $rules ? [Limb::Hand] : [Limb::Hand, Limb::Leg];
                $criteria = new GenerationCriteria(
                    options: $options,
                    length: 3 + ($seed % 4),
                    weapons: $weapons,
                    level: 0 === $seed ? null : 2,
                    theme: $theme,
                    switches: 0 === $seed % 2,
                    clean: 0 === $seed % 3 ? Severity::Hint : Severity::Should,
                    seed: $seed,
                    count: 4,
                );
                $generation = CheckServices::load()->generator->generate($criteria);
                foreach (null === $generation->bent ? $generation->results : [] as $result) {
                    self::assertFits($result, $criteria);
                    ++$made;
                }
            }
        }
        self::assertGreaterThan(40, $made);
    }

    public function testTheSameSeedGivesTheSameList(): void
    {
        $list = static fn (int $seed): array => self::keys(
            new GenerationCriteria(
                new CheckOptions(BuiltInHouseRules::named('kickboxing')),
                weapons: [Limb::Hand, Limb::Leg],
                seed: $seed,
            ),
        );

        self::assertSame($list(7), $list(7));
        self::assertNotSame($list(7), $list(8));
        self::assertSame($list(7), array_unique($list(7)));
    }

    public function testKnownChainsAreNotGeneratedAgain(): void
    {
        $criteria = new GenerationCriteria(new CheckOptions(BuiltInHouseRules::named('boxing')));
        $known = self::keys($criteria);
        $again = array_map(
            static fn (CheckResult $result): string => Fingerprint::of($result->inStance->chain)->plain,
            CheckServices::load()->generator->generate($criteria, $known)->results,
        );

        self::assertNotSame([], $again);
        self::assertSame([], array_intersect($known, $again));
    }

    /** Boxing has no elbows, and eight strikes are too many for level 1. */
    #[TestWith(['boxing', 'elbow', 4, null, 'weapons'])]
    #[TestWith(['boxing', 'hand', 8, 1, 'level'])]
    public function testCriteriaThatCannotBeMetNameOneToGiveUp(
        string $rules,
        string $weapon,
        int $length,
        ?int $level,
        string $relax,
    ): void {
        $generation = CheckServices::load()->generator->generate(
            new GenerationCriteria(
                new CheckOptions(BuiltInHouseRules::named($rules)),
                $length,
                [Limb::from($weapon)],
                $level,
            ),
        );

        self::assertNotNull($generation->bent, 'The wishes bend to what can be met.');
        self::assertNotSame([], $generation->results);
        $relaxed = array_column($generation->relax, null, 'criterion');
        self::assertArrayHasKey($relax, $relaxed);
        self::assertMatchesRegularExpression('/: [1-9]/', $relaxed[$relax]->words);
    }

    /** Four strikes are too many for level 1: shorter chains are generated, and the answer says so. */
    public function testAWishForALevelIsMetByFewerStrikes(): void
    {
        $generation = CheckServices::load()->generator->generate(
            new GenerationCriteria(new CheckOptions(BuiltInHouseRules::named('boxing')), 8, level: 1),
        );

        self::assertNotNull($generation->bent);
        self::assertStringStartsWith('with ', $generation->bent->words);
        foreach ($generation->results as $result) {
            self::assertSame(1, Scale::builtIn()->difficulty($result)->level);
        }
    }

    /** Common practice, no source. */
    #[TestWith(['1 2 3', '1 pivot-out 1 pivot-out'])]
    #[TestWith(['1 2 slip-lead 2', '1 slip-lead 2 slip-lead'])]
    #[TestWith(['1 2 3 2', '1 1 1 2'])]
    public function testWhatACoachWouldCallComesBeforeWhatIsOdd(string $called, string $odd): void
    {
        $usage = Usage::shipped('all-limbs');
        self::assertLessThan(
            Generator::oddness(Chains::read($odd), $usage),
            Generator::oddness(Chains::read($called), $usage),
        );
    }

    public function testTheListBeginsWithWhatIsLeastOdd(): void
    {
        $oddness = array_map(
            static fn (CheckResult $result): float => Generator::oddness(
                $result->inStance->chain,
                Usage::shipped('boxing'),
            ),
            CheckServices::load()->generator->generate(
                new GenerationCriteria(new CheckOptions(BuiltInHouseRules::named('boxing')), 3, seed: 4),
            )->results,
        );
        $sorted = $oddness;
        sort($sorted);
        self::assertSame($sorted, $oddness);
    }

    /** At "usual" every link is one that coaches call, or that the gym throws. */
    public function testUsualChainsHaveKnownLinksAlone(): void
    {
        $made = 0;
        foreach (self::WEAPONS as $rules => $weapons) {
            $usage = Usage::shipped($rules);
            foreach ([1, 2, 3] as $level) {
                foreach (self::generated($rules, $weapons, $level, 0, $usage) as $chain) {
                    foreach ($chain->items as $place => $item) {
                        // A strike that would wait after a move goes with it.
                        $plain = $item instanceof StrikeItem && $chain->goesWithMove($place)
                            ? $item->with(joined: false)
                            : $item;
                        self::assertTrue($usage->knows($chain->items[$place - 1] ?? null, $plain), $item->key());
                    }
                    ++$made;
                }
            }
        }
        self::assertGreaterThan(60, $made);
    }

    /** A leap and a spin come when all surprise is asked for, or where the gym throws them. */
    public function testRareStrikesComeWhenTheyAreAskedForOrThrownInTheGym(): void
    {
        $gym = Usage::counted(array_fill(0, 60, [Sequence::of(Chains::read('1 66 3'))->items, 1.0]));
        $rare = static function (int $surprise, Usage $usage): int {
            $found = 0;
            foreach (range(1, 6) as $seed) {
                foreach (self::generated('boxing', [Limb::Hand], null, $surprise, $usage, $seed) as $chain) {
                    $found += \count(array_filter(
                        $chain->strikes(),
                        static fn (StrikeItem $item): bool => $item->strike->rare,
                    ));
                }
            }

            return $found;
        };
        $shipped = Usage::shipped('boxing');

        self::assertSame(0, $rare(0, $shipped));
        self::assertSame(0, $rare(75, $shipped));
        self::assertGreaterThan(0, $rare(100, $shipped));
        self::assertGreaterThan(0, $rare(0, $shipped->with($gym)));
    }

    public function testMoreSurpriseMeansLessUsualChains(): void
    {
        $usage = Usage::shipped('kickboxing');
        $rarity = static fn (int $surprise): float => array_sum(array_map(
            $usage->rarity(...),
            self::generated('kickboxing', [Limb::Hand, Limb::Leg], 2, $surprise, $usage),
        ));

        self::assertLessThan($rarity(50), $rarity(0));
        self::assertLessThan($rarity(100), $rarity(50));
    }

    #[TestWith(['head-movement', '1 slip-lead 2', '1 2 slip-lead'])]
    #[TestWith(['body-work', '1b 2 3b', '1b 2 3'])]
    #[TestWith(['in-and-out', 'step-in 1 2 exit', '1 2 exit'])]
    #[TestWith(['angles', '1 pivot-out 2', '1 2 pivot-out'])]
    #[TestWith(['counters', 'slip-lead 3', '3 slip-lead'])]
    #[TestWith(['kicks-off-hands', '1 step-out 14', '14 1'])]
    public function testChainsThatHoldATheme(string $theme, string $holds, string $doesNot): void
    {
        self::assertTrue(Theme::from($theme)->holds(Chains::read($holds)));
        self::assertFalse(Theme::from($theme)->holds(Chains::read($doesNot)));
    }

    #[TestWith([1, 8, 'A generated chain has 2 to 10 strikes, not 1.'])]
    #[TestWith([4, 99, '1 to 24 chains can be generated at a time, not 99.'])]
    public function testCriteriaOutOfBoundsAreRefused(int $length, int $count, string $message): void
    {
        $this->expectExceptionMessage($message);
        new GenerationCriteria(new CheckOptions(BuiltInHouseRules::named('boxing')), $length, count: $count);
    }

    private static function assertFits(CheckResult $made, GenerationCriteria $criteria): void
    {
        $result = Check::builtIn()->run($made->inStance, $criteria->options);
        $strikes = $result->inStance->chain->strikes();
        self::assertSame('flows', $result->verdict->value);
        self::assertCount($criteria->length, $strikes);
        $heavy =
            Severity::Hint === $criteria->clean
                ? [Severity::Hint, Severity::Should, Severity::Must]
                : [Severity::Should, Severity::Must];
        self::assertSame(
            [],
            array_filter(
                $result->findings,
                static fn (Finding $finding): bool => \in_array($finding->severity, $heavy, true),
            ),
        );
        self::assertEqualsCanonicalizing(
            $criteria->weapons,
            array_values(
                array_unique(
                    array_map(static fn (StrikeItem $item): Limb => $item->strike->limb, $strikes),
                    \SORT_REGULAR,
                ),
            ),
        );
        self::assertTrue(null === $criteria->theme || $criteria->theme->holds($result->inStance->chain));
        self::assertTrue(
            null === $criteria->level || Scale::builtIn()->difficulty($result)->level === $criteria->level,
        );
        self::assertTrue($criteria->switches || $result->inStance->end === $result->inStance->stance);
    }

    /**
     * @param non-empty-list<Limb> $weapons
     *
     * @return list<Chain>
     */
    private static function generated(
        string $rules,
        array $weapons,
        ?int $level,
        int $surprise,
        Usage $usage,
        int $seed = 1,
    ): array {
        $criteria = new GenerationCriteria(
            options: new CheckOptions(BuiltInHouseRules::named($rules)),
            length: 1 === $level ? 3 : 4,
            weapons: $weapons,
            level: $level,
            seed: $seed,
            count: 8,
            surprise: $surprise,
        );

        return array_map(
            static fn (CheckResult $result): Chain => $result->inStance->chain,
            CheckServices::load()->generator->generate($criteria, [], $usage)->results,
        );
    }

    /** @return list<string> */
    private static function keys(GenerationCriteria $criteria): array
    {
        return array_map(
            static fn (CheckResult $result): string => Fingerprint::of($result->inStance->chain)->plain,
            CheckServices::load()->generator->generate($criteria)->results,
        );
    }
}
