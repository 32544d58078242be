<?php

declare(strict_types=1);

namespace Periplus\Tests\Architecture;

use PhpParser\Node\Arg;
use PhpParser\Node\Expr\New_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;

/** Rules for the structure of the code; PHPStan checks the dependencies themselves. */
final class ArchitectureTest extends TestCase
{
    public function testNoFolderKnowsItselfByWayOfOthers(): void
    {
        foreach (array_keys(DependencyTest::MAY_KNOW) as $folder) {
            self::assertNotContains($folder, self::reached($folder, []), $folder);
        }
    }

    public function testEveryFolderOfCodeHasItsDirections(): void
    {
        $folders = [];
        foreach (['Core' => 'core', 'App' => 'app'] as $name => $root) {
            foreach (self::files($root) as $file => $code) {
                $folder = \dirname($file);
                // Configuration and entry points are not code folders.
                if ('.' !== $folder && 1 !== preg_match('~^(config|public|Print/fonts)~', $folder)) {
                    $folders[$name.'\\'.strtr($folder, '/', '\\')] = true;
                }
            }
        }
        ksort($folders);
        $named = array_fill_keys(array_keys(DependencyTest::MAY_KNOW), true);
        ksort($named);

        self::assertSame($named, $folders);
    }

    public function testEveryAllowedDependencyIsUsed(): void
    {
        $used = [];
        foreach (['Core' => 'core', 'App' => 'app'] as $name => $root) {
            foreach (self::files($root) as $file => $code) {
                $folder = $name.'\\'.strtr(\dirname($file), '/', '\\');
                preg_match_all('~\bPeriplus\\\\((?:Core|App)\\\\[\w\\\\]+)\\\\\w+~', $code, $found);
                foreach ($found[1] as $known) {
                    $used[$folder][$known] = true;
                }
            }
        }
        $unused = [];
        foreach (DependencyTest::MAY_KNOW as $folder => $known) {
            foreach ($known as $other) {
                if (!isset($used[$folder][$other])) {
                    $unused[] = "$folder does not use $other";
                }
            }
        }

        self::assertSame([], $unused);
    }

    /** Each table is accessed by one folder; others use its classes. */
    #[TestWith(['combination', 'Combination'])]
    #[TestWith(['combination_version', 'Combination'])]
    #[TestWith(['index_term', 'Search'])]
    #[TestWith(['deletion_neighbour', 'Similarity'])]
    #[TestWith(['rule_preview_result', 'RulePreview'])]
    #[TestWith(['audit_log', 'Audit'])]
    #[TestWith(['numbering', 'Numbering'])]
    #[TestWith(['house_rules', 'HouseRules'])]
    #[TestWith(['import_line', 'Exchange'])]
    #[TestWith(['saved_view', 'Search'])]
    #[TestWith(['invitation', 'Account'])]
    #[TestWith(['course', 'Course'])]
    #[TestWith(['plan_version', 'Plan'])]
    #[TestWith(['run_command', 'Run'])]
    #[TestWith(['run_shown', 'Run'])]
    #[TestWith(['run_programme', 'Run'])]
    #[TestWith(['wall_run', 'Wall'])]
    #[TestWith(['recorded_clip', 'Voice'])]
    #[TestWith(['advice', 'Advice'])]
    #[TestWith(['passed_over_words', 'Words'])]
    #[TestWith(['log_entry', 'Logbook'])]
    #[TestWith(['log_drilled', 'Logbook'])]
    #[TestWith(['log_combination', 'Logbook'])]
    #[TestWith(['log_fallen_link', 'Logbook'])]
    #[TestWith(['log_week', 'Logbook'])]
    #[TestWith(['measurement', 'Measure'])]
    #[TestWith(['athlete_card', 'Card'])]
    public function testATableIsAskedInItsFolderAlone(string $table, string $folder): void
    {
        $pattern = "~\\b(FROM|JOIN|INTO|UPDATE)\\s+`?$table`?\\b|"
            ."(insert|update|delete)\\('$table'|name: '$table'~";
        $asked = [];
        foreach (self::files('app') as $file => $code) {
            if (!str_starts_with($file, 'Migrations/') && preg_match($pattern, $code) > 0) {
                $asked[\dirname($file)] = true;
            }
        }

        self::assertSame([$folder], array_keys($asked));
    }

    /** The classes with hand-written SQL and the reasons; all others use Doctrine. */
    private const SQL = [
        'Account/Accounts.php' => 'stands before every route, also before those that need nothing else of the mapper',
        'Combination/BulkInserter.php' => 'the versions of an import, hundreds in one statement',
        'Combination/ChainTable.php' => 'compares sequences byte by byte, along an index that it names',
        'Combination/CombinationTable.php' => 'takes the conditions of a search, writes imports and rechecks',
        'Exchange/ImportLines.php' => 'the entries of an import, hundreds in one statement',
        'Logbook/DueList.php' => 'sums over years',
        'Logbook/LogTotals.php' => 'sums over years',
        'Logbook/LogbookFill.php' => 'makes ten years of data for measurements',
        'Maintenance/StatusController.php' => 'asks the database for its own version and size',
        'RulePreview/PreviewResults.php' => 'the results of a recheck, hundreds in one statement',
        'Search/CombinationQuery.php' => 'joins what a search was compiled into',
        'Search/SearchIndex.php' => 'the index of terms, thousands in one statement',
        'Similarity/NeighbourIndex.php' => 'the index of neighbours, thousands in one statement',
    ];

