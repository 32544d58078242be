<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Periplus\App\Benchmark\GeneratedChains;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\Search\CombinationQuery;
use Periplus\App\Search\CriteriaCompiler;
use Periplus\App\Search\FoundPage;
use Periplus\App\Search\SearchRequest;
use Periplus\App\Similarity\SimilarCombinations;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Combination\Sequence;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Search\ItemsClause;
use Periplus\Core\Search\LengthClause;
use Periplus\Core\Search\SearchReader;
use Periplus\Core\Similarity\EditDistance;
use Periplus\Core\Similarity\Relation;
use Periplus\Core\Technique\Catalogue;
use Periplus\Core\Technique\Stance;
use Periplus\Tests\Core\Chains;
use PHPUnit\Framework\Attributes\TestWith;
use Symfony\Component\Cache\Adapter\NullAdapter;

/** Compares what the indices find with a scan of all combinations. */
final class CombinationQueryTest extends ApiTestCase
{
    private const MANY = 400;

    #[TestWith(['starts 1'])]
    #[TestWith(['starts kick'])]
    #[TestWith(['ends kick'])]
    #[TestWith(['ends 2 footwork'])]
    #[TestWith(['has 2 3'])]
    #[TestWith(['has 1 2 1'])]
    #[TestWith(['has lead hook body then rear kick'])]
    #[TestWith(['has hand hand hand, no kick'])]
    #[TestWith(['no footwork'])]
    #[TestWith(['length 3..4 starts 2'])]
    #[TestWith(['has 1, has 2, has 3'])]
    #[TestWith(['no switch no exit length 2'])]
    public function testSearchFindsTheSameAsLookingAtEveryCombination(string $text): void
    {
        $sequences = $this->fill();
        $clauses = (new SearchReader(Numbering::named('parity'), Catalogue::builtIn()))->read($text)->clauses;
        $wanted = array_keys(
            array_filter($sequences, static function (Sequence $sequence) use ($clauses): bool {
                foreach ($clauses as $clause) {
                    $holds = match (true) {
                        $clause instanceof ItemsClause => $clause->matches($sequence),
                        $clause instanceof LengthClause => \count($sequence->strikes()) >= $clause->least
                            && \count($sequence->strikes()) <= $clause->most,
                        default => throw new \LogicException($clause->says()),
                    };
                    if (!$holds) {
                        return false;
                    }
                }

                return true;
            }));
        $finder = self::service(CombinationQuery::class);
        $found = $finder->page($clauses, new SearchRequest(size: 100));
        [$page, $total] = [$found->ids, $found->total];

        self::assertNotSame(0, $total, 'The example finds something.');
        self::assertSame(\count($wanted), $total);
        self::assertSame($total, $finder->count($clauses, new SearchRequest()));
        self::assertEqualsCanonicalizing($wanted, $finder->all($clauses, new SearchRequest()));
        self::assertSame(\array_slice($finder->all($clauses, new SearchRequest()), 0, 100), $page);
    }

