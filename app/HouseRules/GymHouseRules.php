<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Doctrine\DBAL\Connection;
use Periplus\App\Http\LastKnown;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;

/** The house rules as this gym keeps them: the built-in sets until the head coach has changed one. */
final class GymHouseRules
{
    private const COPY = 'house-rules.';
    /** s */
    private const FRESH = 2;

    /** @var array<string, HouseRules> what was read during this request */
    private array $read = [];

    public function __construct(private readonly Connection $connection, private readonly LastKnown $lastKnown)
    {
    }

    /**
     * While the database is away a coach goes on under the rules that were read last.
     *
     * @throws \OutOfBoundsException when there is no such set
     */
    public function named(string $id): HouseRules
    {
        return $this->read[$id] ??= $this->set($id, $this->content($id));
    }

    /**
     * The set, held until the end of the transaction: no other may be saved meanwhile, so that nothing is stored under
     * rules that are gone by then.
     */
    public function locked(string $id): HouseRules
    {
        return $this->set($id, $this->connection->fetchOne('SELECT content FROM house_rules WHERE id = ? LOCK IN SHARE MODE', [$id]));
    }

    /** @return array<string, array{HouseRules, int, bool}> by id: the set, its version, and whether it is as it came */
    public function all(): array
    {
        /** @var array<string, array{content: string|null, version: int|string}> $rows */
        $rows = $this->connection->fetchAllAssociativeIndexed('SELECT id, content, version FROM house_rules');
        $sets = [];
        foreach (BuiltInHouseRules::ids() as $id) {
            $row = $rows[$id] ?? ['content' => null, 'version' => 1];
            $sets[$id] = [$this->set($id, $row['content']), (int) $row['version'], null === $row['content']];
        }

        return $sets;
    }

    /** The version, for a change that names it; with the lock the set waits for nobody else until the transaction ends. */
    public function version(string $id, bool $lock = false): int
    {
        /** @var int|string|false $version */
        $version = $this->connection->fetchOne('SELECT version FROM house_rules WHERE id = ?'.($lock ? ' FOR UPDATE' : ''), [$id]);

        return (int) $version;
    }

    public function store(HouseRules $rules, int $editor, \DateTimeImmutable $now): void
    {
        // What equals the built-in set is not kept as a change of it.
        $content = $rules->toArray() === BuiltInHouseRules::named($rules->id)->toArray() ? null : json_encode($rules->toArray(), \JSON_THROW_ON_ERROR | \JSON_PRESERVE_ZERO_FRACTION);
        $this->connection->executeStatement('UPDATE house_rules SET content = ?, version = version + 1, editor_id = ?, updated_at = ? WHERE id = ?', [$content, $editor, $now->format('Y-m-d H:i:s'), $rules->id]);
    }

    /** A coach who types asks for it many times a second. */
    private function content(string $id): mixed
    {
        return $this->lastKnown->read(self::COPY.$id, self::FRESH, fn (): mixed => $this->connection->fetchOne('SELECT content FROM house_rules WHERE id = ?', [$id]));
    }

    /** Once changed rules are in place, nobody goes on with what was read before. */
    public function forget(): void
    {
        $this->read = [];
        foreach (BuiltInHouseRules::ids() as $id) {
            $this->lastKnown->forget(self::COPY.$id);
        }
    }

    private function set(string $id, mixed $content): HouseRules
    {
        $builtIn = BuiltInHouseRules::named($id);
        if (!\is_string($content)) {
            return $builtIn;
        }
        $row = json_decode($content, true, flags: \JSON_THROW_ON_ERROR);
        if (!\is_array($row)) {
            return $builtIn;
        }
        // A rule or a school that came later than this set has the built-in answer.
        /** @var array{id: string, name: string, allows: list<string>, schools: array{leadHook: string, handSide: string, handTiming: string, ending: string, hardStrikes: string, jabStep?: string}, severities: array<string, string>, thresholds: array<string, int|float>, calibration?: array<string, int|float>} $whole */
        $whole = array_replace_recursive($builtIn->toArray(), $row);

        return HouseRules::of([...$whole, 'allows' => $builtIn->toArray()['allows']]);
    }
}
