<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Doctrine\DBAL\Connection;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Http\ApiProblem;
use Periplus\Core\Combination\ChainInStance;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Measure\Contacts;
use Periplus\Core\Measure\Measurement;
use Periplus\Core\Notation\Numbering;
use Periplus\Core\Notation\Reader;
use Psr\Clock\ClockInterface;

/**
 * What was measured of combinations as athletes threw them: one athlete each, who is not named. Nobody else asks the table.
 *
 * @phpstan-type KeptLink array{from: int, to: int, computed: float, median: float|null, spread: float|null, count: int, verdict: string, says: string}
 * @phpstan-type Kept array{id: int, combination: int, method: string, pace: float, links: list<KeptLink>, taps: list<float>, coach: string, createdAt: string, removed: bool}
 */
final readonly class Measurements implements HasQuota
{
    private const LIMIT = 50_000;

    public function __construct(private Connection $connection, private CombinationTable $combinations, private GymHouseRules $rules, private Check $check, private Reader $reader, private AuditLog $audit, private ClockInterface $clock)
    {
    }

    /** @throws ApiProblem when it cannot be measured */
    public function measure(int $combination, MeasureRequest $request): Measurement
    {
        return $this->of($this->summary($combination), $request);
    }

    public function quota(): Quota
    {
        /** @var int|string $count */
        $count = $this->connection->fetchOne('SELECT COUNT(*) FROM measurement');

        return new Quota('measurements', (int) $count, self::LIMIT);
    }

    /** Keeps it; the same id sent again is kept once. */
    public function keep(int $combination, MeasureRequest $request, User $coach): int
    {
        $this->quota()->require();
        $summary = $this->summary($combination);
        $measured = $this->of($summary, $request)->toArray();
        $this->connection->transactional(function () use ($summary, $request, $measured, $coach): void {
            $new = $this->connection->executeStatement('INSERT IGNORE INTO measurement (measurement_key, combination_id, notation, stance, method, taps, pace, links, coach_id, created_at) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?)', [$request->id, $summary->id, $summary->content->notation, $summary->content->stance->value, $request->method, json_encode($measured['taps'], \JSON_THROW_ON_ERROR), $measured['pace'], json_encode($measured['links'], \JSON_THROW_ON_ERROR), $coach->id(), $this->clock->now()->format('Y-m-d H:i:s')]);
            if (1 === $new) {
                $this->audit->add($coach->id(), 'measurement.kept', \sprintf('measured “%s”', $summary->content->name), 'combinations/'.$summary->id);
            }
        });
        /** @var int|string $id */
        $id = $this->connection->fetchOne('SELECT id FROM measurement WHERE measurement_key = ?', [$request->id]);

        return (int) $id;
    }

    public function remove(int $id, User $coach, bool $removed = true): void
    {
        $combination = $this->connection->fetchOne('SELECT combination_id FROM measurement WHERE id = ?', [$id]);
        if (!is_numeric($combination)) {
            throw new ApiProblem(404, 'not-found', 'There is no such measurement.');
        }
        $this->connection->update('measurement', ['removed_at' => $removed ? $this->clock->now()->format('Y-m-d H:i:s') : null], ['id' => $id]);
        $this->audit->add($coach->id(), 'measurement.removed', $removed ? 'took a measurement away' : 'put a measurement back', 'combinations/'.(int) $combination);
    }

    /** @return list<Kept> of that combination as it is now, the newest first */
    public function kept(int $combination): array
    {
        $summary = $this->summary($combination);

        return $this->select('m.combination_id = ? AND m.notation = ? AND m.removed_at IS NULL ORDER BY m.id DESC LIMIT 200', [$combination, $summary->content->notation]);
    }

    /**
     * All of chains that are in the library as they were measured.
     *
     * @return array<int, list<Kept>> by the id of the combination
     */
    public function all(): array
    {
        $kept = [];
        foreach ($this->select('m.removed_at IS NULL ORDER BY m.id DESC LIMIT 2000', []) as $one) {
            $kept[$one['combination']][] = $one;
        }

        return $kept;
    }

    private function of(CombinationSummary $summary, MeasureRequest $request): Measurement
    {
        $chain = $this->reader->read($summary->content->notation, Numbering::named('parity'), $summary->content->stance)->chain ?? throw new ApiProblem(409, 'not-now', 'This chain cannot be read.');
        $result = $this->check->run(new ChainInStance($chain, $summary->content->stance), new CheckOptions($this->rules->named($summary->content->rules)));
        try {
            return Measurement::of(array_map(floatval(...), $request->taps), Contacts::of($result->timing));
        } catch (\DomainException $impossible) {
            throw new ApiProblem(422, 'invalid', $impossible->getMessage(), ['violations' => [['field' => 'taps', 'message' => $impossible->getMessage()]]]);
        }
    }

    private function summary(int $id): CombinationSummary
    {
        return $this->combinations->summaries([$id])[0] ?? throw new ApiProblem(404, 'not-found', 'There is no such combination.');
    }

    /**
     * @param list<mixed> $values
     *
     * @return list<Kept>
     */
    private function select(string $where, array $values): array
    {
        /** @var list<array{id: int|string, combination_id: int|string, method: string, pace: float|string, links: string, taps: string, coach: string, created_at: string, removed_at: string|null}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT m.id, m.combination_id, m.method, m.pace, m.links, m.taps, u.name AS coach, m.created_at, m.removed_at FROM measurement m JOIN user u ON u.id = m.coach_id WHERE '.$where, $values);

        return array_map(static function (array $row): array {
            /** @var list<KeptLink> $links */
            $links = json_decode($row['links'], true, flags: \JSON_THROW_ON_ERROR);
            /** @var list<float> $taps */
            $taps = json_decode($row['taps'], true, flags: \JSON_THROW_ON_ERROR);

            return ['id' => (int) $row['id'], 'combination' => (int) $row['combination_id'], 'method' => $row['method'], 'pace' => (float) $row['pace'], 'links' => $links, 'taps' => $taps, 'coach' => $row['coach'], 'createdAt' => (new \DateTimeImmutable($row['created_at'], new \DateTimeZone('UTC')))->format(\DATE_ATOM), 'removed' => null !== $row['removed_at']];
        }, $rows);
    }
}