    /** Few hits are sorted, many are read along the index of the sort: both give the same pages. */
    #[TestWith(['', 'name', 'up'])]
    #[TestWith(['has 1', 'name', 'down'])]
    #[TestWith(['has 1', 'length', 'up'])]
    #[TestWith(['has 2 hand', 'level', 'down'])]
    #[TestWith(['harbour', 'name', 'up'])]
    #[TestWith(['harbour, length 2..6', 'length', 'down'])]
    #[TestWith(['flows', 'updated', 'down'])]
    #[TestWith(['flows no footwork or liver', 'updated', 'up'])]
    public function testPagesOfManyHitsAreThoseOfFew(string $text, string $sort, string $direction): void
    {
        $this->fill();
        $clauses = (new SearchReader(Numbering::named('parity'), Catalogue::builtIn()))->read($text)->clauses;
        [$connection, $criteria, $lock] = [
            self::service(Connection::class),
            self::service(CriteriaCompiler::class),
            self::service(LibraryLock::class),
        ];
        $sorting = new CombinationQuery(
            $connection,
            new CombinationTable($connection),
            $criteria,
            $lock,
            new NullAdapter(),
            \PHP_INT_MAX,
        );
        $walking = new CombinationQuery(
            connection: $connection,
            table: new CombinationTable($connection),
            criteria: $criteria,
            lock: $lock,
            foundCache: new NullAdapter(),
            few: 3,
            stretch: 7,
        );
        $list = static fn (int $page): SearchRequest => new SearchRequest(
            sort: $sort,
            direction: $direction,
            page: $page,
            size: 9,
        );
        $all = $sorting->all($clauses, $list(1));

        self::assertGreaterThan(9, \count($all), 'The example fills more than a page.');
        self::assertSame($all, $walking->all($clauses, $list(1)));
        foreach ([1, 2, intdiv(\count($all), 9) + 1, 100] as $page) {
            $wanted = new FoundPage(\array_slice($all, 9 * ($page - 1), 9), \count($all));
            self::assertEquals($wanted, $sorting->page($clauses, $list($page)));
            self::assertEquals($wanted, $walking->page($clauses, $list($page)));
        }
    }

    #[TestWith(['1 2 3'])]
    #[TestWith(['1 2'])]
    #[TestWith(['1 2 3 2 exit'])]
    #[TestWith(['2 3b 14l'])]
    #[TestWith(['6 3'])]
    public function testSimilarCombinationsEqualComparingWithEveryOther(string $text): void
    {
        $sequences = $this->fill();
        $asked = Sequence::of(Chains::read($text));
        $distance = EditDistance::builtIn();
        $wanted = array_filter(
            array_map(
                static fn (Sequence $other): ?Relation => Relation::between($asked, $other, $distance),
                $sequences,
            ),
        );
        $found = [];
        $similars = self::service(SimilarCombinations::class)->find(new ChainInStance(
            Chains::read($text),
            Stance::Orthodox,
        ));
        foreach ($similars as $similar) {
            if (Relation::Mirror !== $similar->relation) {
                $found[$similar->row->id] = $similar->relation;
            }
        }

        self::assertNotSame([], $found);
        self::assertEqualsCanonicalizing(
            array_map(static fn (Relation $relation): string => $relation->value, $wanted),
            array_map(static fn (Relation $relation): string => $relation->value, $found),
        );
        ksort($found);
        self::assertSame(array_keys($wanted), array_keys($found));
    }

    public function testDuplicatesAreFoundAcrossNumberingsAndStances(): void
    {
        $this->signIn('head');
        $id = $this->ask('POST', '/api/combinations', self::combination(['text' => '1 2 3b exit']))->id();
        $relations = fn (string $text, string $numbering, string $stance): array => array_column(
            (array) ((array) $this->ask('POST', '/api/check', [
                'text' => $text,
                'numbering' => $numbering,
                'stance' => $stance,
                'with' => ['similar'],
            ])->body['similar'])['matches'],
            'relation',
            'id',
        );

        self::assertSame([$id => 'same'], $relations('1 2 7 exit', 'body-pairs', 'orthodox'));
        self::assertSame([$id => 'same'], $relations('jab, cross, right hook body, exit', 'six', 'southpaw'));
        self::assertSame([$id => 'same'], $relations('1 2! 3b~ exit', 'parity', 'orthodox'), 'Effort aside.');
        self::assertSame(
            [$id => 'mirror'],
            $relations('2 1 4b exit', 'parity', 'southpaw'),
            'The same hands, thrown from the other stance.',
        );
        self::assertSame([$id => 'target-differs'], $relations('1 2 3 exit', 'parity', 'orthodox'));
        self::assertSame([$id => 'one-apart'], $relations('1 2 5b exit', 'parity', 'orthodox'));
        self::assertSame([$id => 'contained-in'], $relations('2 3b', 'parity', 'orthodox'));
        self::assertSame([$id => 'contains'], $relations('11 14 1 2 3b exit', 'parity', 'orthodox'));
        self::assertSame([], $relations('13 14', 'parity', 'orthodox'));
        self::assertSame([], $relations('zork', 'parity', 'orthodox'));
    }

