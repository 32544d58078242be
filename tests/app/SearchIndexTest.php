<?php

declare(strict_types=1);

namespace Periplus\Tests\App;

use Doctrine\DBAL\Connection;
use Periplus\App\Combination\CheckSummary;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationIndices;
use Periplus\App\Combination\DraftReader;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use PHPUnit\Framework\Attributes\TestWith;

/** The search index follows every change of combinations. */
final class SearchIndexTest extends ApiTestCase
{
    private const CHAINS = [
        '1 2 3b exit',
        '2 2 exit',
        '1 14l exit',
        '14h',
        '1 2 3 2',
        '3 14h exit',
        '11 1 2',
        '1 31',
        '1 (3) 6 exit',
        'slip-rear 2 3 pivot-out',
        '1 +14h exit',
        '5 6 5 exit',
    ];

    /** @var list<int> what was made */
    private array $ids = [];

    /** After any writes in any order, the index equals one that is rebuilt. */
    #[TestWith([1])]
    #[TestWith([2])]
    #[TestWith([3])]
    public function testTheIndexAfterAnyWritesEqualsARebuiltOne(int $seed): void
    {
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        $this->signIn('head');
        $work = [
            function () use ($random): void {
                $made = $this->ask('POST', '/api/combinations', $this->content($random, \count($this->ids)));
                if (201 === $made->status) {
                    $this->ids[] = $made->id();
                }
            },
            fn () => $this->on($random, 'PUT', '', $this->content($random, 100)),
            fn () => $this->on($random, 'POST', '/archive'),
            fn () => $this->on($random, 'POST', '/restore'),
            fn () => $this->on($random, 'POST', '/versions/1/bring-back'),
            fn () => $this->import($random),
            fn () => $this->propose($random),
            fn () => $this->rules($random),
        ];
        for ($turn = 0; $turn < 6; ++$turn) {
            $work[0]();
        }
        for ($turn = 0; $turn < 24; ++$turn) {
            $work[$random->getInt(0, \count($work) - 1)]();
        }
        $kept = $this->kept();

        self::assertNotSame([], $kept['terms']);
        $inUse = array_column($kept['inUse'], 'id');
        self::assertSame(
            [],
            array_filter(
                $kept['terms'],
                static fn (array $term): bool => !\in_array($term['combination_id'], $inUse, true),
            ),
            'Nothing is kept of what is archived.',
        );
        $this->fillAnew();
        self::assertSame($kept, $this->kept());
    }

    public function testRefillRestoresLostAndWrongRows(): void
    {
        $this->signIn('head');
        foreach (self::CHAINS as $index => $chain) {
            self::assertSame(
                201,
                $this->ask(
                    'POST',
                    '/api/combinations',
                    self::combination(['name' => 'No. '.$index, 'text' => $chain, 'rules' => 'all-limbs']),
                )->status,
            );
        }
        $before = $this->kept();
        $connection = self::service(Connection::class);
        $connection->executeStatement('DELETE FROM index_term');
        $connection->executeStatement('UPDATE deletion_neighbour SET hash = REVERSE(hash)');
        $connection->executeStatement(
            "UPDATE combination SET sequence = 'x', stem = '', strikes = 0, contacts = '', weapons = ''",
        );
        self::assertNotSame($before, $this->kept());
        $this->fillAnew();

        self::assertSame($before, $this->kept());
    }

    /** @return array<string, mixed> */
    private function content(\Random\Randomizer $random, int $index): array
    {
        $chain = self::CHAINS[$random->getInt(0, \count(self::CHAINS) - 1)];

        return self::combination([
            'name' => 'Chain '.$index,
            'text' => $chain.str_repeat(' 2', $random->getInt(0, 3)),
            'rules' => ['boxing', 'kickboxing', 'all-limbs'][$random->getInt(0, 2)],
            'stance' => ['orthodox', 'southpaw'][$random->getInt(0, 1)],
            'themes' => \array_slice(['liver', 'low kick', 'angles'], 0, $random->getInt(0, 3)),
            'level' => $random->getInt(1, 3),
        ]);
    }

    /**
     * Refused requests change nothing; the others are applied.
     *
     * @param array<string, mixed>|null $body
     */
    private function on(\Random\Randomizer $random, string $method, string $path, ?array $body = null): void
    {
        $id = $this->ids[$random->getInt(0, \count($this->ids) - 1)];
        $this->ask($method, "/api/combinations/$id$path", $body, [
            'If-Match' => (string) $this->ask('GET', "/api/combinations/$id")->etag,
        ]);
    }

