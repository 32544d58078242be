<?php

declare(strict_types=1);

namespace Periplus\App\Numbering;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\Gyms;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\Http\FallbackCache;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Versions;
use Periplus\Core\Notation\Numbering;
use Psr\Clock\ClockInterface;
use Symfony\Contracts\Service\ResetInterface;

use function Periplus\Core\Language\t;

/**
 * Finds the gym's numberings: the built-in ones and the head coach's own.
 *
 * @extends ServiceEntityRepository<OwnNumbering>
 *
 * @phpstan-import-type Content from Numbering
 */
final class GymNumberings extends ServiceEntityRepository implements ResetInterface
{
    /** The kind of change in the audit log when the gym gets another numbering. */
    public const CHOSEN = 'numbering.chosen';
    private const CACHE_PREFIX = 'numbering.';
    private const GYM_CACHE_KEY = 'numbering-of-gym';
    /** How long a copy is used, in s. */
    private const FRESH_SECONDS = 2;

    /** @var array<string, Numbering> what was read during this request */
    private array $read = [];

    public function __construct(
        ManagerRegistry $registry,
        private readonly FallbackCache $fallback,
        private readonly Gyms $gyms,
        private readonly Accounts $accounts,
        private readonly Versions $versions,
        private readonly LibraryLock $lock,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, OwnNumbering::class);
    }

    public function reset(): void
    {
        $this->read = [];
    }

    /** @throws Invalid when the gym has no such numbering */
    public function named(string $id): Numbering
    {
        return Numbering::builtIn()[$id] ?? $this->read[$id] ??= $this->own($id) ?? throw Invalid::field(
            'numbering',
            t('There is no numbering "{id}" in this gym. Choose another.', id: mb_substr($id, 0, 40)),
            t('There is no such numbering.'),
        );
    }

    /** Returns the numbering that a coach reads. */
    public function forUser(User $user): Numbering
    {
        return $this->named($user->numbering() ?? $this->ofGym());
    }

    /** Returns the numbering of everybody who has not chosen one. */
    public function ofGym(): string
    {
        try {
            $numbering = $this->fallback->read(
                self::GYM_CACHE_KEY,
                self::FRESH_SECONDS,
                fn (): string => $this->gyms->get()->numbering(),
            );

            return \is_string($numbering) ? $numbering : 'parity';
        } catch (ConnectionException) {
            return 'parity';
        }
    }

    /** @return array<string, GymNumbering> by id; the built-in ones are there while the database is away */
    public function all(): array
    {
        $all = array_map(
            static fn (Numbering $numbering): GymNumbering => new GymNumbering($numbering, null),
            Numbering::builtIn(),
        );
        try {
            foreach ($this->findBy([], ['id' => 'ASC']) as $own) {
                $all[$own->id()] = new GymNumbering($own->numbering(), $own->version());
            }
        } catch (ConnectionException) {
            // While the database is down there are still the built-in ones.
        }

        return $all;
    }

    /** @return list<string> names of the coaches who read in the gym's numbering because they chose none */
    public function followers(): array
    {
        return array_values(array_map(
            static fn (User $coach): string => $coach->name(),
            array_filter($this->accounts->active(), static fn (User $coach): bool => null === $coach->numbering()),
        ));
    }

    /** @return array<string, list<string>> by numbering the names of the coaches who read in it */
    public function readers(): array
    {
        $readers = [];
        foreach ($this->accounts->active() as $coach) {
            $readers[$coach->numbering() ?? $this->ofGym()][] = $coach->name();
        }

        return $readers;
    }

    /** @param int|null $basedOn the version that was looked at; null for a new one */
    public function save(Numbering $numbering, ?int $basedOn, User $editor): OwnNumbering
    {
        $entities = $this->getEntityManager();
        $saved = $entities->wrapInTransaction(function () use ($entities, $numbering, $basedOn, $editor): OwnNumbering {
            $this->lock->take();
            [$by, $now] = [$this->accounts->managed($editor), $this->clock->now()];
            if (null !== $basedOn) {
                $own = $this->versions->change(
                    OwnNumbering::class,
                    $numbering->id,
                    $basedOn,
                    t('There is no such numbering.'),
                    static fn (OwnNumbering $own) => $own->change($numbering, $by, $now),
                );
            } elseif (null === $this->find($numbering->id)) {
                $entities->persist($own = new OwnNumbering($numbering, $by, $now));
            } else {
                throw new Conflict('name-taken', t('There is a numbering of this name already. Choose another name.'));
            }
            $this->audit->add(
                $editor->id(),
                'numbering.saved',
                t(
                    '{word} the numbering “{numbering}”',
                    word: null === $basedOn ? 'made' : 'changed',
                    numbering: $numbering->name,
                ),
                'numbering/'.$numbering->id,
            );

            return $own;
        });
        // Clears the cached copy.
        unset($this->read[$numbering->id]);
        $this->fallback->forget(self::CACHE_PREFIX.$numbering->id);

        return $saved;
    }

    /** Makes it the numbering of everybody who has not chosen one. */
    public function useForGym(Numbering $numbering, User $editor): void
    {
        $this->getEntityManager()->wrapInTransaction(function () use ($numbering, $editor): void {
            $this->lock->take();
            $before = $this->gyms->get()->numbering();
            $this->gyms->useNumbering($numbering->id);
            $this->audit->add(
                $editor->id(),
                self::CHOSEN,
                t('made “{numbering}” the numbering of the gym', numbering: $numbering->name),
                'numbering/'.$numbering->id,
                ['numbering' => $before],
            );
        });
        $this->fallback->forget(self::GYM_CACHE_KEY);
    }

    private function own(string $id): ?Numbering
    {
        /** @var Content|null $content */
        $content = $this->fallback->read(
            self::CACHE_PREFIX.$id,
            self::FRESH_SECONDS,
            fn (): ?array => $this->find($id)?->content(),
        );

        return null === $content ? null : Numbering::of($id, $content);
    }
}
