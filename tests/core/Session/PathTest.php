<?php

declare(strict_types=1);

namespace Periplus\Tests\Core\Session;

use Periplus\Core\Combination\Sequence;
use Periplus\Core\Session\Path\Known;
use Periplus\Core\Session\Path\PathFinder;
use Periplus\Core\Session\Path\Stage;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** The shortest path to a combination, with at most one new link or weapon a step. */
final class PathTest extends TestCase
{
    public function testWhatIsKnownIsTheGoalAlone(): void
    {
        self::assertSame(['1 2 3'], self::path(['1 2 3'], '1 2 3', ['1 2']));
    }

    public function testOneNewLinkNeedsNoStep(): void
    {
        self::assertSame(['1 2 3'], self::path(['1 2'], '1 2 3', ['1 2']));
    }

    public function testTwoNewLinksNeedOneStep(): void
    {
        self::assertSame(['1 2 3', '1 2 3 2'], self::path(['1 2'], '1 2 3 2', ['1 1 2', '1 2 3', '2 1 2']));
    }

    public function testADetourIsTakenWhereThereIsNoOtherWay(): void
    {
        // The link from cross to hook comes only together with the one from jab to jab.
        self::assertSame(['1 1 2', '1 1 2 3', '1 2 3 2'], self::path(['1 2'], '1 2 3 2', ['1 1 2', '1 1 2 3']));
    }

    public function testFromNothingAnyLinkIsAFirstStep(): void
    {
        self::assertSame(['1 2'], self::path([], '1 2', []));
        $library = ['5 6', '1 2', '1 2 3b', '1 2 6 3b'];
        self::assertSame(['1 2', '1 2 3b', '1 2 3b 4'], self::path([], '1 2 3b 4', $library));
        self::assertNull(self::path([], '1 2 3b 4', ['5 6', '1 2 6 3b']), 'the first link is in no pair');
    }

    public function testWithoutABridgeThereIsNoWay(): void
    {
        self::assertNull(self::path(['1 2'], '1 2 3 6 3', ['1 2 1']));
    }

    public function testAHundredStepsAreGivenUp(): void
    {
        $items = array_map(strval(...), [1, 2, 3, 4, 5, 6, 1, 3, 2, 4, 1, 5, 2, 6, 3]);
        $stages = [];
        for ($count = 2; $count < \count($items); ++$count) {
            $stages[] = implode(' ', \array_slice($items, 0, $count));
        }

        self::assertNull(self::path([], implode(' ', $items), $stages), 'longer than the longest way');
    }

    /** Compared with enumerating all sequences, shortest first, over small libraries. */
    #[DataProvider('seeds')]
    public function testTheWayIsAsShortAsPlainEnumerationFinds(int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        $chain = static fn (int $length): string => implode(
            ' ',
            array_map(static fn (): string => (string) $random->getInt(1, 4), range(1, $length)),
        );
        $known = 0 === $seed % 4
            ? new Known()
            : self::known(array_map(static fn (): string => $chain($random->getInt(2, 3)), range(1, 2)));
        $target = self::stage($chain($random->getInt(3, 5)));
        $stages = array_map(static fn (): Stage => self::stage($chain($random->getInt(2, 4))), range(1, 7));
        $path = (new PathFinder())->shortest($known, $target, $stages);
        $shortest = self::enumerated($known, $target, $stages);

        self::assertSame($shortest, null === $path ? null : \count($path));
        foreach ($path ?? [] as $step) {
            self::assertLessThanOrEqual(1, $step->isNew($known));
            $known = $known->and($step);
        }
    }

    /** @return iterable<int, array{int}> */
    public static function seeds(): iterable
    {
        for ($seed = 1; $seed <= 60; ++$seed) {
            yield $seed => [$seed];
        }
    }

    public function testMoreKnowledgeNeverMakesAStepNewer(): void
    {
        $random = new Randomizer(new Mt19937(3));
        $chain = static fn (): string => implode(
            ' ',
            array_map(static fn (): string => (string) $random->getInt(1, 6), range(1, 4)),
        );
        for ($time = 0; $time < 50; ++$time) {
            $known = self::known([$chain()]);
            $stage = self::stage($chain());

            self::assertLessThanOrEqual($stage->isNew($known), $stage->isNew($known->and(self::stage($chain()))));
        }
    }

    /** @param list<Stage> $stages */
    private static function enumerated(Known $known, Stage $target, array $stages): ?int
    {
        $level = [$known];
        for ($length = 1; $length <= \count($stages) + 1; ++$length) {
            $next = [];
            foreach ($level as $state) {
                if ($target->isNew($state) <= 1) {
                    return $length;
                }
                foreach ($stages as $stage) {
                    if ($stage->isNew($state) <= 1) {
                        $then = $state->and($stage);
                        $next[$then->key()] = $then;
                    }
                }
            }
            $level = array_values($next);
        }

        return null;
    }

    /**
     * @param list<string> $known
     * @param list<string> $stages
     *
     * @return list<string>|null
     */
    private static function path(array $known, string $target, array $stages): ?array
    {
        $path = (new PathFinder())->shortest(
            self::known($known),
            self::stage($target),
            array_map(self::stage(...), $stages),
        );

        return null === $path ? null : array_map(static fn (Stage $stage): string => $stage->name, $path);
    }

    /** @param list<string> $chains */
    private static function known(array $chains): Known
    {
        return array_reduce(
            $chains,
            static fn (Known $known, string $chain): Known => $known->and(self::stage($chain)),
            new Known(),
        );
    }

    private static function stage(string $chain): Stage
    {
        return Stage::of($chain, Sequence::of(Chains::read($chain)));
    }
}
