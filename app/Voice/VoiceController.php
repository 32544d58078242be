<?php

declare(strict_types=1);

namespace Periplus\App\Voice;

use Periplus\App\Account\User;
use Periplus\App\Http\ApiProblem;
use Periplus\App\Http\HeavyWork;
use Periplus\App\Http\LargeBody;
use Periplus\App\Plan\PlanCheck;
use Periplus\App\Plan\Plans;
use Periplus\App\Security\Permission;
use Periplus\App\Store\Invalid;
use Periplus\Core\Session\Wall\WallSerializer;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Attribute\MapQueryParameter;
use Symfony\Component\HttpKernel\Attribute\MapRequestPayload;
use Symfony\Component\Routing\Attribute\Route;
use Symfony\Component\Security\Http\Attribute\CurrentUser;
use Symfony\Component\Security\Http\Attribute\IsGranted;

use function Periplus\Core\Language\t;

/** The settings of the voice, and the clips that coaches record in its place. */
#[Route('/api/voice')]
final readonly class VoiceController
{
    /** Days before and after today whose sessions are considered. */
    private const DAYS_AROUND_TODAY = 14;
    private const MAX_PLANS = 40;
    /** Maximum size of a clip of a coach's own, in bytes. */
    private const MAX_CLIP_BYTES = 1_048_576;

    public function __construct(private Clips $clips, private Plans $plans, private PlanCheck $check)
    {
    }

    #[Route('', methods: 'GET')]
    #[HeavyWork]
    public function read(): JsonResponse
    {
        $recorded = $this->clips->recorded();
        $said = array_fill_keys(array_keys($recorded), true) + array_fill_keys($this->said(), false);
        ksort($said, \SORT_NATURAL);

        return new JsonResponse([
            ...(array) $this->clips->settings(),
            'longestMs' => Clips::MAX_LENGTH_MS,
            'clips' => array_map(
                static fn (string $text, bool $isRecorded): array => ['text' => $text, 'recorded' => $isRecorded],
                array_map(strval(...), array_keys($said)),
                $said,
            ),
        ]);
    }

    #[Route('', methods: 'PUT')]
    #[IsGranted(Permission::ManageGym->value)]
    public function use(
        #[MapRequestPayload(acceptFormat: 'json')] VoiceSettings $settings,
        #[CurrentUser] User $user,
    ): Response {
        $this->clips->use($settings, $user);

        return new Response(status: 204);
    }

    /** Returns the sound of a text, synthesised or recorded. */
    #[Route('/sample', methods: 'GET')]
    #[HeavyWork]
    public function sample(#[MapQueryParameter] string $text): Response
    {
        if ('' === trim($text) || mb_strlen($text) > 200) {
            throw new Invalid(t('Type the text to be spoken, in at most 200 characters.'));
        }
        try {
            $sound = $this->clips->sound($this->clips->digests([$text])[$text], $text);
        } catch (\RuntimeException) {
            throw new ApiProblem(503, 'no-voice', t('The voice is unavailable right now.'));
        }

        return new Response($sound, 200, ['Content-Type' => 'audio/wav']);
    }

    #[Route('/clips', methods: 'POST')]
    #[LargeBody(self::MAX_CLIP_BYTES)]
    public function record(
        #[MapRequestPayload(acceptFormat: 'json')] ClipRequest $request,
        #[CurrentUser] User $user,
    ): Response {
        $this->clips->record(trim($request->text), (string) base64_decode($request->wav, true), $user);

        return new Response(status: 204);
    }

    /** Deletes a recording, so that the voice is used again. */
    #[Route('/clips/forget', methods: 'POST')]
    public function forget(
        #[MapRequestPayload(acceptFormat: 'json')] ForgetClipRequest $request,
        #[CurrentUser] User $user,
    ): Response {
        $this->clips->forget($request->text, $user);

        return new Response(status: 204);
    }

    /** @return list<string> what the sessions of these weeks say */
    private function said(): array
    {
        return array_values(array_unique(array_merge(...array_map(
            fn (array $content): array => WallSerializer::spoken(
                $this->check->programme($content),
                $this->clips->settings()->style(),
            ),
            $this->plans->contentsAround(self::DAYS_AROUND_TODAY, self::MAX_PLANS),
        ))));
    }
}
