<?php

declare(strict_types=1);

namespace Periplus\App\AtHome;

use Doctrine\Bundle\DoctrineBundle\Repository\ServiceEntityRepository;
use Doctrine\Persistence\ManagerRegistry;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Card\Card;
use Periplus\App\Card\CardCombination;
use Periplus\App\Card\Cards;
use Periplus\App\Combination\CombinationSummary;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Gym\HasQuota;
use Periplus\App\Gym\Quota;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Plan\Plans;
use Periplus\App\Store\Gone;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Periplus\Core\Session\Run\RoundTimer;
use Periplus\Core\Session\Run\TimerCombination;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Finds and stores links to sessions that athletes do alone. A link needs no account, ends on its day and can be
 * revoked.
 *
 * @extends ServiceEntityRepository<SessionLink>
 */
final class SessionLinks extends ServiceEntityRepository implements HasQuota
{
    private const LIMIT = 2000;
    private const MAX_LISTED = 200;
    /** Maximum number of days for which a link opens. */
    private const MAX_DAYS = 366;
    /** Work and rest of a round in a session of combinations alone, s. */
    private const WORK = 120;
    private const REST = 30;

    public function __construct(
        ManagerRegistry $registry,
        private readonly Plans $plans,
        private readonly PlanCheck $check,
        private readonly Cards $cards,
        private readonly CombinationTable $combinations,
        private readonly GymSettings $gym,
        private readonly Accounts $accounts,
        private readonly AuditLog $audit,
        private readonly ClockInterface $clock,
    ) {
        parent::__construct($registry, SessionLink::class);
    }

    public function quota(): Quota
    {
        $open = $this->createQueryBuilder('l')->select('COUNT(l.id)')
            ->where('l.revokedAt IS NULL')->andWhere('l.endsOn >= :today')
            ->setParameter('today', $this->gym->today()->format('Y-m-d'))->getQuery()->getSingleScalarResult();

        return new Quota(t('links to sessions'), (int) $open, self::LIMIT);
    }

    public function create(SessionLinkRequest $request, User $creator): SessionLink
    {
        $this->quota()->require();
        $today = $this->gym->today();
        $latest = $today->modify('+'.self::MAX_DAYS.' days')->format('Y-m-d');
        if ($request->endsOn < $today->format('Y-m-d') || $request->endsOn > $latest) {
            throw Invalid::field('endsOn', t('A link ends between today and {latest}.', latest: $latest));
        }
        $content = match (true) {
            null !== $request->plan => $this->plans->get($request->plan)->content(),
            null !== $request->card => self::ofCard($this->cards->get($request->card)),
            default => $this->ofCombinations($request->combinations),
        };
        $lengthMs = $this->check->programme($content)->lengthMs;
        if (0 === $lengthMs) {
            throw Invalid::field('plan', t('There is nothing in this session to do. Put a round into it first.'));
        }

        return $this->getEntityManager()->wrapInTransaction(
            function () use ($request, $creator, $content, $lengthMs): SessionLink {
                $link = new SessionLink(
                    trim($request->name),
                    $content,
                    $lengthMs,
                    $request->endsOn,
                    $this->accounts->managed($creator),
                    $this->clock->now(),
                );
                $this->getEntityManager()->persist($link);
                $this->getEntityManager()->flush();
                $this->audit->add(
                    $creator->id(),
                    'session-link.created',
                    t('made a link to “{link}”', link: $link->name()),
                    'session-links/'.$link->id(),
                );

                return $link;
            },
        );
    }

    /** @return list<SessionLink> the newest first, revoked ones last */
    public function all(): array
    {
        /** @var list<SessionLink> $links */
        $links = $this->createQueryBuilder('l')->addSelect('u')->join('l.creator', 'u')
            ->addSelect('CASE WHEN l.revokedAt IS NULL THEN 0 ELSE 1 END AS HIDDEN revoked')
            ->orderBy('revoked')->addOrderBy('l.id', 'DESC')
            ->setMaxResults(self::MAX_LISTED)->getQuery()->getResult();

        return $links;
    }

    /** @throws Gone when the key opens nothing, or nothing any more */
    public function withKey(string $key): SessionLink
    {
        $link = $this->findOneBy(['key' => $key]);

        return true === $link?->isOpen($this->gym->today()->format('Y-m-d'))
            ? $link
            : throw new Gone(t('This session is no longer available. Ask your coach for a new link.'));
    }

    /** @throws NotFound */
    public function revoke(int $id, User $coach): SessionLink
    {
        $link = $this->find($id) ?? throw new NotFound(t('There is no such link.'));
        if (!$link->isRevoked()) {
            $link->revoke($this->clock->now());
            $this->audit->add(
                $coach->id(),
                'session-link.revoked',
                t('revoked the link to “{link}”', link: $link->name()),
                'session-links/'.$id,
            );
        }

        return $link;
    }

    /** Counts that somebody came to the end. In one statement, because several may at once. */
    public function countFinished(SessionLink $link): void
    {
        $this->createQueryBuilder('l')->update()->set('l.finished', 'l.finished + 1')
            ->where('l.id = :id')->setParameter('id', $link->id())->getQuery()->execute();
    }

    /** @return array<string, mixed> a written plan that repeats its combinations, in its numbering */
    private static function ofCard(Card $card): array
    {
        if ($card->isRevoked()) {
            throw Invalid::field('card', t('This card is revoked. Make a new one first.'));
        }
        $content = $card->content();
        $combinations = array_map(
            static fn (CardCombination $one): TimerCombination => new TimerCombination(
                $one->notation,
                $one->stance,
                $one->name,
                $one->id,
            ),
            $content->combinations,
        );

        return ['numbering' => $content->numbering] + self::timed($combinations);
    }

    /**
     * @param list<int> $ids
     *
     * @return array<string, mixed> a written plan that repeats them
     */
    private function ofCombinations(array $ids): array
    {
        $combinations = array_map(
            static fn (CombinationSummary $one): TimerCombination => new TimerCombination(
                $one->content->notation,
                $one->content->stance,
                $one->content->name,
                $one->id,
                $one->version,
            ),
            $this->combinations->summaries($ids),
        );
        if ([] === $combinations) {
            throw Invalid::field('combinations', t('Choose a session, or a combination of the library.'));
        }

        return self::timed($combinations);
    }

    /**
     * @param list<TimerCombination> $combinations one after the other
     *
     * @return array<string, mixed> a written plan
     */
    private static function timed(array $combinations): array
    {
        return RoundTimer::plan(
            \count($combinations),
            self::WORK,
            self::REST,
            $combinations,
            isDemonstrated: true,
        );
    }
}
