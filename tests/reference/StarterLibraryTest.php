<?php

declare(strict_types=1);

namespace Periplus\Tests\Reference;

use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\Flow\Timing\Verdict;
use Periplus\Core\HouseRules\Severity;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Periplus\Core\Notation\Writer;
use Periplus\Core\Technique\Data;
use Periplus\Core\Technique\Stance;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Combinations that most coaches teach (common practice, no source): the check has to accept each of them. */
final class StarterLibraryTest extends TestCase
{
    /** @return iterable<string, array{string, string}> chain and house rules, its own and all wider ones */
    public static function chains(): iterable
    {
        $ids = BuiltInHouseRules::ids();
        foreach (self::rows() as $row) {
            foreach (\array_slice($ids, (int) array_search($row['rules'], $ids, true)) as $rules) {
                yield $row['name'].', '.$rules => [$row['chain'], $rules];
            }
        }
    }

    #[DataProvider('chains')]
    public function testItFlowsWithNothingWorthFixing(string $text, string $rules): void
    {
        $chain = Reader::builtIn()->read($text, Numbering::named('parity'), Stance::Orthodox)->chain;
        self::assertNotNull($chain);
        $result = Check::builtIn()->run(
            new ChainInStance($chain, Stance::Orthodox),
            new CheckOptions(BuiltInHouseRules::named($rules)),
        );
        $worse = array_filter(
            $result->findings,
            static fn ($finding): bool => \in_array($finding->severity, [Severity::Must, Severity::Should], true),
        );

        self::assertSame([Verdict::Flows, []], [$result->verdict, $worse]);
        self::assertSame(
            $text,
            (new Writer(Numbering::named('parity')))->write($result->inStance),
            'It is written as it is stored.',
        );
    }

    public function testNoChainAndNoNameComesTwice(): void
    {
        $rows = self::rows();
        $prints = array_map(
            static fn (array $row): string => Fingerprint::of(Reader::builtIn()->read(
                $row['chain'],
                Numbering::named('parity'),
                Stance::Orthodox,
            )->chain ?? throw new \LogicException($row['chain']))->withEffort,
            $rows,
        );

        self::assertGreaterThanOrEqual(80, \count($rows));
        self::assertCount(\count($rows), array_unique($prints));
        self::assertCount(\count($rows), array_unique(array_map(mb_strtolower(...), array_column($rows, 'name'))));
    }

    /** @return list<array{name: string, chain: string, rules: string}> */
    private static function rows(): array
    {
        /** @var list<array{name: string, chain: string, rules: string}> $rows */
        $rows = Data::read('starter-library')['combinations'];

        return $rows;
    }
}