    public function testFamilyHasAncestorsAndDescendants(): void
    {
        $this->signIn('head');
        $ids = [];
        foreach (['1 2 exit', '1 2 3 exit', '1 2 3 2 exit', '1 2 3 14l exit', '2 3 exit', '13 exit'] as $text) {
            $ids[$text] = $this->ask(
                'POST',
                '/api/combinations',
                self::combination(['name' => $text, 'text' => $text, 'rules' => 'all-limbs']),
            )->id();
        }
        $family = $this->ask('GET', '/api/combinations/'.$ids['1 2 3 exit'].'/family')->body;
        self::assertSame(['1 2 exit'], array_column((array) $family['ancestors'], 'name'));
        self::assertEqualsCanonicalizing(
            ['1 2 3 2 exit', '1 2 3 14l exit'],
            array_column((array) $family['descendants'], 'name'),
        );
        self::assertSame(
            [$ids['1 2 3 exit']],
            array_keys(array_column((array) $family['descendants'], 'name', 'parent')),
        );
        $whole = $this->ask('GET', '/api/combinations/'.$ids['1 2 exit'].'/family')->body;
        self::assertEqualsCanonicalizing(
            [$ids['1 2 exit'], $ids['1 2 3 exit'], $ids['1 2 3 exit']],
            array_column((array) $whole['descendants'], 'parent'),
        );

        $overview = $this->ask('GET', '/api/family')->body;
        self::assertSame(
            ['1 2 exit' => 3],
            array_column((array) $overview['roots'], 'members', 'name'),
        );
        self::assertSame(['13 exit', '2 3 exit'], array_column((array) $overview['orphans'], 'name'));
    }

    public function testAnEmptyResultSaysWhatIsToBlame(): void
    {
        $this->signIn('head');
        $this->ask('POST', '/api/combinations', self::combination(['level' => 3]));
        $body = $this->ask('GET', '/api/combinations?level=2&q=starts+1+ends+kick')->body;

        self::assertSame(0, $body['total']);
        self::assertSame(
            [
                ['text' => 'starts 1', 'total' => 0],
                ['text' => 'ends kick', 'total' => 0],
                ['text' => 'level 2', 'total' => 0],
            ],
            $body['without'],
        );
    }

    public function testASearchIsKeptUnderAName(): void
    {
        $this->signIn('coach');
        self::assertSame(
            204,
            $this->ask('POST', '/api/views', ['name' => 'Liver work', 'address' => 'q=liver', 'shared' => true])
                ->status,
        );
        self::assertSame(204, $this->ask('POST', '/api/views', ['name' => 'Mine', 'address' => 'q=starts+1'])->status);
        $this->signIn('other');
        $views = (array) $this->ask('GET', '/api/views')->body['views'];
        self::assertSame(['Liver work' => 'q=liver'], array_column($views, 'address', 'name'));
        $id = array_column($views, 'id')[0];
        self::assertIsInt($id);
        self::assertSame(404, $this->ask('DELETE', '/api/views/'.$id)->status, 'It is not theirs.');
        $this->signIn('coach');
        self::assertSame(204, $this->ask('DELETE', '/api/views/'.$id)->status);
        self::assertSame(422, $this->ask('POST', '/api/views', ['name' => '', 'address' => 'q=x'])->status);
    }

    /** @return array<int, Sequence> by id, in rising order */
    private function fill(): array
    {
        $connection = self::service(Connection::class);
        $user = $connection->fetchOne('SELECT id FROM user LIMIT 1');
        self::assertIsNumeric($user);
        self::service(GeneratedChains::class)->fill(self::MANY, 1, 5, (int) $user);
        $sequences = [];
        /** @var array{id: int|string, sequence: string} $row */
        foreach ($connection->fetchAllAssociative('SELECT id, sequence FROM combination ORDER BY id') as $row) {
            $sequences[(int) $row['id']] = Sequence::read($row['sequence']);
        }
        self::assertCount(self::MANY, $sequences);

        return $sequences;
    }
}