    private const BY_HAND =
        '~Doctrine\\\\DBAL\\\\Connection\b|getConnection\(\)\s*->(fetch|execute|insert|update|delete)~';

    public function testSqlIsWrittenByHandWhereThereIsAReason(): void
    {
        $named = [];
        foreach (self::files('app') as $file => $code) {
            if (preg_match(self::BY_HAND, $code) > 0) {
                $named[] = $file;
            }
        }
        sort($named);

        self::assertSame(array_keys(self::SQL), $named);
        self::assertLessThanOrEqual(15, \count($named));
    }

    /**
     * The classes that lock rows, and what each transaction with such a lock writes: a lock holds on one node of a
     * cluster only, and of two nodes that write the same row one is refused.
     */
    private const LOCKS = [
        'Account/Invitations.php' => 'the link, which is used up',
        'HouseRules/GymHouseRules.php' => 'the row of the library lock, as does whoever changes the rules',
        'RulePreview/RulePreviews.php' => 'the preview, which has got further or is accepted',
        'Run/Runs.php' => 'the run, or cues that exist once',
        'Store/Versions.php' => 'the entity, whose version goes up',
    ];

    public function testWhoLocksARowWritesOneThatAllNodesOfAClusterSee(): void
    {
        $named = [];
        foreach (self::files('app') as $file => $code) {
            if (str_contains($code, 'LockMode::PESSIMISTIC')) {
                $named[] = $file;
            }
            self::assertDoesNotMatchRegularExpression('~GET_LOCK|LOCK TABLES|FOR UPDATE~', $code, $file);
        }
        sort($named);

        self::assertSame(array_keys(self::LOCKS), $named);
    }

    /** Files with lines that cannot be broken, and why. */
    private const WIDE = [
        'app/Exchange/JsonPlace.php' => 'a regular expression',
        'app/Http/PlainText.php' => 'a regular expression',
        'tests/app/RefusalsTest.php' => 'a request as a client sends it',
    ];

    #[TestWith(['core'])]
    #[TestWith(['app'])]
    #[TestWith(['tests'])]
    public function testLinesHaveAtMost120Characters(string $root): void
    {
        $wide = [];
        foreach (self::files($root) as $file => $code) {
            // Landed migrations are never edited, and the fonts are generated.
            if (
                str_starts_with($file, 'Migrations/')
                || str_contains($file, '/fonts/')
                || isset(self::WIDE["$root/$file"])
            ) {
                continue;
            }
            foreach (explode("\n", $code) as $index => $line) {
                if (mb_strlen($line) > 120) {
                    $wide[] = \sprintf('%s/%s:%d', $root, $file, $index + 1);
                }
            }
        }

        self::assertSame([], $wide);
    }

    /** Nobody remembers what the seventh argument is: from there on each is named. */
    #[TestWith(['core'])]
    #[TestWith(['app'])]
    #[TestWith(['tests'])]
    public function testWhatIsMadeWithMoreThanSixArgumentsNamesThem(string $root): void
    {
        $parser = (new ParserFactory())->createForHostVersion();
        $unnamed = [];
        foreach (self::files($root) as $file => $code) {
            /** @var list<New_> $created */
            $created = (new NodeFinder())->findInstanceOf($parser->parse($code) ?? [], New_::class);
            foreach ($created as $new) {
                $positional = array_filter(
                    $new->getArgs(),
                    static fn (Arg $argument): bool => null === $argument->name && !$argument->unpack,
                );
                if (\count($new->getArgs()) > 6 && [] !== $positional) {
                    $unnamed[] = \sprintf('%s/%s:%d', $root, $file, $new->getStartLine());
                }
            }
        }

        self::assertSame([], $unnamed);
    }

    #[TestWith(['core'])]
    #[TestWith(['app'])]
    public function testAMethodNamedOfIsAConstructor(string $root): void
    {
        foreach (self::files($root) as $file => $code) {
            self::assertDoesNotMatchRegularExpression('~(?<!static )function of\(~', $code, $file);
        }
    }

    public function testTheStoreKnowsNoHttp(): void
    {
        foreach (self::files('app') as $file => $code) {
            if (str_contains($code, 'ServiceEntityRepository') || str_contains($code, '#[ORM\\Entity')) {
                self::assertDoesNotMatchRegularExpression(
                    '~\b(ApiProblem|JsonResponse|Symfony\\\\Component\\\\HttpFoundation)\b~',
                    $code,
                    $file,
                );
            }
        }
    }

    /** @return iterable<string, string> code by file, as seen from the folder */
    private static function files(string $root): iterable
    {
        $top = __DIR__.'/../../'.$root;
        $tree = new \RecursiveDirectoryIterator($top, \FilesystemIterator::SKIP_DOTS);
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator($tree) as $file) {
            // Symfony writes the reference of its configuration in the dev environment.
            if ('php' === $file->getExtension() && 'reference.php' !== $file->getFilename()) {
                $path = $file->getPathname();
                yield substr($path, \strlen($top) + 1) => (string) file_get_contents($path);
            }
        }
    }

    /**
     * @param list<string> $seen
     *
     * @return list<string> all folders that it knows, directly or not
     */
    private static function reached(string $folder, array $seen): array
    {
        foreach (DependencyTest::MAY_KNOW[$folder] ?? [] as $known) {
            if (!\in_array($known, $seen, true)) {
                $seen = self::reached($known, [...$seen, $known]);
            }
        }

        return $seen;
    }
}
