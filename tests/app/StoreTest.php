<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Security\GymRole;
use Periplus\App\Store\Once;
use Symfony\Component\Process\Process;

/** The tables match the entities, and a long list needs as many queries as a short one. */
final class StoreTest extends ApiTestCase
{
    /** In a process of its own, because reading the schema would end the transaction of the test. */
    public function testEveryTableIsAsItsEntitySaysAndNoMigrationIsMissing(): void
    {
        $migrations = glob(__DIR__.'/../../app/Migrations/*.php');

        self::assertSame('', self::console('doctrine:schema:validate', '--quiet'));
        self::assertStringContainsString(
            'No changes detected',
            self::console('doctrine:migrations:diff', '--allow-empty-diff'),
        );
        self::assertSame($migrations, glob(__DIR__.'/../../app/Migrations/*.php'));
    }

    public function testEveryTableHasAnEntity(): void
    {
        $entities = array_map(
            static fn ($entity): string => $entity->getTableName(),
            self::service(EntityManagerInterface::class)->getMetadataFactory()->getAllMetadata(),
        );
        // A join table, and tables of framework components.
        $others = ['wall_run', 'session', 'doctrine_migration_versions'];

        self::assertEqualsCanonicalizing(
            [...$entities, ...$others],
            self::service(Connection::class)->fetchFirstColumn('SHOW TABLES'),
        );
    }

    /** No list runs a query for each row. */
    public function testALongListIsReadWithAsManyQueriesAsAShortOne(): void
    {
        $this->signIn('head');
        $course = $this->ask('POST', '/api/courses', ['name' => 'Tuesday'])->id();
        $first = $this->more(0, $course);
        $before = $this->counts($first);
        for ($index = 1; $index <= 4; ++$index) {
            $this->more($index, $course);
        }
        $this->signIn('head');

        self::assertSame($before, $this->counts($first));
        self::assertLessThan(20, max(0, ...array_values($before)), 'No list asks so often.');
    }

    public function testWhatComesInTwiceAtTheSameMomentIsStoredOnce(): void
    {
        $accounts = self::service(Accounts::class);
        $entities = self::service(EntityManagerInterface::class);
        $asked = 0;
        // The second request reads before the first one has stored.
        $find = static function () use (&$asked, $accounts): ?User {
            return 0 === $asked++ ? null : $accounts->withEmail('head@gym.example');
        };
        $stored = self::service(Once::class)->store($find, static function () use ($entities): User {
            $entities->persist($twice = new User('head@gym.example', 'Twice', GymRole::Coach));
            $entities->flush();

            return $twice;
        });

        self::assertSame(['Head Coach', 2], [$stored->name(), $asked]);
        self::assertTrue($entities->isOpen(), 'What follows can be stored.');
    }

    /**
     * Creates one more of everything that is listed.
     *
     * @return array{combination: int, plan: int, import: int}
     */
    private function more(int $index, int $course): array
    {
        // By two coaches, so that loading the coach for each row would be noticed.
        $this->signIn(0 === $index % 2 ? 'head' : 'second');
        $combination = $this->ask(
            'POST',
            '/api/combinations',
            self::combination(['name' => 'Number '.$index, 'text' => str_repeat('1 ', 1 + $index).'2']),
        )->id();
        $this->ask(
            'PUT',
            '/api/combinations/'.$combination,
            self::combination(['name' => 'Number '.$index, 'text' => str_repeat('1 ', 1 + $index).'2 3']),
            ['If-Match' => '"1"'],
        );
        $plan = $this->ask(
            'POST',
            '/api/plans',
            [
                'name' => 'Plan '.$index,
                'content' => PlanTest::content(),
                'course' => $course,
                'startsAt' => '2026-11-0'.(1 + $index).'T18:30',
            ],
        )->id();
        $this->ask('POST', '/api/walls', ['name' => 'Wall '.$index]);
        $this->ask('POST', '/api/cards', ['name' => 'Card '.$index, 'combinations' => [$combination]]);
        $this->ask('POST', '/api/views', ['name' => 'View '.$index, 'address' => 'q=liver']);
        $this->ask('POST', '/api/invitations', ['role' => 'coach']);
        $this->ask(
            'POST',
            '/api/proposals',
            [
                'kind' => 'new',
                'content' => self::combination(['name' => 'Idea '.$index, 'text' => str_repeat('2 ', 2 + $index).'3']),
                'remark' => 'Look.',
            ],
        );
        $this->ask('POST', '/api/runs', ['id' => 'start-000'.$index, 'timer' => ['rounds' => 2]]);
        $this->ask(
            'POST',
            '/api/logbook/entries',
            [
                'id' => 'entry-000'.$index,
                'day' => '2026-11-0'.(1 + $index),
                'course' => $course,
                'combinations' => [['combination' => $combination, 'minutes' => 5]],
            ],
        );
        $import = $this->ask(
            'POST',
            '/api/imports',
            ['format' => 'text', 'content' => str_repeat("1 2 3 2 # A\n", 1 + $index)],
        )->id();
        $this->ask('POST', "/api/imports/$import/advance");

        return ['combination' => $combination, 'plan' => $plan, 'import' => $import];
    }

    /**
     * @param array{combination: int, plan: int, import: int} $of
     *
     * @return array<string, int> queries by address
     */
    private function counts(array $of): array
    {
        $counts = [];
        foreach ([
            '/api/combinations',
            '/api/plans',
            '/api/courses',
            '/api/walls',
            '/api/cards',
            '/api/views',
            '/api/invitations',
            '/api/coaches',
            '/api/proposals',
            '/api/runs',
            '/api/logbook/entries',
            '/api/audit-log',
            '/api/reports/drilled',
            '/api/numberings',
            '/api/house-rules',
            '/api/combinations/'.$of['combination'].'/versions',
            '/api/plans/'.$of['plan'].'/versions',
        ] as $path) {
            // Requested once before, so that caches do not change the count.
            $this->ask('GET', $path);
            $before = $this->questions();
            self::assertSame(200, $this->ask('GET', $path)->status, $path);
            $counts[strtr(
                $path,
                [(string) $of['combination'] => '1', (string) $of['plan'] => '1'],
            )] = $this->questions() - $before - 1;
        }

        return $counts;
    }

    private static function console(string ...$arguments): string
    {
        $process = new Process(
            [\PHP_BINARY, __DIR__.'/../../app/Console/main.php', ...$arguments, '--no-interaction'],
            env: ['APP_DEBUG' => '0'],
        );
        $process->run();

        return $process->getOutput().(0 === $process->getExitCode() ? '' : $process->getErrorOutput());
    }

    /** Returns the number of statements of this connection, as counted by the database. */
    private function questions(): int
    {
        $row = self::service(Connection::class)->fetchNumeric("SHOW SESSION STATUS LIKE 'Questions'");

        return false !== $row && is_numeric($row[1]) ? (int) $row[1] : 0;
    }
}
