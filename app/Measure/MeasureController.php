<?php

declare(strict_types=1);

namespace Periplus\App\Measure;

use Periplus\App\Account\User;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\LargeBody;
use Periplus\App\Store\Invalid;
use Periplus\Core\Measure\MeasurementDocument;
use Periplus\Core\Measure\Onsets;
use Periplus\Core\Measure\Synthesis;
use Periplus\Core\Measure\Wave;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;

use function Periplus\Core\Language\t;

/** Measures combinations by taps and by sound, for every coach. */
final readonly class MeasureController
{
    /** Number of peaks in the picture of a recording. */
    private const MAX_PEAKS = 600;
    /** Maximum size of a recording of a bag or pads, in bytes: a minute at 16,000 samples per second. */
    private const MAX_RECORDING_BYTES = 2_097_152;

    public function __construct(private Measurements $measurements)
    {
    }

    /** Evaluates taps or hits; stores nothing. */
    #[Route('/api/combinations/{id<\d{1,9}>}/measure', methods: 'POST')]
    #[HeavyWork]
    public function measure(int $id, #[MapRequestPayload(acceptFormat: 'json')] MeasureRequest $request): JsonResponse
    {
        return new JsonResponse(new MeasurementDocument($this->measurements->measure($id, $request)));
    }

    #[Route('/api/combinations/{id<\d{1,9}>}/measurements', methods: 'GET')]
    public function list(int $id): JsonResponse
    {
        return new JsonResponse(['measurements' => $this->measurements->kept($id)]);
    }

    #[Route('/api/combinations/{id<\d{1,9}>}/measurements', methods: 'POST')]
    public function keep(
        int $id,
        #[MapRequestPayload(acceptFormat: 'json')] MeasureRequest $request,
        #[CurrentUser] User $user,
    ): JsonResponse {
        $key = $request->id ?? throw Invalid::field('id', t('A saved measurement needs an id.'));

        return new JsonResponse(['id' => $this->measurements->keep($id, $key, $request, $user)->id()], 201);
    }

    #[Route('/api/measurements/{id<\d{1,9}>}/remove', methods: 'POST')]
    public function remove(int $id, #[CurrentUser] User $user): Response
    {
        $this->measurements->remove($id, $user);

        return new Response(status: 204);
    }

    #[Route('/api/measurements/{id<\d{1,9}>}/restore', methods: 'POST')]
    public function restore(int $id, #[CurrentUser] User $user): Response
    {
        $this->measurements->restore($id, $user);

        return new Response(status: 204);
    }

    /** Returns the hits in a recording of a bag or pads: a mono WAV file of at most a minute. It is not stored. */
    #[Route('/api/onsets', methods: 'POST')]
    #[LargeBody(self::MAX_RECORDING_BYTES, isFile: true)]
    #[HeavyWork]
    public function onsets(Request $request): JsonResponse
    {
        try {
            $wave = Wave::read($request->getContent());
        } catch (\DomainException $unreadable) {
            throw new Invalid($unreadable->getMessage());
        }

        return new JsonResponse([
            'lengthMs' => round($wave->length(), 1),
            'peaks' => $wave->peaks(self::MAX_PEAKS),
            'onsets' => (new Onsets())->find($wave),
        ]);
    }

    /** Returns a synthesised recording with hits at the given moments, to try measuring without a microphone. */
    #[Route('/api/onsets/sample.wav', methods: 'GET')]
    #[HeavyWork]
    public function sample(
        #[MapQueryParameter] string $hits = '',
        #[MapQueryParameter(options: ['min_range' => 0, 'max_range' => 1])] float $noise = 0.1,
    ): Response {
        $moments = array_values(
            array_filter(
                array_map(floatval(...), explode(',', mb_substr($hits, 0, 2000))),
                static fn (float $ms): bool => $ms > 0 && $ms < 30_000,
            ),
        );

        return new Response(Synthesis::bag([] === $moments ? [400.0, 700.0, 1100.0] : $moments, $noise)->write(), 200, [
            'Content-Type' => 'audio/wav',
        ]);
    }
}
