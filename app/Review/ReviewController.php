<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\CombinationTable;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\IfMatch;
use Periplus\App\Numbering\GymNumberings;
use Periplus\Core\Notation\Numbering;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

#[Route('/api/proposals')]
final readonly class ReviewController
{
    private const LISTS = [
        'open' => [ProposalState::Open],
        'returned' => [ProposalState::Returned],
        'decided' => [ProposalState::Approved, ProposalState::Withdrawn],
    ];

    public function __construct(private Proposals $proposals, private CombinationTable $table, private LineRenderer $lines, private GymNumberings $numberings)
    {
    }

    #[Route('', methods: 'GET')]
    public function list(#[CurrentUser] User $user, #[MapQueryParameter] string $list = 'open', #[MapQueryParameter] bool $mine = false, #[MapQueryParameter] ?int $combination = null, #[MapQueryParameter] int $page = 1): JsonResponse
    {
        $states = self::LISTS[$list] ?? throw new ApiProblem(422, 'invalid', 'Proposals are open, returned or decided.');

        [$proposals, $total] = $this->proposals->in($states, $mine ? $user->id() : null, $combination, max(1, min($page, 100_000)));

        return new JsonResponse([
            'proposals' => $this->rows($proposals, $this->numberings->of($user)),
            'total' => $total,
            'size' => Proposals::SIZE,
            'waiting' => $this->proposals->waiting($user->id()),
        ]);
    }

    #[Route('', methods: 'POST')]
    public function propose(#[MapRequestPayload(acceptFormat: 'json')] ProposalRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->propose($request, $user), $user, 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->get($id), $user);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    public function revise(int $id, Request $http, #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->revise($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/return', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function return(int $id, Request $http, #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->return($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/approve', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function approve(int $id, Request $http, #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->approve($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/withdraw', methods: 'POST')]
    public function withdraw(int $id, Request $http, #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->withdraw($id, IfMatch::version($http), $request, $user), $user);
    }

    private function answer(Proposal $proposal, User $user, int $status = 200): JsonResponse
    {
        $numbering = $this->numberings->of($user);
        $write = fn (?CombinationContent $content): ?array => null === $content ? null : $this->lines->with($content->toArray(), $numbering);
        $merge = $this->proposals->merge($proposal);

        return new JsonResponse([
            ...$this->rows([$proposal], $numbering)[0],
            'base' => $write($merge['base']),
            'newest' => $write($merge['newest']),
            'result' => $write($merge['result']),
            'changed' => $merge['changed'],
            'movedOn' => $merge['movedOn'],
            'sameChain' => $this->proposals->sameChain($proposal),
            'steps' => array_map(static fn (array $step): array => [...$step, 'content' => $write($step['content'])], $this->proposals->steps($proposal)),
        ], $status, ['ETag' => \sprintf('"%d"', $proposal->version)]);
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return list<array<string, mixed>> their combinations are fetched at once
     */
    private function rows(array $proposals, Numbering $numbering): array
    {
        $ids = array_values(array_unique(array_filter(array_map(static fn (Proposal $proposal): ?int => $proposal->combination, $proposals), is_int(...))));
        $combinations = array_column($this->table->summaries($ids), null, 'id');

        $answers = $this->proposals->answers(array_map(static fn (Proposal $proposal): int => $proposal->id, $proposals));

        return array_map(function (Proposal $proposal) use ($combinations, $answers, $numbering): array {
            $combination = $combinations[$proposal->combination ?? 0] ?? null;
            $drawn = $this->lines->of($proposal->content, $numbering);

            return [
                'id' => $proposal->id,
                'version' => $proposal->version,
                'kind' => $proposal->kind->value,
                'state' => $proposal->state->value,
                'combination' => null === $combination ? null : ['id' => $combination->id, 'name' => $combination->content->name, 'version' => $combination->version, 'archived' => null !== $combination->archivedAt],
                'answer' => $answers[$proposal->id] ?? null,
                'basedOn' => $proposal->basedOn,
                'content' => [...$proposal->content->toArray(), 'text' => $drawn['text']],
                'verdict' => $drawn['verdict'],
                'line' => $drawn['line'],
                'author' => ['id' => $proposal->author, 'name' => $proposal->authorName],
                'createdAt' => $proposal->createdAt->format(\DATE_ATOM),
                'updatedAt' => $proposal->updatedAt->format(\DATE_ATOM),
            ];
        }, $proposals);
    }
}
