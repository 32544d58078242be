<?php

declare(strict_types=1);

namespace Periplus\App\Account;

use Doctrine\DBAL\Connection;
use Doctrine\ORM\EntityManagerInterface;
use Periplus\App\Http\Problem;
use Periplus\App\Record\Record;
use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\PasswordHasher\Hasher\UserPasswordHasherInterface;
use Symfony\Component\RateLimiter\RateLimiterFactory;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

/** The coaches of the gym: invited by a link, with their roles, passwords and last sign-in. */
final readonly class CoachesController
{
    public function __construct(private EntityManagerInterface $entities, private Connection $connection, private Invitations $invitations, private Record $record)
    {
    }

    #[Route('/api/coaches', methods: 'GET')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function list(): JsonResponse
    {
        $coaches = $this->entities->getRepository(User::class)->findBy([], ['name' => 'ASC']);

        return new JsonResponse(['coaches' => array_map(self::coach(...), $coaches)]);
    }

    #[Route('/api/invitations', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function invite(#[MapRequestPayload(acceptFormat: 'json')] CoachRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->invitations->invite($request->role(), $user), 201);
    }

    /** A link that lets a coach set their password anew. */
    #[Route('/api/coaches/{id<\d{1,9}>}/reset', methods: 'POST')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function reset(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->invitations->reset($this->get($id), $user), 201);
    }

    #[Route('/api/coaches/{id<\d{1,9}>}', methods: 'PUT')]
    #[IsGranted('ROLE_HEAD_COACH')]
    public function change(int $id, #[MapRequestPayload(acceptFormat: 'json')] CoachRequest $request, #[CurrentUser] User $user): JsonResponse
    {
        $coach = $this->entities->wrapInTransaction(function () use ($id, $request, $user): User {
            // Held, so that the last two head coaches cannot step down in the same moment.
            $heads = $this->connection->fetchFirstColumn("SELECT id FROM user WHERE role = 'ROLE_HEAD_COACH' AND active = 1 FOR UPDATE");
            $coach = $this->get($id);
            $stays = GymRole::HeadCoach === $request->role() && $request->active;
            if (!$stays && [$id] === array_map(static fn (mixed $head): int => is_numeric($head) ? (int) $head : 0, $heads)) {
                throw new Problem(409, 'last-head-coach', 'This is the only head coach. Make someone else head coach first.');
            }
            if ($coach->role() !== $request->role()) {
                $this->record->add($user->id(), 'coach.role', \sprintf('made %s %s', $coach->name(), strtr($request->role()->word(), '-', ' ')), 'coaches/'.$id);
            }
            if ($coach->isActive() !== $request->active) {
                $this->record->add($user->id(), 'coach.active', \sprintf($request->active ? 'let %s sign in again' : 'no longer lets %s sign in', $coach->name()), 'coaches/'.$id);
            }
            $coach->become($request->role());
            $coach->activate($request->active);
            $this->entities->flush();

            return $coach;
        });

        return new JsonResponse(self::coach($coach));
    }

    /** What a link is for; whoever has it may ask. */
    #[Route('/api/invitations/{token<[A-Za-z0-9_-]{32}>}', methods: 'GET')]
    public function look(string $token): JsonResponse
    {
        return new JsonResponse($this->invitations->look($token));
    }

    #[Route('/api/invitations/{token<[A-Za-z0-9_-]{32}>}', methods: 'POST')]
    public function accept(string $token, #[MapRequestPayload(acceptFormat: 'json')] AcceptRequest $request): Response
    {
        $this->invitations->accept($token, $request);

        return new Response(status: 204);
    }

    /** One's own password; other sessions of the account end. */
    #[Route('/api/me/password', methods: 'PUT')]
    public function password(Request $http, #[MapRequestPayload(acceptFormat: 'json')] PasswordRequest $request, #[CurrentUser] User $user, UserPasswordHasherInterface $hasher, Security $security, RateLimiterFactory $passwordLimiter): Response
    {
        if (!$passwordLimiter->create((string) $user->id())->consume()->isAccepted()) {
            throw new Problem(429, 'too-many-tries', 'Too many tries. Wait a minute, then try again.');
        }
        $account = $this->get($user->id());
        if (!$hasher->isPasswordValid($account, $request->current)) {
            throw new Problem(422, 'wrong-password', 'The current password is not right.', ['violations' => [['field' => 'current', 'message' => 'The current password is not right.']]]);
        }
        $account->usePasswordHash($hasher->hashPassword($account, $request->new));
        $this->entities->flush();
        $this->record->add($user->id(), 'coach.password', 'changed their password', 'coaches/'.$user->id());
        $security->login($account, 'json_login', 'api');

        return new Response(status: 204);
    }

    private function get(int $id): User
    {
        return $this->entities->find(User::class, $id) ?? throw new Problem(404, 'not-found', 'There is no such coach.');
    }

    /** @return array<string, mixed> */
    private static function coach(User $user): array
    {
        return [
            'id' => $user->id(),
            'name' => $user->name(),
            'email' => $user->getUserIdentifier(),
            'role' => $user->role()->word(),
            'active' => $user->isActive(),
            'lastSignIn' => $user->lastSignIn()?->format(\DATE_ATOM),
        ];
    }
}
