<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Doctrine\DBAL\ArrayParameterType;
use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Account\User;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Combination\Combination;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationDraft;
use Periplus\App\Combination\Combinations;
use Periplus\App\Combination\DraftReader;
use Periplus\App\Combination\Library;
use Periplus\App\Http\ApiProblem;
use Psr\Clock\ClockInterface;

/**
 * Proposals and what becomes of them. An approval puts what the proposal changes onto the newest version, so that what
 * was changed meanwhile by others stays; it names the version that was looked at, and a newer one is looked at first.
 */
final readonly class Proposals
{
    /** Proposals on a page. */
    public const SIZE = 50;
    /** Proposals of one coach that may wait for an answer at a time. */
    private const MOST_OPEN = 40;
    private const SELECT = 'SELECT p.*, u.name AS author_name FROM proposal p JOIN user u ON u.id = p.author_id';

    public function __construct(
        private Connection $connection,
        private EntityManagerInterface $entities,
        private Library $library,
        private Combinations $combinations,
        private DraftReader $drafts,
        private AuditLog $audit,
        private ClockInterface $clock,
    ) {
    }

    public function get(int $id): Proposal
    {
        $row = $this->connection->fetchAssociative(self::SELECT.' WHERE p.id = ?', [$id]);

        return false === $row ? throw new ApiProblem(404, 'not-found', 'There is no such proposal. It may have been typed wrongly.') : Proposal::of($row);
    }

    /**
     * @param list<ProposalState> $states
     *
     * @return array{list<Proposal>, int} a page of them, and how many there are: the one that waits longest first; of what is decided, the newest first
     */
    public function in(array $states, ?int $author = null, ?int $combination = null, int $page = 1): array
    {
        $decided = [] !== $states && $states[0]->isDecided();
        $where = ' WHERE p.state IN (?)'.(null === $author ? '' : ' AND p.author_id = '.$author).(null === $combination ? '' : ' AND p.combination_id = '.$combination);
        $of = [[array_map(static fn (ProposalState $state): string => $state->value, $states)], [ArrayParameterType::STRING]];
        $rows = $this->connection->fetchAllAssociative(self::SELECT.$where.' ORDER BY p.updated_at '.($decided ? 'DESC, p.id DESC' : 'ASC, p.id').' LIMIT '.self::SIZE.' OFFSET '.(($page - 1) * self::SIZE), ...$of);
        /** @var int|string $total */
        $total = $this->connection->fetchOne('SELECT COUNT(*) FROM proposal p'.$where, ...$of);

        return [array_map(Proposal::of(...), $rows), (int) $total];
    }

    /** @return array{open: int, returned: int, approved: int, rejected: int} how many wait for the head coach and how many for that author; and how many of that author's were approved, and rejected by somebody else */
    public function waiting(int $author): array
    {
        /** @var array{open: int|string, returned: int|string|null} $row */
        $row = $this->connection->fetchAssociative("SELECT COALESCE(SUM(state = 'open'), 0) AS open, COALESCE(SUM(state = 'returned' AND author_id = ?), 0) AS returned FROM proposal WHERE state IN ('open', 'returned')", [$author]);

        /** @var array{approved: int|string, rejected: int|string} $decided */
        $decided = $this->connection->fetchAssociative("SELECT COALESCE(SUM(p.state = 'approved'), 0) AS approved, COALESCE(SUM(p.state = 'withdrawn' AND EXISTS (SELECT 1 FROM proposal_step s WHERE s.proposal_id = p.id AND s.step = 'withdrawn' AND s.user_id <> p.author_id)), 0) AS rejected FROM proposal p WHERE p.author_id = ?", [$author]);

        return ['open' => (int) $row['open'], 'returned' => (int) $row['returned'], 'approved' => (int) $decided['approved'], 'rejected' => (int) $decided['rejected']];
    }

    /** @return list<array{id: int, name: string, author: string}> other proposals that wait with the same chain, the oldest first */
    public function sameChain(Proposal $proposal): array
    {
        if (ProposalKind::Retirement === $proposal->kind || $proposal->state->isDecided()) {
            return [];
        }
        /** @var list<array{id: int|string, name: string, author: string}> $rows */
        $rows = $this->connection->fetchAllAssociative(
            "SELECT p.id, JSON_VALUE(p.content, '$.name') AS name, u.name AS author FROM proposal p JOIN user u ON u.id = p.author_id WHERE p.state IN ('open', 'returned') AND p.id <> ? AND p.kind <> ? AND JSON_VALUE(p.content, '$.notation') = ? ORDER BY p.id LIMIT 10",
            [$proposal->id, ProposalKind::Retirement->value, $proposal->content->notation],
        );

        return array_map(static fn (array $row): array => [...$row, 'id' => (int) $row['id']], $rows);
    }

    /**
     * What was said last about each of them, once it is not open.
     *
     * @param list<int> $ids
     *
     * @return array<int, array{who: string, remark: string, byAuthor: bool}> by id of the proposal
     */
    public function answers(array $ids): array
    {
        $answers = [];
        /** @var list<array{proposal_id: int|string, remark: string, name: string, user_id: int|string, author_id: int|string}> $rows */
        $rows = [] === $ids ? [] : $this->connection->fetchAllAssociative("SELECT s.proposal_id, s.remark, u.name, s.user_id, p.author_id FROM proposal_step s JOIN proposal p ON p.id = s.proposal_id JOIN user u ON u.id = s.user_id WHERE s.id IN (SELECT MAX(id) FROM proposal_step WHERE proposal_id IN (?) GROUP BY proposal_id) AND p.state <> 'open'", [$ids], [ArrayParameterType::INTEGER]);
        foreach ($rows as $row) {
            $answers[(int) $row['proposal_id']] = ['who' => $row['name'], 'remark' => $row['remark'], 'byAuthor' => (int) $row['user_id'] === (int) $row['author_id']];
        }

        return $answers;
    }

    public function propose(ProposalRequest $request, User $author): Proposal
    {
        $draft = null === $request->content ? null : $this->drafts->read($request->content);

        return $this->library->write(function () use ($request, $draft, $author): Proposal {
            $this->requireRoom($author);
            $combination = ProposalKind::Addition === $request->kind ? null : $this->combinations->get($request->combination ?? 0);
            // Any version that there was: what changed meanwhile is shown to the head coach.
            $base = null === $combination ? null : $this->library->version($combination, $request->basedOn ?? 0)->content();
            if (null !== $combination && ProposalKind::Retirement === $request->kind) {
                $content = $combination->isInUse() ? $combination->content() : throw new ApiProblem(409, 'archived-already', 'This combination is archived already.');
            } else {
                $draft ?? throw new ApiProblem(422, 'invalid', 'A proposal has a chain and a name.');
                $checked = $this->library->checked($draft);
                $this->library->refuseDuplicate($checked->fingerprint->withEffort, $combination?->id());
                $content = $draft->content->settled($checked);
                if ($content->toArray() === $base?->toArray()) {
                    throw new ApiProblem(409, 'no-change', 'This changes nothing of the combination, so there is nothing to propose.');
                }
            }
            $now = $this->clock->now()->format('Y-m-d H:i:s');
            $this->connection->insert('proposal', [
                'kind' => $request->kind->value,
                'state' => ProposalState::Open->value,
                'combination_id' => $combination?->id(),
                'based_on' => null === $combination ? null : $request->basedOn,
                'content' => json_encode($content->toArray(), \JSON_THROW_ON_ERROR),
                'author_id' => $author->id(),
                'created_at' => $now,
                'updated_at' => $now,
            ]);
            $id = (int) $this->connection->lastInsertId();
            $this->step($id, 'proposed', $author, $request->remark, $content);
            $this->audit->add($author->id(), 'proposal.proposed', \sprintf('proposed %s “%s”', match ($request->kind) {
                ProposalKind::Addition => 'the new',
                ProposalKind::Change => 'a change of',
                ProposalKind::Retirement => 'to retire',
            }, ($combination?->content() ?? $content)->name), 'review/'.$id);

            return $this->get($id);
        });
    }

    /** Its author answers a remark, or thinks better of it. */
    public function revise(int $id, int $version, DecisionRequest $request, User $author): Proposal
    {
        $draft = $this->drafts->read($request->content ?? throw new ApiProblem(422, 'invalid', 'A proposal has a chain and a name.'));

        return $this->library->write(function () use ($id, $version, $request, $draft, $author): Proposal {
            $proposal = $this->current($id, $version);
            $this->requireAuthor($proposal, $author);
            if (ProposalKind::Retirement === $proposal->kind) {
                throw new ApiProblem(409, 'nothing-to-revise', 'A retirement has nothing to revise. Withdraw it instead.');
            }
            $checked = $this->library->checked($draft);
            $this->library->refuseDuplicate($checked->fingerprint->withEffort, $proposal->combination);

            return $this->move($proposal, ProposalState::Open, 'revised', $author, $request->remark, $draft->content->settled($checked), $this->basis($proposal, $request));
        });
    }

    public function return(int $id, int $version, DecisionRequest $request, User $head): Proposal
    {
        if ('' === trim($request->remark)) {
            throw new ApiProblem(422, 'invalid', 'Say in a remark what is to be done about it.', ['violations' => [['field' => 'remark', 'message' => 'Say what is to be done about it.']]]);
        }

        return $this->library->write(function () use ($id, $version, $request, $head): Proposal {
            $proposal = $this->current($id, $version);
            if (ProposalState::Returned === $proposal->state) {
                throw new ApiProblem(409, 'returned-already', 'It was returned already and waits for its author.');
            }
            $this->audit->add($head->id(), 'proposal.returned', \sprintf('returned the proposal “%s” of %s', $proposal->content->name, $proposal->authorName), 'review/'.$id);

            return $this->move($proposal, ProposalState::Returned, 'returned', $head, $request->remark);
        });
    }

    public function withdraw(int $id, int $version, DecisionRequest $request, User $author): Proposal
    {
        return $this->library->write(function () use ($id, $version, $request, $author): Proposal {
            $proposal = $this->current($id, $version);
            if (!$author->isHeadCoach()) {
                $this->requireAuthor($proposal, $author);
            }
            $this->audit->add($author->id(), 'proposal.withdrawn', \sprintf('withdrew the proposal “%s”%s', $proposal->content->name, $author->id() === $proposal->author ? '' : ' of '.$proposal->authorName), 'review/'.$id);

            return $this->move($proposal, ProposalState::Withdrawn, 'withdrawn', $author, $request->remark);
        });
    }

    public function approve(int $id, int $version, DecisionRequest $request, User $head): Proposal
    {
        $edit = null === $request->content ? null : $this->drafts->read($request->content);

        return $this->library->write(function () use ($id, $version, $request, $edit, $head): Proposal {
            $proposal = $this->current($id, $version);
            $author = $this->entities->find(User::class, $proposal->author) ?? $head;
            $combination = null === $proposal->combination ? null : $this->combinations->get($proposal->combination);
            if (null !== $combination && $combination->version() !== $request->against) {
                throw $this->library->stale($combination, (int) $request->against, $head);
            }
            if (ProposalKind::Retirement === $proposal->kind && null !== $combination && !$combination->isInUse()) {
                throw new ApiProblem(409, 'archived-already', 'This combination is archived already. Return the proposal or have it withdrawn.');
            }
            $done = match ($proposal->kind) {
                ProposalKind::Addition => $this->library->create($edit ?? $this->drafts->of($proposal->content), $head, $author),
                ProposalKind::Change => $this->put($proposal, $combination, $edit, $author),
                ProposalKind::Retirement => $this->library->archive((int) $combination?->id(), (int) $request->against, $author),
            };
            $this->connection->update('proposal', ['combination_id' => $done->id()], ['id' => $id]);
            $this->audit->add($head->id(), 'proposal.approved', \sprintf('approved the proposal “%s” of %s%s%s', $done->content()->name, $proposal->authorName, null === $edit ? '' : ', with an edit', $done->isInUse() || ProposalKind::Retirement === $proposal->kind ? '' : '; it stays archived'), 'review/'.$id);

            return $this->move($proposal, ProposalState::Approved, 'approved', $head, $request->remark, $edit?->content);
        });
    }

    /**
     * What an approval would put in place: the newest, with what the proposal changes in what it was made from.
     *
     * @return array{base: CombinationContent|null, newest: CombinationContent|null, result: CombinationContent, changed: list<string>, movedOn: list<string>}
     */
    public function merge(Proposal $proposal): array
    {
        if (null === $proposal->combination || null === $proposal->basedOn || ProposalKind::Retirement === $proposal->kind) {
            $newest = null === $proposal->combination ? null : $this->combinations->get($proposal->combination)->content();

            return ['base' => $newest, 'newest' => $newest, 'result' => $newest ?? $proposal->content, 'changed' => [], 'movedOn' => []];
        }
        $combination = $this->combinations->get($proposal->combination);
        $base = $this->library->version($combination, $proposal->basedOn)->content();
        $newest = $combination->content();
        $result = $this->drafts->of($newest->with($proposal->content, $proposal->content->differencesFrom($base)));

        return [
            'base' => $base,
            'newest' => $newest,
            'result' => $result->content->settled($this->library->checked($result)),
            'changed' => $proposal->content->differencesFrom($base),
            'movedOn' => $newest->differencesFrom($base),
        ];
    }

    /** @return list<array{step: string, who: string, at: string, remark: string, content: CombinationContent|null}> */
    public function steps(Proposal $proposal): array
    {
        /** @var list<array{step: string, name: string, created_at: string, remark: string, content: string|null}> $rows */
        $rows = $this->connection->fetchAllAssociative('SELECT s.step, s.remark, s.content, s.created_at, u.name FROM proposal_step s JOIN user u ON u.id = s.user_id WHERE s.proposal_id = ? ORDER BY s.id', [$proposal->id]);

        return array_map(static fn (array $row): array => [
            'step' => $row['step'],
            'who' => $row['name'],
            'at' => (new \DateTimeImmutable($row['created_at']))->format(\DATE_ATOM),
            'remark' => $row['remark'],
            'content' => null === $row['content'] ? null : CombinationContent::ofJson($row['content']),
        ], $rows);
    }

    private function requireRoom(User $author): void
    {
        /** @var int|string $open */
        $open = $this->connection->fetchOne("SELECT COUNT(*) FROM proposal WHERE author_id = ? AND state IN ('open', 'returned')", [$author->id()]);
        if ((int) $open >= self::MOST_OPEN) {
            throw new ApiProblem(409, 'too-many-open', \sprintf('%d proposals of yours wait already. Withdraw some of them, or wait until they are decided.', self::MOST_OPEN));
        }
    }

    private function put(Proposal $proposal, ?Combination $combination, ?CombinationDraft $edit, User $author): Combination
    {
        \assert(null !== $combination);

        return $this->library->update($combination->id(), $combination->version(), $edit ?? $this->drafts->of($this->merge($proposal)['result']), $author);
    }

    /** The proposal at that version, not decided yet. */
    private function current(int $id, int $version): Proposal
    {
        $proposal = $this->get($id);
        if ($proposal->state->isDecided()) {
            throw new ApiProblem(409, 'decided-already', ProposalState::Approved === $proposal->state ? 'This proposal was approved already.' : 'This proposal was withdrawn.');
        }
        if ($proposal->version !== $version) {
            throw new ApiProblem(412, 'changed-meanwhile', 'This proposal was changed meanwhile. Nothing was decided; look at the newest.');
        }

        return $proposal;
    }

    private function requireAuthor(Proposal $proposal, User $user): void
    {
        if ($proposal->author !== $user->id()) {
            throw new ApiProblem(403, 'not-allowed', \sprintf('This is a proposal of %s; only they can change it.', $proposal->authorName));
        }
    }

    /** What a revision is based on from now on: what its author looked at, or what it was before. */
    private function basis(Proposal $proposal, DecisionRequest $request): ?int
    {
        if (null === $proposal->combination || null === $request->against) {
            return $proposal->basedOn;
        }

        return $this->library->version($this->combinations->get($proposal->combination), $request->against)->number();
    }

    private function move(Proposal $proposal, ProposalState $to, string $step, User $by, string $remark, ?CombinationContent $content = null, ?int $basedOn = null): Proposal
    {
        $this->connection->update('proposal', [
            'state' => $to->value,
            'version' => $proposal->version + 1,
            'updated_at' => $this->clock->now()->format('Y-m-d H:i:s'),
            'based_on' => $basedOn ?? $proposal->basedOn,
            'content' => json_encode(($content ?? $proposal->content)->toArray(), \JSON_THROW_ON_ERROR),
        ], ['id' => $proposal->id]);
        $this->step($proposal->id, $step, $by, $remark, $content);

        return $this->get($proposal->id);
    }

    private function step(int $id, string $step, User $by, string $remark, ?CombinationContent $content): void
    {
        $this->connection->insert('proposal_step', [
            'proposal_id' => $id,
            'step' => $step,
            'content' => null === $content ? null : json_encode($content->toArray(), \JSON_THROW_ON_ERROR),
            'remark' => trim($remark),
            'user_id' => $by->id(),
            'created_at' => $this->clock->now()->format('Y-m-d H:i:s'),
        ]);
    }
}
