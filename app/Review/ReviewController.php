<?php

declare(strict_types=1);

namespace Periplus\App\Review;

use Periplus\App\Account\User;
use Periplus\App\Combination\CombinationContent;
use Periplus\App\Combination\LineRenderer;
use Periplus\App\Combination\ShownContent;
use Periplus\App\Http\IfMatch;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Instant;
use Periplus\App\Store\Invalid;
use Periplus\Core\Notation\Numbering;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

#[Route('/api/proposals')]
final readonly class ReviewController
{
    private const LISTS = [
        'open' => [ProposalState::Open],
        'returned' => [ProposalState::Returned],
        'decided' => [ProposalState::Approved, ProposalState::Withdrawn],
    ];

    public function __construct(
        private Proposals $proposals,
        private Review $review,
        private LineRenderer $lines,
        private GymNumberings $numberings,
    ) {
    }

    #[Route('', methods: 'GET')]
    public function list(
        #[CurrentUser] User $user,
        #[MapQueryParameter] string $list = 'open',
        #[MapQueryParameter] bool $mine = false,
        #[MapQueryParameter] ?int $combination = null,
        #[MapQueryParameter] int $page = 1,
    ): JsonResponse {
        $states = self::LISTS[$list] ?? throw new Invalid(t('Proposals are open, returned or decided.'));

        $found = $this->proposals->in(
            $states,
            $mine ? $user->id() : null,
            $combination,
            max(1, min($page, 100_000)),
        );

        return new JsonResponse([
            'proposals' => $this->rows($found->proposals, $this->numberings->forUser($user)),
            'total' => $found->total,
            'size' => Proposals::PAGE_SIZE,
            'waiting' => $this->proposals->waiting($user->id()),
        ]);
    }

    #[Route('', methods: 'POST')]
    public function propose(
        #[MapRequestPayload(acceptFormat: 'json')] ProposalRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->review->propose($request, $user), $user, 201);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'GET')]
    public function read(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return $this->answer($this->proposals->get($id), $user);
    }

    #[Route('/{id<\d{1,9}>}', methods: 'PUT')]
    public function revise(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->review->revise($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/return', methods: 'POST')]
    #[IsGranted(Permission::DecideProposals->value)]
    public function return(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->review->return($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/approve', methods: 'POST')]
    #[IsGranted(Permission::DecideProposals->value)]
    public function approve(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->review->approve($id, IfMatch::version($http), $request, $user), $user);
    }

    #[Route('/{id<\d{1,9}>}/withdraw', methods: 'POST')]
    public function withdraw(
        int $id,
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] DecisionRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return $this->answer($this->review->withdraw($id, IfMatch::version($http), $request, $user), $user);
    }

    private function answer(Proposal $proposal, User $user, int $status = 200): JsonResponse
    {
        $numbering = $this->numberings->forUser($user);
        $write = fn (?CombinationContent $content): ?ShownContent => null === $content
            ? null
            : $this->lines->content($content, $numbering);
        $merge = $this->review->merge($proposal);

        return new JsonResponse([
            ...(array) $this->rows([$proposal], $numbering)[0],
            'base' => $write($merge->base),
            'newest' => $write($merge->newest),
            'result' => $write($merge->result),
            'changed' => $merge->changed,
            'movedOn' => $merge->movedOn,
            'sameChain' => $this->proposals->sameChain($proposal),
            'steps' => array_map(static fn (ProposalStep $step): array => [
                'step' => $step->kind(),
                'who' => $step->user()->name(),
                'at' => new Instant($step->createdAt()),
                'remark' => $step->remark(),
                'content' => $write($step->content()),
            ], $this->proposals->steps($proposal)),
        ], $status, ['ETag' => \sprintf('"%d"', $proposal->version())]);
    }

    /**
     * @param list<Proposal> $proposals
     *
     * @return list<ShownProposal>
     */
    private function rows(array $proposals, Numbering $numbering): array
    {
        $answers = $this->proposals->answers($proposals);

        return array_map(fn (Proposal $proposal): ShownProposal => new ShownProposal(
            $proposal,
            $answers[$proposal->id()] ?? null,
            $this->lines->render($proposal->content(), $numbering),
        ), $proposals);
    }
}
