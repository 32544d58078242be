<?php

declare(strict_types=1);

namespace Periplus\App\Card;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Print\FileResponse;
use Periplus\App\Recording\RecordingFiles;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

/** Cards for athletes: every coach makes them; everybody with the link can read one. */
final readonly class CardController
{
    public function __construct(private Cards $cards, private CardSerializer $serializer, private GymSettings $gym)
    {
    }

    #[Route('/api/cards', methods: 'GET')]
    public function list(): JsonResponse
    {
        return new JsonResponse(['cards' => $this->cards->all()]);
    }

    #[Route('/api/cards', methods: 'POST')]
    public function create(
        #[MapRequestPayload(acceptFormat: 'json')] CardRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->cards->create($request, $user), 201);
    }

    #[Route('/api/cards/{id<\d{1,9}>}/revoke', methods: 'POST')]
    public function revoke(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->cards->revoke($id, $user));
    }

    /** Returns the card as PDF. */
    #[Route('/api/cards/{id<\d{1,9}>}/sheet.pdf', methods: 'GET')]
    #[HeavyWork]
    public function sheet(int $id, CardSheet $sheet): Response
    {
        $card = $this->cards->get($id);

        return FileResponse::create($sheet->render($card, $this->gym->name()), 'application/pdf', $card->name().'.pdf');
    }

    /** Returns a card by the key in its URL, without sign-in. */
    #[Route('/api/athlete-cards/{key<[0-9a-f]{32}>}', methods: 'GET')]
    public function read(string $key): JsonResponse
    {
        return new JsonResponse($this->serializer->serialize($this->cards->withKey($key), $this->gym->name()));
    }

    #[Route('/api/athlete-cards/{key<[0-9a-f]{32}>}/recordings/{id<\d{1,9}>}', methods: 'GET')]
    public function recording(string $key, int $id, RecordingFiles $files): Response
    {
        return $files->responseAmong($this->serializer->recordings($this->cards->withKey($key)), $id);
    }
}
