<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Flow\Mend;

use Eris\Generators;
use Eris\TestTrait;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Edit;
use Periplus\Core\Combination\EditKind;
use Periplus\Core\Combination\Item;
use Periplus\Core\Composition\CheckServices;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Check\CheckResult;
use Periplus\Core\Flow\Mend\EditList;
use Periplus\Core\Flow\Mend\Mend;
use Periplus\Core\Flow\Mend\MendFinder;
use Periplus\Core\Flow\Mend\MendResult;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\FlowModel;
use Periplus\Core\Flow\Usage\Usage;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Medium;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

final class MendFinderTest extends TestCase
{
    use TestTrait;

    public function testASecondCrossIsMendedByASlipThatTurnsTheHips(): void
    {
        $mends = self::mends('1 2 2', 'boxing');

        self::assertSame('1 2 slip-rear 2', self::text($mends->ofVerdict[0]));
        self::assertSame('flows', $mends->ofVerdict[0]->verdict()->value);
        self::assertContains('1 2 3', array_map(self::text(...), $mends->ofVerdict));
        self::assertContains('1 2', array_map(self::text(...), $mends->ofVerdict));
    }

    #[TestWith(['1 slip-lead 2', '1 slip-lead +2'])]
    #[TestWith(['1 2 14l 14h', '1 2 14l ^14h'])]
    public function testAStrikeIsTiedToTheItemBeforeIt(string $chain, string $tied): void
    {
        self::assertContains($tied, array_map(self::text(...), self::mends($chain, 'all-limbs')->ofVerdict));
    }

    public function testNoMendTiesWhatNobodyThrowsSo(): void
    {
        $texts = array_map(self::text(...), self::mends('1 6 roll-rear 3', 'all-limbs')->ofVerdict);

        self::assertNotSame([], $texts);
        self::assertNotContains('1 6 roll-rear +3', $texts);
    }

    #[TestWith(['1 31', 'all-limbs', '1 step-in 31'])]
    #[TestWith(['31 14h', 'all-limbs', '31 push 14h'])]
    #[TestWith(['1 2 step-out 14l 31 exit', 'all-limbs', '1 2 step-out 14l step-in 31 exit'])]
    #[TestWith(['slip-rear 3', 'boxing', 'slip-rear slip-lead 3'])]
    public function testTheUsualMendComesFirst(string $chain, string $rules, string $mended): void
    {
        self::assertSame($mended, self::text(self::mends($chain, $rules)->ofVerdict[0]));
    }

    public function testFlowingChainNeedsNoMend(): void
    {
        self::assertSame([], self::mends('1 2 3 2', 'boxing')->ofVerdict);
    }

    public function testAFindingIsMendedByOneEdit(): void
    {
        $partner = new CheckOptions(BuiltInHouseRules::named('kickboxing'), medium: Medium::Partner);
        $result = Check::builtIn()->run(Chains::inStance('1 14l'), $partner);
        $mends = CheckServices::load()->mendFinder->mends($result, $partner);
        $byId = [];
        foreach ($result->findings as $place => $finding) {
            $byId[$finding->id] = array_map(self::text(...), $mends->ofFindings[$place] ?? []);
        }

        self::assertContains('1 step-out 14l', $byId['kick-on-line']);
        self::assertSame('1 14l exit', $byId['no-exit'][0]);
        self::assertSame(
            [],
            array_filter(
                $result->findings,
                static fn ($finding, $place): bool => Severity::Credit === $finding->severity
                    && isset($mends->ofFindings[$place]),
                \ARRAY_FILTER_USE_BOTH,
            ),
        );
    }

