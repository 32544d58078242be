<?php

declare(strict_types=1);

namespace Periplus\App\AtHome;

use Periplus\App\Account\User;
use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Recording\RecordingFiles;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

use function Periplus\Core\Language\t;

/** Links to sessions: every coach makes them; everybody with the link can do the session alone. */
final readonly class SessionLinkController
{
    public function __construct(private SessionLinks $links, private HomeSession $session, private GymSettings $gym)
    {
    }

    #[Route('/api/session-links', methods: 'GET')]
    public function list(): JsonResponse
    {
        return new JsonResponse(['links' => $this->links->all()]);
    }

    #[Route('/api/session-links', methods: 'POST')]
    public function create(
        #[MapRequestPayload(acceptFormat: 'json')] SessionLinkRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        return new JsonResponse($this->links->create($request, $user), 201);
    }

    #[Route('/api/session-links/{id<\d{1,9}>}/revoke', methods: 'POST')]
    public function revoke(int $id, #[CurrentUser] User $user): JsonResponse
    {
        return new JsonResponse($this->links->revoke($id, $user));
    }

    /** Returns a session by the key in its URL, without sign-in. */
    #[Route('/api/athlete-sessions/{key<[0-9a-f]{32}>}', methods: 'GET')]
    public function read(string $key, #[MapQueryParameter] ?string $numbering = null): JsonResponse
    {
        $link = $this->links->withKey($key);

        return new JsonResponse([
            'gym' => $this->gym->name(),
            'name' => $link->name(),
            'endsOn' => $link->endsOn(),
            'numberings' => $this->session->numberings(),
            'programme' => $this->session->document($link, $numbering),
        ]);
    }

    #[Route('/api/athlete-sessions/{key<[0-9a-f]{32}>}/clips/{digest<[0-9a-f]{32}>}', methods: 'GET')]
    public function clip(string $key, string $digest): Response
    {
        $link = $this->links->withKey($key);
        try {
            $sound =
                $this->session->clip($link, $digest)
                ?? throw new NotFound(t('This session does not use this call.'));
        } catch (\RuntimeException $failed) {
            throw $failed instanceof Refused
                ? $failed
                : new ApiProblem(503, 'no-voice', t('The voice is unavailable right now.'));
        }

        return new Response($sound, 200, ['Content-Type' => 'audio/wav']);
    }

    #[Route('/api/athlete-sessions/{key<[0-9a-f]{32}>}/recordings/{id<\d{1,9}>}', methods: 'GET')]
    public function recording(string $key, int $id, RecordingFiles $files): Response
    {
        return $files->responseAmong($this->session->recordings($this->links->withKey($key)), $id);
    }

    /** Counts that somebody came to the end, without a name. */
    #[Route('/api/athlete-sessions/{key<[0-9a-f]{32}>}/finished', methods: 'POST')]
    public function finished(string $key): Response
    {
        $this->links->countFinished($this->links->withKey($key));

        return new Response(status: 204);
    }

    /** Says how a phone keeps the page among its applications. */
    #[Route('/api/athlete-sessions/{key<[0-9a-f]{32}>}/manifest', methods: 'GET')]
    public function manifest(string $key): JsonResponse
    {
        $link = $this->links->withKey($key);

        return new JsonResponse([
            'name' => $link->name().', '.$this->gym->name(),
            'short_name' => $link->name(),
            'start_url' => '/at-home/'.$key,
            'scope' => '/at-home/',
            'display' => 'standalone',
            'background_color' => '#f3eee2',
            'theme_color' => '#1c2431',
            'icons' => [['src' => '/mark.svg', 'sizes' => 'any', 'type' => 'image/svg+xml']],
        ], headers: ['Content-Type' => 'application/manifest+json']);
    }
}
