<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\LockMode;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Http\LastKnown;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;

/**
 * The house rules as this gym keeps them: the built-in sets until the head coach has changed one.
 *
 * @extends ServiceEntityRepository<StoredHouseRules>
 */
final class GymHouseRules extends ServiceEntityRepository
{
    private const COPY = 'house-rules.';
    /** s */
    private const FRESH = 2;

    /** @var array<string, HouseRules> what was read during this request */
    private array $read = [];

    public function __construct(ManagerRegistry $registry, private readonly LastKnown $lastKnown)
    {
        parent::__construct($registry, StoredHouseRules::class);
    }

    /**
     * While the database is away a coach goes on under the rules that were read last.
     *
     * @throws \OutOfBoundsException when there is no such set
     */
    public function named(string $id): HouseRules
    {
        return $this->read[$id] ??= self::set($id, $this->content($id));
    }

    /**
     * The set, held until the end of the transaction where there is one: no other may be saved meanwhile, so that
     * nothing is stored under
     * rules that are gone by then.
     */
    public function locked(string $id): HouseRules
    {
        $lock = $this->getEntityManager()->getConnection()->isTransactionActive() ? LockMode::PESSIMISTIC_READ : null;

        return self::set($id, $this->find($id, $lock)?->content());
    }

    /** @return array<string, array{HouseRules, int, bool}> by id: the set, its version, and whether it is as it came */
    public function all(): array
    {
        // All at once.
        $this->findAll();
        $sets = [];
        foreach (BuiltInHouseRules::ids() as $id) {
            $stored = $this->get($id);
            $sets[$id] = [self::set($id, $stored->content()), $stored->version(), null === $stored->content()];
        }

        return $sets;
    }

    /** The set for a change of it. */
    public function get(string $id): StoredHouseRules
    {
        return $this->find($id) ?? throw new \LogicException('The first migrations make the rows of all sets.');
    }

    /** Once changed rules are in place, nobody goes on with what was read before. */
    public function forget(): void
    {
        $this->read = [];
        foreach (BuiltInHouseRules::ids() as $id) {
            $this->lastKnown->forget(self::COPY.$id);
        }
    }

    /** @return array<string, mixed>|null */
    private function content(string $id): ?array
    {
        // A coach who types asks for it many times a second.
        /** @var array<string, mixed>|null $content */
        $content = $this->lastKnown->read(self::COPY.$id, self::FRESH, fn (): ?array => $this->find($id)?->content());

        return $content;
    }

    /** @param array<string, mixed>|null $content */
    private static function set(string $id, ?array $content): HouseRules
    {
        $builtIn = BuiltInHouseRules::named($id);
        if (null === $content) {
            return $builtIn;
        }
        // A rule or a school that came later than this set has the built-in answer.
        /**
         * @var array{
         *     id: string,
         *     name: string,
         *     allows: list<string>,
         *     schools: array{
         *         leadHook: string,
         *         handSide: string,
         *         handTiming: string,
         *         ending: string,
         *         hardStrikes: string,
         *         jabStep?: string,
         *     },
         *     severities: array<string, string>,
         *     thresholds: array<string, int|float>,
         *     calibration?: array<string, int|float>,
         * } $whole
         */
        $whole = array_replace_recursive($builtIn->toArray(), $content);

        return HouseRules::of([...$whole, 'allows' => $builtIn->toArray()['allows']]);
    }
}
