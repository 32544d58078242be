<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Audit\AuditLog;
use Periplus\App\Gym\LibraryLock;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Security\GymRole;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Conflict;
use Periplus\App\Store\Invalid;
use Periplus\App\Store\NotFound;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\RateLimiter\RateLimiterFactoryInterface;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** Manages the gym's coaches: invitations, roles, password resets and last sign-in. */
final readonly class CoachesController
{
    public function __construct(
        private EntityManagerInterface $entities,
        private Accounts $accounts,
        private Invitations $invitations,
        private AuditLog $audit,
        private LibraryLock $lock,
    ) {
    }

    #[Route('/api/coaches', methods: 'GET')]
    #[IsGranted(Permission::ManageCoaches->value)]
    public function list(): JsonResponse
    {
        $coaches = $this->accounts->findBy([], ['name' => 'ASC']);

        return new JsonResponse([
            'coaches' => array_map(static fn (User $coach): ShownCoach => new ShownCoach($coach), $coaches),
        ]);
    }

    #[Route('/api/invitations', methods: 'POST')]
    #[IsGranted(Permission::ManageCoaches->value)]
    public function invite(
        #[MapRequestPayload(acceptFormat: 'json')] InviteRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->invitations->invite($request, $user), 201);
    }

    /** Lists the valid links, without their tokens, which only the recipient knows. */
    #[Route('/api/invitations', methods: 'GET')]
    #[IsGranted(Permission::ManageCoaches->value)]
    public function invitations(): JsonResponse
    {
        return new JsonResponse(['invitations' => $this->invitations->open()]);
    }

    #[Route('/api/invitations/{id<\d{1,9}>}', methods: 'DELETE')]
    #[IsGranted(Permission::ManageCoaches->value)]
    public function withdraw(int $id, #[CurrentUser] User $user): Response
    {
        $this->invitations->withdraw($id, $user);

        return new Response(status: 204);
    }

    /** Creates a link with which a coach sets a new password. */
    #[Route('/api/coaches/{id<\d{1,9}>}/reset', methods: 'POST')]
    #[IsGranted(Permission::ManageCoaches->value)]
    public function reset(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->invitations->reset($this->get($id), $user), 201);
    }

    #[Route('/api/coaches/{id<\d{1,9}>}', methods: 'PUT')]
    #[IsGranted(Permission::ManageCoaches->value)]
    public function change(
        int $id,
        #[MapRequestPayload(acceptFormat: 'json')] CoachRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $coach = $this->entities->wrapInTransaction(function () use ($id, $request, $user): User {
            // One after the other, so that the last two head coaches cannot step down at the same time.
            $this->lock->take();
            $heads = $this->accounts->activeHeadCoaches();
            $coach = $this->get($id);
            [$role, $active] = [$request->role() ?? $coach->role(), $request->active ?? $coach->isActive()];
            $stays = GymRole::HeadCoach === $role && $active;
            if (!$stays && [$coach] === $heads) {
                throw new Conflict(
                    'last-head-coach',
                    t('This is the only head coach. Make someone else head coach first.'),
                );
            }
            if ($coach->role() !== $role) {
                $this->audit->add(
                    $user->id(),
                    'coach.role',
                    t('made {coach} {role}', coach: $coach->name(), role: strtr($role->word(), '-', ' ')),
                    'coaches/'.$id,
                );
                if ($coach->isHeadCoach()) {
                    $this->endLinks($coach, InvitationEnding::Demoted);
                }
                $coach->changeRole($role);
            }
            if ($coach->isActive() !== $active) {
                $this->audit->add(
                    $user->id(),
                    'coach.active',
                    $active
                        ? t('unblocked {name}', name: $coach->name())
                        : t('blocked {name}', name: $coach->name()),
                    'coaches/'.$id,
                );
                if ($active) {
                    $coach->letIn();
                } else {
                    $coach->block();
                    $this->endLinks($coach, InvitationEnding::Blocked);
                }
            }
            $this->entities->flush();

            return $coach;
        });

        return new JsonResponse(new ShownCoach($coach));
    }

    /** Returns what a link is for; knowing its token is enough to ask. */
    #[Route('/api/invitations/look', methods: 'POST')]
    public function look(#[MapRequestPayload(acceptFormat: 'json')] LinkRequest $request): JsonResponse
    {
        return new JsonResponse($this->invitations->look($request->token));
    }

    #[Route('/api/invitations/accept', methods: 'POST')]
    public function accept(
        #[MapRequestPayload(acceptFormat: 'json')] AcceptRequest $request,
        Security $security,
    ): Response {
        $user = $this->invitations->accept($request);
        // Someone who has just set a password need not type it again; a blocked coach stays signed out.
        if ($user->isActive()) {
            $security->login($user, 'json_login', 'api');
        }

        return new Response(status: 204);
    }

    /** Changes one's own password; other login sessions of the account end. */
    #[Route('/api/me/password', methods: 'PUT')]
    public function password(
        Request $http,
        #[MapRequestPayload(acceptFormat: 'json')] PasswordRequest $request,
        #[CurrentUser] User $user,
        UserPasswordHasherInterface $hasher,
        Security $security,
        RateLimiterFactoryInterface $passwordLimiter,
    ): Response {
        if (!$passwordLimiter->create((string) $user->id())->consume()->isAccepted()) {
            throw new ApiProblem(429, 'too-many-tries', t('Too many tries. Wait a minute, then try again.'));
        }
        $account = $this->get($user->id());
        if (!$hasher->isPasswordValid($account, $request->current)) {
            throw new Invalid(
                t('The current password is not right.'),
                ['violations' => [['field' => 'current', 'message' => t('The current password is not right.')]]],
                type: 'wrong-password',
            );
        }
        PasswordRules::require($request->new, 'new', $account->name(), $account->getUserIdentifier());
        $account->usePasswordHash($hasher->hashPassword($account, $request->new));
        $account->endSessions();
        $this->entities->flush();
        $this->invitations->endOf($account, InvitationEnding::Password);
        $this->audit->add($user->id(), 'coach.password', t('changed their password'), 'coaches/'.$user->id());
        $security->login($account, 'json_login', 'api');

        return new Response(status: 204);
    }

    /** Ends the links that the account created if it may not create any more, and those that would set its password. */
    private function endLinks(User $coach, InvitationEnding $ending): void
    {
        $this->invitations->endBy($coach);
        $this->invitations->endOf($coach, $ending);
    }

    private function get(int $id): User
    {
        return $this->accounts->find($id) ?? throw new NotFound(t('There is no such coach.'));
    }
}
