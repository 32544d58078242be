<?php

declare(strict_types=1);

namespace Periplus\App\HouseRules;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\LockMode;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Http\FallbackCache;
use Periplus\Core\Flow\Rules\BuiltInHouseRules;
use Periplus\Core\HouseRules\HouseRules;
use Symfony\Contracts\Service\ResetInterface;

/**
 * Finds the gym's house rules: the built-in ones until the head coach changes them.
 *
 * @extends ServiceEntityRepository<StoredHouseRules>
 */
final class GymHouseRules extends ServiceEntityRepository implements ResetInterface
{
    private const CACHE_PREFIX = 'house-rules.';
    /** How long a copy is used, in s. */
    private const FRESH_SECONDS = 2;

    /** @var array<string, HouseRules> what was read during this request */
    private array $read = [];

    public function __construct(ManagerRegistry $registry, private readonly FallbackCache $fallback)
    {
        parent::__construct($registry, StoredHouseRules::class);
    }

    public function reset(): void
    {
        $this->read = [];
    }

    /**
     * While the database is down, the rules that were read last are used.
     *
     * @throws \OutOfBoundsException when there is no such set
     */
    public function named(string $id): HouseRules
    {
        return $this->read[$id] ??= self::set($id, $this->content($id));
    }

    /** Returns the rules, locked until the end of the transaction, so that nothing is stored under outdated rules. */
    public function locked(string $id): HouseRules
    {
        $lock = $this->getEntityManager()->getConnection()->isTransactionActive() ? LockMode::PESSIMISTIC_READ : null;

        return self::set($id, $this->find($id, $lock)?->content());
    }

    /** @return array<string, GymSet> by id */
    public function all(): array
    {
        // Loads all rows together.
        $this->findAll();
        $sets = [];
        foreach (BuiltInHouseRules::ids() as $id) {
            $stored = $this->get($id);
            $sets[$id] = new GymSet(
                self::set($id, $stored->content()),
                $stored->version(),
                null === $stored->content(),
            );
        }

        return $sets;
    }

    /** Returns the rules for a change. */
    public function get(string $id): StoredHouseRules
    {
        return $this->find($id) ?? throw new \LogicException('The first migrations make the rows of all sets.');
    }

    /** Clears the cached copy after a change. */
    public function forget(): void
    {
        $this->read = [];
        foreach (BuiltInHouseRules::ids() as $id) {
            $this->fallback->forget(self::CACHE_PREFIX.$id);
        }
    }

    /** @return array<string, mixed>|null */
    private function content(string $id): ?array
    {
        // Read many times a second while a coach types.
        /** @var array<string, mixed>|null $content */
        $content = $this->fallback->read(
            self::CACHE_PREFIX.$id,
            self::FRESH_SECONDS,
            fn (): ?array => $this->find($id)?->content(),
        );

        return $content;
    }

    /** @param array<string, mixed>|null $content */
    private static function set(string $id, ?array $content): HouseRules
    {
        $builtIn = BuiltInHouseRules::named($id);
        if (null === $content) {
            return $builtIn;
        }
        // A rule or school that was added later gets the built-in value.
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
        $whole = array_replace_recursive($builtIn->jsonSerialize(), $content);

        return HouseRules::of([...$whole, 'allows' => $builtIn->jsonSerialize()['allows']]);
    }
}
