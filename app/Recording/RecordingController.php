<?php

declare(strict_types=1);

namespace Periplus\App\Recording;

use Periplus\App\Account\User;
use Periplus\App\Combination\Combinations;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\LargeBody;
use Periplus\App\Store\DiskFull;
use Periplus\App\Store\Invalid;
use Periplus\Core\Combination\Chain;
use Periplus\Core\Notation\Reader;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

use function Periplus\Core\Language\t;

/** The recordings of combinations and techniques: every coach plays and adds them. */
final readonly class RecordingController
{
    public function __construct(
        private Recordings $recordings,
        private RecordingFiles $files,
        private Combinations $combinations,
        private Reader $reader,
    ) {
    }

    #[Route('/api/recordings', methods: 'GET')]
    public function list(#[CurrentUser] User $user): JsonResponse
    {
        $quota = $this->recordings->quota();

        return new JsonResponse([
            'recordings' => $this->shown($this->recordings->all(), $user),
            'usedBytes' => $quota->used,
            'limitBytes' => $quota->limit,
            'longestMs' => Recordings::MAX_LENGTH_MS,
            'largestBytes' => Recordings::MAX_BYTES,
        ]);
    }

    /** Returns the recording of a combination, and those of its strikes and moves. */
    #[Route('/api/combinations/{id<\d{1,9}>}/recordings', methods: 'GET')]
    public function ofCombination(int $id, #[CurrentUser] User $user): JsonResponse
    {
        $combination = $this->combinations->get($id);
        $content = $combination->content();
        $chain = $this->reader->readStored($content->notation, $content->stance)->chain ?? Chain::of([]);

        return new JsonResponse([
            'recordings' => $this->shown($this->recordings->ofCombination($combination, $chain), $user),
        ]);
    }

    /**
     * Keeps the file in the body.
     *
     * @param int|null $replaces id of the recording that was seen there
     */
    #[Route('/api/recordings', methods: 'POST')]
    #[LargeBody(Recordings::MAX_BYTES, isFile: true)]
    #[HeavyWork]
    public function record(
        Request $request,
        #[CurrentUser] User $user,
        #[MapQueryParameter] ?int $combination = null,
        #[MapQueryParameter] ?string $technique = null,
        #[MapQueryParameter] ?int $replaces = null,
    ): JsonResponse {
        $content = $request->getContent();
        if ('' === $content) {
            throw new Invalid(t('Send the file of the recording.'));
        }
        // PHP leaves out what finds no room in its folder for temporary files.
        if (\strlen($content) < (int) $request->headers->get('Content-Length', '0')) {
            throw new DiskFull();
        }
        $recording = $this->recordings->record($content, $combination, $technique, $replaces, $user);

        return new JsonResponse($recording->shown(true, true), 201);
    }

    #[Route('/api/recordings/{id<\d{1,9}>}/file', methods: 'GET')]
    public function file(int $id): Response
    {
        return $this->files->response($this->recordings->get($id));
    }

    /** Deletes a recording for good. */
    #[Route('/api/recordings/{id<\d{1,9}>}/delete', methods: 'POST')]
    public function delete(int $id, #[CurrentUser] User $user): Response
    {
        $this->recordings->delete($id, $user);

        return new Response(status: 204);
    }

    /**
     * @param list<Recording> $recordings
     *
     * @return list<ShownRecording>
     */
    private function shown(array $recordings, User $user): array
    {
        return array_map(
            fn (Recording $one): ShownRecording => $one->shown(
                $this->recordings->isThere($one),
                $this->recordings->mayChange($one, $user),
            ),
            $recordings,
        );
    }
}
