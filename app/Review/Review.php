<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\Accounts;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\Combination;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationDraft;
use Periplus\App\Combination\Combinations;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\Versions;
use Psr\Clock\ClockInterface;

use function Periplus\Core\Language\t;

/**
 * Handles proposals. An approval applies the proposed changes to the newest version, so that what others changed
 * meanwhile stays. It names the version that was reviewed; a newer one has to be reviewed first.
 */
final readonly class Review
{
    /** Maximum number of open proposals of one coach. */
    private const MAX_OPEN = 40;

    public function __construct(
        private EntityManagerInterface $entities,
        private Proposals $proposals,
        private Versions $versions,
        private Library $library,
        private Combinations $combinations,
        private DraftReader $drafts,
        private Accounts $accounts,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    public function propose(ProposalRequest $request, User $author): Proposal
    {
        $draft = null === $request->content ? null : $this->drafts->read($request->content);

        return $this->library->write(function () use ($request, $draft, $author): Proposal {
            if ($this->proposals->countUndecidedOf($author->id()) >= self::MAX_OPEN) {
                throw new Conflict(
                    'too-many-open',
                    t(
                        '{maxOpen} proposals of yours wait already. Withdraw some of them, or wait until they are '
                            .'decided.',
                        maxOpen: self::MAX_OPEN,
                    ),
                );
            }
            $combination =
                ProposalKind::Addition === $request->kind ? null : $this->combinations->get($request->combination ?? 0);
            $proposal = new Proposal(
                $request->kind,
                $combination,
                null === $combination ? null : $request->basedOn,
                $this->proposed($request, $combination, $draft),
                $this->accounts->managed($author),
                $this->clock->now(),
            );
            $this->entities->persist($proposal);
            $this->entities->flush();
            $this->record(
                $proposal,
                ProposalStepKind::Proposed,
                $author,
                t('proposed {word} “{combination}”', word: match ($request->kind) {
                    ProposalKind::Addition => t('the new'),
                    ProposalKind::Change => t('a change of'),
                    ProposalKind::Retirement => t('to archive'),
                }, combination: ($combination?->content() ?? $proposal->content())->name),
            );
            $this->step($proposal, ProposalStepKind::Proposed, $author, $request->remark, $proposal->content());

            return $proposal;
        });
    }

    /** Revises a proposal, or withdraws it. */
    public function revise(int $id, int $version, DecisionRequest $request, User $author): Proposal
    {
        $draft = $this->drafts->read($request->content ?? throw new Invalid(t('A proposal has a chain and a name.')));

        return $this->change($id, $version, function (Proposal $proposal) use ($request, $draft, $author): void {
            $proposal->requireAuthor($author);
            if (ProposalKind::Retirement === $proposal->kind()) {
                throw new Conflict(
                    'nothing-to-revise',
                    t('A proposal to archive has nothing to revise. Withdraw it instead.'),
                );
            }
            $checked = $this->library->checked($draft);
            $this->library->refuseDuplicate($checked->fingerprint->withEffort, $proposal->combination()?->id());
            $content = $draft->content->settled($checked);
            $proposal->revise($content, $this->basis($proposal, $request));
            $this->move($proposal, ProposalStepKind::Revised, $author, $request->remark, $content);
        });
    }

    public function return(int $id, int $version, DecisionRequest $request, User $head): Proposal
    {
        if ('' === trim($request->remark)) {
            throw Invalid::field(
                'remark',
                t('Say in a remark what should be done.'),
                t('Say what should be done.'),
            );
        }

        return $this->change($id, $version, function (Proposal $proposal) use ($request, $head): void {
            if (ProposalState::Returned === $proposal->state()) {
                throw new Conflict('returned-already', t('It was returned already and waits for its author.'));
            }
            $this->record(
                $proposal,
                ProposalStepKind::Returned,
                $head,
                t(
                    'returned the proposal “{content}” of {author}',
                    content: $proposal->content()->name,
                    author: $proposal->author()->name(),
                ),
            );
            $this->move($proposal, ProposalStepKind::Returned, $head, $request->remark);
        });
    }

    public function withdraw(int $id, int $version, DecisionRequest $request, User $by): Proposal
    {
        return $this->change($id, $version, function (Proposal $proposal) use ($request, $by): void {
            if (!$by->may(Permission::DecideProposals)) {
                $proposal->requireAuthor($by);
            }
            $of = $by->id() === $proposal->author()->id() ? '' : ' of '.$proposal->author()->name();
            $this->record(
                $proposal,
                ProposalStepKind::Withdrawn,
                $by,
                t('withdrew the proposal “{content}”{of}', content: $proposal->content()->name, of: $of),
            );
            $this->move($proposal, ProposalStepKind::Withdrawn, $by, $request->remark);
        });
    }

    public function approve(int $id, int $version, DecisionRequest $request, User $head): Proposal
    {
        $edit = null === $request->content ? null : $this->drafts->read($request->content);

        return $this->change($id, $version, function (Proposal $proposal) use ($request, $edit, $head): void {
            $combination = $proposal->combination();
            if (null !== $combination && $combination->version() !== $request->against) {
                throw $this->library->stale($combination, (int) $request->against, $head);
            }
            $isRetirement = ProposalKind::Retirement === $proposal->kind();
            if ($isRetirement && null !== $combination && !$combination->isInUse()) {
                throw new Conflict(
                    'archived-already',
                    t('This combination is archived already. Return the proposal or have it withdrawn.'),
                );
            }
            $author = $proposal->author();
            $done = match ($proposal->kind()) {
                ProposalKind::Addition => $this->library->create(
                    $edit ?? $this->drafts->fromContent($proposal->content()),
                    $head,
                    $author,
                ),
                ProposalKind::Change => $this->put($proposal, $combination, $edit, $author),
                ProposalKind::Retirement => $this->library->archive(
                    (int) $combination?->id(),
                    (int) $request->against,
                    $author,
                ),
            };
            $proposal->putIntoLibrary($done, $edit?->content);
            $this->record(
                $proposal,
                ProposalStepKind::Approved,
                $head,
                t(
                    'approved the proposal “{content}” of {author}{word}{note}',
                    content: $done->content()->name,
                    author: $author->name(),
                    word: null === $edit ? '' : t(', with an edit'),
                    note: $done->isInUse() || $isRetirement ? '' : t('; it stays archived'),
                ),
            );
            $this->move($proposal, ProposalStepKind::Approved, $head, $request->remark, $edit?->content);
        });
    }

    /** Returns what an approval would store. */
    public function merge(Proposal $proposal): Merge
    {
        $combination = $proposal->combination();
        $newest = $combination?->content();
        $basedOn = $proposal->basedOn();
        if (
            null === $combination
            || null === $newest
            || null === $basedOn
            || ProposalKind::Retirement === $proposal->kind()
        ) {
            return new Merge($newest ?? $proposal->content(), $newest, $newest);
        }
        $base = $this->library->version($combination, $basedOn)->content();
        $changed = $proposal->content()->differencesFrom($base);
        $result = $this->drafts->fromContent($newest->with($proposal->content(), $changed));

        return new Merge(
            $result->content->settled($this->library->checked($result)),
            $base,
            $newest,
            $changed,
            $newest->differencesFrom($base),
        );
    }

    /** Returns the proposed content. */
    private function proposed(
        ProposalRequest $request,
        ?Combination $combination,
        ?CombinationDraft $draft,
    ): CombinationContent {
        // Any earlier version is accepted: the head coach sees what changed meanwhile.
        $base = null === $combination ? null : $this->library->version($combination, $request->basedOn ?? 0)->content();
        if (null !== $combination && ProposalKind::Retirement === $request->kind) {
            return $combination->isInUse() ? $combination->content() : throw new Conflict(
                'archived-already',
                t('This combination is archived already.'),
            );
        }
        $draft ?? throw new Invalid(t('A proposal has a chain and a name.'));
        $checked = $this->library->checked($draft);
        $this->library->refuseDuplicate($checked->fingerprint->withEffort, $combination?->id());
        $content = $draft->content->settled($checked);
        if (null !== $base && $content->equals($base)) {
            throw new Conflict(
                'no-change',
                t('This changes nothing of the combination, so there is nothing to propose.'),
            );
        }

        return $content;
    }

    /**
     * Runs the change under the library lock, if the version is the reviewed one and the proposal is open.
     *
     * @param \Closure(Proposal): void $change
     */
    private function change(int $id, int $version, \Closure $change): Proposal
    {
        return $this->library->write(function () use ($id, $version, $change): Proposal {
            $this->proposals->get($id)->requireUndecided();

            return $this->versions->change(Proposal::class, $id, $version, Proposals::MISSING, $change);
        });
    }

    private function put(
        Proposal $proposal,
        ?Combination $combination,
        ?CombinationDraft $edit,
        User $author,
    ): Combination {
        \assert(null !== $combination);

        return $this->library->update(
            $combination->id(),
            $combination->version(),
            $edit ?? $this->drafts->fromContent($this->merge($proposal)->result),
            $author,
        );
    }

    /** Returns the version that a revision is based on: the one its author saw, or the previous one. */
    private function basis(Proposal $proposal, DecisionRequest $request): ?int
    {
        $combination = $proposal->combination();

        return null === $combination || null === $request->against
            ? $proposal->basedOn()
            : $this->library->version($combination, $request->against)->number();
    }

    private function step(
        Proposal $proposal,
        ProposalStepKind $kind,
        User $by,
        string $remark,
        ?CombinationContent $content = null,
    ): void {
        $this->entities->persist(new ProposalStep(
            $proposal,
            $kind,
            $content,
            trim($remark),
            $this->accounts->managed($by),
            $this->clock->now(),
        ));
    }

    private function move(
        Proposal $proposal,
        ProposalStepKind $kind,
        User $by,
        string $remark,
        ?CombinationContent $content = null,
    ): void {
        $proposal->move($kind, $this->clock->now());
        $this->step($proposal, $kind, $by, $remark, $content);
    }

    private function record(Proposal $proposal, ProposalStepKind $kind, User $by, string $says): void
    {
        $this->audit->add($by->id(), 'proposal.'.$kind->value, $says, 'review/'.$proposal->id());
    }
}
