<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\ORM\QueryBuilder;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\Combination;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Once;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\Measure\Contacts;
use Periplus\Core\Measure\Measurement;
use Periplus\Core\Notation\Reader;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Stores measurements of combinations.
 *
 * @extends ServiceEntityRepository<KeptMeasurement>
 */
final class Measurements extends ServiceEntityRepository implements HasQuota
{
    private const LIMIT = 50_000;
    /** Maximum number of the newest measurements of one combination that are listed, and of all that reports read. */
    private const MAX_LISTED = 200;
    private const MAX_REPORTED = 2000;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Once $once,
        private readonly Accounts $accounts,
        private readonly GymHouseRules $rules,
        private readonly Check $check,
        private readonly Reader $reader,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, KeptMeasurement::class);
    }

    /** @throws Invalid when it cannot be measured */
    public function measure(int $combination, MeasureRequest $request): Measurement
    {
        return $this->evaluate($this->combination($combination)->content(), $request);
    }

    public function quota(): Quota
    {
        return new Quota(t('measurements'), $this->count(), self::LIMIT);
    }

    /** Stores a measurement; the same key is stored once. */
    public function keep(int $id, string $key, MeasureRequest $request, User $coach): KeptMeasurement
    {
        $this->quota()->require();
        $combination = $this->combination($id);
        $measured = $this->evaluate($combination->content(), $request);

        return $this->once->store(
            fn (): ?KeptMeasurement => $this->findOneBy(['key' => $key]),
            function () use ($combination, $key, $measured, $request, $coach): KeptMeasurement {
                $kept = new KeptMeasurement(
                    $key,
                    $combination,
                    $measured,
                    $request->method,
                    $this->accounts->managed($coach),
                    $this->clock->now(),
                );
                $this->getEntityManager()->persist($kept);
                $this->record(
                    $kept,
                    $coach,
                    'measurement.kept',
                    t('measured “{content}”', content: $combination->content()->name),
                );

                return $kept;
            },
        );
    }

    public function remove(int $id, User $coach): void
    {
        $measurement = $this->get($id);
        $measurement->remove($this->clock->now());
        $this->record($measurement, $coach, 'measurement.removed', t('deleted a measurement'));
    }

    public function restore(int $id, User $coach): void
    {
        $measurement = $this->get($id);
        $measurement->restore();
        $this->record($measurement, $coach, 'measurement.removed', t('restored a measurement'));
    }

    /** @return list<KeptMeasurement> of that combination as it is now, the newest first */
    public function kept(int $id): array
    {
        /** @var list<KeptMeasurement> $kept */
        $kept = $this->present()->andWhere('m.combination = :id AND m.notation = :notation')
            ->setParameter('id', $id)->setParameter('notation', $this->combination($id)->content()->notation)
            ->setMaxResults(self::MAX_LISTED)->getQuery()->getResult();

        return $kept;
    }

    /**
     * Returns the newest measurements of all combinations.
     *
     * @return array<int, list<KeptMeasurement>> by the id of the combination
     */
    public function newest(): array
    {
        /** @var list<KeptMeasurement> $newest */
        $newest = $this->present()->setMaxResults(self::MAX_REPORTED)->getQuery()->getResult();
        $kept = [];
        foreach ($newest as $one) {
            $kept[$one->combination()][] = $one;
        }

        return $kept;
    }

    private function present(): QueryBuilder
    {
        return $this->createQueryBuilder('m')->addSelect('u')->join('m.coach', 'u')
            ->where('m.removedAt IS NULL')->orderBy('m.id', 'DESC');
    }

    private function get(int $id): KeptMeasurement
    {
        return $this->find($id) ?? throw new NotFound(t('There is no such measurement.'));
    }

    private function record(KeptMeasurement $measurement, User $coach, string $what, string $says): void
    {
        $this->audit->add($coach->id(), $what, $says, 'combinations/'.$measurement->combination());
    }

    private function evaluate(CombinationContent $content, MeasureRequest $request): Measurement
    {
        $chain = $this->reader->readStored($content->notation, $content->stance)
            ?? throw new Conflict('not-now', t('This chain cannot be read.'));
        $result = $this->check->run(
            $chain,
            new CheckOptions($this->rules->named($content->rules)),
        );
        try {
            return Measurement::of(array_map(floatval(...), $request->taps), Contacts::of($result->timing));
        } catch (\DomainException $impossible) {
            throw Invalid::field('taps', $impossible->getMessage());
        }
    }

    private function combination(int $id): Combination
    {
        return $this->getEntityManager()->find(Combination::class, $id)
            ?? throw new NotFound(t('There is no such combination.'));
    }
}