    private function import(\Random\Randomizer $random): void
    {
        $lines = [];
        for ($line = 0; $line < 5; ++$line) {
            $lines[] =
                self::CHAINS[$random->getInt(0, \count(self::CHAINS) - 1)]
                .str_repeat(' 1', $random->getInt(1, 4))
                .' # Line '
                .$random->getInt(0, 9);
        }
        $import = $this->ask('POST', '/api/imports', [
            'format' => 'text',
            'content' => implode("\n", $lines),
            'rules' => 'all-limbs',
        ]);
        while ('reading' === $import->body['state']) {
            $import = $this->ask('POST', '/api/imports/'.$import->id().'/advance');
        }
        $this->ask('POST', '/api/imports/'.$import->id().'/apply');
    }

    private function propose(\Random\Randomizer $random): void
    {
        $id = $this->ids[$random->getInt(0, \count($this->ids) - 1)];
        $version = $this->ask('GET', "/api/combinations/$id")->body['version'];
        $kind = ['new', 'change', 'retire'][$random->getInt(0, 2)];
        $this->signIn('coach');
        $proposal = $this->ask('POST', '/api/proposals', array_filter([
            'kind' => $kind,
            'combination' => 'new' === $kind ? null : $id,
            'basedOn' => 'new' === $kind ? null : $version,
            'content' => 'retire' === $kind ? null : $this->content($random, 200 + $random->getInt(0, 99)),
        ], static fn (mixed $value): bool => null !== $value));
        $this->signIn('head');
        if (201 === $proposal->status) {
            $this->ask(
                'POST',
                '/api/proposals/'.$proposal->id().'/approve',
                ['against' => 'new' === $kind ? null : $version],
                ['If-Match' => (string) $proposal->etag],
            );
        }
    }

    private function rules(\Random\Randomizer $random): void
    {
        $set = ['boxing', 'kickboxing', 'all-limbs'][$random->getInt(0, 2)];
        $sets = (array) $this->ask('GET', '/api/house-rules')->body['sets'];
        $now =
            array_values(
                array_filter($sets, static fn (mixed $one): bool => \is_array($one) && $one['id'] === $set),
            )[0] ?? null;
        self::assertIsArray($now);
        self::assertIsArray($now['severities']);
        $now['severities']['no-exit'] = ['hint', 'must'][$random->getInt(0, 1)];
        $preview = $this->ask('POST', "/api/house-rules/$set/rule-previews", [
            'schools' => $now['schools'],
            'severities' => $now['severities'],
            'thresholds' => $now['thresholds'],
        ]);
        while ('running' === $preview->body['state']) {
            $preview = $this->ask('POST', '/api/rule-previews/'.$preview->id().'/advance');
        }
        self::assertSame(200, $this->ask('POST', '/api/rule-previews/'.$preview->id().'/save')->status);
    }

    private function fillAnew(): void
    {
        [$drafts, $check, $rules] = [
            self::service(DraftReader::class),
            self::service(Check::class),
            self::service(GymHouseRules::class),
        ];
        self::service(CombinationIndices::class)->refill(
            static fn (CombinationContent $content): CheckSummary => CheckSummary::of(
                $check->run(
                    $drafts->fromContent($content)->inStance,
                    new CheckOptions($rules->locked($content->rules)),
                ),
            ),
        );
    }

    /**
     * @return array{
     *     terms: list<array<string, mixed>>,
     *     hashes: list<array<string, mixed>>,
     *     inUse: list<array<string, mixed>>,
     * }
     */
    private function kept(): array
    {
        $connection = self::service(Connection::class);

        return [
            'terms' => $connection->fetchAllAssociative(
                'SELECT combination_id, term FROM index_term ORDER BY combination_id, term',
            ),
            'hashes' => $connection->fetchAllAssociative(
                'SELECT combination_id, HEX(hash) AS hash FROM deletion_neighbour ORDER BY combination_id, hash',
            ),
            'inUse' => $connection->fetchAllAssociative(
                'SELECT id, HEX(sequence) AS sequence, HEX(stem) AS stem, strikes, contacts, weapons '
                    .'FROM combination WHERE archived_at IS NULL ORDER BY id',
            ),
        ];
    }
}
