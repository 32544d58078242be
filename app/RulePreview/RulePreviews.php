<?php

declare(strict_types=1);

namespace Periplus\App\RulePreview;

use Doctrine\DBAL\LockMode;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\SqlCondition;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\HouseRules\HouseRulesType;
use Periplus\App\HouseRules\StoredHouseRules;
use Periplus\App\Search\SearchIndex;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Versions;
use Periplus\App\Work\Workers;
use Periplus\Core\HouseRules\HouseRules;
use Psr\Clock\ClockInterface;
use Symfony\Component\Messenger\Attribute\AsMessageHandler;

use function Periplus\Core\Language\t;

/**
 * Rechecks the library under changed house rules. The results are stored batch by batch, so that a preview continues
 * after the server was killed, and the current verdicts stay readable. Saving applies rules and results in one
 * transaction; combinations that changed since their batch are checked then.
 */
final readonly class RulePreviews
{
    public function __construct(
        private EntityManagerInterface $entities,
        private PreviewResults $results,
        private CombinationTable $table,
        private SearchIndex $search,
        private GymHouseRules $rules,
        private Versions $versions,
        private LibraryLock $lock,
        private Accounts $accounts,
        private AuditLog $audit,
        private ClockInterface $clock,
        private Workers $workers,
        private int $batch = 400,
    ) {
    }

    /** Starts a preview, or resumes an interrupted one for the same change. */
    public function start(HouseRules $rules, int $starter): RulePreview
    {
        return $this->entities->wrapInTransaction(function () use ($rules, $starter): RulePreview {
            $version = $this->rules->get($rules->id)->version();
            /** @var RulePreview|null $cutOff */
            $cutOff = $this->entities
                ->createQuery(
                    'SELECT p FROM '
                        .RulePreview::class
                        .' p WHERE p.starter = :starter AND p.rulesVersion = :version AND p.rules = :rules AND '
                        .'p.state = :state',
                )
                ->setParameter('starter', $starter)
                ->setParameter('version', $version)
                ->setParameter('rules', $rules, HouseRulesType::NAME)
                ->setParameter('state', RulePreviewState::Running)
                ->setMaxResults(1)
                ->getOneOrNullResult();
            if (null !== $cutOff) {
                return $cutOff;
            }
            // A coach has one preview for each set of rules: the previous one is outdated.
            $this->forget($rules->id, $starter);
            $preview = new RulePreview(
                $rules,
                $version,
                $this->count($rules->id),
                $this->accounts->managed($starter),
                $this->clock->now(),
            );
            $this->entities->persist($preview);
            $this->entities->flush();

            return $preview;
        });
    }

    public function get(int $id): RulePreview
    {
        return $this->found($this->entities->find(RulePreview::class, $id));
    }

    /** Has it checked on, by a worker or for a while here; for as long as somebody waits for it. */
    public function proceed(int $id): void
    {
        $this->workers->proceed(
            new CheckLibrary($id),
            fn (): bool => $this->entities->wrapInTransaction(function () use ($id): bool {
                $preview = $this->hold($id);
                $now = $this->clock->now();
                $isLeft = RulePreviewState::Running === $preview->state() && $preview->isLeft($now);
                if ($isLeft) {
                    $preview->proceeded($now);
                }

                return $isLeft;
            }),
        );
    }

    #[AsMessageHandler]
    public function check(CheckLibrary $work): void
    {
        $this->advance($work->id, $work->seconds);
    }

    /** Continues for about that many seconds, at least one batch. */
    public function advance(int $id, float $seconds): RulePreview
    {
        $until = microtime(true) + $seconds;
        do {
            $preview = $this->entities->wrapInTransaction(fn (): RulePreview => $this->step($id));
        } while (RulePreviewState::Running === $preview->state() && microtime(true) < $until);

        return $preview;
    }

    /** Saves the rules and the results. */
    public function save(int $id, int $editor): RulePreview
    {
        $saved = $this->entities->wrapInTransaction(function () use ($id, $editor): RulePreview {
            $this->lock->take();
            $preview = $this->hold($id);
            if (RulePreviewState::Saved === $preview->state()) {
                return $preview;
            }
            if (RulePreviewState::Ready !== $preview->state()) {
                throw new Conflict(
                    'not-ready',
                    t('The library is still being checked. Wait, then save.'),
                );
            }
            $rules = $preview->rules();
            $before = null;
            $this->versions->change(
                StoredHouseRules::class,
                $rules->id,
                $preview->rulesVersion(),
                t('There are no such house rules.'),
                function (StoredHouseRules $stored) use ($preview, $rules, $editor, &$before): void {
                    $before = $this->rules->locked($rules->id)->jsonSerialize();
                    $this->apply($preview);
                    $stored->change($rules, $this->accounts->managed($editor), $this->clock->now());
                },
            );
            $this->audit->add(
                $editor,
                'rules.saved',
                t('changed the house rules for {rules}', rules: strtr($rules->id, '-', ' ')),
                'house-rules?set='.$rules->id,
                $before,
            );
            $preview->saved();

            return $preview;
        });
        $this->rules->forget();

        return $saved;
    }

    /**
     * Rechecks the library under the current rules, after the check itself has changed. What gets another verdict is
     * kept until the head coach has accepted it.
     *
     * @return int how many verdicts changed
     */
    public function refresh(string $set, int $starter): int
    {
        // Discard an unfinished preview: it was computed by the old check.
        $this->forget($set);
        $preview = $this->start($this->rules->named($set), $starter);
        while (RulePreviewState::Running === $preview->state()) {
            $preview = $this->advance($preview->id(), 1.0);
        }

        return $this->entities->wrapInTransaction(function () use ($preview, $set): int {
            $this->lock->take();
            $this->versions->hold(StoredHouseRules::class, $set);
            $this->apply($preview);
            $changed = \count($this->results->changed($preview));
            if (0 === $changed) {
                $this->entities->remove($preview);
            } else {
                $this->results->keepChanged($preview);
                $preview->updated();
            }

            return $changed;
        });
    }

    /** @return list<RulePreview> the updates whose new verdicts have not been accepted yet, the oldest first */
    public function updates(): array
    {
        return $this->entities->getRepository(RulePreview::class)->findBy(
            ['state' => RulePreviewState::Updated],
            ['id' => 'ASC'],
        );
    }

    /** Counts the combinations whose new verdict after an update has not been accepted yet. */
    public function waiting(): int
    {
        return $this->results->waiting();
    }

    /** Accepts the verdicts that an update changed; they are not shown again. */
    public function accept(int $id, int $editor): void
    {
        $this->entities->wrapInTransaction(function () use ($id, $editor): void {
            $update = $this->entities->find(RulePreview::class, $id, LockMode::PESSIMISTIC_WRITE);
            if (RulePreviewState::Updated !== $update?->state()) {
                throw new NotFound(t('These verdicts are accepted already.'));
            }
            $this->audit->add(
                $editor,
                'verdicts.accepted',
                t(
                    'accepted the verdicts after an update, for {rules}',
                    rules: strtr($update->rules()->id, '-', ' '),
                ),
                'verdict-changes',
            );
            $this->entities->remove($update);
        });
    }

    public function findings(RulePreview $preview): FindingChange
    {
        return $this->results->findings($preview);
    }

    /** @return list<ChangedVerdict> what was found to change so far, by name */
    public function changed(RulePreview $preview): array
    {
        return $this->results->changed($preview);
    }

    private function apply(RulePreview $preview): void
    {
        $this->results->catchUp($preview, $this->batch);
        $this->search->change($this->results->apply($preview));
    }

    /** Checks one batch; a concurrent request waits for it and checks the next. */
    private function step(int $id): RulePreview
    {
        $preview = $this->hold($id);
        if (RulePreviewState::Running !== $preview->state()) {
            return $preview;
        }
        $ids = $this->results->next($preview, $this->batch);
        $preview->proceeded($this->clock->now());
        $preview->advanceTo(\count($ids), [] === $ids ? $preview->lastCombination() : $ids[\count($ids) - 1]);
        if (\count($ids) < $this->batch) {
            $preview->complete($this->count($preview->rules()->id));
        }

        return $preview;
    }

    private function hold(int $id): RulePreview
    {
        return $this->found($this->entities->find(RulePreview::class, $id, LockMode::PESSIMISTIC_WRITE));
    }

    private function found(?RulePreview $preview): RulePreview
    {
        return $preview ?? throw new NotFound(t('This preview no longer exists. Start it again.'));
    }

    /** @param int|null $starter all when null */
    private function forget(string $set, ?int $starter = null): void
    {
        $query = $this->entities
            ->createQuery(
                'DELETE FROM '
                    .RulePreview::class
                    .' p WHERE p.set = :set AND p.state <> :updated'
                    .(null === $starter ? '' : ' AND p.starter = :starter'),
            )
            ->setParameter('set', $set)
            ->setParameter('updated', RulePreviewState::Updated);
        (null === $starter ? $query : $query->setParameter('starter', $starter))->execute();
    }

    private function count(string $rules): int
    {
        return $this->table->count(new SqlCondition('c.rules = ?', $rules));
    }
}
