<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\Combination;
use Periplus\App\Combination\Combinations;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotAllowed;
use Periplus\App\Store\NotFound;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Combination\Fingerprint;
use Periplus\Core\Technique\Catalogue;
use Psr\Clock\ClockInterface;
use Symfony\Bundle\SecurityBundle\Security;

use function Periplus\Core\Language\t;

/**
 * Finds and stores the recordings of coaches: the row here, the file in the folder. A file is on the disk before its
 * row is written, and its row is gone before it is deleted.
 *
 * @extends ServiceEntityRepository<Recording>
 */
final class Recordings extends ServiceEntityRepository implements HasQuota
{
    public const MAX_BYTES = 20_000_000;
    public const MAX_LENGTH_MS = 30_000;
    /** A file that was cut to the maximum is longer by up to a frame of its video and of its sound. */
    public const LENGTH_TOLERANCE_MS = 250;
    private const LIMIT_BYTES = 2_000_000_000;

    public function __construct(
        ManagerRegistry $registry,
        private readonly RecordingFolder $folder,
        private readonly Combinations $combinations,
        private readonly Catalogue $catalogue,
        private readonly Accounts $accounts,
        private readonly Security $security,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, Recording::class);
    }

    public function quota(): Quota
    {
        $bytes = $this->createQueryBuilder('r')->select('SUM(r.bytes)')->getQuery()->getSingleScalarResult();

        return new Quota(t('recordings'), (int) $bytes, self::LIMIT_BYTES, 'bytes');
    }

    /** @return list<Recording> the newest first */
    public function all(): array
    {
        /** @var list<Recording> $recordings */
        $recordings = $this->createQueryBuilder('r')->addSelect('c', 'u')
            ->leftJoin('r.combination', 'c')->join('r.coach', 'u')
            ->orderBy('r.recordedAt', 'DESC')->addOrderBy('r.id', 'DESC')
            ->getQuery()->getResult();

        return $recordings;
    }

    /** @throws NotFound */
    public function get(int $id): Recording
    {
        return $this->find($id) ?? throw new NotFound(t('There is no such recording. It may have been deleted.'));
    }

    /**
     * Returns what can be played of a chain.
     *
     * @param string $fingerprint of the chain, without effort
     * @param list<string> $techniques ids of its strikes and moves
     *
     * @return list<Recording> that of the whole combination first, then the others in the order of the techniques
     */
    public function ofChain(string $fingerprint, array $techniques): array
    {
        /** @var list<Recording> $found */
        $found = $this->createQueryBuilder('r')->addSelect('c')->leftJoin('r.combination', 'c')
            ->where('c.fingerprint = :fingerprint OR r.technique IN (:techniques)')
            ->setParameter('fingerprint', $fingerprint)->setParameter('techniques', $techniques)
            ->orderBy('r.recordedAt', 'DESC')
            ->getQuery()->getResult();
        $found = array_filter(
            $found,
            fn (Recording $one): bool => !$one->isOutdated() && $this->isThere($one),
        );
        usort(
            $found,
            static fn (Recording $one, Recording $other): int => $one->placeIn($techniques)
                <=> $other->placeIn($techniques),
        );

        return $found;
    }

    /**
     * Returns the recording of a combination, also one of an earlier version of it, and those of its techniques.
     *
     * @return list<Recording>
     */
    public function ofCombination(Combination $combination, Chain $chain): array
    {
        $own = $this->findOneBy(['combination' => $combination]);

        return [
            ...(null === $own ? [] : [$own]),
            ...array_filter(
                $this->ofChain(Fingerprint::of($chain)->plain, $chain->techniques()),
                static fn (Recording $one): bool => $one->isOfTechnique(),
            ),
        ];
    }

    public function isThere(Recording $recording): bool
    {
        return $this->folder->has($recording->fileName());
    }

    /**
     * Keeps a file for a combination or a technique.
     *
     * @param int|null $replaces id of the recording that was seen there
     *
     * @throws Conflict when there is another one by now, or no room
     */
    public function record(
        string $content,
        ?int $combination,
        ?string $technique,
        ?int $replaces,
        User $coach,
    ): Recording {
        $shows = $this->subject($combination, $technique);
        $before = $this->findOneBy($shows instanceof Combination
            ? ['combination' => $shows]
            : ['technique' => $shows]);
        if (null !== $before && $before->id() !== $replaces) {
            throw self::recordedMeanwhile($before->coach()->name());
        }
        if (null !== $before) {
            $this->requireMayChange($before, $coach);
        }
        $this->quota()->require(\strlen($content) - ($before?->bytes() ?? 0));
        $path = $this->folder->write($content);
        try {
            $file = RecordedFile::read($path);
        } catch (Invalid $refused) {
            unlink($path);
            throw $refused;
        }
        $recording = new Recording(
            combination: $shows instanceof Combination ? $shows : null,
            technique: $shows instanceof Combination ? null : $shows,
            fileName: $this->folder->keep($path),
            bytes: \strlen($content),
            file: $file,
            coach: $this->accounts->managed($coach),
            recordedAt: $this->clock->now(),
        );
        $this->store($recording, $before, $coach);
        $this->sweep();

        return $recording;
    }

    /** Deletes a recording for good. */
    public function delete(int $id, User $coach): void
    {
        $recording = $this->get($id);
        $this->requireMayChange($recording, $coach);
        $this->getEntityManager()->wrapInTransaction(function () use ($recording, $coach): void {
            $this->getEntityManager()->remove($recording);
            $this->audit->add(
                $coach->id(),
                'recording.deleted',
                t('deleted the recording of “{subject}”', subject: $recording->subject()),
                'recordings',
            );
        });
        $this->folder->remove($recording->fileName());
    }

    /** Tells whether a coach may replace and delete it: their own, and every one with the right to edit the library. */
    public function mayChange(Recording $recording, User $coach): bool
    {
        return $recording->coach()->id() === $coach->id()
            || $this->security->isGranted(Permission::EditLibrary->value);
    }

    /** @throws NotAllowed */
    private function requireMayChange(Recording $recording, User $coach): void
    {
        if (!$this->mayChange($recording, $coach)) {
            throw new NotAllowed(t(
                'This recording is by {coach}. They or the head coach can replace and delete it.',
                coach: $recording->coach()->name(),
            ));
        }
    }

    private function store(Recording $recording, ?Recording $before, User $coach): void
    {
        try {
            $this->getEntityManager()->wrapInTransaction(function () use ($recording, $before, $coach): void {
                if (null !== $before) {
                    $this->getEntityManager()->remove($before);
                    // The new one takes its place, which is unique.
                    $this->getEntityManager()->flush();
                }
                $this->getEntityManager()->persist($recording);
                $this->audit->add(
                    $coach->id(),
                    'recording.kept',
                    null === $before
                        ? t('recorded “{subject}”', subject: $recording->subject())
                        : t('replaced the recording of “{subject}”', subject: $recording->subject()),
                    'recordings',
                );
            });
        } catch (\Throwable $failed) {
            $this->folder->remove($recording->fileName());
            throw $failed instanceof UniqueConstraintViolationException ? self::recordedMeanwhile() : $failed;
        }
        if (null !== $before) {
            $this->folder->remove($before->fileName());
        }
    }

    /** @throws Invalid when it is neither, both, or no technique */
    private function subject(?int $combination, ?string $technique): Combination|string
    {
        if (null !== $combination && null === $technique) {
            return $this->combinations->get($combination);
        }
        $isKnown =
            isset($this->catalogue->strikes[$technique ?? ''])
            || isset($this->catalogue->moves[$technique ?? '']);
        if (null !== $combination || null === $technique || !$isKnown) {
            throw new Invalid(t('Say what it shows: a combination of the library, or a strike or move.'));
        }

        return $technique;
    }

    private function sweep(): void
    {
        /** @var list<string> $used */
        $used = $this->createQueryBuilder('r')->select('r.fileName')->getQuery()->getSingleColumnResult();
        $this->folder->sweep($used);
    }

    private static function recordedMeanwhile(string $coach = ''): Conflict
    {
        return new Conflict('recorded-meanwhile', '' === $coach
            ? t('Somebody else has recorded this meanwhile. Look at it first; yours is still here.')
            : t(
                'There is a recording of this by {coach} already. Look at it first; yours is still here.',
                coach: $coach,
            ));
    }
}