    /** Two kicks on the line: the mend of each comes before its own kick. */
    public function testAMendIsListedUnderTheFindingThatItMends(): void
    {
        $result = self::report('1 14l 2 13 exit', 'kickboxing');
        $options = new CheckOptions(BuiltInHouseRules::named('kickboxing'));
        $mends = CheckServices::load()->mendFinder->mends($result, $options);
        foreach ($result->findings as $place => $finding) {
            if ('kick-on-line' === $finding->id) {
                self::assertNotSame([], $mends->ofFindings[$place]);
                foreach ($mends->ofFindings[$place] as $mend) {
                    self::assertContains(
                        $mend->edits[0]->at,
                        [$finding->at, (int) $finding->at - 1],
                        self::text($mend),
                    );
                }
            }
        }
    }

    /** Every mend of a finding reduces it and makes no verdict worse. */
    public function testNoMendOfAFindingMakesItWorse(): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('kickboxing'));
        $this->limitTo(20)->forAll(Chains::any())->then(static function (Chain $chain) use ($options): void {
            $chain = Chain::of(self::valid(\array_slice($chain->items, 0, 5)));
            $result = Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), $options);
            // The same number of places may weigh less: three bands of range are a must, two a should.
            $weight = static fn (CheckResult $of, string $id): int => $of->weights()[$id] ?? 0;
            foreach (CheckServices::load()->mendFinder->mends($result, $options)->ofFindings as $place => $mends) {
                foreach ($mends as $mend) {
                    $after = Check::builtIn()->run(new ChainInStance($mend->chain, Stance::Orthodox), $options);
                    $id = $result->findings[$place]->id;
                    self::assertLessThan($weight($result, $id), $weight($after, $id));
                    self::assertLessThanOrEqual($result->verdict->rank(), $after->verdict->rank());
                }
            }
        });
    }

    /** The oracle: every single edit and every pair, each checked completely, without shortcuts. */
    public function testTheSearchFindsWhatPlainEnumerationFinds(): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'));
        $chains = array_map(Chains::read(...), [
            '2 2',
            'slip-rear 3',
            '1 31',
            '14 +1h',
            '2 +13l',
            '3 3b',
            '(3) 3 5',
            '14> 4',
            'exit 38b 34!',
            'block-lead 31~ +11!',
            '14_ 31',
        ]);
        $found = 0;
        foreach ($chains as $chain) {
            $result = Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), $options);
            $expected = self::plainly($result, $options);
            self::assertSame(
                $expected,
                array_map(self::text(...), CheckServices::load()->mendFinder->mends($result, $options)->ofVerdict),
            );
            $found += \count($expected);
        }
        self::assertGreaterThan(100, $found);
    }

    /** The same for chains of any kind, with three items, because plain enumeration is slow. */
    public function testTheSearchFindsWhatPlainEnumerationFindsInAnyShortChain(): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'));
        $this->limitTo(6)
            ->forAll(Generators::tuple(Chains::any(), Generators::choose(0, 50)))
            ->then(static function (array $given) use ($options): void {
                [$chain, $from] = $given;
                self::assertInstanceOf(Chain::class, $chain);
                self::assertIsInt($from);
                $chain = Chain::of(self::valid(\array_slice($chain->items, min($from, \count($chain) - 1), 3)));
                $result = Check::builtIn()->run(new ChainInStance($chain, Stance::Orthodox), $options);
                self::assertSame(
                    self::plainly($result, $options),
                    array_map(self::text(...), CheckServices::load()->mendFinder->mends($result, $options)->ofVerdict),
                );
            });
    }

    public function testLongChainsGetSingleEdits(): void
    {
        $mends = self::mends('1 2 3 2 1 2 3 2 1 2 3 2 2', 'boxing');

        self::assertFalse($mends->pairs);
        self::assertNotSame([], $mends->ofVerdict);
    }

    public function testOfManyAlikeOnlyTheBestAreShown(): void
    {
        $mends = self::mends('1 2 2', 'boxing')->ofVerdict;
        $shown = MendResult::different($mends, 6);

        self::assertCount(6, $shown);
        self::assertSame($mends[0], $shown[0]);
        $inserted = array_filter(
            $shown,
            static fn (Mend $mend): bool => 1 === \count($mend->edits)
                && EditKind::Insert === $mend->edits[0]->kind
                && 2 === $mend->edits[0]->at,
        );
        self::assertLessThanOrEqual(2, \count($inserted));
    }

    /** @return list<string> the mended chains, best first */
    private static function plainly(CheckResult $result, CheckOptions $options): array
    {
        $before = $result->verdict->rank();
        if (0 === $before) {
            return [];
        }
        $edits = (new EditList(Catalogue::builtIn()))->edits($result->inStance->chain);
        $alone = [];
        $mends = [];
        foreach ($edits as $index => $edit) {
            $mend = self::made($result, [$edit], $options);
            self::assertNotNull($mend);
            $alone[$index] = $mend->verdict()->rank();
            if ($mend->verdict()->rank() < $before) {
                $mends[] = $mend;
            }
        }
        // A strike that is newly tied to the item before it is an edit alone.
        $apart = array_filter(
            $edits,
            static fn (Edit $edit): bool => !MendFinder::ties($edit, $result->inStance->chain),
        );
        foreach ($apart as $index => $first) {
            foreach ($apart as $other => $second) {
                if (!$first->mayPrecede($second)) {
                    continue;
                }
                $mend = self::made($result, [$first, $second], $options);
                if (null !== $mend && $mend->verdict()->rank() < min($before, $alone[$index], $alone[$other])) {
                    $mends[] = $mend;
                }
            }
        }
        $seenFrom = (new FlowModel())->flowsUpTo($options->rules, $options->tempo);
        $places = MendFinder::places($result);
        $usage = Usage::shipped($options->rules->id);
        usort(
            $mends,
            static fn (Mend $a, Mend $b): int => $a->rank($seenFrom, $places, $usage)
                <=> $b->rank($seenFrom, $places, $usage),
        );

        return array_values(array_unique(array_map(self::text(...), $mends)));
    }

    /** @param list<Edit> $edits */
    private static function made(CheckResult $result, array $edits, CheckOptions $options): ?Mend
    {
        $items = Edit::apply($result->inStance->chain->items, $edits);
        if (!EditList::isValid($items)) {
            return null;
        }

        return new Mend(
            $edits,
            Chain::of($items),
            Check::builtIn()->run(new ChainInStance(Chain::of($items), $result->inStance->stance), $options),
        );
    }

    /**
     * @param list<Item> $items
     *
     * @return list<Item> without what is joined to nothing
     */
    private static function valid(array $items): array
    {
        while ([] !== $items && !EditList::isValid($items)) {
            array_shift($items);
        }

        return [] === $items ? Chains::read('2 2')->items : $items;
    }

    public function testALongChainWithManyPairsEndsByItsBudgetAndSaysSo(): void
    {
        $options = new CheckOptions(BuiltInHouseRules::named('all-limbs'), tempo: 1.6);
        $report = Check::builtIn()->run(Chains::inStance('2 2 5 5 switch 2 roll-rear 2b 3b 5 4 4'), $options);
        $mends = CheckServices::load()->mendFinder->mends($report, $options);

        self::assertFalse($mends->complete);
        self::assertNotSame([], $mends->ofVerdict, 'the best so far');
        self::assertSame(
            array_map(self::text(...), $mends->ofVerdict),
            array_map(self::text(...), CheckServices::load()->mendFinder->mends($report, $options)->ofVerdict),
            'counted in steps: the same every time',
        );
        self::assertTrue(self::mends('2 2 exit', 'boxing')->complete);
    }

    private static function mends(string $chain, string $rules): MendResult
    {
        return CheckServices::load()->mendFinder->mends(
            self::report($chain, $rules),
            new CheckOptions(BuiltInHouseRules::named($rules)),
        );
    }

    private static function report(string $chain, string $rules): CheckResult
    {
        return Check::builtIn()->run(Chains::inStance($chain), new CheckOptions(BuiltInHouseRules::named($rules)));
    }

    private static function text(Mend $mend): string
    {
        return (new Writer(Numbering::named('parity')))->write(new ChainInStance($mend->chain, Stance::Orthodox));
    }
}
