<?php

declare(strict_types=1);

namespace Periplus\App\Run;

use Periplus\App\Gym\GymSettings;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Numbering\GymNumbering;
use Periplus\App\Numbering\GymNumberings;
use Periplus\App\Recording\DemonstratedRecordings;
use Periplus\App\Recording\RecordingFiles;
use Periplus\App\Store\Gone;
use Periplus\App\Store\NotAllowed;
use Periplus\App\Store\NotFound;
use Periplus\App\Store\Refused;
use Periplus\App\Wall\Wall;
use Periplus\App\Wall\Walls;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;

use function Periplus\Core\Language\t;

/**
 * Requests of screens, authenticated by the key in the URL: a wall, or an athlete's phone. A key gives access to the
 * session of that screen only.
 */
#[Route('/api/screens/{key<[0-9a-f]{32}>}')]
final readonly class ScreenController
{
    public function __construct(
        private Runs $runs,
        private RunControl $control,
        private RunRecord $record,
        private Walls $walls,
        private Programmes $programmes,
        private GymSettings $gym,
        private GymNumberings $numberings,
        private DemonstratedRecordings $recordings,
        private RecordingFiles $files,
    ) {
    }

    #[Route('', methods: 'GET')]
    public function read(string $key): JsonResponse
    {
        $wall = $this->walls->withKey($key);
        $run = $this->run($key, $wall);
        if (null !== $wall) {
            $this->walls->seen($wall);
        }

        return new JsonResponse([
            'kind' => null === $wall ? 'athlete' : 'wall',
            'gym' => $this->gym->name(),
            'name' => $wall?->name() ?? '',
            'hasKeys' => $wall?->hasKeys() ?? false,
            'numberings' => null === $wall
                    ? array_map(
                        static fn (GymNumbering $one): array => [
                            'id' => $one->numbering->id,
                            'name' => $one->numbering->name,
                        ],
                        array_values($this->numberings->all()),
                    )
                    : [],
            'run' => null === $run ? null : new ScreenRun($run),
            'nowMs' => $this->runs->now(),
        ]);
    }

    /** Returns what a wall shows while no session runs. */
    #[Route('/idle', methods: 'GET')]
    public function idle(string $key, IdleWall $idle): JsonResponse
    {
        $this->wall($key);

        return new JsonResponse([
            'timeZone' => $this->gym->timeZone()->getName(),
            'sessions' => $idle->sessions(),
            'week' => $idle->week(),
        ]);
    }

    /** @param string|null $numbering in which an athlete reads; that of the plan when null */
    #[Route('/programmes/{run<\d{1,9}>}/{version<\d{1,9}>}', methods: 'GET')]
    public function programme(
        string $key,
        int $run,
        int $version,
        #[MapQueryParameter] ?string $numbering = null,
    ): JsonResponse {
        $this->mine($key, $run);
        $document = $this->programmes->document($run, $version);
        $named =
            null === $numbering
                ? null
                : $this->numberings->all()[$numbering]->numbering
                    ?? throw new NotFound(t('There is no such numbering. It may have been archived.'));

        return new JsonResponse([
            ...$document,
            'chains' => $this->recordings->addTo(
                null === $named ? $document['chains'] : $this->record->chainsIn($run, $version, $named),
            ),
        ]);
    }

    #[Route('/clips/{run<\d{1,9}>}/{version<\d{1,9}>}/{digest<[0-9a-f]{32}>}', methods: 'GET')]
    public function clip(string $key, int $run, int $version, string $digest): Response
    {
        $this->mine($key, $run);
        try {
            $sound =
                $this->programmes->clip($run, $version, $digest)
                ?? throw new NotFound(t('This session does not use this call.'));
        } catch (\RuntimeException $failed) {
            throw $failed instanceof Refused
                ? $failed
                : new ApiProblem(503, 'no-voice', t('The voice is unavailable right now.'));
        }

        return new Response($sound, 200, ['Content-Type' => 'audio/wav']);
    }

    #[Route('/recordings/{run<\d{1,9}>}/{version<\d{1,9}>}/{id<\d{1,9}>}', methods: 'GET')]
    public function recording(string $key, int $run, int $version, int $id): Response
    {
        $this->mine($key, $run);

        return $this->files->responseAmong(
            array_values($this->recordings->in($this->programmes->document($run, $version)['chains'])),
            $id,
        );
    }

    #[Route('/commands', methods: 'POST')]
    public function command(
        string $key,
        #[MapRequestPayload(acceptFormat: 'json')] WallCommandRequest $request,
    ): JsonResponse {
        $wall = $this->wall($key);
        if (!$wall->hasKeys() || !$request->kind->isForWalls()) {
            throw new NotAllowed(t('This screen has no controls. A coach runs the session.'));
        }
        $this->mine($key, $request->run);

        return new JsonResponse(
            new ScreenRun($this->control->command($request->run, $request->command(), $wall)),
        );
    }

    /** Stores what the wall has shown; walls send it again when no answer arrives. */
    #[Route('/shown', methods: 'POST')]
    public function shown(string $key, #[MapRequestPayload(acceptFormat: 'json')] ShownRequest $request): Response
    {
        $this->record->add($request, $this->wall($key));

        return new Response(status: 204);
    }

    /** nginx asks before a screen may listen; it understands no refusal other than 403. */
    #[Route('/listen', methods: 'GET')]
    public function listen(string $key): Response
    {
        $wall = $this->walls->withKey($key);
        if (null === $wall && null === $this->runs->followed($key)) {
            throw new NotAllowed(t('This link no longer works.'), 'key-revoked');
        }

        return new Response(status: 204);
    }

    private function wall(string $key): Wall
    {
        return $this->walls->withKey($key) ?? throw self::unknown();
    }

    /** @throws Refused when the key opens nothing */
    private function run(string $key, ?Wall $wall): ?RunView
    {
        return null === $wall
            ? $this->runs->followed($key) ?? throw self::unknown()
            : (null === $wall->run()
                ? null
                : $this->runs->view($wall->run()));
    }

    /** @throws Refused when the screen does not show that session */
    private function mine(string $key, int $run): void
    {
        if ($this->run($key, $this->walls->withKey($key))?->id !== $run) {
            throw new NotFound(t('This screen does not show that session.'));
        }
    }

    private static function unknown(): Refused
    {
        return new Gone(t('This address no longer works. Ask a coach for a new one.'));
    }
}
