<?php

declare(strict_types=1);

namespace Periplus\App\Combination;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\HouseRules\GymHouseRules;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Store\ChangedMeanwhile;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;
use Periplus\App\Store\Versions;
use Periplus\Core\Flow\Check\Check;
use Periplus\Core\Flow\Options\CheckOptions;
use Periplus\Core\HouseRules\HouseRules;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Changes the library: create, change, archive, restore. Every write names the version it is based on, so nothing
 * unseen is overwritten. Every version is kept, and every write is logged.
 */
final readonly class Library
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Combinations $combinations,
        private DraftReader $drafts,
        private Check $check,
        private GymHouseRules $rules,
        private CombinationIndices $indices,
        private LibraryLock $lock,
        private AuditLog $audit,
        private Versions $versions,
        private Accounts $accounts,
        private LineRenderer $lines,
        private GymNumberings $numberings,
        private ClockInterface $clock,
    ) {
    }

    /** @param User|null $author whose work it is, when another puts it into the library */
    public function create(CombinationDraft $draft, User $editor, ?User $author = null): Combination
    {
        return $this->write(function () use ($draft, $editor, $author): Combination {
            $editor = $this->accounts->managed($editor);
            $checked = $this->checked($draft);
            $this->refuseDuplicate($checked->fingerprint->withEffort, null);
            $combination = new Combination(
                $draft->content,
                $checked,
                null === $author ? $editor : $this->accounts->managed($author),
                $this->clock->now(),
            );
            $this->entities->persist($combination);
            $this->entities->flush();
            $this->remember($combination, VersionChange::Created, $editor);
            $this->indices->put($combination, $checked);

            return $combination;
        });
    }

    public function update(
        int $id,
        int $basedOn,
        CombinationDraft $draft,
        User $editor,
        VersionChange $change = VersionChange::Updated,
    ): Combination {
        return $this->change($id, $basedOn, $editor, $change, function (Combination $combination, User $editor) use (
            $draft,
        ): CheckSummary {
            $checked = $this->checked($draft);
            if ($combination->isInUse()) {
                $this->refuseDuplicate($checked->fingerprint->withEffort, $combination->id());
            }
            $combination->write($draft->content, $checked, $editor, $this->clock->now());

            return $checked;
        });
    }

    public function archive(int $id, int $basedOn, User $editor): Combination
    {
        return $this->change($id, $basedOn, $editor, VersionChange::Archived, function (
            Combination $combination,
        ): null {
            $combination->archive($this->clock->now());

            return null;
        });
    }

    public function restore(int $id, int $basedOn, User $editor): Combination
    {
        return $this->change($id, $basedOn, $editor, VersionChange::Restored, function (
            Combination $combination,
        ): CheckSummary {
            $this->refuseDuplicate($combination->fingerprintWithEffort(), $combination->id());
            $combination->restore();

            return $this->checked($this->drafts->fromContent($combination->content()));
        });
    }

    /** Restores an earlier version as the newest. */
    public function restoreVersion(int $id, int $basedOn, int $version, User $editor): Combination
    {
        $content = $this->version($this->combinations->get($id), $version)->content();

        return $this->update($id, $basedOn, $this->drafts->fromContent($content), $editor, VersionChange::BroughtBack);
    }

    /** @return list<CombinationVersion> newest first */
    public function versions(Combination $combination): array
    {
        return $this->entities
            ->getRepository(CombinationVersion::class)
            ->findBy(['combination' => $combination], ['version' => 'DESC']);
    }

    public function version(Combination $combination, int $version): CombinationVersion
    {
        return $this->entities->getRepository(CombinationVersion::class)->findOneBy([
            'combination' => $combination,
            'version' => $version,
        ]) ?? throw new NotFound(t('There is no such version of this combination.'));
    }

    /**
     * Runs a write to the library under its lock in one transaction; nested calls join the outer one.
     *
     * @template T
     *
     * @param \Closure(): T $write
     *
     * @return T
     */
    public function write(\Closure $write): mixed
    {
        if ($this->entities->getConnection()->isTransactionActive()) {
            $this->lock->take();

            return $write();
        }

        return $this->entities->wrapInTransaction(function () use ($write): mixed {
            $this->lock->take();

            return $write();
        });
    }

    public function refuseDuplicate(string $fingerprintWithEffort, ?int $except): void
    {
        $same = $this->combinations->same($fingerprintWithEffort, $except);
        if (null !== $same) {
            throw new Conflict(
                'already-there',
                t('This chain is already in the library as "{content}".', content: $same->content()->name),
                ['existing' => ['id' => $same->id(), 'name' => $same->content()->name]],
            );
        }
    }

    /**
     * Must run inside a transaction, so that the house rules cannot change before the combination is stored.
     *
     * @param HouseRules|null $held its set, where many are stored in this transaction and it was held once
     */
    public function checked(CombinationDraft $draft, ?HouseRules $held = null): CheckSummary
    {
        $rules = $held ?? $this->rules->locked($draft->content->rules);

        return CheckSummary::of($this->check->run($draft->inStance, new CheckOptions($rules)));
    }

    /** @param \Closure(Combination, User): ?CheckSummary $write gives the check of what is in use afterwards */
    private function change(int $id, int $basedOn, User $editor, VersionChange $change, \Closure $write): Combination
    {
        $editor = $this->accounts->managed($editor);

        return $this->write(
            fn (): Combination => $this->versions->change(
                Combination::class,
                $id,
                $basedOn,
                Combinations::MISSING,
                function (Combination $combination) use ($basedOn, $editor, $change, $write): void {
                    $check = $write($combination, $editor);
                    $this->entities->flush();
                    if ($combination->version() !== $basedOn) {
                        $this->remember($combination, $change, $editor);
                        $this->indices->put($combination, $check);
                    }
                },
                fn (Combination $combination): Refused => $this->stale($combination, $basedOn, $editor),
            ),
        );
    }

    /**
     * Returns the refusal of a write that is not based on the newest version; it contains that version in the coach's
     * numbering.
     */
    public function stale(Combination $combination, int $basedOn, User $reader): Refused
    {
        $then = $this->entities
            ->getRepository(CombinationVersion::class)
            ->findOneBy(['combination' => $combination, 'version' => $basedOn]);
        $row = $combination->summary();
        $changed = null === $then ? [] : $combination->content()->differencesFrom($then->content());

        return new ChangedMeanwhile(
            t(
                '{name} changed this combination meanwhile{fields}. Nothing was overwritten; look at the newest and '
                    .'save again.',
                name: $row->editor->name,
                fields: [] === $changed ? '' : ' ('.implode(', ', $changed).')',
            ),
            [
                'current' => $this->lines->combination($row, $this->numberings->forUser($reader)),
                'changed' => $changed,
            ],
        );
    }

    private function remember(Combination $combination, VersionChange $change, User $editor): void
    {
        $this->entities->persist(
            new CombinationVersion(
                $combination,
                $combination->version(),
                $combination->content(),
                $change,
                $editor,
                $this->clock->now(),
            ),
        );
        $this->entities->flush();
        $this->audit->add(
            $editor->id(),
            'combination.'.$change->value,
            t('{change} “{content}”', change: $change->words(), content: $combination->content()->name),
            'combinations/'.$combination->id(),
        );
    }
}
